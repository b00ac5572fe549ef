import type { PlanEdit } from '../class-plan/edit.js';
import { itemOf } from '../class-plan/new-item.js';
import type { Item } from '../class-plan/class-plan.js';
import { movementsOfKind } from '../movement/by-kind.js';
import type { MovementKind } from '../movement/kind.js';
import type { Library } from '../movement/library.js';
import { doseFor, fromYears, type Movement } from '../movement/movement.js';
import type { CheckContext } from './check.js';

/**
 * The movement that a mend puts in: one that this programme uses, that this age may do and that needs nothing.
 * @param kinds of which it may be
 * @param question what is asked, with all that `rank` goes by: the same question is answered once for a library, not at every key
 * @param rank lower is better; movements of rank null do not fit. Ties go to the first by slug, so a mend is always the same.
 */
export function suitableMovement(
  context: CheckContext,
  kinds: readonly MovementKind[],
  question: string,
  rank: (movement: Movement) => number | null,
): Movement | null {
  const known = answered.get(context.library) ?? new Map<string, Movement | null>();
  answered.set(context.library, known);
  const { programme, youngestYears, ageBand } = context;
  const whole = `${question} | ${kinds.join()} ${programme} ${String(youngestYears)} ${ageBand}`;
  const before = known.get(whole);
  if (before !== undefined) return before;
  const found = bestOf(context, kinds, rank);
  known.set(whole, found);
  return found;
}

const answered = new WeakMap<Library, Map<string, Movement | null>>();

function bestOf(context: CheckContext, kinds: readonly MovementKind[], rank: (movement: Movement) => number | null): Movement | null {
  let best: Movement | null = null;
  let bestRank = Infinity;
  for (const kind of kinds)
    for (const movement of fittingOfKind(context, kind)) {
      const value = rank(movement);
      if (value === null || value > bestRank || (value === bestRank && best && movement.slug > best.slug)) continue;
      best = movement;
      bestRank = value;
    }
  return best;
}

/** What fits a class at all, by whom it is for: it is the same at every key. */
const fitting = new WeakMap<Library, Map<string, readonly Movement[]>>();

function fittingOfKind({ library, programme, youngestYears, ageBand }: CheckContext, kind: MovementKind): readonly Movement[] {
  const known = fitting.get(library) ?? new Map<string, readonly Movement[]>();
  fitting.set(library, known);
  const whom = `${kind} ${programme} ${String(youngestYears)} ${ageBand}`;
  const found =
    known.get(whom) ??
    movementsOfKind(library, kind).filter(
      (movement) =>
        (movement.programmes.length === 0 || movement.programmes.includes(programme)) &&
        movement.needs.equipment.length === 0 &&
        fromYears(movement) <= youngestYears &&
        doseFor(movement, ageBand) !== null,
    );
  known.set(whom, found);
  return found;
}

/** The item of a mend: as a coach would first write it. */
export function mendItem(movement: Movement, context: CheckContext): Omit<Item, 'id'> {
  return itemOf(movement, context.ageBand);
}

/** Into the closing section, or after the last item where there is none. */
export function atTheEnd(context: CheckContext, movement: Movement | null): readonly PlanEdit[] | null {
  const section = context.plan.sections.find(({ kind }) => kind === 'closing') ?? context.plan.sections.at(-1);
  return movement && section ? [{ kind: 'insert', item: mendItem(movement, context), place: { at: 'end-of', section: section.id } }] : null;
}
