import { expect, it } from 'vitest';
import { readLength } from './track-length';

it.each([
  ['3:20', 200],
  [' 3:05 ', 185],
  ['200', 200],
  ['3 min', 180],
  ['2,5min', 150],
  ['1:02:05', 3725],
  ['3:60', null],
  ['3:2', null],
  ['', null],
  ['-3', null],
  ['three', null],
])('a track of %j lasts %j seconds', (typed, seconds) => {
  expect(readLength(typed)).toBe(seconds);
});
