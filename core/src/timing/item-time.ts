import { passesOf, type Familiarity, type Item } from '../class-plan/class-plan.js';
import { activeSecondsOf, restSecondsOf, type Dose } from '../movement/dose.js';
import type { MovementKind } from '../movement/kind.js';
import type { Framing, Movement } from '../movement/movement.js';
import type { Seconds } from '../values/unit.js';
import type { TimingSettings } from './settings.js';

/** What the seconds of one item are made of; they add up to its length. */
export interface TimeParts {
  readonly explain: Seconds;
  readonly goTo: Seconds;
  readonly setUp: Seconds;
  readonly work: Seconds;
  readonly sideChange: Seconds;
}

/** What an item is reckoned with: the group, the instructor's pace, and what came before it in the class. */
export interface ItemTimeContext {
  readonly settings: TimingSettings;
  readonly meanAgeYears: number;
  readonly familiarity: Familiarity;
  /** The instructor's learned pace for the kind: 1 as reckoned, 1.2 a fifth slower. */
  readonly pace: number;
  readonly before: Surroundings | null;
  /** Which round of a circuit it is, and the rest before it; left out for what is done once. */
  readonly pass?: { readonly round: number; readonly roundRestSeconds: Seconds };
}

/** Where the class stands when an item begins. */
export interface Surroundings {
  readonly level: 'floor' | 'standing' | null;
  readonly framing: Framing | null;
  readonly fetched: ReadonlySet<string>;
}

export function ageFactor(meanAgeYears: number, settings: TimingSettings): number {
  return settings.ageFactors.find(({ belowYears }) => meanAgeYears < belowYears)?.factor ?? 1;
}

/** Explaining in seconds, before age and pace: model.md. A routine is never longer than what is new would be. */
export function explainSeconds(kind: MovementKind, tiersInUse: number, familiarity: Familiarity, settings: TimingSettings): Seconds {
  const whenNew = settings.explainNewSeconds[kind] + Math.max(0, tiersInUse - 1) * settings.explainFurtherTierSeconds;
  switch (familiarity) {
    case 'new':
      return whenNew;
    case 'known':
      return whenNew * settings.knownShare;
    case 'routine':
      return Math.min(whenNew, settings.explainRoutineSeconds);
  }
}

/** Going to an item from the one before, in seconds; nothing for the first item of a class. */
export function goToSeconds(movement: Movement, before: Surroundings | null, settings: TimingSettings): Seconds {
  const fetches = movement.needs.equipment.some((thing) => !before?.fetched.has(thing)) ? settings.fetchSeconds : 0;
  if (!before) return fetches;
  return (
    settings.goToSeconds +
    (changesLevel(movement, before) ? settings.levelChangeSeconds : 0) +
    (changesFraming(movement, before) ? settings.reframeSeconds : 0) +
    fetches
  );
}

/** True when the children go from standing to the floor or back. */
export function changesLevel(movement: Movement, before: Surroundings | null): boolean {
  return movement.level !== 'either' && before?.level != null && before.level !== movement.level;
}

/** True when the camera has to show something else than before. */
export function changesFraming(movement: Movement, before: Surroundings | null): boolean {
  return movement.view !== null && before?.framing != null && before.framing !== movement.view.framing;
}

/** Where the class stands once an item is done. */
export function surroundingsAfter(movement: Movement, before: Surroundings | null): Surroundings {
  const fetched = movement.needs.equipment;
  return {
    level: movement.level === 'either' ? (before?.level ?? null) : movement.level,
    framing: movement.view?.framing ?? before?.framing ?? null,
    fetched: fetched.length === 0 && before ? before.fetched : new Set([...(before?.fetched ?? []), ...fetched]),
  };
}

/** True for a dose whose length is given by the clock or by music: neither age nor pace stretches it. */
export function isClockBound(dose: Dose): boolean {
  return dose.kind === 'timed' || dose.kind === 'counts';
}

function setUpSeconds(kind: MovementKind, dose: Dose, settings: TimingSettings): Seconds {
  if (dose.kind === 'hold') return settings.setUpHoldSeconds;
  return kind === 'skill' ? settings.setUpSkillSeconds : settings.setUpSeconds;
}

/** By what the work of a dose is multiplied: age and pace, or nothing where clock or music lead. */
export function workFactor(dose: Dose, context: ItemTimeContext): number {
  return isClockBound(dose) ? 1 : ageFactor(context.meanAgeYears, context.settings) * context.pace;
}

/**
 * The seconds of one item, by part. Formula of model.md:
 * explain + go-to + sides × (set-up + work) + (sides − 1) × change of side; explaining and working × age factor;
 * everything but timed and counted work × learned pace. In a further round of a circuit nothing is explained again, and the rest
 * between two rounds, which the clock gives, is part of going there. Not rounded.
 */
export function partsOf(item: Item, movement: Movement, context: ItemTimeContext): TimeParts {
  const { settings, pace } = context;
  const sides = passesOf(item);
  const isAgain = (context.pass?.round ?? 1) > 1;
  const explained = isAgain ? 0 : explainSeconds(movement.kind, item.tiers.length, context.familiarity, settings);
  return {
    explain: explained * ageFactor(context.meanAgeYears, settings) * pace,
    goTo: goToSeconds(movement, context.before, settings) * pace + (context.pass?.roundRestSeconds ?? 0),
    setUp: sides * setUpSeconds(movement.kind, item.dose, settings) * pace,
    work: sides * (activeSecondsOf(item.dose) + restSecondsOf(item.dose)) * workFactor(item.dose, context),
    sideChange: (sides - 1) * settings.changeOfSideSeconds[movement.kind] * pace,
  };
}

/** @returns the length of an item in seconds: the sum of its parts. */
export function secondsOf(parts: TimeParts): Seconds {
  return parts.explain + parts.goTo + parts.setUp + parts.work + parts.sideChange;
}
