/** The parts of a class, in the order in which each prepares the body for the next (job.md). */
export const sectionKinds = [
  'opening',
  'safety',
  'warm-up',
  'mobilise',
  'basics',
  'drills',
  'skill',
  'strength',
  'combination',
  'cool-down',
  'closing',
] as const;
export type SectionKind = (typeof sectionKinds)[number];
