import { sectionKinds, type SectionKind } from '../movement/section-kind.js';
import { firstRounds } from '../timing/timeline.js';
import type { MovementSlug } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';

export type Fact =
  { readonly kind: 'section-late'; readonly section: SectionKind; readonly after: SectionKind } | { readonly kind: 'drill-after-skill' };

/** Sections out of order, or what leads to a skill after the skill. */
export const order = defineCheck({
  id: 'order',
  look: (context): readonly Found<Fact>[] => [...sectionsOutOfOrder(context), ...basicsAfterSkill(context)],
  words: (fact, { name }) =>
    fact.kind === 'section-late'
      ? { title: 'Sections out of order', sentence: `${name} opens a part that usually comes before the one above it.` }
      : { title: 'The basics come after', sentence: `${name}: the first leads to the second, and comes after it.` },
});

function sectionsOutOfOrder({ plan }: CheckContext): readonly Found<Fact>[] {
  const used = plan.sections.filter(({ items }) => items.length > 0);
  return used.flatMap((section, index): readonly Found<Fact>[] => {
    const before = used[index - 1];
    if (!before || sectionKinds.indexOf(before.kind) <= sectionKinds.indexOf(section.kind)) return [];
    const itemIds = section.items.slice(0, 1).map(({ id }) => id);
    return [{ severity: 'hint', itemIds, fact: { kind: 'section-late', section: section.kind, after: before.kind }, mend: null }];
  });
}

function basicsAfterSkill({ timeline }: CheckContext): readonly Found<Fact>[] {
  const items = firstRounds(timeline.items);
  return items.flatMap((skill, index): readonly Found<Fact>[] => {
    if (skill.movement.kind !== 'skill') return [];
    const wanted = new Set(skill.movement.prerequisites.map(({ movement }) => movement));
    if (wanted.size === 0) return [];
    const isPractised = (slug: MovementSlug): boolean => items.slice(0, index).some(({ movement }) => movement.slug === slug);
    const late = items
      .slice(index + 1)
      .find(({ movement: { slug, kind } }) => (kind === 'drill' || kind === 'basic') && wanted.has(slug) && !isPractised(slug));
    if (!late) return [];
    return [
      {
        severity: 'hint',
        itemIds: [late.item.id, skill.item.id],
        fact: { kind: 'drill-after-skill' },
        mend: [{ kind: 'move', item: late.item.id, place: { at: 'before', item: skill.item.id } }],
      },
    ];
  });
}
