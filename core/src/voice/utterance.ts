import type { MovementKind } from '../movement/kind.js';
import type { Call } from './call-list.js';
import { calledUtterances, callRound, callsAtStops, callSequence } from './caller.js';
import { musicStops } from '../timing/music-stops.js';
import type { BuildUpWay } from '../phrase/build-up.js';
import { phraseInStep } from '../timing/phrase-in-step.js';
import { stepsOf, type CountedStep, type Step, type StepSide } from '../timing/step.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { countWord } from './count-words.js';
import { phraseWords, type PhraseVoice } from './phrase-words.js';
import { quickFactor, spokenSeconds, type Utterance, type UtteranceKind } from './spoken.js';
import type { CountLanguage, TeachingVoice } from './teaching-voice.js';

/** As written first: how long it may last follows from what comes after it. */
type Draft = Omit<Utterance, 'most' | 'keepFor'>;

/** A count that comes later than this is on the wrong beat. */
const countKeepSeconds = 0.1;
const stopSeconds = 0.5;
const breathSeconds = 0.15;
/** What is longer is no cue: nobody listens to it while holding. */
const mostCueLetters = 120;
/** A name may begin so much late: a class, or a sound card, starts a moment after the key. */
const nameLateSeconds = 0.4;
/** Looked for a free moment to name what comes next, before the end of an item. */
const nameAheadSeconds = 8;

const fits = (text: string, language: CountLanguage, room: Seconds): boolean => spokenSeconds(text, language) * quickFactor <= room;

/**
 * What is said in a class, item by item, in order and never two at once: each rep, hold, side and change once, within its part.
 * Where there is no time before an item, its name is said at the end of the one before.
 * @param callsOf what is called in an item where the plan says that something is, in place of the count; null where it is only described
 * @returns one list for each of the items
 */
export function utterancesOf(
  items: readonly TimedItem[],
  voice: TeachingVoice,
  callsOf: (timed: TimedItem) => readonly Call[] | null = () => null,
): readonly (readonly Utterance[])[] {
  const drafts = items.map((timed, index) => draftsOf(timed, voice, timed.item.calls ? callsOf(timed) : null, index + 1));
  items.forEach((timed, index) => {
    const [own, before] = [drafts[index] ?? [], drafts[index - 1]];
    const earlier = items[index - 1];
    if (!voice.names || hasLead(timed)) return;
    const name = nameOf(timed);
    const at = before && earlier ? freeBeforeEnd(before, earlier.seconds, spokenSeconds(name, 'en')) : null;
    if (before && at !== null) drafts[index - 1] = inOrder([...before, { kind: 'next', text: name, language: 'en', at }]);
    else drafts[index] = named(own, name);
  });
  return drafts.map((own, index) => own.map((draft, nth) => whole(draft, own[nth + 1]?.at ?? items[index]?.seconds ?? draft.at)));
}

/** Every different clip that a list needs; `isQuick` where an even pace would be too slow. */
export interface ClipWanted {
  readonly text: string;
  readonly language: CountLanguage;
  readonly isQuick: boolean;
}

export const clipKey = ({ text, language, isQuick }: ClipWanted): string => `${language} ${isQuick ? 'quick' : 'even'} ${text}`;

export function clipOf({ text, language, most }: Utterance): ClipWanted {
  return { text, language, isQuick: most < spokenSeconds(text, language) };
}

export function clipsWanted(utterances: readonly (readonly Utterance[])[]): readonly ClipWanted[] {
  const wanted = new Map<string, ClipWanted>();
  for (const one of utterances.flat()) if (one.text !== '') wanted.set(clipKey(clipOf(one)), clipOf(one));
  return [...wanted.values()];
}

function whole(draft: Draft, nextAt: Seconds): Utterance {
  const most = Math.max(0, nextAt - draft.at);
  return { ...draft, most, keepFor: keepFor(draft, most) };
}

function keepFor({ kind, text, language }: Draft, most: Seconds): Seconds {
  switch (kind) {
    case 'count':
      return Math.min(countKeepSeconds, most / 3);
    case 'side':
    case 'call':
    case 'length':
      return Math.max(countKeepSeconds, most - spokenSeconds(text, language) * quickFactor);
    // said quickly if need be: what comes is worth more than how it sounds
    case 'name':
    case 'next':
      return Math.max(0, most - spokenSeconds(text, language) * quickFactor);
    case 'cue':
    case 'half':
      return Math.max(0, most - spokenSeconds(text, language));
  }
}

const nameOf = ({ movement }: TimedItem): string => movement.name;

/** True when an item begins with getting there or explaining: its name has time. */
function hasLead(timed: TimedItem): boolean {
  const first = stepsOf(timed).find(({ kind }) => kind !== 'rest');
  return first?.kind === 'go-to' || first?.kind === 'explain';
}

/** The name is said at once; reps that pass meanwhile have a beat instead of their number, a side is said after it. */
function named(own: readonly Draft[], name: string): readonly Draft[] {
  const end = spokenSeconds(name, 'en') + breathSeconds;
  const later = own.map((draft): Draft => {
    if (draft.at >= end) return draft;
    if (draft.kind === 'count') return { ...draft, text: '' };
    return draft;
  });
  const called = later.find(({ at, kind }) => at === 0 && kind !== 'count');
  const others = later.filter((draft) => draft !== called && draft.at > 0);
  const text = called ? `${name}, ${called.text}` : name;
  // what has to be said with it is said with it: a side is never left out
  return inOrder([{ kind: called?.kind ?? 'name', text, language: 'en', at: 0 }, ...others]);
}

const inOrder = (drafts: readonly Draft[]): readonly Draft[] => drafts.toSorted((a, b) => a.at - b.at);

/** The last moment in which something can be said before the end without cutting anything; null where there is none. */
function freeBeforeEnd(own: readonly Draft[], end: Seconds, seconds: Seconds): Seconds | null {
  const busy = own.map(({ at, text, language }) => [at, at + spokenSeconds(text, language)] as const);
  let until = end;
  for (const [from, to] of busy.toReversed()) {
    if (until - to >= seconds + 2 * breathSeconds && until - seconds - breathSeconds >= end - nameAheadSeconds)
      return Math.max(to + breathSeconds, until - seconds - breathSeconds);
    until = Math.min(until, from);
    if (until < end - nameAheadSeconds) return null;
  }
  return until - seconds - breathSeconds >= Math.max(0, end - nameAheadSeconds) ? until - seconds - breathSeconds : null;
}

const quietKinds: ReadonlySet<MovementKind> = new Set(['talk', 'break', 'ritual', 'breathing']);

const sideWord: Readonly<Record<Exclude<StepSide, null>, string>> = { left: 'left', right: 'right', lead: 'lead side' };

function draftsOf(timed: TimedItem, voice: TeachingVoice, called: readonly Call[] | null, seed: number): readonly Draft[] {
  const drafts: Draft[] = [];
  const say = (kind: UtteranceKind, text: string, at: Seconds, language: CountLanguage = 'en'): void => {
    if (text !== '' || kind === 'count') drafts.push({ kind, text, language, at });
  };
  const steps = stepsOf(timed);
  const isAlternating = timed.sides === 'alternating';
  // while one talks, drinks, greets or breathes nobody calls go and stop
  const isQuiet = quietKinds.has(timed.movement.kind);
  // what the plan says comes first
  const cues = [...(timed.item.cue === undefined ? [] : [timed.item.cue]), ...timed.movement.cues];
  let namedUntil: Seconds | null = null;
  let cue = 0;
  let at = 0;
  steps.forEach((step, index) => {
    const next = steps[index + 1];
    const side = voice.sides && 'side' in step && step.side !== null ? sideWord[step.side] : '';
    // a side is named when its work begins, not again at every set
    const before = steps.slice(0, index).findLast((one) => isWork(one));
    const isNewSide = side !== '' && !(before && 'side' in before && before.side === ('side' in step ? step.side : null));
    const newSide = isNewSide && isWork(step) ? side : '';
    switch (step.kind) {
      case 'go-to':
      case 'explain':
        if (voice.names && namedUntil === null) say('name', nameOf(timed), at);
        namedUntil ??= at + spokenSeconds(nameOf(timed), 'en') + nameLateSeconds;
        break;
      case 'set-up':
        // a name that is still being said is worth more
        if (voice.sides && !isQuiet && at >= (namedUntil ?? 0)) say('call', 'ready', at);
        break;
      case 'change-side':
        if (voice.sides) say('call', 'change', at);
        break;
      case 'rest':
        if (voice.sides) say('call', 'rest', at);
        break;
      case 'reps':
        if (called && called.length > 1) calledIn(step, at);
        else counted(step, at, newSide, isAlternating);
        break;
      case 'counts':
        if (newSide === '' && inRows(step, at)) break;
        counted(step, at, newSide, false);
        break;
      case 'count-in':
        counted(step, at, newSide, false);
        break;
      case 'hold':
      case 'timed': {
        const word = !voice.sides || isQuiet ? '' : step.kind === 'hold' ? 'hold' : 'go';
        say(newSide === '' ? 'call' : 'side', [newSide, word].filter(Boolean).join(', '), at);
        if (called && called.length > 1) calledDuring(step, at);
        else if (!isQuiet || timed.movement.kind === 'breathing') within(step, at, next === undefined);
        break;
      }
      case 'length': {
        const way = step.back === 'backwards' ? 'backwards' : step.back === 'other-side' ? 'other side leads' : '';
        const first = step.nth === 1 ? [newSide, voice.sides ? 'go' : ''] : [voice.counts ? countWord(step.nth, 'en') : '', way];
        say('length', first.filter(Boolean).join(', '), at);
        break;
      }
    }
    at += step.seconds;
  });
  return inOrder(drafts);

  /** Each rep or beat has its number; the first its side, where one begins; where a word is too long, a beat. */
  function counted(
    step: Extract<Step, { kind: 'reps' | 'counts' | 'count-in' }>,
    from: Seconds,
    newSide: string,
    alternates: boolean,
  ): void {
    const of = step.kind === 'reps' ? step.reps : step.counts;
    const each = step.seconds / of;
    for (let nth = 1; nth <= of; nth += 1) {
      const moment = from + (nth - 1) * each;
      const number = step.kind === 'reps' ? (voice.counting === 'down' ? of - nth + 1 : nth) : ((nth - 1) % step.beats) + 1;
      const turn = alternates && voice.sides ? (nth % 2 === 1 ? 'left' : 'right') : '';
      if (nth === 1 && newSide !== '') say('side', newSide, moment);
      else if (turn !== '' && fits(turn, 'en', each)) say('side', turn, moment);
      else if (voice.counts) {
        const word = countWord(number, voice.countLanguage);
        say('count', fits(word, voice.countLanguage, each) ? word : '', moment, voice.countLanguage);
      }
    }
  }

  /** A phrase: with its words as long as it is learnt, then with its counts. @returns whether it is one */
  function inRows(step: CountedStep, from: Seconds): boolean {
    const shown = phraseInStep(timed, step);
    if (!shown) return false;
    const { phrase, passes, passCounts } = shown;
    const each = step.seconds / step.counts;
    const isFirst = steps.find((one) => one.kind === 'counts' && one.side === step.side) === step;
    const all = Array.from({ length: passes }, (_, pass) =>
      phraseWords(phrase.rows, phrase.beats, heardIn(step, isFirst && pass === 0), each).map((word) => ({
        ...word,
        count: word.count + pass * passCounts,
      })),
    )
      .flat()
      .filter(({ count, number }) => count < step.counts && (voice.counts || number === null));
    all.forEach(({ text, count, number }, index) => {
      const language = number === null ? 'en' : voice.countLanguage;
      const word = number === null ? text : countWord(number, language);
      const room = ((all[index + 1]?.count ?? step.counts) - count) * each;
      say('count', fits(word, language, room) ? word : '', from + count * each, language);
    });
    return true;
  }

  /** Each rep is a call. */
  function calledIn(step: Extract<Step, { kind: 'reps' }>, from: Seconds): void {
    const each = step.seconds / step.reps;
    callSequence(called ?? [], step.reps, seed).forEach(({ text, language }, nth) => {
      say('call', text, from + nth * each, language);
    });
  }

  /** Calls for as long as it goes on, after a moment to get ready. */
  function calledDuring(step: Extract<Step, { kind: 'hold' | 'timed' }>, from: Seconds): void {
    if (timed.item.stopsWithMusic === true) {
      // called when the music stops, and nobody foresees when that is
      const moments = callsAtStops(called ?? [], musicStops(step.seconds, seed), seed);
      for (const { text, language, at: moment } of calledUtterances(moments, step.seconds)) say('call', text, from + moment, language);
      return;
    }
    const every = timed.item.calls?.everySeconds ?? 4;
    const seconds = step.seconds - every;
    const round = callRound(called ?? [], {
      seconds,
      every: { first: every, last: every },
      mostAtOnce: 1,
      gaps: 'even',
      order: 'chance',
      seed,
    });
    for (const { text, language, at: moment } of calledUtterances(round, seconds)) say('call', text, from + every + moment, language);
  }

  /** What is said while something is held or goes on: a cue, halfway, the last seconds, stop. */
  function within(step: Extract<Step, { kind: 'hold' | 'timed' }>, from: Seconds, isLast: boolean): void {
    const end = from + step.seconds;
    const endsAt = isLast && voice.sides ? end - stopSeconds : end;
    const counts = voice.counts && !isQuiet && step.kind === 'hold' && step.seconds >= 6 ? 3 : 0;
    const first = counts > 0 ? end - counts - 0.2 : endsAt;
    const half = step.kind === 'hold' ? 16 : 40;
    const middle = from + step.seconds / 2;
    const hasHalves = voice.halves && !isQuiet;
    if (hasHalves && step.seconds >= half) say('half', 'halfway', middle);
    if (hasHalves && step.kind === 'timed' && step.seconds >= 60) say('half', 'last ten seconds', end - 10);
    const text = cues[cue % Math.max(1, cues.length)] ?? '';
    const cueAt = from + Math.max(2.5, Math.min(step.seconds * 0.25, 8));
    const mustEnd = hasHalves && step.seconds >= half ? Math.min(middle, first) : first;
    if (voice.cues && text !== '' && text.length <= mostCueLetters && cueAt + spokenSeconds(text, 'en') + breathSeconds <= mustEnd) {
      say('cue', text, cueAt);
      cue += 1;
    }
    for (let left = counts; left >= 1; left -= 1) say('count', countWord(left, voice.countLanguage), end - left, voice.countLanguage);
    if (isLast && voice.sides && !isQuiet && step.seconds >= 2) say('call', 'stop', end - stopSeconds);
  }
}

/** What is heard while a phrase is built up; one that is only done has its words at first. */
const heardWhileLearning: Readonly<Record<BuildUpWay, PhraseVoice>> = {
  words: 'words',
  'from-behind': 'words',
  join: 'words',
  counts: 'counts',
  full: 'counts',
  'other-side': 'words',
  'other-full': 'counts',
  groups: 'counts',
  alone: 'nothing',
};

function heardIn({ learning }: CountedStep, isFirst: boolean): PhraseVoice {
  if (learning) return heardWhileLearning[learning.way];
  return isFirst ? 'words' : 'counts';
}

const isWork = ({ kind }: Step): boolean =>
  kind === 'reps' || kind === 'hold' || kind === 'timed' || kind === 'counts' || kind === 'count-in' || kind === 'length';
