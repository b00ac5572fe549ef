import type { Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import { changesLevel, surroundingsAfter, type Surroundings } from '../timing/surroundings.js';
import { timelineOf } from '../timing/timeline.js';
import type { ClassPlan, Item, Section } from '../class-plan/class-plan.js';
import { applyEdits, type PlanEdit } from '../class-plan/edit.js';
import { meanAge, type EvaluationContext } from './evaluation.js';
import { harmOf, isNoWorse } from './harm.js';

/** Sections up to this many items are put in the best order there is; longer ones stay as they are. */
export const mostItemsOrdered = 10;

/** A quieter order, as moves of items within their sections. */
export interface CalmerOrder {
  readonly edits: readonly PlanEdit[];
  readonly before: { readonly levelChanges: number };
  readonly after: { readonly levelChanges: number };
}

/**
 * An order within the sections with fewer changes standing ↔ floor. What prepares, leads to or undoes something keeps its place before or after it, as do drinks, talks and rituals; an order that
 * does harm is not taken. Exact for sections of up to ten items (dynamic programming over what is done and
 * where the class stands), section after section.
 */
export function calmerOrder(plan: ClassPlan, library: Library, context: EvaluationContext): CalmerOrder {
  const own: EvaluationContext = { ...context, children: [] };
  const begun = timelineOf(plan, library, { ...own, meanAgeYears: meanAge(own.agesYears) });
  const harm = harmOf(plan, library, own);
  let current = plan;
  const edits: PlanEdit[] = [];
  let before: Surroundings | null = null;
  for (const section of plan.sections) {
    const order = bestOrder(section, library, before);
    const moves = movesTo(section, order);
    const moved = moves.length > 0 ? applyEdits(current, moves, () => '') : null;
    const isTaken = moved?.ok === true && isNoWorse(harm, harmOf(moved.value, library, own));
    if (moved?.ok && isTaken) {
      current = moved.value;
      edits.push(...moves);
    }
    for (const item of isTaken ? order : section.items) {
      const movement = library.get(item.movement);
      if (movement) before = surroundingsAfter(movement, before);
    }
  }
  const after = timelineOf(current, library, { ...own, meanAgeYears: meanAge(own.agesYears) });
  return { edits, before: { levelChanges: begun.levelChanges }, after: { levelChanges: after.levelChanges } };
}

/** The order in which a section costs the least changes when the class comes to it from where it stands. */
function bestOrder(section: Section, library: Library, start: Surroundings | null): readonly Item[] {
  const { items } = section;
  const movements = items.map(({ movement }) => library.get(movement));
  if (items.length < 2 || items.length > mostItemsOrdered || movements.some((movement) => !movement)) return items;
  const known = movements.flatMap((movement) => movement ?? []);
  const earlier = known.map((movement, index) =>
    known
      .slice(0, index)
      .reduce(
        (mask, first, at) => (isStation(items[index]) || isStation(items[at]) || keepsOrder(first, movement) ? mask | (1 << at) : mask),
        0,
      ),
  );
  interface Way {
    /** Changes standing ↔ floor. */
    readonly cost: number;
    readonly moved: number;
    readonly state: Surroundings | null;
    readonly order: readonly number[];
  }
  let ways: ReadonlyMap<string, Way> = new Map([['', { cost: 0, moved: 0, state: start, order: [] }]]);
  for (let step = 0; step < items.length; step += 1) {
    const next = new Map<string, Way>();
    for (const way of ways.values()) {
      const done = way.order.reduce((mask, index) => mask | (1 << index), 0);
      known.forEach((movement, index) => {
        if (done & (1 << index) || ((earlier[index] ?? 0) & ~done) !== 0) return;
        const cost = way.cost + (changesLevel(movement, way.state) ? 1 : 0);
        const state = surroundingsAfter(movement, way.state);
        // of two orders that cost the same, the one nearer to how it was written
        const moved = way.moved + Math.abs(index - step);
        const key = `${String(done | (1 << index))} ${state.level ?? ''}`;
        const best = next.get(key);
        if (!best || cost < best.cost || (cost === best.cost && moved < best.moved))
          next.set(key, { cost, moved, state, order: [...way.order, index] });
      });
    }
    ways = next;
  }
  const [best] = [...ways.values()].sort((a, b) => a.cost - b.cost || a.moved - b.moved);
  return best ? best.order.flatMap((index) => items[index] ?? []) : items;
}

/** What is in a circuit stays where it is, and so does what stands around it. */
const isStation = (item: Item | undefined): boolean => item?.circuit !== undefined;

const anchored: ReadonlySet<Movement['kind']> = new Set(['break', 'talk', 'ritual', 'breathing']);

/** Whether the first has to stay before the second. */
function keepsOrder(first: Movement, second: Movement): boolean {
  if (anchored.has(first.kind) || anchored.has(second.kind)) return true;
  if (second.loads.some(({ region, amount }) => amount >= 2 && first.prepares.includes(region))) return true;
  if (second.prerequisites.some(({ movement }) => movement === first.slug)) return true;
  if (first.undoneBy.includes(second.slug)) return true;
  return first.kind === 'pulse-raiser' && second.kind !== 'pulse-raiser';
}

/** The moves that bring a section into an order; nothing where it is in it. */
function movesTo(section: Section, order: readonly Item[]): readonly PlanEdit[] {
  const current = section.items.map(({ id }) => id);
  return order.flatMap(({ id }, index): readonly PlanEdit[] => {
    const at = current.indexOf(id);
    if (at === index) return [];
    const there = current[index] ?? '';
    current.splice(at, 1);
    current.splice(index, 0, id);
    return [{ kind: 'move', item: id, place: { at: 'before', item: there } }];
  });
}
