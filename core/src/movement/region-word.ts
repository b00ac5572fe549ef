import type { Region } from './region.js';

const regionWords: Readonly<Record<Region, string>> = {
  neck: 'neck',
  shoulders: 'shoulders',
  wrists: 'wrists',
  'upper-back': 'upper back',
  'lower-back': 'lower back',
  core: 'core',
  hips: 'hips',
  'hip-flexors': 'hip flexors',
  adductors: 'inner thighs',
  hamstrings: 'back of the thighs',
  quadriceps: 'front of the thighs',
  knees: 'knees',
  calves: 'calves',
  ankles: 'ankles',
};

/** @returns the region as one says it to a child or a parent. */
export function regionWord(region: Region): string {
  return regionWords[region];
}
