export const postures = [
  'lying',
  'side-lying',
  'prone',
  'sitting',
  'kneeling',
  'all-fours',
  'squat',
  'standing',
  'one-leg',
  'inverted',
  'airborne',
] as const;
export type Posture = (typeof postures)[number];

export const levels = ['floor', 'standing', 'either'] as const;
/** Where a movement is done; `either` (a drink, a talk) is done where one is and costs no change. */
export type Level = (typeof levels)[number];
