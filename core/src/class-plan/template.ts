import type { AgeBand } from '../movement/age-band.js';
import type { Dose } from '../movement/dose.js';
import type { Library } from '../movement/library.js';
import type { SectionKind } from '../movement/section-kind.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { CircuitId, MovementSlug, ProgrammeSlug } from '../values/unit.js';
import type { Circuit, ClassPlan } from './class-plan.js';
import { teachingOf, type ItemTeaching } from './item-teaching.js';
import type { Track } from './music.js';
import type { TeachingStyle, Way } from './way.js';
import { itemOf } from './new-item.js';

/** How long a class lasts, in minutes. */
export const classLengths = [20, 30, 45, 60] as const;
export type ClassLength = (typeof classLengths)[number];

/** A running order to start from: whole as it stands, to be changed where the focus of the day wants it. */
export interface PlanTemplate {
  readonly slug: string;
  readonly name: string;
  readonly programme: ProgrammeSlug;
  readonly lengthMinutes: ClassLength;
  readonly ageBand: AgeBand;
  readonly focus: readonly MovementSlug[];
  readonly sections: readonly {
    readonly kind: SectionKind;
    readonly music?: Track;
    readonly way?: Way;
    readonly items: readonly ({
      readonly movement: MovementSlug;
      readonly dose?: Dose;
      readonly circuit?: CircuitId;
      readonly music?: Track;
    } & ItemTeaching)[];
  }[];
  readonly circuits?: readonly Circuit[];
  readonly style?: TeachingStyle;
}

/**
 * A new plan from a template, with the doses of the template's age where it names none.
 * @param newId makes one id per section and item.
 * @returns the plan, or the movements that the library does not have.
 */
export function planFromTemplate(
  template: PlanTemplate,
  library: Library,
  newId: () => string,
): Result<ClassPlan, { readonly kind: 'movements-missing'; readonly movements: readonly MovementSlug[] }> {
  const missing = template.sections.flatMap(({ items }) => items.map(({ movement }) => movement)).filter((slug) => !library.has(slug));
  if (missing.length > 0) return refused({ kind: 'movements-missing', movements: missing });
  const sections = template.sections.map(({ items, ...section }) => ({
    ...section,
    id: newId(),
    items: items.flatMap(({ movement: slug, ...said }) => {
      const movement = library.get(slug);
      return movement ? [{ ...itemOf(movement, template.ageBand), ...said, id: newId() }] : [];
    }),
  }));
  return accepted({
    sections,
    focus: template.focus,
    ...(template.circuits ? { circuits: template.circuits } : {}),
    ...(template.style ? { style: template.style } : {}),
  });
}

/** @returns the templates that fit a group, the nearest first: its programme, then its length, then its age. */
export function templatesFor<Template extends PlanTemplate>(
  templates: readonly Template[],
  group: { readonly programme: ProgrammeSlug; readonly lengthMinutes: number; readonly ageBand: AgeBand },
): readonly Template[] {
  const distance = (template: Template): number =>
    Math.abs(template.lengthMinutes - group.lengthMinutes) * 2 + (template.ageBand === group.ageBand ? 0 : 1);
  return templates.filter((template) => template.programme === group.programme).toSorted((a, b) => distance(a) - distance(b));
}

/** A plan as a running order to start from: its sections, movements and doses; nothing of the children it was written for. */
export function templateOf(plan: ClassPlan, about: Omit<PlanTemplate, 'focus' | 'sections'>): PlanTemplate {
  return {
    ...about,
    focus: plan.focus,
    sections: plan.sections
      .filter(({ items }) => items.length > 0)
      .map(({ kind, music, way, items }) => ({
        kind,
        ...(music ? { music } : {}),
        ...(way ? { way } : {}),
        items: items.map((item) => ({
          movement: item.movement,
          dose: item.dose,
          ...(item.circuit === undefined ? {} : { circuit: item.circuit }),
          ...(item.music ? { music: item.music } : {}),
          ...teachingOf(item),
        })),
      })),
    ...(plan.circuits ? { circuits: plan.circuits } : {}),
    ...(plan.style ? { style: plan.style } : {}),
  };
}
