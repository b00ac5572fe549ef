import { describe, expect, it } from 'vitest';
import { doorListOf } from './door-list.js';
import type { HomeList } from './home-list.js';

const list = (said: Partial<HomeList>): HomeList => ({
  childId: 'a',
  lengthM: 2,
  widthM: 1,
  headroomM: 2,
  things: [],
  wantsSoftFloor: false,
  adult: 'none',
  partner: false,
  help: [],
  builds: [],
  ...said,
});
const cushion = { thing: 'cushion', standIns: ['rolled towel'] };
const scarf = { thing: 'scarf', standIns: [] };

describe('what is laid out before a class', () => {
  it('is room for the largest, what all use first, and what is built, once', () => {
    const found = doorListOf([
      list({ lengthM: 2.4, things: [scarf, cushion], builds: ['a line of tape'] }),
      list({ widthM: 1.6, things: [cushion], builds: ['a line of tape'] }),
    ]);
    expect(found).toEqual({
      lengthM: 2.4,
      widthM: 1.6,
      things: [
        { ...cushion, isForAll: true },
        { ...scarf, isForAll: false },
      ],
      builds: ['a line of tape'],
    });
    expect(doorListOf([])).toEqual({ lengthM: 0, widthM: 0, things: [], builds: [] });
  });
});
