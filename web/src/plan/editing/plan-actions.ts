import { t } from '@lingui/core/macro';
import type { ClassResponse } from '@leiter/contract';
import type { CalmerOrder, ClassPlan, Movement, Place } from '@leiter/core';

/** What “Calmer order” did, in a sentence. */
export function calmedWords({ edits, before, after }: CalmerOrder): string {
  if (edits.length === 0) return t`It is as calm as it can be without breaking a preparation.`;
  return t`Standing ↔ floor ${before.levelChanges} → ${after.levelChanges}. Ctrl Z takes it back.`;
}

/** What is added goes after the item chosen, to the section chosen, or to the first section that it fits. */
export function placeFor(plan: ClassPlan, chosen: string | null, section: string | null, movement: Movement): Place | null {
  if (chosen !== null) return { at: 'after', item: chosen };
  const fitting =
    plan.sections.find(({ id }) => id === section) ??
    plan.sections.find(({ kind }) => movement.sections.includes(kind)) ??
    plan.sections[0];
  return fitting ? { at: 'end-of', section: fitting.id } : null;
}

/** Where a line can be written. */
export type WritingPlace = { readonly at: 'after'; readonly item: string } | { readonly at: 'end-of'; readonly section: string };

/** Where a line is written: after the item chosen, at the end of the section chosen, or else after the first item or in the first section. */
export function placeToWrite(plan: ClassPlan, chosen: string | null, section: string | null): WritingPlace | null {
  if (chosen !== null) return { at: 'after', item: chosen };
  if (section !== null) return { at: 'end-of', section };
  const [first] = plan.sections.flatMap(({ items }) => items);
  if (first) return { at: 'after', item: first.id };
  const [empty] = plan.sections;
  return empty ? { at: 'end-of', section: empty.id } : null;
}

/** What can be taken away of the plan of a class. */
export function filesOf({ id, groupName, day }: ClassResponse) {
  const name = `${groupName} ${day}`;
  return [
    { label: t`On paper (PDF)`, href: `/api/classes/${id}/plan/paper`, name: t`${name}.pdf` },
    { label: t`As a plan file`, href: `/api/classes/${id}/plan/export`, name: t`${name}.json` },
  ];
}
