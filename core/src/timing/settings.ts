import type { MovementKind } from '../movement/kind.js';
import type { Seconds } from '../values/unit.js';

/** What explaining one kind costs: going on, named, shown again, shown for the first time. */
export interface ExplainSeconds {
  readonly flow: Seconds;
  readonly follow: Seconds;
  readonly known: Seconds;
  readonly new: Seconds;
}

/** What everything around the work costs. Each number stands once; a club can change it. Source: model.md, measured on whole classes. */
export interface TimingSettings {
  readonly explainSeconds: Readonly<Record<MovementKind, ExplainSeconds>>;
  /** A new combination takes more for each eight beyond the first. */
  readonly explainFurtherEightSeconds: Seconds;
  /** More for each version shown beyond the first. */
  readonly explainFurtherTierSeconds: Seconds;
  /** Going to what is not reached in a flow. */
  readonly goToSeconds: Seconds;
  readonly levelChangeSeconds: Seconds;
  /** The camera is really moved. */
  readonly cameraMoveSeconds: Seconds;
  /** Something is fetched, where the item does not say how long that takes. */
  readonly fetchSeconds: Seconds;
  readonly setUpHoldSeconds: Seconds;
  readonly setUpSkillSeconds: Seconds;
  /** Of everything else that is taught rather than joined in. */
  readonly setUpSeconds: Seconds;
  readonly changeOfSideSeconds: Readonly<Record<MovementKind, Seconds>>;
  /** Younger children are slower: the first band whose limit the mean age lies below; else 1. */
  readonly ageFactors: readonly { readonly belowYears: number; readonly factor: number }[];
}

const ofStretches: ExplainSeconds = { flow: 1, follow: 4, known: 6, new: 15 };
const ofDrills: ExplainSeconds = { flow: 2, follow: 6, known: 9, new: 28 };
const ofNothing: ExplainSeconds = { flow: 0, follow: 0, known: 0, new: 0 };

export const defaultTimingSettings: TimingSettings = {
  explainSeconds: {
    'pulse-raiser': ofStretches,
    mobiliser: ofStretches,
    'dynamic-stretch': ofStretches,
    'static-stretch': ofStretches,
    basic: { flow: 1, follow: 5, known: 9, new: 12 },
    drill: ofDrills,
    skill: { flow: 2, follow: 8, known: 13, new: 24 },
    strength: { flow: 1, follow: 5, known: 8, new: 30 },
    combination: { flow: 2, follow: 8, known: 16, new: 60 },
    // not in model.md: a game has rules, as a drill has; a ritual and breathing are led as a stretch is; a talk and a drink explain
    // themselves
    game: ofDrills,
    ritual: ofStretches,
    breathing: ofStretches,
    break: ofNothing,
    talk: ofNothing,
  },
  explainFurtherEightSeconds: 12,
  explainFurtherTierSeconds: 6,
  goToSeconds: 1,
  levelChangeSeconds: 2,
  cameraMoveSeconds: 6,
  fetchSeconds: 15,
  setUpHoldSeconds: 5,
  setUpSkillSeconds: 2,
  setUpSeconds: 1,
  changeOfSideSeconds: {
    'static-stretch': 1,
    'dynamic-stretch': 1,
    mobiliser: 1,
    basic: 2,
    strength: 4,
    skill: 3,
    drill: 12,
    combination: 12,
    // not in model.md: as light as a stretch
    'pulse-raiser': 1,
    game: 1,
    ritual: 1,
    breathing: 1,
    break: 0,
    talk: 0,
  },
  ageFactors: [
    { belowYears: 6, factor: 1.3 },
    { belowYears: 8, factor: 1.15 },
  ],
};
