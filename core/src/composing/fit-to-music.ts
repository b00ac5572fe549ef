import { ageBandOf, type AgeBand } from '../movement/age-band.js';
import { doseLimits, sameDose, unevenOf, withUneven, type Dose } from '../movement/dose.js';
import { longestHoldOf } from '../movement/hold-limits.js';
import type { Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import { timelineOf, type TimedItem, type Timeline } from '../timing/timeline.js';
import type { ItemId, Seconds, SectionId } from '../values/unit.js';
import { passesOf, placedItems, type ClassPlan, type Item } from '../class-plan/class-plan.js';
import type { PlanEdit } from '../class-plan/edit.js';
import { meanAge, type EvaluationContext } from './evaluation.js';
import type { Track } from '../class-plan/music.js';

export const musicSettings = {
  /** A dose is stretched to so many times itself at most, and shortened to this share of itself. */
  mostTimes: 3,
  leastShare: 0.5,
  /** Closer than this, music and movement end together. */
  togetherSeconds: 3,
} as const;

/** What a track is played to. */
export type MusicTarget = { readonly section: SectionId } | { readonly item: ItemId };

/** A track against what is done to it. */
export interface MusicGap {
  readonly target: MusicTarget;
  readonly track: Track;
  /** From the first movement to it to the end of the last. */
  readonly doneSeconds: Seconds;
  /** Music that is left over; negative where it ends too early. */
  readonly gapSeconds: Seconds;
}

/**
 * How far the music of a plan and what is done to it are apart, track by track. Music begins when the bodies do – what is
 * explained before the first item is explained in silence – and goes on to the end of the section or the item; in a circuit the
 * track of an item is played in each round.
 */
export function musicGaps(plan: ClassPlan, timeline: Timeline): readonly MusicGap[] {
  return plan.sections.flatMap((section): readonly MusicGap[] => [
    ...(section.music ? [gapOf({ section: section.id }, section.music, timeline)] : []),
    ...section.items.flatMap(({ id, music }) => (music ? [gapOf({ item: id }, music, timeline)] : [])),
  ]);
}

function gapOf(target: MusicTarget, track: Track, timeline: Timeline): MusicGap {
  const doneSeconds = playedTo(target, timeline);
  return { target, track, doneSeconds, gapSeconds: track.seconds - doneSeconds };
}

function playedTo(target: MusicTarget, { items }: Timeline): Seconds {
  const own =
    'item' in target
      ? items.filter(({ item, round }) => item.id === target.item && round === 1)
      : items.filter(({ section }) => section.id === target.section);
  const [first, last] = [own[0], own.at(-1)];
  return first && last ? last.startSecond + last.seconds - first.workStartSecond : 0;
}

/** What fitting to music changes, and how far music and movement are apart then. */
export interface MusicFit {
  readonly edits: readonly PlanEdit[];
  readonly gapSeconds: Seconds;
}

/**
 * Stretches or shortens what is done to a track until it ends with the music, or as near as its doses let it: all alike at
 * first (one factor, found by halving), then single steps where they bring it nearer, the rest into what goes by the
 * clock. Counted doses take the beat of the track. Nothing is held longer than its age allows, nothing grows beyond three times
 * its dose or shrinks below half; talks, drinks and rituals stay.
 * @returns no edits where there is no track or nothing would be nearer
 */
export function fitToMusic(plan: ClassPlan, library: Library, context: EvaluationContext, target: MusicTarget): MusicFit {
  const track = trackOf(plan, target);
  if (!track) return { edits: [], gapSeconds: 0 };
  const meanAgeYears = meanAge(context.agesYears);
  const band = ageBandOf(context.agesYears.length === 0 ? meanAgeYears : Math.min(...context.agesYears));
  const begun = timelineOf(plan, library, { ...context, meanAgeYears });
  const own = new Map(ownItems(begun, target).map((timed) => [timed.item.id, timed]));
  const gapWith = (doses: Doses): Seconds =>
    track.seconds - playedTo(target, timelineOf(withDoses(plan, doses), library, { ...context, meanAgeYears }));
  const scaled = (factor: number): Doses =>
    new Map([...own].map(([id, { item, movement }]) => [id, timesDose(onBeat(item.dose, track), factor, movement, band)]));
  let low: number = musicSettings.leastShare;
  let high: number = musicSettings.mostTimes;
  for (let step = 0; step < 24; step += 1) {
    const middle = (low + high) / 2;
    if (gapWith(scaled(middle)) >= 0) low = middle;
    else high = middle;
  }
  const doses = nearer(scaled(low), own, band, gapWith);
  const gapSeconds = gapWith(doses);
  const edits = [...doses].flatMap(([item, dose]): readonly PlanEdit[] => {
    const before = own.get(item)?.item.dose;
    return before && sameDose(before, dose) ? [] : [{ kind: 'set-dose', item, dose }];
  });
  const gapBefore = track.seconds - playedTo(target, begun);
  return Math.abs(gapSeconds) < Math.abs(gapBefore) ? { edits, gapSeconds } : { edits: [], gapSeconds: gapBefore };
}

type Doses = ReadonlyMap<ItemId, Dose>;

function trackOf(plan: ClassPlan, target: MusicTarget): Track | undefined {
  return 'item' in target
    ? placedItems(plan).find(({ item }) => item.id === target.item)?.item.music
    : plan.sections.find(({ id }) => id === target.section)?.music;
}

const still: ReadonlySet<Movement['kind']> = new Set(['talk', 'break', 'ritual', 'breathing']);

function ownItems({ items }: Timeline, target: MusicTarget): readonly TimedItem[] {
  return items.filter(
    ({ item, section, movement, round }) =>
      round === 1 && !still.has(movement.kind) && ('item' in target ? item.id === target.item : section.id === target.section),
  );
}

function withDoses(plan: ClassPlan, doses: Doses): ClassPlan {
  const dosed = (item: Item): Item => ({ ...item, dose: doses.get(item.id) ?? item.dose });
  return { ...plan, sections: plan.sections.map((section) => ({ ...section, items: section.items.map(dosed) })) };
}

/** Counts go by the beat that is heard. */
function onBeat(dose: Dose, { bpm }: Track): Dose {
  return dose.kind === 'counts' && bpm !== null ? { ...dose, bpm } : dose;
}

function timesDose(dose: Dose, factor: number, movement: Movement, band: AgeBand): Dose {
  const whole = (value: number): number => Math.max(1, Math.round(value * factor));
  switch (dose.kind) {
    case 'reps':
      if (dose.uneven)
        return withUneven(
          dose,
          dose.uneven.map((one) => Math.min(doseLimits.reps.most, whole(one))),
        );
      return { ...dose, reps: Math.min(doseLimits.reps.most, whole(dose.reps)) };
    case 'hold':
      // a ladder of holds stays as it was written
      if (dose.uneven) return dose;
      return {
        ...dose,
        holdSeconds: Math.max(1, Math.min(whole(dose.holdSeconds), Math.max(dose.holdSeconds, longestHoldOf(movement, band)))),
      };
    case 'timed':
      return { ...dose, seconds: Math.min(doseLimits.seconds.most, whole(dose.seconds)) };
    case 'counts':
      return { ...dose, eights: Math.min(doseLimits.eights.most, whole(dose.eights)) };
    case 'lengths':
      return { ...dose, lengths: Math.min(doseLimits.lengths.most, whole(dose.lengths)) };
  }
}

/** Brings doses nearer by one step at a time; what goes by the clock takes up what is left. */
function nearer(begun: Doses, own: ReadonlyMap<ItemId, TimedItem>, band: AgeBand, gapWith: (doses: Doses) => Seconds): Doses {
  let doses = begun;
  let gap = gapWith(doses);
  const clockBound = [...own.values()].filter(({ item }) => item.dose.kind === 'timed').sort((a, b) => b.seconds - a.seconds);
  for (const timed of clockBound) {
    const dose = doses.get(timed.item.id);
    if (dose?.kind !== 'timed' || timed.item.dose.kind !== 'timed') continue;
    const least = Math.ceil(timed.item.dose.seconds * musicSettings.leastShare);
    const most = Math.min(doseLimits.seconds.most, timed.item.dose.seconds * musicSettings.mostTimes);
    const wanted = Math.round(dose.seconds + gap / (passesOf(timed) * timed.rounds));
    doses = new Map(doses).set(timed.item.id, { ...dose, seconds: Math.max(1, least, Math.min(most, wanted)) });
    gap = gapWith(doses);
  }
  for (let step = 0; step < 100 && Math.abs(gap) > 0.5; step += 1) {
    const tries = [...own.values()].flatMap((timed) => smallStep(doses.get(timed.item.id), timed, gap > 0 ? 1 : -1, band));
    const [best] = tries
      .map(([id, dose]) => new Map(doses).set(id, dose))
      .map((tried) => ({ tried, gap: gapWith(tried) }))
      .sort((a, b) => Math.abs(a.gap) - Math.abs(b.gap));
    if (!best || Math.abs(best.gap) >= Math.abs(gap) - 1e-9) break;
    doses = best.tried;
    gap = best.gap;
  }
  return doses;
}

/** A dose one rep, one second of a hold or one 8-count larger or smaller, where that is still within what it may be. */
function smallStep(dose: Dose | undefined, { item, movement }: TimedItem, by: 1 | -1, band: AgeBand): readonly (readonly [ItemId, Dose])[] {
  if (dose && unevenOf(dose)) return [];
  const size = (one: Dose): number =>
    one.kind === 'reps'
      ? one.reps
      : one.kind === 'hold'
        ? one.holdSeconds
        : one.kind === 'counts'
          ? one.eights
          : one.kind === 'lengths'
            ? one.lengths
            : 0;
  const begun = size(item.dose);
  const next = dose ? size(dose) + by : 0;
  if (!dose || next < 1 || next < begun * musicSettings.leastShare || next > begun * musicSettings.mostTimes) return [];
  switch (dose.kind) {
    case 'reps':
      return next > doseLimits.reps.most ? [] : [[item.id, { ...dose, reps: next }]];
    case 'hold':
      return by > 0 && next > longestHoldOf(movement, band) ? [] : [[item.id, { ...dose, holdSeconds: next }]];
    case 'counts':
      return next > doseLimits.eights.most ? [] : [[item.id, { ...dose, eights: next }]];
    case 'lengths':
      return next > doseLimits.lengths.most ? [] : [[item.id, { ...dose, lengths: next }]];
    case 'timed':
      return [];
  }
}
