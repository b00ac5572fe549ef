import { expect, it } from 'vitest';
import { contrast, isColour } from './contrast.js';

it('is 21 for black on white, 1 for the same, and known values between', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#17525c', '#17525c')).toBe(1);
  // known examples of the guideline: the palest grey that may be text on white, and the first that may not
  expect(contrast('#767676', '#ffffff')).toBeGreaterThanOrEqual(4.5);
  expect(contrast('#777777', '#ffffff')).toBeLessThan(4.5);
});

it('does not ask which is text and which is paper', () => {
  expect(contrast('#c8553d', '#fcf8f0')).toBe(contrast('#fcf8f0', '#c8553d'));
});

it('reads only colours that are written out', () => {
  expect(['#17525c', '#17525C', '17525c', '#abc', 'red', '#17525c;'].map(isColour)).toEqual([true, false, false, false, false, false]);
});
