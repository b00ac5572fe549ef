import type { Posture } from '../movement/posture.js';
import type { MusicStop } from '../timing/music-stops.js';
import { chanceOf, type Chance } from '../values/chance.js';
import type { Seconds } from '../values/unit.js';
import { spokenSeconds, type Utterance } from './spoken.js';
import type { Call } from './call-list.js';

/** How a round of calls goes. */
export interface CallRound {
  readonly seconds: Seconds;
  /** Seconds from one call to the next, at the beginning and at the end: from 5 to 2 it grows quicker. */
  readonly every: { readonly first: Seconds; readonly last: Seconds };
  /** How many are called at once at the end: one first, then two, then three. */
  readonly mostAtOnce: 1 | 2 | 3;
  /** Even, or at a moment nobody can foresee, as for reaction. */
  readonly gaps: 'even' | 'random';
  /** By chance, or again and again in the order of the list: jump, roll, jump, roll. */
  readonly order: 'chance' | 'in-turn';
  readonly seed: number;
}

/** What is called at a moment, one after the other without a pause. */
export interface CalledMoment {
  readonly at: Seconds;
  readonly calls: readonly Call[];
}

/** Getting from one height to the next takes a child so long. */
const heightSeconds = 1.5;
/** Between two that are called at once. */
const breathSeconds = 0.15;
/** So much shorter or longer than even a random gap may be. */
const randomGap = { least: 0.6, most: 1.8 } as const;

/** How high one is, in steps of getting up: lying, sitting, kneeling, standing. */
const heights: Readonly<Record<Posture, number>> = {
  lying: 0,
  'side-lying': 0,
  prone: 0,
  sitting: 1,
  kneeling: 2,
  'all-fours': 2,
  squat: 2,
  inverted: 2,
  standing: 3,
  'one-leg': 3,
  airborne: 3,
};

/** How long it takes to get from the end of one call to the beginning of another. */
export function betweenSeconds(before: Call | null, after: Call): Seconds {
  if (before?.to == null || after.from === null) return 0;
  return Math.abs(heights[before.to] - heights[after.from]) * heightSeconds;
}

/**
 * The calls of a round: by chance, but balanced – at any moment no call was given two more times than another –, none three times running,
 * and with the time it takes to get from one to the next. The same seed gives the same round.
 * @param calls different ones; of a single one, or none, nothing is called
 */
export function callRound(calls: readonly Call[], round: CallRound): readonly CalledMoment[] {
  const [one] = calls;
  if (!one || calls.length < 2) return [];
  const chance = chanceOf(round.seed);
  const nextCall = round.order === 'in-turn' ? inTurn(calls, one) : byChance(calls, one, chance);
  const moments: CalledMoment[] = [];
  let at = 0;
  let saidUntil = 0;
  let before: Call | null = null;
  for (;;) {
    const share = round.seconds > 0 ? Math.min(1, at / round.seconds) : 1;
    const atOnce = 1 + Math.min(round.mostAtOnce - 1, Math.floor(share * round.mostAtOnce));
    const called = Array.from({ length: atOnce }, nextCall);
    const begins = called[0] ? Math.max(at, saidUntil + betweenSeconds(before, called[0])) : at;
    const spoken = called.reduce((sum, { text, language }) => sum + spokenSeconds(text, language) + breathSeconds, 0);
    saidUntil = begins + spoken;
    if (saidUntil > round.seconds) return moments;
    moments.push({ at: begins, calls: called });
    before = called.at(-1) ?? null;
    const even = round.every.first + (round.every.last - round.every.first) * share;
    const factor = round.gaps === 'random' ? randomGap.least + (randomGap.most - randomGap.least) * chance() : 1;
    at = begins + Math.max(spoken, even * factor * atOnce);
  }
}

function inTurn(calls: readonly Call[], first: Call): () => Call {
  let turn = -1;
  return () => {
    turn += 1;
    return calls[turn % calls.length] ?? first;
  };
}

/** Always one of those that were called least; not a third time what was called twice. */
function byChance(calls: readonly Call[], first: Call, chance: Chance): () => Call {
  const counts = new Map(calls.map((call) => [call, 0]));
  let last: Call | null = null;
  let running = 0;
  return () => {
    const least = Math.min(...counts.values());
    const open = calls.filter((call) => counts.get(call) === least && !(call === last && running >= 2));
    // with two calls one of those least called is another than the last
    const chosen = open[Math.floor(chance() * open.length)] ?? first;
    counts.set(chosen, least + 1);
    running = chosen === last ? running + 1 : 1;
    last = chosen;
    return chosen;
  };
}

/** So many calls by chance, balanced as in a round; none of a single call, or of none. */
export function callSequence(calls: readonly Call[], count: number, seed: number): readonly Call[] {
  const [one] = calls;
  if (!one || calls.length < 2) return [];
  return Array.from({ length: count }, byChance(calls, one, chanceOf(seed)));
}

/** What is called each time the music stops, a moment after it did. */
export function callsAtStops(calls: readonly Call[], stops: readonly MusicStop[], seed: number): readonly CalledMoment[] {
  return callSequence(calls, stops.length, seed).map((call, nth) => ({ at: (stops[nth]?.at ?? 0) + stopBreathSeconds, calls: [call] }));
}

/** The music has just stopped: a moment of silence before something is called. */
const stopBreathSeconds = 0.3;

/** A round as it is said: of what is called at once one after the other. Times from the beginning of the round. */
export function calledUtterances(moments: readonly CalledMoment[], seconds: Seconds): readonly Utterance[] {
  const words = moments.flatMap(({ at, calls }) => {
    let begins = at;
    return calls.map(({ text, language }) => {
      const own = { text, language, at: begins };
      begins += spokenSeconds(text, language) + breathSeconds;
      return own;
    });
  });
  return words.map((one, index) => ({ ...one, kind: 'call', most: (words[index + 1]?.at ?? seconds) - one.at, keepFor: 0.3 }));
}
