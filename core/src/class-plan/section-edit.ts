import type { SectionKind } from '../movement/section-kind.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { SectionId } from '../values/unit.js';
import { mostSections, type ClassPlan } from './class-plan.js';

export type SectionRefusal =
  { readonly kind: 'section-missing'; readonly section: SectionId } | { readonly kind: 'too-many-sections'; readonly most: number };

/** @param after the section it comes after; null for the first place */
export function withSection(
  plan: ClassPlan,
  kind: SectionKind,
  after: SectionId | null,
  newId: () => SectionId,
): Result<ClassPlan, SectionRefusal> {
  if (plan.sections.length >= mostSections) return refused({ kind: 'too-many-sections', most: mostSections });
  const place = after === null ? 0 : plan.sections.findIndex(({ id }) => id === after) + 1;
  if (after !== null && place === 0) return refused({ kind: 'section-missing', section: after });
  return accepted({ ...plan, sections: plan.sections.toSpliced(place, 0, { id: newId(), kind, items: [] }) });
}

/** Takes a section out with all that is in it. */
export function withoutSection(plan: ClassPlan, id: SectionId): Result<ClassPlan, SectionRefusal> {
  const sections = plan.sections.filter((section) => section.id !== id);
  return sections.length < plan.sections.length ? accepted({ ...plan, sections }) : refused({ kind: 'section-missing', section: id });
}

/** A section with its items one place up or down; at the first and last place the plan stays as it is. */
export function withSectionStepped(plan: ClassPlan, id: SectionId, direction: 'up' | 'down'): Result<ClassPlan, SectionRefusal> {
  const index = plan.sections.findIndex((section) => section.id === id);
  const section = plan.sections[index];
  if (!section) return refused({ kind: 'section-missing', section: id });
  const place = Math.max(0, Math.min(plan.sections.length - 1, index + (direction === 'up' ? -1 : 1)));
  return accepted(place === index ? plan : { ...plan, sections: plan.sections.toSpliced(index, 1).toSpliced(place, 0, section) });
}
