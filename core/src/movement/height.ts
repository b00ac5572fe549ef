import type { Metres } from '../values/unit.js';

/** The footprints of the library are those of a grown-up of this height. */
export const libraryHeightM: Metres = 1.7;

const [youngestYears, oldestYears] = [2, 16];

/** @returns about the mean height of children of an age: from 4 to 13 they grow six centimetres a year, from about 1.02 m on. */
export function heightM(ageYears: number): Metres {
  return 0.78 + 0.06 * Math.min(oldestYears, Math.max(youngestYears, ageYears));
}
