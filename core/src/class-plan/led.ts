import type { Dose } from '../movement/dose.js';
import type { Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import type { Posture } from '../movement/posture.js';
import type { Load } from '../movement/region.js';
import type { ItemSides } from '../movement/sides.js';
import type { MovementSlug, Seconds } from '../values/unit.js';

/** Who leads an item where it is not the instructor. */
export const leaders = ['co-coach', 'a-child', 'in-turn'] as const;
export type Leader = (typeof leaders)[number];

/** How the one who leads stands: as a mirror, with the back turned for footwork, from the side, or first one and then the other. */
export const leaderStances = ['facing', 'back-turned', 'from-the-side', 'back-then-facing'] as const;
export type LeaderStance = (typeof leaderStances)[number];

export const helpers = ['adult', 'partner'] as const;

/** What somebody at home is to do: hold a pillow, steady, count. */
export interface Helper {
  readonly who: (typeof helpers)[number];
  readonly does: string;
}

/** What is called out, how often, and from which posture they answer. */
export interface Calls {
  readonly what: string;
  readonly everySeconds: Seconds;
  readonly from?: Posture;
}

/** Inclusive; a call a second is as fast as anybody answers. */
export const callLimits = { everySeconds: { least: 1, most: 60 }, choice: 6 } as const;

/** One of the few things that are done at home in the week. */
export interface HomeTaskItem {
  readonly movement: MovementSlug;
  readonly dose: Dose;
  readonly sides: ItemSides;
}

/** What the children do at home until the next class, once a day. */
export interface HomeTask {
  readonly tasks: readonly HomeTaskItem[];
  /** What is told with it; empty where nothing is. */
  readonly note: string;
}

/** A home task is small: so many things at most. */
export const mostHomeTasks = 6;

/** Repetitions on a call come as fast as they are called. */
export function inTempo<Called extends { readonly dose: Dose; readonly calls?: Calls }>(item: Called): Called {
  const { calls, dose } = item;
  if (!calls || dose.kind !== 'reps' || (dose.secondsPerRep === calls.everySeconds && !dose.tempos)) return item;
  const { tempos: _tempos, ...even } = dose;
  return { ...item, dose: { ...even, secondsPerRep: calls.everySeconds } };
}

const merged = new WeakMap<Movement, Map<string, Movement>>();

/**
 * The movement of an item with what a free choice among others may bring: every hazard and load of any of them, and ready only what all
 * of them ready. What it wants of a home stays its own: who cannot do one does another.
 */
export function withChoice(movement: Movement, choice: readonly MovementSlug[] | undefined, library: Library): Movement {
  const others = (choice ?? []).flatMap((slug) => library.get(slug) ?? []).filter((other) => other !== movement);
  if (others.length === 0) return movement;
  const key = others.map(({ slug }) => slug).join();
  const known = merged.get(movement) ?? new Map<string, Movement>();
  merged.set(movement, known);
  const all = [movement, ...others];
  const found = known.get(key) ?? {
    ...movement,
    hazards: [...new Set(all.flatMap(({ hazards }) => hazards))],
    loads: heaviest(all.flatMap(({ loads }) => loads)),
    prepares: movement.prepares.filter((region) => others.every(({ prepares }) => prepares.includes(region))),
    undoneBy: [...new Set(all.flatMap(({ undoneBy }) => undoneBy))],
  };
  known.set(key, found);
  return found;
}

function heaviest(loads: readonly Load[]): readonly Load[] {
  const byRegion = new Map<Load['region'], Load>();
  for (const load of loads) if ((byRegion.get(load.region)?.amount ?? 0) < load.amount) byRegion.set(load.region, load);
  return [...byRegion.values()];
}
