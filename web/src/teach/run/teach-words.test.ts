import type { Position, Stance, Step, TimedItem } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { countOf, paceWords, sideWords, stepWords } from './teach-words';

const reps: Step = { kind: 'reps', seconds: 20, side: 'left', set: 2, sets: 3, reps: 8 };
const hold: Step = { kind: 'hold', seconds: 19.6, side: null, set: 1, sets: 1 };

describe('the words of the live screen', () => {
  it('count sets only where there are several', () => {
    expect(stepWords(reps)).toBe('Set 2 of 3');
    expect(stepWords(hold)).toBe('Hold');
  });

  it('count to the reps, to the seconds of a hold, and to eight in music', () => {
    expect(countOf(reps)).toBe(8);
    expect(countOf(hold)).toBe(20);
    expect(countOf({ kind: 'counts', seconds: 30, side: null, counts: 64, beats: 8 })).toBe(8);
    expect(countOf({ kind: 'rest', seconds: 10, side: null })).toBeNull();
  });

  it('name the side of the children, which one the leader moves, and where they see it', () => {
    const of = (step: Step | null, stance: Stance, said: Partial<Position> = {}) =>
      sideWords({ step, timed: null, count: 1, ...said }, stance);
    expect(of(reps, 'mirror')).toEqual({ children: 'LEFT', you: 'right', seenOn: 'left' });
    expect(of({ ...reps, side: 'right' }, 'mirror')).toEqual({ children: 'RIGHT', you: 'left', seenOn: 'right' });
    expect(of(reps, 'turned')).toEqual({ children: 'LEFT', you: 'left', seenOn: 'left' });
    expect(of(reps, 'facing')).toEqual({ children: 'LEFT', you: 'left', seenOn: 'right' });
    expect(of({ ...reps, side: 'lead' }, 'mirror')).toMatchObject({ children: 'LEAD SIDE', seenOn: null });
    expect([of(hold, 'mirror'), of(null, 'mirror')]).toEqual([null, null]);
  });

  it('name the side of each rep of what is done in turns', () => {
    const timed = { sides: 'alternating' } as TimedItem;
    const said = [1, 2, 3].map((count) => sideWords({ step: { ...reps, side: null }, timed, count }, 'turned')?.children);
    expect(said).toEqual(['LEFT', 'RIGHT', 'LEFT']);
  });

  it.each([
    [0, 'on time'],
    [9.9, 'on time'],
    [75, '1:15 behind'],
    [-130, '2:10 ahead'],
  ])('of a class %d s behind are “%s”', (behindSeconds, words) => {
    expect(paceWords({ behindSeconds } as Position)).toBe(words);
  });
});
