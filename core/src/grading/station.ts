import type { MovementKind } from '../movement/kind.js';
import { sidesAsked, type Requirement } from '../syllabus/syllabus.js';

/** Where requirements of one kind are shown, from what is shown first to what is shown last where there is a choice. */
export const stations = ['basics', 'skills', 'strength', 'combinations', 'questions', 'stretching'] as const;
export type Station = (typeof stations)[number];

/** A requirement of a grade, and the kind of its movement. */
export interface AskedThere {
  readonly requirement: Pick<Requirement, 'criterion'>;
  readonly kind: MovementKind;
}

/**
 * Where a requirement is shown. What is asked and answered stands by itself, and so does what is held at the end of its range: where
 * stretching comes after what is quick, it is shown last.
 */
export function stationOf({ requirement, kind }: AskedThere): Station {
  if (requirement.criterion.leastCorrect) return 'questions';
  switch (kind) {
    case 'skill':
      return 'skills';
    case 'strength':
      return 'strength';
    case 'combination':
      return 'combinations';
    case 'static-stretch':
    case 'dynamic-stretch':
    case 'mobiliser':
      return 'stretching';
    case 'pulse-raiser':
    case 'basic':
    case 'drill':
    case 'game':
    case 'ritual':
    case 'breathing':
    case 'break':
    case 'talk':
      return 'basics';
  }
}

/** What showing takes, in seconds: assumptions of ours, said in docs/decisions/0035. */
export const showingSettings = {
  /** What is asked is said once to all who stand there. */
  explaining: 20,
  /** A child takes its place, and its mark is written. */
  around: 15,
  /** A skill of which no length is asked; a combination takes this long as well. */
  skill: 10,
  combination: 40,
  repetition: 3,
  /** One word that is asked and answered. */
  answer: 6,
} as const;

/** How long one child takes to show a requirement on every side that is asked, in seconds; the explaining aside. */
export function secondsToShow({ criterion }: Pick<Requirement, 'criterion'>, kind: MovementKind): number {
  const { around, skill, combination, repetition, answer } = showingSettings;
  const once =
    criterion.leastSeconds ??
    (criterion.leastReps !== undefined
      ? criterion.leastReps * repetition
      : criterion.leastCorrect
        ? criterion.leastCorrect.of * answer
        : kind === 'combination'
          ? combination
          : skill);
  // the lead side is one side, whichever it is
  return sidesAsked(criterion, 'left').length * (once + around);
}

/**
 * What a party of children that goes for one grade shows at each station, one child after the other, and how long it stays there.
 * @param children at least 1
 * @returns only stations at which something is asked, in their order; whole minutes, rounded up, at least 1
 */
export function visitsOf(
  asked: readonly AskedThere[],
  children: number,
): readonly { readonly station: Station; readonly minutes: number }[] {
  return stations.flatMap((station) => {
    const there = asked.filter((one) => stationOf(one) === station);
    if (there.length === 0) return [];
    const seconds = there.reduce(
      (sum, { requirement, kind }) => sum + showingSettings.explaining + children * secondsToShow(requirement, kind),
      0,
    );
    return [{ station, minutes: Math.max(1, Math.ceil(seconds / 60)) }];
  });
}
