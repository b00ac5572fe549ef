import { marks, type Mark, type Movement } from '../movement/movement.js';
import { chanceOf, seedOf } from '../values/chance.js';
import type { ChildId, Seconds } from '../values/unit.js';
import type { KnownMark } from '../versions/child-in-class.js';

/** What a child shows of something in a rehearsal. */
export interface Shown {
  /** What it deserves. */
  readonly mark: Mark;
  /** Faults one can see, by their slugs. */
  readonly faults: readonly string[];
}

/** From this part of the class on children tire: more and more of them show less than they can. */
export const tiredFrom = 2 / 3;
const mostTired = 0.5;

/** What the record says of a movement: of the stage that is asked, else the best of any; null where nothing was seen. */
export function recordOf(known: readonly KnownMark[], movement: string, stage: number | null): Mark | null {
  const own = known.filter((one) => one.movement === movement);
  const asked = own.filter((one) => one.stage === stage);
  const ranks = (asked.length > 0 ? asked : own).map(({ mark }) => marks.indexOf(mark));
  return ranks.length === 0 ? null : (marks[Math.max(...ranks)] ?? null);
}

/** What nobody has seen yet is begun by most, and known by few. */
const unseen: readonly Mark[] = ['not-yet', 'with-help', 'with-help', 'alone'];

/**
 * What a child shows of a movement: what its record says it can, with faults that are its own – the same ones as long as the seed is the
 * same –, and toward the end, where it tires, a rung less.
 * @param classShare how much of the class is over, 0 to 1
 */
export function shownOf(child: ChildId, movement: Movement, record: Mark | null, classShare: number, seed: number): Shown {
  const chance = chanceOf(seedOf(seed, child, movement.slug));
  const able = record ?? unseen[Math.floor(chance() * unseen.length)] ?? 'with-help';
  const order = movement.faults.map(({ slug }) => ({ slug, at: chance() })).toSorted((a, b) => a.at - b.at);
  const hasSmallFault = chance() < 0.5;
  const tires = chance();
  const isTired = tires < mostTired * Math.max(0, (classShare - tiredFrom) / (1 - tiredFrom));
  const rank = Math.max(0, marks.indexOf(able) - (isTired ? 1 : 0));
  const mark = marks[rank] ?? 'not-yet';
  const count = { 'not-yet': 2, 'with-help': 1, alone: hasSmallFault ? 1 : 0, clean: 0 }[mark];
  return { mark, faults: order.slice(0, count).map(({ slug }) => slug) };
}

/** Where it moves, how quickly: a tired child is slower. */
export const tempoOf = (classShare: number): number =>
  classShare < tiredFrom ? 1 : 1 - 0.18 * ((classShare - tiredFrom) / (1 - tiredFrom));

/** A time in the class as a share of it, from 0 to 1. */
export const shareOf = (second: Seconds, totalSeconds: Seconds): number =>
  totalSeconds > 0 ? Math.max(0, Math.min(1, second / totalSeconds)) : 0;
