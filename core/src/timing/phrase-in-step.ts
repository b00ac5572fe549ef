import { countsOf, wholeGroups, type Phrase } from '../phrase/phrase.js';
import { isOtherSideOf, phraseRead } from '../phrase/read-once.js';
import { segmentsOf } from '../phrase/tiers.js';
import type { CountedStep } from './step.js';
import type { TimedItem } from './timeline.js';

/** What of a phrase is done in a counted step, to the side that works, and how often. */
export interface PhraseInStep {
  readonly phrase: Phrase;
  /** Passes in the step; the last may be cut short. */
  readonly passes: number;
  /** Counts of a pass, whole groups. */
  readonly passCounts: number;
}

const parts = new WeakMap<Phrase, Map<string, Phrase>>();

/** Some segments, the same object for the same ones: it is asked in every frame. */
function partsOnce(phrase: Phrase, segments: readonly number[]): Phrase {
  const known = parts.get(phrase) ?? new Map<string, Phrase>();
  parts.set(phrase, known);
  const key = segments.join();
  const found = known.get(key) ?? segmentsOf(phrase, segments);
  known.set(key, found);
  return found;
}

/** @returns null for a step in which no phrase is done, or one that is counted otherwise than its phrase */
export function phraseInStep({ movement }: Pick<TimedItem, 'movement'>, step: CountedStep): PhraseInStep | null {
  const written = movement.phrase;
  if (!written) return null;
  const own = phraseRead(written);
  if (own?.beats !== step.beats) return null;
  const whole = isOtherSideOf(own, step.side) ? phraseRead(written, true) : own;
  if (!whole) return null;
  const phrase = step.learning ? partsOnce(whole, step.learning.segments) : whole;
  const passCounts = wholeGroups(countsOf(phrase.rows) - Math.floor(phrase.rows[0]?.at ?? 0), phrase.beats);
  return { phrase, passCounts, passes: step.learning?.passes ?? Math.max(1, Math.ceil(step.counts / passCounts)) };
}
