import type { Seconds } from '../values/unit.js';
import { countsOf, wholeGroups, type Phrase, type PhraseParts } from './phrase.js';
import { segmentsOf } from './tiers.js';

/**
 * One way after the other in which a phrase is built up: slowly with its words; from behind, the leader turned as the children are; joined to
 * what they know; with counts; at its tempo; to the other side, slowly and at its tempo; half of them after the other half; alone, without a word.
 */
export const buildUpWays = ['words', 'from-behind', 'join', 'counts', 'full', 'other-side', 'other-full', 'groups', 'alone'] as const;
export type BuildUpWay = (typeof buildUpWays)[number];

export interface BuildUpStep {
  readonly way: BuildUpWay;
  /** Indexes of the segments that are done, in their order. */
  readonly segments: readonly number[];
  readonly isOtherSide: boolean;
  readonly bpm: number;
  readonly passes: number;
  /** Before it: what comes is said, what went wrong is shown. */
  readonly pauseSeconds: Seconds;
  /** Counts of one pass, whole groups. */
  readonly counts: number;
  /** Of the count-in and all passes. */
  readonly danceSeconds: Seconds;
}

export interface BuildUp {
  readonly steps: readonly BuildUpStep[];
  /** With every way once or as often as it is usual. */
  readonly usualSeconds: Seconds;
  /** The shortest that still is a build-up. */
  readonly leastSeconds: Seconds;
}

/** The pause before each way. */
const pauseSeconds = 8;
/** With words it is slower than it is learnt. */
const slowShare = 0.75;
const leastBpm = 20;
const mostPasses = 6;
/** How often each way is done. */
type Passes = ReadonlyMap<BuildUpWay, number>;

/** Which parts there are; those that the phrase does not have are left out, and what is new is not known. */
export function partsOfPhrase({ segments }: Pick<Phrase, 'segments'>, parts: PhraseParts): PhraseParts {
  const there = (list: readonly number[]): readonly number[] =>
    [...new Set(list)].filter((one) => Number.isInteger(one) && one >= 0 && one < segments.length).toSorted((a, b) => a - b);
  const fresh = there(parts.new);
  return { new: fresh, known: there(parts.known).filter((one) => !fresh.includes(one)) };
}

/**
 * How a phrase, or some of its segments, is built up in the time that there is: first what cannot be left out, then the ways that bring most, then
 * more of them, so long as there is time for a whole pass; what is left is for what has to be shown again. The seconds of all steps, pauses
 * included, add up to those that are given, where the least there is fits into them.
 * @param seconds that there are; Infinity for as long as is usual
 * @returns no steps where not even the least fits, or nothing of the phrase is chosen
 */
export function buildUp(phrase: Phrase, chosen: PhraseParts, hasBothSides: boolean, seconds: Seconds): BuildUp {
  const parts = partsOfPhrase(phrase, chosen);
  const all = [...parts.new, ...parts.known].toSorted((a, b) => a - b);
  if (all.length === 0) return { steps: [], usualSeconds: 0, leastSeconds: 0 };
  const countsIn = (segments: readonly number[]): number => {
    const { rows } = segmentsOf(phrase, segments);
    return wholeGroups(countsOf(rows) - Math.floor(rows[0]?.at ?? 0), phrase.beats);
  };
  const slow = Math.max(leastBpm, Math.round(phrase.learnBpm * slowShare));
  const isNew = parts.new.length > 0;
  const step = (way: BuildUpWay, segments: readonly number[], bpm: number, passes: number): BuildUpStep => {
    const counts = countsIn(segments);
    const danceSeconds = ((phrase.countIn + passes * counts) * 60) / bpm;
    return { way, segments, isOtherSide: way.startsWith('other'), bpm, passes, pauseSeconds, counts, danceSeconds };
  };
  const of: Readonly<Record<BuildUpWay, (passes: number) => BuildUpStep | null>> = {
    words: (passes) => (isNew ? step('words', parts.new, slow, passes) : null),
    'from-behind': (passes) => (isNew ? step('from-behind', parts.new, phrase.learnBpm, passes) : null),
    join: (passes) => (isNew && parts.known.length > 0 ? step('join', all, phrase.learnBpm, passes) : null),
    counts: (passes) => step('counts', all, phrase.learnBpm, passes),
    full: (passes) => step('full', all, phrase.bpm, passes),
    'other-side': (passes) => (hasBothSides ? step('other-side', all, phrase.learnBpm, passes) : null),
    'other-full': (passes) => (hasBothSides ? step('other-full', all, phrase.bpm, passes) : null),
    groups: (passes) => step('groups', all, phrase.bpm, passes),
    alone: (passes) => step('alone', all, phrase.bpm, passes),
  };
  const laid = (passes: Passes): readonly BuildUpStep[] =>
    buildUpWays.flatMap((way) => {
      const often = passes.get(way) ?? 0;
      return often > 0 ? (of[way](often) ?? []) : [];
    });
  const lengthOf = (steps: readonly BuildUpStep[]): Seconds =>
    steps.reduce((sum, { pauseSeconds: pause, danceSeconds }) => sum + pause + danceSeconds, 0);
  const least = new Map<BuildUpWay, number>(
    isNew
      ? [
          ['words', 1],
          ['join', 1],
          ['full', 1],
          ['other-side', 1],
        ]
      : [
          ['full', 1],
          ['other-full', 1],
        ],
  );
  const wishes: readonly BuildUpWay[] = [
    'from-behind',
    'words',
    'other-full',
    'full',
    'counts',
    'alone',
    'from-behind',
    'groups',
    'groups',
    'other-side',
  ];
  const usual = wishes.reduce<Passes>((sum, way) => more(sum, way), least);
  const leastSeconds = lengthOf(laid(least));
  const usualSeconds = lengthOf(laid(usual));
  if (!Number.isFinite(seconds)) return { steps: laid(usual), usualSeconds, leastSeconds };
  if (seconds < leastSeconds) return { steps: [], usualSeconds, leastSeconds };
  let passes: Passes = least;
  const rounds: readonly BuildUpWay[] = ['full', 'alone', 'groups', 'other-full', 'words', 'from-behind', 'counts', 'join', 'other-side'];
  for (const way of [...wishes, ...Array.from({ length: mostPasses }, () => rounds).flat()]) {
    const longer = more(passes, way);
    if ((longer.get(way) ?? 0) <= mostPasses && lengthOf(laid(longer)) <= seconds + 1e-9) passes = longer;
  }
  const steps = laid(passes);
  const left = (seconds - lengthOf(steps)) / steps.length;
  return { steps: steps.map((one) => ({ ...one, pauseSeconds: one.pauseSeconds + left })), usualSeconds, leastSeconds };
}

function more(passes: Passes, way: BuildUpWay): Passes {
  return new Map([...passes, [way, (passes.get(way) ?? 0) + 1]]);
}
