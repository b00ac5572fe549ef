export const regions = [
  'neck',
  'shoulders',
  'wrists',
  'upper-back',
  'lower-back',
  'core',
  'hips',
  'hip-flexors',
  'adductors',
  'hamstrings',
  'quadriceps',
  'knees',
  'calves',
  'ankles',
] as const;
export type Region = (typeof regions)[number];

/** How much an item asks of a region: 1 a little, 3 much. */
export interface Load {
  readonly region: Region;
  readonly amount: 1 | 2 | 3;
}
