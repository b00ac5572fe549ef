import type { Seconds } from '../values/unit.js';
import type { CountLanguage } from './teaching-voice.js';

/**
 * `name` of the item, `next` the name of the one after it, `cue`, `half` (halfway, last ten seconds) give way to what cannot wait;
 * `count` is right at its moment or not at all; `side`, `call` (change, rest, hold, go, stop, set up) and `length` are said in any case.
 */
export type UtteranceKind = 'name' | 'next' | 'cue' | 'half' | 'count' | 'side' | 'call' | 'length';

/** One thing that is said. Times are on the clock of its item, from the item's start, in seconds. */
export interface Utterance {
  readonly kind: UtteranceKind;
  /** Empty: a beat without a word, where a word would not be over before the next. */
  readonly text: string;
  readonly language: CountLanguage;
  readonly at: Seconds;
  /** How long it may last at most: then the next one begins, or the item is over. */
  readonly most: Seconds;
  /** How much later than `at` it may still begin. */
  readonly keepFor: Seconds;
}

const beatSeconds = 0.06;

/** About how long a text takes to say at an even pace, measured over the clips of the words of a class: 0.2 s and 0.06 s a letter. */
export function spokenSeconds(text: string, language: CountLanguage): Seconds {
  if (text === '') return beatSeconds;
  return language === 'en' || language === 'fr' ? 0.2 + 0.06 * text.length : 0.15 + 0.17 * text.length;
}

/** A clip can be spoken so much quicker and is still understood. */
export const quickFactor = 0.6;
