import type { MovementKind } from '../movement/kind.js';

/**
 * What it costs to take something away. The cost of a plan is the sum over its items: work that is lost, in minutes, times
 * what a minute of its kind is worth; leaving an item out costs a fixed amount on top; every edit costs a little, so that few
 * edits are better than many. Numbers are ours: what a class is about is worth most, what stands in for something least.
 */
export const fitSettings = {
  worthOfMinute: {
    skill: 5,
    drill: 4,
    combination: 3.5,
    basic: 3,
    strength: 3,
    'pulse-raiser': 3,
    mobiliser: 3,
    'dynamic-stretch': 3,
    'static-stretch': 2,
    game: 2,
    ritual: 2,
    breathing: 2,
    break: 0,
    talk: 0,
  } satisfies Record<MovementKind, number>,
  focusTimes: 2,
  leavingOut: 1.5,
  eachEdit: 0.05,
  /** A minute of explaining that is left out: told while moving, it is not all lost. */
  worthOfExplaining: 1,
  /** What an instructor wrote down as long as this may be told in half the time. */
  longTalkSeconds: 30,
  /** A dose is trimmed to this share of itself at most. */
  leastShare: 0.5,
  /** How many steps of trimming are looked at. */
  mostSteps: 4,
  /** Times closer than this count as the same while searching. */
  bucketSeconds: 0.5,
} as const;
