import { plural, t } from '@lingui/core/macro';
import type { AdultNeed, Help, Mark, MovementKind, SectionKind, StandingName, TeachingStyle, Way } from '@leiter/core';
import { DateTime } from 'luxon';

export const markWords: Readonly<Record<Mark, string>> = {
  'not-yet': t`not yet`,
  'with-help': t`with help`,
  alone: t`alone`,
  clean: t`clean`,
};

export const helpWords: Readonly<Record<Help, string>> = {
  told: t`told while doing it`,
  shown: t`shown once more`,
  'hands-on': t`an adult’s hands`,
  'raised-or-lower-surface': t`a raised or lower surface`,
  'target-only': t`a target`,
};

export const standingWords: Readonly<Record<StandingName, string>> = {
  unseen: t`not seen`,
  'not-yet': t`not yet`,
  'with-help': t`with help`,
  shown: t`shown`,
  met: t`met`,
  fading: t`met, fading`,
};

export const sectionWords: Readonly<Record<SectionKind, string>> = {
  opening: t`Opening`,
  safety: t`Safety`,
  'warm-up': t`Warm-up`,
  mobilise: t`Mobilise`,
  basics: t`Basics`,
  drills: t`Drills`,
  skill: t`Skill`,
  strength: t`Strength`,
  combination: t`Combination`,
  'cool-down': t`Cool-down`,
  closing: t`Closing`,
};

export const kindWords: Readonly<Record<MovementKind, string>> = {
  'pulse-raiser': 'pulse-raiser',
  mobiliser: t`mobiliser`,
  'dynamic-stretch': t`dynamic stretch`,
  'static-stretch': t`held stretch`,
  basic: t`basic`,
  drill: t`drill`,
  skill: t`skill`,
  strength: t`strength`,
  combination: t`combination`,
  game: t`game`,
  ritual: t`ritual`,
  breathing: t`breathing`,
  break: t`break`,
  talk: t`talk`,
};

export const wayWords: Readonly<Record<Way, string>> = {
  flow: t`straight on, named while moving`,
  follow: t`named, all join in`,
  teach: t`shown and explained, then done`,
  watch: t`you once, then all together`,
};

export const styleWords: Readonly<Record<TeachingStyle, string>> = {
  along: t`Along with me`,
  'as-it-comes': t`As it comes`,
  'watch-then-do': t`Watch, then do`,
};

export const styleAbout: Readonly<Record<TeachingStyle, string>> = {
  along: t`You do, all join in: new things are named and shown while everybody moves.`,
  'as-it-comes': t`Warm-up, stretching, strength and cool-down along with you; basics, drills and skills are explained first.`,
  'watch-then-do': t`You show and explain nearly everything before it is done.`,
};

/** `Tue 24 Nov`. */
export function dayText(day: string): string {
  return DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('ccc d LLL');
}

/** `24 Nov`. */
export function dayOnly(day: string): string {
  return DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('d LLL');
}

/** "Noor", "Noor and Ada", "Noor, Ada and 2 others". */
export function namesText(names: readonly string[]): string {
  const shown = names.length > 3 ? [...names.slice(0, 2), t`${names.length - 2} others`] : names;
  return new Intl.ListFormat('en-GB').format(shown);
}

/** `24 Nov 2025`. */
export function dateText(day: string): string {
  return DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('d LLL yyyy');
}

export const weekdayWords = [t`Monday`, t`Tuesday`, t`Wednesday`, t`Thursday`, t`Friday`, t`Saturday`, t`Sunday`] as const;

/** "today", "tomorrow", "in 3 days"; "yesterday", "3 days ago", "5 weeks ago". */
export function daysAway(days: number): string {
  if (days === 0) return t`today`;
  if (days === 1) return t`tomorrow`;
  if (days === -1) return t`yesterday`;
  if (days > 0)
    return days < 14
      ? plural(days, { one: 'in # day', other: 'in # days' })
      : plural(Math.floor(days / 7), { one: 'in # week', other: 'in # weeks' });
  return -days < 14
    ? plural(-days, { one: '# day ago', other: '# days ago' })
    : plural(Math.floor(-days / 7), { one: '# week ago', other: '# weeks ago' });
}

/** Who has to be there for a movement. */
export const adultWords: Readonly<Record<AdultNeed, string>> = {
  none: t`nobody`,
  'at-hand': t`an adult at hand`,
  'hands-on': t`an adult who helps with the hands`,
  'in-person': t`only in person, somebody trained`,
};
