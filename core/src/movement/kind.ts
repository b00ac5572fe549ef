export const movementKinds = [
  'pulse-raiser',
  'mobiliser',
  'dynamic-stretch',
  'static-stretch',
  'basic',
  'drill',
  'skill',
  'strength',
  'combination',
  'game',
  'ritual',
  'breathing',
  'break',
  'talk',
] as const;
export type MovementKind = (typeof movementKinds)[number];
