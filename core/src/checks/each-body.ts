import { doseFor, type Movement } from '../movement/movement.js';
import { activeSecondsOf, type Dose } from '../movement/dose.js';
import { holdBandOf } from '../movement/hold-limits.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ChildId, ItemId } from '../values/unit.js';
import type { Version } from '../versions/version.js';
import type { CheckContext } from './check.js';
import { summaryOf } from './who-cannot.js';

/** What one child does of an item: another movement where its version is one, the dose of its tier where that has its own. */
export interface Done {
  readonly movement: Movement;
  readonly dose: Dose;
  /** How much of the item's work it is: 1, or what its own dose makes of it. */
  readonly share: number;
}

/** Somebody whose body a check is about: a child expected, or an age where nobody is known by name. */
export interface OneBody {
  readonly childId: ChildId | null;
  readonly ageYears: number;
  /** @returns null where the child does nothing of the item */
  readonly does: (timed: TimedItem) => Done | null;
}

const known = new WeakMap<CheckContext, readonly OneBody[]>();

/** Everybody expected; limits that guard a body are those of each child's own age (safety.md). */
export function bodiesIn(context: CheckContext): readonly OneBody[] {
  const bodies = known.get(context) ?? (context.children.length > 0 ? childrenIn(context) : agesIn(context));
  known.set(context, bodies);
  return bodies;
}

const asPlanned = ({ movement, item }: TimedItem): Done => ({ movement, dose: item.dose, share: 1 });

/** Without children, the oldest and the youngest stand for all. */
function agesIn({ youngestYears, oldestYears }: CheckContext): readonly OneBody[] {
  return [...new Set([youngestYears, oldestYears])].map((ageYears) => ({ childId: null, ageYears, does: asPlanned }));
}

const lists = new WeakMap<CheckContext['versionsByItem'], ReadonlyMap<ItemId, readonly Version[]>>();

/** The versions of each item by its id; an item that did not change keeps its list. */
export function listsIn(versionsByItem: CheckContext['versionsByItem']): ReadonlyMap<ItemId, readonly Version[]> {
  const known = lists.get(versionsByItem);
  if (known) return known;
  const found = new Map<ItemId, readonly Version[]>();
  for (const versions of versionsByItem) if (versions[0]) found.set(versions[0].itemId, versions);
  lists.set(versionsByItem, found);
  return found;
}

function childrenIn({ children, versionsByItem, library }: CheckContext): readonly OneBody[] {
  const ofItem = listsIn(versionsByItem);
  return children.map(({ id, ageYears }, nth): OneBody => ({
    childId: id,
    ageYears,
    does: (timed) => {
      const version = ofItem.get(timed.item.id)?.[nth];
      if (!version) return asPlanned(timed);
      if (version.tier === null) return null;
      const { movement, item } = timed;
      if (version.tier === 'instead') {
        const other = library.get(version.movement) ?? movement;
        return { movement: other, dose: doseFor(other, holdBandOf(ageYears)) ?? item.dose, share: 1 };
      }
      const own = movement.tiers[version.tier]?.dose;
      if (!own) return asPlanned(timed);
      const planned = activeSecondsOf(item.dose);
      return { movement, dose: own, share: planned > 0 ? activeSecondsOf(own) / planned : 1 };
    },
  }));
}

/** Those whose amount is over the limit of their age, and what is told of the one who is furthest over. */
export interface Over {
  readonly amount: number;
  readonly limit: number;
  /** Left out where it is everybody, or nobody by name. */
  readonly childIds?: readonly ChildId[];
}

/** @returns null where nobody is over */
export function overLimit(
  bodies: readonly OneBody[],
  amountOf: (body: OneBody, nth: number) => number,
  limitOf: (ageYears: number) => number,
): Over | null {
  let worst: { readonly amount: number; readonly limit: number } | null = null;
  const over: OneBody[] = [];
  for (const [nth, body] of bodies.entries()) {
    const limit = limitOf(body.ageYears);
    const amount = amountOf(body, nth);
    // half a second or a fraction of a landing is nobody's limit
    if (amount <= limit + 0.5) continue;
    over.push(body);
    if (!worst || amount / limit > worst.amount / worst.limit) worst = { amount, limit };
  }
  return worst && { ...worst, ...named(over, bodies) };
}

/** The names of some; nothing where they are all. */
export function named(some: readonly OneBody[], all: readonly OneBody[]): { readonly childIds?: readonly ChildId[] } {
  const childIds = some.flatMap(({ childId }) => childId ?? []);
  return childIds.length === 0 || some.length === all.length ? {} : { childIds };
}

/** Items of which somebody does something of this kind; where nobody does another movement, the item's own decides. */
export function itemsWhere(context: CheckContext, isSuch: (movement: Movement) => boolean): readonly TimedItem[] {
  const others = othersIn(context);
  return context.timeline.items.filter((timed) => isSuch(timed.movement) || (others.get(timed.item.id) ?? []).some(isSuch));
}

const knownOthers = new WeakMap<CheckContext, ReadonlyMap<ItemId, readonly Movement[]>>();

/** Which other movements are done instead, by item. */
function othersIn(context: CheckContext): ReadonlyMap<ItemId, readonly Movement[]> {
  const before = knownOthers.get(context);
  if (before) return before;
  const others = new Map<ItemId, readonly Movement[]>();
  for (const versions of context.versionsByItem) {
    const { instead } = summaryOf(versions);
    if (instead.size === 0) continue;
    const own = [...instead.keys()].flatMap((slug) => context.library.get(slug) ?? []);
    if (versions[0] && own.length > 0) others.set(versions[0].itemId, own);
  }
  knownOthers.set(context, others);
  return others;
}
