import { clockText } from '../values/clock-text.js';
import { listText } from '../values/list-text.js';
import type { Seconds } from '../values/unit.js';
import { itemTotals, type ItemTotal, type Timeline } from './timeline.js';
import type { TimeParts } from './item-time.js';

/** One of the reasons why a class got longer or shorter. */
export interface TimeCause {
  readonly name: string;
  readonly what: 'added' | 'removed' | keyof TimeParts;
  readonly seconds: Seconds;
  /** The item as it is now; as it was where it is gone. */
  readonly total: ItemTotal;
  /** It was not explained as new before, or was not there. */
  readonly isNewly: boolean;
}

/** By how much a class got longer, and what did it. */
export interface TimeChange {
  readonly seconds: Seconds;
  /** The largest first. */
  readonly causes: readonly TimeCause[];
}

/** Less than half a second nobody reads. */
const leastSeconds = 0.5;

/** What an edit did to the length of a class: its items compared by id, part by part. @returns null where the total stays */
export function timeChange(before: Timeline, after: Timeline): TimeChange | null {
  const seconds = after.totalSeconds - before.totalSeconds;
  if (Math.abs(seconds) < leastSeconds) return null;
  const [was, is] = [itemTotals(before.items), itemTotals(after.items)];
  const causes: TimeCause[] = [];
  for (const [id, total] of is) {
    const old = was.get(id);
    const isNew = total.first.familiarity === 'new';
    const name = total.first.movement.name;
    if (!old) causes.push({ name, what: 'added', seconds: total.seconds, total, isNewly: isNew });
    else
      for (const part of ['explain', 'goTo', 'setUp', 'work', 'sideChange'] as const)
        causes.push({
          name,
          what: part,
          seconds: total.parts[part] - old.parts[part],
          total,
          isNewly: isNew && old.first.familiarity !== 'new',
        });
  }
  for (const [id, total] of was)
    if (!is.has(id)) causes.push({ name: total.first.movement.name, what: 'removed', seconds: 0 - total.seconds, total, isNewly: false });
  return {
    seconds,
    causes: causes.filter((cause) => Math.abs(cause.seconds) >= leastSeconds).sort((a, b) => Math.abs(b.seconds) - Math.abs(a.seconds)),
  };
}

/** So many reasons are told, a second one where it made a good part of it. */
const toldCauses = 2;
const leastShare = 0.25;

/** `+1:20 – Shoulder stand is new to the group`; the reasons that made most of it. */
export function timeChangeWords({ seconds, causes }: TimeChange): string {
  // what pulled the other way is not a reason
  const told = causes
    .filter((cause, nth) => Math.sign(cause.seconds) === Math.sign(seconds) && (nth === 0 || cause.seconds / seconds >= leastShare))
    .slice(0, toldCauses);
  const words = told.map((cause) => (told.length > 1 ? `${causeWords(cause)} (${signed(cause.seconds)})` : causeWords(cause)));
  return `${signed(seconds)}${words.length > 0 ? ` – ${listText(words)}` : ''}`;
}

const signed = (seconds: Seconds): string => `${seconds < 0 ? '−' : '+'}${clockText(Math.abs(seconds))}`;

function causeWords({ name, what, seconds, isNewly, total: { first } }: TimeCause): string {
  const isMore = seconds > 0;
  switch (what) {
    case 'added':
      return isNewly ? `${name} came in, new to the group` : `${name} came in`;
    case 'removed':
      return `${name} is out`;
    case 'explain':
      if (isNewly) return `${name} is new to the group`;
      return first.item.explainSeconds === undefined
        ? `${name} is explained ${isMore ? 'longer' : 'shorter'} (${first.way})`
        : `${name} is explained as long as you wrote`;
    case 'goTo':
      return isMore ? `going to ${name} takes longer` : `going to ${name} is shorter`;
    case 'setUp':
    case 'sideChange':
      return isMore ? `${name} is done on another side as well` : `${name} is done on fewer sides`;
    case 'work':
      return isMore ? `more of ${name}` : `less of ${name}`;
  }
}
