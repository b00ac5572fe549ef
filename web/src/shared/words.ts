import type { Help, Mark, MovementKind, SectionKind, StandingName, Surface, TeachingStyle, Way } from '@leiter/core';
import { DateTime } from 'luxon';

export const markWords: Readonly<Record<Mark, string>> = { 'not-yet': 'not yet', 'with-help': 'with help', alone: 'alone', clean: 'clean' };

export const helpWords: Readonly<Record<Help, string>> = {
  told: 'told while doing it',
  shown: 'shown once more',
  'hands-on': 'an adult’s hands',
  'raised-or-lower-surface': 'a raised or lower surface',
  'target-only': 'a target',
};

export const standingWords: Readonly<Record<StandingName, string>> = {
  unseen: 'not seen',
  'not-yet': 'not yet',
  'with-help': 'with help',
  shown: 'shown',
  met: 'met',
  fading: 'met, fading',
};

export const sectionWords: Readonly<Record<SectionKind, string>> = {
  opening: 'Opening',
  safety: 'Safety',
  'warm-up': 'Warm-up',
  mobilise: 'Mobilise',
  basics: 'Basics',
  drills: 'Drills',
  skill: 'Skill',
  strength: 'Strength',
  combination: 'Combination',
  'cool-down': 'Cool-down',
  closing: 'Closing',
};

export const kindWords: Readonly<Record<MovementKind, string>> = {
  'pulse-raiser': 'pulse-raiser',
  mobiliser: 'mobiliser',
  'dynamic-stretch': 'dynamic stretch',
  'static-stretch': 'held stretch',
  basic: 'basic',
  drill: 'drill',
  skill: 'skill',
  strength: 'strength',
  combination: 'combination',
  game: 'game',
  ritual: 'ritual',
  breathing: 'breathing',
  break: 'break',
  talk: 'talk',
};

export const wayWords: Readonly<Record<Way, string>> = {
  flow: 'straight on, named while moving',
  follow: 'named, all join in',
  teach: 'shown and explained, then done',
  watch: 'you once, then all together',
};

export const styleWords: Readonly<Record<TeachingStyle, string>> = {
  along: 'Along with me',
  'as-it-comes': 'As it comes',
  'watch-then-do': 'Watch, then do',
};

export const styleAbout: Readonly<Record<TeachingStyle, string>> = {
  along: 'You do, all join in: new things are named and shown while everybody moves.',
  'as-it-comes': 'Warm-up, stretching, strength and cool-down along with you; basics, drills and skills are explained first.',
  'watch-then-do': 'You show and explain nearly everything before it is done.',
};

export const surfaceWords: Readonly<Record<Surface, string>> = {
  mat: 'mat',
  'thick-rug': 'thick rug',
  carpet: 'carpet',
  grass: 'grass',
  wood: 'wood',
  tiles: 'tiles',
  concrete: 'concrete',
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
  const shown = names.length > 3 ? [...names.slice(0, 2), `${String(names.length - 2)} others`] : names;
  return new Intl.ListFormat('en-GB').format(shown);
}

/** `24 Nov 2025`. */
export function dateText(day: string): string {
  return DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('d LLL yyyy');
}

export const weekdayWords = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

export function plural(count: number, one: string, many: string): string {
  return `${String(count)} ${count === 1 ? one : many}`;
}

/** "today", "tomorrow", "in 3 days"; "yesterday", "3 days ago", "5 weeks ago". */
export function daysAway(days: number): string {
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  if (days > 0) return days < 14 ? `in ${String(days)} days` : `in ${String(Math.floor(days / 7))} weeks`;
  return -days < 14 ? `${String(-days)} days ago` : `${String(Math.floor(-days / 7))} weeks ago`;
}
