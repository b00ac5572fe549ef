import { clockText } from '../values/clock-text.js';
import type { PhraseParts } from '../phrase/phrase.js';
import type { ItemTeaching } from './item-teaching.js';
import type { Calls, Helper, Leader, LeaderStance } from './led.js';

export const leaderWords: Readonly<Record<Leader, string>> = {
  'co-coach': 'co-coach leads',
  'a-child': 'a child leads',
  'in-turn': 'each leads in turn',
};
export const stanceWords: Readonly<Record<LeaderStance, string>> = {
  facing: 'facing them',
  'back-turned': 'back turned',
  'from-the-side': 'from the side',
  'back-then-facing': 'back turned, then facing',
};

/** `call shapes every 4 s, from kneeling` */
export function callsText({ what, everySeconds, from }: Calls): string {
  return `call ${what} every ${String(everySeconds)} s${from ? `, from ${from.replace('-', ' ')}` : ''}`;
}

/** `new 2, known 1`: which segments of a phrase are built up, counted from 1. */
export function partsText({ new: fresh, known }: PhraseParts): string {
  const numbers = (list: readonly number[]): string => list.map((one) => String(one + 1)).join('+');
  return [...(fresh.length > 0 ? [`new ${numbers(fresh)}`] : []), ...(known.length > 0 ? [`known ${numbers(known)}`] : [])].join(', ');
}

/** `an adult to hold the cushion` */
export function helperText({ who, does }: Helper): string {
  return `${who === 'adult' ? 'an adult' : 'a partner'} to ${does}`;
}

/**
 * What an item says of how it is taught, in words: `watch, talk 2:00, in turns`; empty where all is as usual.
 * @param nameOf names the movements of a free choice
 */
export function teachingText(teaching: ItemTeaching, nameOf: (movement: string) => string = (slug) => slug): string {
  const {
    way,
    explainSeconds,
    build,
    isCameraMoved,
    takesTurns,
    leader,
    stands,
    helper,
    calls,
    choice,
    areEyesClosed,
    stopsWithMusic,
    parts,
  } = teaching;
  return [
    way,
    parts && partsText(parts),
    explainSeconds === undefined ? undefined : `talk ${clockText(explainSeconds)}`,
    build && `first ${build.what}`,
    takesTurns ? 'in turns' : undefined,
    leader && leaderWords[leader],
    stands && stanceWords[stands],
    calls && callsText(calls),
    choice && choice.length > 0 ? `or ${choice.map(nameOf).join(', ')}` : undefined,
    helper && helperText(helper),
    areEyesClosed ? 'eyes closed' : undefined,
    stopsWithMusic ? 'still when the music stops' : undefined,
    isCameraMoved ? 'move the camera' : undefined,
  ]
    .filter((word) => word !== undefined)
    .join(', ');
}
