import type { MovementKind } from '../movement/kind.js';
import type { Seconds } from '../values/unit.js';

/** What everything around the work costs. Each number stands once; a club can change it. Source: job.md, model.md. */
export interface TimingSettings {
  /** Explaining something new to the group, by kind. */
  readonly explainNewSeconds: Readonly<Record<MovementKind, Seconds>>;
  /** More for each version beyond the first. */
  readonly explainFurtherTierSeconds: Seconds;
  /** Share of the explanation that something known still takes. */
  readonly knownShare: number;
  /** Naming something that is routine. */
  readonly explainRoutineSeconds: Seconds;
  readonly goToSeconds: Seconds;
  readonly levelChangeSeconds: Seconds;
  readonly reframeSeconds: Seconds;
  readonly fetchSeconds: Seconds;
  readonly setUpHoldSeconds: Seconds;
  readonly setUpSkillSeconds: Seconds;
  readonly setUpSeconds: Seconds;
  readonly changeOfSideSeconds: Readonly<Record<MovementKind, Seconds>>;
  /** Younger children are slower: the first band whose limit the mean age lies below; else 1. */
  readonly ageFactors: readonly { readonly belowYears: number; readonly factor: number }[];
}

export const defaultTimingSettings: TimingSettings = {
  explainNewSeconds: {
    'pulse-raiser': 15,
    mobiliser: 15,
    'dynamic-stretch': 15,
    'static-stretch': 15,
    strength: 15,
    basic: 22,
    game: 22,
    drill: 25,
    skill: 36,
    combination: 45,
    // not in model.md: a ritual or breathing is led rather than explained; a talk and a drink explain themselves
    ritual: 10,
    breathing: 10,
    break: 0,
    talk: 0,
  },
  explainFurtherTierSeconds: 8,
  knownShare: 0.4,
  explainRoutineSeconds: 3,
  goToSeconds: 3,
  levelChangeSeconds: 6,
  reframeSeconds: 8,
  fetchSeconds: 15,
  setUpHoldSeconds: 5,
  setUpSkillSeconds: 4,
  setUpSeconds: 2,
  changeOfSideSeconds: {
    'static-stretch': 4,
    'dynamic-stretch': 4,
    mobiliser: 4,
    basic: 4,
    strength: 6,
    drill: 12,
    skill: 12,
    combination: 12,
    // not in model.md: as light as a stretch
    'pulse-raiser': 4,
    game: 4,
    ritual: 4,
    breathing: 4,
    break: 0,
    talk: 0,
  },
  ageFactors: [
    { belowYears: 6, factor: 1.3 },
    { belowYears: 8, factor: 1.15 },
  ],
};
