import type { ClassPlan } from '../class-plan/class-plan.js';
import type { HomeTask, HomeTaskItem } from '../class-plan/led.js';
import { itemOf } from '../class-plan/new-item.js';
import type { AgeBand } from '../movement/age-band.js';
import { activeSecondsOf, restSecondsOf, stepDose, type Dose } from '../movement/dose.js';
import type { Hazard } from '../movement/hazard.js';
import type { Library } from '../movement/library.js';
import { doseFor, fromYears, isForTwo, type Movement } from '../movement/movement.js';
import type { MovementSlug, Seconds } from '../values/unit.js';
import { abilityOf, type ChildInClass } from '../versions/child-in-class.js';
import { firstLack, type HomeNeed } from '../versions/home-needs.js';
import { relativesIn } from '../versions/relatives.js';
import { sparedIn } from '../versions/spares.js';
import type { Syllabus } from '../syllabus/syllabus.js';

/** How long a day a home task takes at most, by age, in seconds: small enough to be done. Our estimate. */
const mostSecondsADay = { '4-6': 180, '7-9': 300, '10-13': 480 } as const satisfies Readonly<Record<AgeBand, Seconds>>;

export function usualHomeTaskSeconds(band: AgeBand): Seconds {
  return mostSecondsADay[band];
}

/** What one does alone takes its work and a breath between: getting there, and the other side. */
const aroundSeconds = 10;

/** How long one thing takes a child at home. */
function taskSeconds({ dose, sides }: HomeTaskItem): Seconds {
  return (sides === 'both' ? 2 : 1) * (activeSecondsOf(dose) + restSecondsOf(dose)) + aroundSeconds;
}

/** How long the whole takes, once a day. */
export function homeTaskSeconds({ tasks }: HomeTask): Seconds {
  return tasks.reduce((sum, task) => sum + taskSeconds(task), 0);
}

/** Why a child should not do a movement at home on its own. */
export type HomeTaskBar =
  | { readonly kind: 'not-for-home' }
  /** It wants an adult at hand, and the household has none; or nobody knows of one. */
  | { readonly kind: 'adult' }
  | { readonly kind: 'home'; readonly need: HomeNeed }
  | { readonly kind: 'health' }
  | { readonly kind: 'age' }
  | { readonly kind: 'prerequisite' };

/** Never alone, whatever an entry says: rolls, bridges, handstands, flight (safety.md). */
const neverAlone: readonly Hazard[] = ['inverted', 'neck-load', 'back-bend', 'hard-landing'];

function wantsAdult({ homeTask, hazards, needs, posture }: Movement): boolean {
  return (
    homeTask === 'with-adult' ||
    needs.adult !== 'none' ||
    neverAlone.some((hazard) => hazards.includes(hazard)) ||
    posture.through.includes('airborne')
  );
}

/** @returns why a child should not do it at home; null where it may */
export function homeTaskBar(movement: Movement, child: ChildInClass, ladder: Syllabus | null): HomeTaskBar | null {
  const { homeTask } = movement;
  if (homeTask === 'no' || isForTwo(movement.needs.adult)) return { kind: 'not-for-home' };
  if (wantsAdult(movement) && (child.home === null || child.home.adult === 'not-at-hand')) return { kind: 'adult' };
  if (child.ageYears < fromYears(movement)) return { kind: 'age' };
  if (sparedIn(movement, child.spares)) return { kind: 'health' };
  const ability = abilityOf(child, ladder);
  if (!ability.hasEarned(movement.slug) && movement.prerequisites.some((one) => !ability.reaches(one))) return { kind: 'prerequisite' };
  const need = child.home && firstLack(movement, undefined, child.home, child.ageYears, null);
  return need ? { kind: 'home', need } : null;
}

/** Something nobody practises alone. */
const isPractised = ({ kind }: Movement): boolean => !['ritual', 'talk', 'break', 'breathing', 'game', 'pulse-raiser'].includes(kind);

/** So many things are proposed: what the class is about, and something that strengthens or loosens for it. */
const proposedTasks = 3;

/**
 * A home task from what the class is about: of each focus the movement itself, or the nearest step towards it, that every child
 * expected may do at home; then what the class trained or stretched. As much as a day takes at this age.
 */
export function proposeHomeTask(
  plan: ClassPlan,
  library: Library,
  band: AgeBand,
  { children, ladder }: { readonly children: readonly ChildInClass[]; readonly ladder: Syllabus | null },
): HomeTask {
  const isForAll = (movement: Movement): boolean =>
    movement.homeTask === 'yes' &&
    isPractised(movement) &&
    !wantsAdult(movement) &&
    children.every((child) => homeTaskBar(movement, child, ladder) === null);
  const { easierThan } = relativesIn(library);
  const chosen: Movement[] = [];
  const take = (candidates: readonly Movement[]): void => {
    const found = candidates.find((movement) => isForAll(movement) && !chosen.includes(movement));
    if (found && chosen.length < proposedTasks) chosen.push(found);
  };
  for (const slug of plan.focus) {
    const movement = library.get(slug);
    if (movement) take([movement, ...easierThan(movement)]);
  }
  const taught = plan.sections.flatMap(({ items }) => items.flatMap((item) => library.get(item.movement) ?? []));
  for (const kind of ['strength', 'static-stretch', 'basic', 'drill'] as const) take(taught.filter((movement) => movement.kind === kind));
  return { tasks: withinADay(chosen, band), note: plan.homeTask?.note ?? '' };
}

/** The usual doses, made smaller until they fit into a day; what does not fit even then is left out. */
function withinADay(movements: readonly Movement[], band: AgeBand): readonly HomeTaskItem[] {
  const most = mostSecondsADay[band];
  const tasks: HomeTaskItem[] = [];
  for (const movement of movements) {
    const { sides } = itemOf(movement, band);
    const slug: MovementSlug = movement.slug;
    const share = most / movements.length;
    let dose: Dose | null = doseFor(movement, band);
    while (dose && taskSeconds({ movement: slug, dose, sides }) > share) {
      const less: Dose = stepDose(dose, 'less');
      if (activeSecondsOf(less) >= activeSecondsOf(dose)) break;
      dose = less;
    }
    if (dose && homeTaskSeconds({ tasks: [...tasks, { movement: slug, dose, sides }], note: '' }) <= most)
      tasks.push({ movement: slug, dose, sides });
  }
  return tasks;
}
