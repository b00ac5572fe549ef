import type { Check } from './check.js';

/** How many new skills a class takes, by age; safety.md. */
export const newSkillLimits = [
  { upToYears: 6, skills: 1 },
  { upToYears: 9, skills: 2 },
  { upToYears: 99, skills: 3 },
] as const;

/** More new skills than children of this age take in. */
export const tooMuchNew: Check = ({ timeline, youngestYears }) => {
  const most = newSkillLimits.find(({ upToYears }) => youngestYears <= upToYears)?.skills ?? 3;
  const fresh = timeline.items.filter(({ movement, familiarity }) => movement.kind === 'skill' && familiarity === 'new');
  const skills = new Set(fresh.map(({ movement }) => movement.slug)).size;
  if (skills <= most) return [];
  const itemIds = fresh.map(({ item }) => item.id);
  return [{ check: 'too-much-new', severity: 'caution', itemIds, fact: { kind: 'too-much-new', skills, most }, mend: null }];
};
