import type { Requirement } from '../syllabus/syllabus.js';
import { addDays } from '../values/day.js';
import type { Day } from '../values/unit.js';
import type { ChildToForecast } from './forecast.js';
import { isMet, judge } from './standing.js';

/** Why a child does not come on. */
export type Stall =
  /** It came to less than half of the classes. */
  | { readonly kind: 'away'; readonly came: number; readonly held: number }
  /** It came, and hardly anybody looked. */
  | { readonly kind: 'unlooked'; readonly looks: number; readonly came: number }
  /** One thing was looked at again and again. */
  | { readonly kind: 'stuck'; readonly requirement: Requirement; readonly looks: number }
  /** Looked at, here and there, and nothing was shown. */
  | { readonly kind: 'slow'; readonly looks: number };

export const stallSettings = {
  /** So long nothing was shown; who is in its grade for less is still beginning. */
  weeks: 8,
  /** Fewer looks than one in so many classes are hardly any. */
  classesALook: 4,
  /** So many looks at one thing without its being shown. */
  stuckLooks: 3,
} as const;

/**
 * Whether a child has shown nothing that its next grade asks for weeks, and why that is, the first reason that holds.
 * @param held days of the classes that its group had
 * @returns null where it comes on, has all it needs, or is in its grade for less
 */
export function stallOf({ standings, child, attended }: ChildToForecast, held: readonly Day[], today: Day): Stall | null {
  const { weeks, classesALook, stuckLooks } = stallSettings;
  const since = addDays(today, -7 * weeks);
  if (child.inGradeSince > since || standings.every(isMet)) return null;
  const isLately = (day: Day): boolean => day > since && day <= today;
  const looked = standings.map(({ requirement, sides }) => {
    const lately = sides.flatMap(({ evidence }) => evidence).filter(({ seenOn }) => isLately(seenOn));
    return { requirement, looks: lately.length, isShown: lately.some((one) => judge(one, requirement.criterion) === 'meets') };
  });
  if (looked.some(({ isShown }) => isShown)) return null;
  const [came, there] = [attended.filter(isLately).length, held.filter(isLately).length];
  // nothing took place: nobody stalls
  if (there === 0) return null;
  if (came * 2 < there) return { kind: 'away', came, held: there };
  const looks = looked.reduce((sum, one) => sum + one.looks, 0);
  if (looks * classesALook < came) return { kind: 'unlooked', looks, came };
  const most = looked.toSorted((a, b) => b.looks - a.looks)[0];
  if (most && most.looks >= stuckLooks) return { kind: 'stuck', requirement: most.requirement, looks: most.looks };
  return { kind: 'slow', looks };
}

/** A child of a group over time: on which days it came and left, and when it climbed to which rung, counted from 1. */
export interface Climb {
  readonly joinedOn: Day;
  readonly leftOn: Day | null;
  readonly climbed: readonly { readonly rung: number; readonly on: Day }[];
}

/** How many children stand on each rung on each of some days; the first number is of those below the first rung. */
export function rungsOverTime(children: readonly Climb[], rungs: number, days: readonly Day[]): readonly (readonly number[])[] {
  return days.map((day) => {
    const counts = Array.from({ length: rungs + 1 }, () => 0);
    for (const { joinedOn, leftOn, climbed } of children) {
      if (day < joinedOn || (leftOn !== null && day >= leftOn)) continue;
      const rung = Math.max(0, ...climbed.filter(({ on }) => on <= day).map((one) => one.rung));
      counts[Math.min(rungs, rung)] = (counts[Math.min(rungs, rung)] ?? 0) + 1;
    }
    return counts;
  });
}
