import { sectionKinds } from '../movement/section-kind.js';
import { firstRounds } from '../timing/timeline.js';
import type { Check, CheckContext } from './check.js';
import type { Finding } from './finding.js';

/** Sections out of order, or what leads to a skill after the skill. */
export const order: Check = (context) => [...sectionsOutOfOrder(context), ...basicsAfterSkill(context)];

function sectionsOutOfOrder({ plan }: CheckContext): readonly Finding[] {
  const used = plan.sections.filter(({ items }) => items.length > 0);
  return used.flatMap((section, index): readonly Finding[] => {
    const before = used[index - 1];
    if (!before || sectionKinds.indexOf(before.kind) <= sectionKinds.indexOf(section.kind)) return [];
    const itemIds = section.items.slice(0, 1).map(({ id }) => id);
    return [
      { check: 'order', severity: 'hint', itemIds, fact: { kind: 'section-late', section: section.kind, after: before.kind }, mend: null },
    ];
  });
}

function basicsAfterSkill({ timeline }: CheckContext): readonly Finding[] {
  const items = firstRounds(timeline.items);
  return items.flatMap((skill, index): readonly Finding[] => {
    if (skill.movement.kind !== 'skill') return [];
    const wanted = new Set(skill.movement.prerequisites.map(({ movement }) => movement));
    const practised = new Set(items.slice(0, index).map(({ movement }) => movement.slug));
    const late = items
      .slice(index + 1)
      .find(({ movement }) => wanted.has(movement.slug) && !practised.has(movement.slug) && ['drill', 'basic'].includes(movement.kind));
    if (!late) return [];
    return [
      {
        check: 'order',
        severity: 'hint',
        itemIds: [late.item.id, skill.item.id],
        fact: { kind: 'drill-after-skill' },
        mend: [{ kind: 'move', item: late.item.id, place: { at: 'before', item: skill.item.id } }],
      },
    ];
  });
}
