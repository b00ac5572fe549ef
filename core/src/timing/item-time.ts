import type { Pass } from '../class-plan/circuit.js';
import { passesOf, type Familiarity, type Item } from '../class-plan/class-plan.js';
import { activeSecondsOf, countsOnce, restSecondsOf, shownSecondsOf, type Dose } from '../movement/dose.js';
import type { MovementKind } from '../movement/kind.js';
import type { Movement } from '../movement/movement.js';
import type { Seconds } from '../values/unit.js';
import { explainPace, type Pace } from './pace.js';
import type { TimingSettings } from './settings.js';
import { changesLevel, fetches, type Surroundings } from './surroundings.js';
import type { Way } from '../class-plan/way.js';

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
  readonly way: Way;
  readonly pace: Pace;
  readonly before: Surroundings | null;
  /** Which round of a circuit it is, and the rest before it; left out for what is done once. */
  readonly pass?: Pick<Pass, 'round' | 'roundRestSeconds' | 'sides' | 'isOtherSide'>;
}

export function ageFactor(meanAgeYears: number, settings: TimingSettings): number {
  return settings.ageFactors.find(({ belowYears }) => meanAgeYears < belowYears)?.factor ?? 1;
}

/**
 * Explaining in seconds, before pace (model.md): what the instructor wrote, or what a kind takes in its way. Age changes nothing: the
 * young are told less, not more. What is watched first is done once by the instructor alone: a set, or the phrase.
 */
export function explainSeconds(
  item: Pick<Item, 'dose' | 'tiers' | 'explainSeconds'>,
  kind: MovementKind,
  way: Way,
  familiarity: Familiarity,
  settings: TimingSettings,
): Seconds {
  const shown = way === 'watch' ? shownSecondsOf(item.dose) : 0;
  if (item.explainSeconds !== undefined) return item.explainSeconds + shown;
  const of = settings.explainSeconds[kind];
  if (way === 'flow') return of.flow;
  // who joins in is shown nothing, and knows the versions
  const tiers = way === 'follow' ? 0 : (item.tiers.length - 1) * settings.explainFurtherTierSeconds;
  if (familiarity === 'new' && way !== 'follow') {
    const eights = kind === 'combination' && item.dose.kind === 'counts' ? Math.ceil(countsOnce(item.dose) / 8) : 1;
    return of.new + (eights - 1) * settings.explainFurtherEightSeconds + tiers + shown;
  }
  return (way === 'teach' ? of.known : of.follow) + tiers + shown;
}

/** Going to an item from the one before, in seconds; for the first item of a class, what has to be fetched or built. */
export function goToSeconds(
  item: Pick<Item, 'build' | 'isCameraMoved'>,
  movement: Movement,
  way: Way,
  before: Surroundings | null,
  settings: TimingSettings,
): Seconds {
  const things = item.build ? item.build.seconds : fetches(movement, before) ? settings.fetchSeconds : 0;
  const camera = item.isCameraMoved ? settings.cameraMoveSeconds : 0;
  if (!before) return things + camera;
  return (way === 'flow' ? 0 : settings.goToSeconds) + (changesLevel(movement, before) ? settings.levelChangeSeconds : 0) + camera + things;
}

/** True for a dose whose length is given by the clock or by music: neither age nor pace stretches it. */
export function isClockBound(dose: Dose): boolean {
  return dose.kind === 'timed' || dose.kind === 'counts';
}

function setUpSeconds(kind: MovementKind, dose: Dose, way: Way, settings: TimingSettings): Seconds {
  if (dose.kind === 'hold') return settings.setUpHoldSeconds;
  if (kind === 'skill') return settings.setUpSkillSeconds;
  return way === 'teach' || way === 'watch' ? settings.setUpSeconds : 0;
}

/** By what the work of a dose is multiplied: age and pace, or nothing where clock or music lead. */
export function workFactor(
  dose: Dose,
  { meanAgeYears, settings, pace }: Pick<ItemTimeContext, 'meanAgeYears' | 'settings' | 'pace'>,
): number {
  return isClockBound(dose) ? 1 : ageFactor(meanAgeYears, settings) * pace.work;
}

/**
 * The seconds of one item, by part. Formula of model.md:
 * explain + go-to + sides × (set-up + work) + (sides − 1) × change of side. Set-up, work and change of side × age and pace – the work
 * of timed and counted doses as the clock has it –; explaining and going there × the pace of explaining. Partners who take turns do
 * the work one after the other. In a further round of a circuit nothing is explained again, and the rest between two rounds, which
 * the clock gives, is part of going there. Not rounded.
 */
export function partsOf(item: Item, movement: Movement, context: ItemTimeContext): TimeParts {
  const { settings, pace, way, before } = context;
  const sides = passesOf(context.pass ?? item);
  const turns = item.takesTurns ? 2 : 1;
  const isAgain = (context.pass?.round ?? 1) > 1;
  const explained = isAgain ? 0 : explainSeconds(item, movement.kind, way, context.familiarity, settings);
  const talking = explainPace(pace, way, movement.kind);
  const around = ageFactor(context.meanAgeYears, settings) * (isClockBound(item.dose) ? 1 : pace.work);
  return {
    explain: explained * talking,
    goTo: goToSeconds(item, movement, way, before, settings) * talking + (context.pass?.roundRestSeconds ?? 0),
    setUp: sides * setUpSeconds(movement.kind, item.dose, way, settings) * around,
    work: sides * turns * (activeSecondsOf(item.dose) + restSecondsOf(item.dose)) * workFactor(item.dose, context),
    sideChange: (sides - 1 + (context.pass?.isOtherSide ? 1 : 0)) * settings.changeOfSideSeconds[movement.kind] * around,
  };
}

/** @returns the length of an item in seconds: the sum of its parts. */
export function secondsOf(parts: TimeParts): Seconds {
  return parts.explain + parts.goTo + parts.setUp + parts.work + parts.sideChange;
}
