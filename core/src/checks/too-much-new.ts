import { defineCheck } from './check.js';
import type { Found } from './finding.js';

/** How many new skills a class takes, by age; safety.md. */
export const newSkillLimits = [
  { upToYears: 6, skills: 1 },
  { upToYears: 9, skills: 2 },
  { upToYears: 99, skills: 3 },
] as const;

export interface Fact {
  readonly kind: 'too-much-new';
  readonly skills: number;
  readonly most: number;
}

/** More new skills than children of this age take in. */
export const tooMuchNew = defineCheck({
  id: 'too-much-new',
  look: ({ timeline, youngestYears }): readonly Found<Fact>[] => {
    const most = newSkillLimits.find(({ upToYears }) => youngestYears <= upToYears)?.skills ?? 3;
    const fresh = timeline.items.filter(({ movement, familiarity }) => movement.kind === 'skill' && familiarity === 'new');
    const skills = new Set(fresh.map(({ movement }) => movement.slug)).size;
    if (skills <= most) return [];
    const itemIds = fresh.map(({ item }) => item.id);
    return [{ severity: 'caution', itemIds, fact: { kind: 'too-much-new', skills, most }, mend: null }];
  },
  words: ({ skills, most }) => ({
    title: `${String(skills)} new skills`,
    sentence: `At this age ${most === 1 ? 'one is' : `${String(most)} are`} enough for one class.`,
  }),
});
