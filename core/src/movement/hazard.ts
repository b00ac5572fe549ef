export const hazards = [
  'weight-on-hands',
  'inverted',
  'back-bend',
  'neck-load',
  'soft-landing',
  'hard-landing',
  'split',
  'rotation',
  'travels-fast',
  'overhead-reach',
] as const;
export type Hazard = (typeof hazards)[number];
