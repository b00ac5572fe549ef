import type { Position, Step } from '@leiter/core';
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

  it('name the side of the children and the mirrored one for whoever faces them', () => {
    expect(sideWords(reps)).toEqual({ children: 'LEFT', show: 'right' });
    expect(sideWords({ ...reps, side: 'right' })).toEqual({ children: 'RIGHT', show: 'left' });
    expect(sideWords(hold)).toBeNull();
    expect(sideWords(null)).toBeNull();
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
