import { describe, expect, it } from 'vitest';
import { aPhrase } from '../testing/phrases.js';
import { approachMoves, approachRows, startingFoot, type ApproachMove } from './approach.js';
import type { Foot, Row } from './phrase.js';
import { walk } from './walk.js';

/** Every run-up of so many moves. */
function* runUps(length: number): Generator<readonly ApproachMove[]> {
  if (length === 0) yield [];
  else for (const shorter of runUps(length - 1)) for (const move of approachMoves) yield [...shorter, move];
}

const blank = aPhrase('1 both sink');
const asPhrase = (rows: ReturnType<typeof approachRows>, startWeight: Foot) => ({
  ...blank,
  startWeight,
  segments: [],
  rows: rows.map((row): Row => ({
    ...row,
    turn: 0,
    arms: null,
    look: null,
    say: null,
    words: null,
    watch: null,
    movement: null,
    free: null,
  })),
});

describe('which foot begins a run-up', () => {
  it.each<[readonly ApproachMove[], Foot, Foot]>([
    // into a cartwheel with the left foot in front: three steps begin on the left
    [['step', 'step', 'step'], 'left', 'left'],
    [['step', 'step'], 'left', 'right'],
    // a step and a hurdle: right, hop, left
    [['step', 'hurdle'], 'left', 'right'],
    // a hop first is done on the foot that is returned: hop right, step left
    [['hurdle'], 'left', 'right'],
    [['chasse', 'step'], 'right', 'left'],
    // a power start: nothing before it
    [[], 'right', 'right'],
  ])('%j into a take-off from the %s begins on the %s', (moves, takeOff, first) => {
    expect(startingFoot(moves, takeOff)).toBe(first);
  });

  it('agrees with trying both feet, of every run-up up to six moves, and of some of twelve, for both take-offs', () => {
    const long = [...runUps(3)].map((some) => [...some, ...some.toReversed(), ...some, ...some]);
    const all = [...Array.from({ length: 6 }, (_, index) => [...runUps(index + 1)]).flat(), ...long];
    expect(all.length).toBeGreaterThan(5000);
    for (const moves of all)
      for (const takeOff of ['left', 'right'] as const) {
        const beginsWithHop = moves[0] === 'hop' || moves[0] === 'hurdle';
        const right = (['left', 'right'] as const).filter((first) => {
          const carries = beginsWithHop ? first : first === 'left' ? 'right' : 'left';
          const { findings, stands } = walk(asPhrase(approachRows(moves, first), carries));
          return findings.length === 0 && stands.at(-1)?.weight === takeOff;
        });
        expect([moves, takeOff, right]).toEqual([moves, takeOff, [startingFoot(moves, takeOff)]]);
      }
  });
});
