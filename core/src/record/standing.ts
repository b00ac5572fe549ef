import type { Side } from '../values/side.js';
import { addDays, daysBetween } from '../values/day.js';
import { marks, type Mark } from '../movement/movement.js';
import { sidesAsked, type Criterion, type Requirement } from '../syllabus/syllabus.js';
import type { Day } from '../values/unit.js';
import { currentObservations, tellsAbout, type Observation } from './observation.js';

export const standingNames = ['unseen', 'not-yet', 'with-help', 'shown', 'met', 'fading'] as const;
export type StandingName = (typeof standingNames)[number];

export const standingSettings = { lastCounting: 3, fadingWeeks: 10 } as const;

/** What the observations of one side add up to. */
export interface SideStanding {
  readonly side: Side | null;
  readonly name: StandingName;
  /** How often and on how many days the criterion was met within its weeks. */
  readonly times: number;
  readonly days: number;
  /** The best mark of the last three; null when nothing was seen. */
  readonly bestMark: Mark | null;
  readonly newest: Observation | null;
  /** The observations it rests on, newest first. */
  readonly evidence: readonly Observation[];
}

/** What the observations add up to for one child and one requirement. */
export interface Standing {
  readonly requirement: Requirement;
  readonly name: StandingName;
  readonly sides: readonly SideStanding[];
  /** Days since the newest observation that counts; null when there is none. */
  readonly unseenForDays: number | null;
}

const rankOf = (mark: Mark): number => marks.indexOf(mark);

/** The mark as the criterion reads it: alone is clean without a fault that the requirement names, and not clean with one. */
export function readMark(observation: Observation, criterion: Criterion): Mark {
  const { mark, faults } = observation;
  if (rankOf(mark) < rankOf('alone')) return mark;
  if (faults.some((fault) => criterion.faults.includes(fault))) return 'alone';
  return mark === 'alone' && faults.length > 0 && criterion.faults.length > 0 ? 'clean' : mark;
}

/**
 * Whether an observation meets a criterion, falls short of it, or cannot tell: good enough a mark, but nothing measured
 * where the criterion asks for a measure.
 */
export function judge(observation: Observation, criterion: Criterion): 'meets' | 'falls-short' | 'cannot-tell' {
  if (rankOf(readMark(observation, criterion)) < rankOf(criterion.leastMark)) return 'falls-short';
  const { seconds, reps, correct, of } = observation.measure;
  const share = correct !== undefined && of !== undefined && of > 0 ? correct / of : undefined;
  const asked: readonly (readonly [number | undefined, number | undefined])[] = [
    [criterion.leastSeconds, seconds],
    [criterion.leastReps, reps],
    [criterion.leastCorrect && criterion.leastCorrect.correct / criterion.leastCorrect.of, share],
  ];
  if (asked.some(([least, shown]) => least !== undefined && shown !== undefined && shown < least)) return 'falls-short';
  return asked.some(([least, shown]) => least !== undefined && shown === undefined) ? 'cannot-tell' : 'meets';
}

/**
 * The standing of one child in one requirement (model.md).
 * @param observations of this child; others' movements and stages are left aside. Any order, superseded ones included.
 * @param today the window of the criterion ends here; observations of a later day do not count.
 */
export function standingOf(
  requirement: Requirement,
  observations: readonly Observation[],
  context: { readonly today: Day; readonly leadSide: Side },
): Standing {
  return standingOfCurrent(requirement, currentObservations(observations), context);
}

/** Like `standingOf`, for observations that `currentObservations` has put in order already. */
export function standingOfCurrent(
  requirement: Requirement,
  current: readonly Observation[],
  context: { readonly today: Day; readonly leadSide: Side },
): Standing {
  const relevant = current.filter(
    (one) => one.movement === requirement.movement && one.stage === requirement.stage && one.seenOn <= context.today,
  );
  const sides = sidesAsked(requirement.criterion, context.leadSide).map((side) =>
    sideStanding(side, relevant, requirement.criterion, context.today),
  );
  const newestDays = sides.flatMap(({ newest }) => (newest ? [daysBetween(newest.seenOn, context.today)] : []));
  return { requirement, name: combined(sides), sides, unseenForDays: newestDays.length > 0 ? Math.min(...newestDays) : null };
}

function sideStanding(side: SideStanding['side'], relevant: readonly Observation[], criterion: Criterion, today: Day): SideStanding {
  const seen = relevant.filter((one) => tellsAbout(one, side));
  const lastThree = seen.slice(-standingSettings.lastCounting);
  const newest = seen.at(-1) ?? null;
  const since = addDays(today, -criterion.withinWeeks * 7);
  const meeting = seen.filter((one) => one.seenOn >= since && judge(one, criterion) === 'meets');
  const days = new Set(meeting.map((one) => one.seenOn)).size;
  const bestMark = lastThree
    .map((one) => readMark(one, criterion))
    .reduce<Mark | null>((best, mark) => (best && rankOf(best) >= rankOf(mark) ? best : mark), null);
  return { side, name: nameOf(), times: meeting.length, days, bestMark, newest, evidence: seen.toReversed() };

  function nameOf(): StandingName {
    if (!newest || !bestMark) return 'unseen';
    const fallsShort = judge(newest, criterion) === 'falls-short';
    if (!fallsShort && meeting.length >= criterion.times && days >= criterion.days)
      return daysBetween(newest.seenOn, today) > standingSettings.fadingWeeks * 7 ? 'fading' : 'met';
    if (lastThree.some((one) => judge(one, criterion) === 'meets')) return 'shown';
    return bestMark === 'not-yet' ? 'not-yet' : 'with-help';
  }
}

/** All sides met is met (fading if one is); else the lowest of what was seen; a side not seen yet leaves the others at shown. */
function combined(sides: readonly SideStanding[]): StandingName {
  const names = sides.map(({ name }) => name);
  if (names.every((name) => name === 'met' || name === 'fading')) return names.includes('fading') ? 'fading' : 'met';
  const lowest = Math.min(...names.filter((name) => name !== 'unseen').map((name) => standingNames.indexOf(name)));
  if (!Number.isFinite(lowest)) return 'unseen';
  return standingNames[Math.min(lowest, standingNames.indexOf('shown'))] ?? 'unseen';
}

/** Met counts, and so does fading: it was met, and wants to be seen again. */
export function isMet(standing: Pick<Standing, 'name'>): boolean {
  return standing.name === 'met' || standing.name === 'fading';
}
