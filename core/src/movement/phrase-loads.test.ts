import { describe, expect, it } from 'vitest';
import { aMovement } from '../testing/makers.js';
import { aPhrase, writtenPhrase } from '../testing/phrases.js';
import { libraryOf } from './library.js';
import { libraryWithRows, missingEntries, withSegmentStages } from './phrase-loads.js';

const wheel = aMovement('wheel', {
  hazards: ['inverted', 'weight-on-hands'],
  loads: [{ region: 'wrists', amount: 3 }],
  prerequisites: [{ movement: 'lunge', mark: 'alone' }],
  leastAge: 7,
});
const bridge = aMovement('bridge', {
  hazards: ['back-bend'],
  loads: [
    { region: 'wrists', amount: 2 },
    { region: 'lower-back', amount: 3 },
  ],
});

describe('what the rows of a phrase ask of a body', () => {
  const routine = aMovement('routine', {
    phrase: writtenPhrase('1 R fwd, 2-4 / do wheel, 5-8 / free bridge or wheel'),
    loads: [{ region: 'calves', amount: 1 }],
  });

  it('is asked of who does the phrase: of free rows the worst of the choices', () => {
    const whole = libraryWithRows(libraryOf([routine, wheel, bridge])).get('routine');
    expect(whole?.hazards.toSorted()).toEqual(['back-bend', 'inverted', 'weight-on-hands']);
    expect(whole?.loads).toEqual([
      { region: 'calves', amount: 1 },
      { region: 'wrists', amount: 3 },
      { region: 'lower-back', amount: 3 },
    ]);
    expect(whole?.prerequisites).toEqual([{ movement: 'lunge', mark: 'alone' }]);
    expect(whole?.leastAge).toBe(7);
  });

  it('is as hard as its counts are in the mean, and never less than is said of the whole', () => {
    const hard = { ...wheel, effort: 4 } as const;
    const effortOf = (text: string, effort: 1 | 2 | 3): number | undefined =>
      libraryWithRows(libraryOf([aMovement('routine', { phrase: writtenPhrase(text), effort }), hard])).get('routine')?.effort;
    // six of eight counts at 4, two at 1
    expect(effortOf('1 R fwd, 2 L fwd, 3-8 / do wheel', 1)).toBe(3);
    expect(effortOf('1 R fwd, 2 L fwd, 3-7 R close, 8 / do wheel', 1)).toBe(1);
    expect(effortOf('1 R fwd, 2 L fwd, 3-7 R close, 8 / do wheel', 3)).toBe(3);
  });

  it('has its segments as stages, where its entry has none', () => {
    const parted = aMovement('parted', { phrase: writtenPhrase('# Walks\n1 R fwd\n# Box\n5 L fwd') });
    expect(withSegmentStages(parted).stages.map(({ name }) => name)).toEqual(['Walks', 'Box']);
    const staged = { ...parted, stages: [{ name: 'Slow', see: 'slowly' }] };
    expect(withSegmentStages(staged)).toBe(staged);
  });

  it('changes nothing where no entry is named, or the club has none of them; those are named', () => {
    const plain = aMovement('plain', { phrase: writtenPhrase('1 R fwd') });
    expect(libraryWithRows(libraryOf([plain])).get('plain')).toBe(plain);
    const alone = libraryOf([routine]);
    expect(libraryWithRows(alone).get('routine')).toBe(routine);
    expect(missingEntries(aPhrase(routine.phrase?.text ?? ''), alone)).toEqual([
      { row: 1, movement: 'wheel' },
      { row: 2, movement: 'bridge' },
      { row: 2, movement: 'wheel' },
    ]);
  });
});
