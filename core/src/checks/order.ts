import type { PlanEdit } from '../class-plan/edit.js';
import { sectionKinds, type SectionKind } from '../movement/section-kind.js';
import { firstRounds, type TimedItem } from '../timing/timeline.js';
import type { MovementSlug } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';

export type Fact =
  { readonly kind: 'section-late'; readonly section: SectionKind; readonly after: SectionKind } | { readonly kind: 'drill-after-skill' };

/** Sections out of order, or what leads to a skill after the skill. */
export const order = defineCheck({
  id: 'order',
  title: 'Order of sections',
  says: 'Sections are out of order, or a drill comes after its skill.',
  gravest: 'hint',
  look: (context): readonly Found<Fact>[] => [...sectionsOutOfOrder(context), ...basicsAfterSkill(context)],
  words: (fact, { name }) =>
    fact.kind === 'section-late'
      ? { title: 'Sections out of order', sentence: `${name} opens a part that usually comes before the one above it.` }
      : { title: 'The basics come after', sentence: `${name}: the first leads to the second, and comes after it.` },
});

/** Strength comes before the game or phrase in some schools, after it in others. */
const rankOf = (kind: SectionKind): number => sectionKinds.indexOf(kind === 'combination' ? 'strength' : kind);

function sectionsOutOfOrder({ plan }: CheckContext): readonly Found<Fact>[] {
  const used = plan.sections.filter(({ items }) => items.length > 0);
  const late = used.flatMap((section, index) => {
    const before = used[index - 1];
    return before && rankOf(before.kind) > rankOf(section.kind) ? [{ section, before }] : [];
  });
  const [first] = late;
  if (!first) return [];
  const itemIds = late.flatMap(({ section }) => section.items.slice(0, 1).map(({ id }) => id));
  return [{ severity: 'hint', itemIds, fact: { kind: 'section-late', section: first.section.kind, after: first.before.kind }, mend: null }];
}

/** What leads to a skill and comes only after it, with the skill. */
function basicsAfterSkill({ timeline }: CheckContext): readonly Found<Fact>[] {
  const items = firstRounds(timeline.items);
  const late = items.flatMap((skill, index) => {
    if (skill.movement.kind !== 'skill') return [];
    const wanted = new Set(skill.movement.prerequisites.map(({ movement }) => movement));
    if (wanted.size === 0) return [];
    const isPractised = (slug: MovementSlug): boolean => items.slice(0, index).some(({ movement }) => movement.slug === slug);
    // done again from the start, the skill may well be followed by its basics
    if (items.slice(0, index).some(({ movement }) => wanted.has(movement.slug))) return [];
    const basic = items
      .slice(index + 1)
      .find(({ movement: { slug, kind } }) => (kind === 'drill' || kind === 'basic') && wanted.has(slug) && !isPractised(slug));
    return basic ? [{ basic, skill }] : [];
  });
  if (late.length === 0) return [];
  const moved = new Set<TimedItem>();
  const mend = late.flatMap(({ basic, skill }): readonly PlanEdit[] => {
    if (moved.has(basic)) return [];
    moved.add(basic);
    return [{ kind: 'move', item: basic.item.id, place: { at: 'before', item: skill.item.id } }];
  });
  const itemIds = [...new Set(late.flatMap(({ basic, skill }) => [basic.item.id, skill.item.id]))];
  return [{ severity: 'hint', itemIds, fact: { kind: 'drill-after-skill' }, mend }];
}
