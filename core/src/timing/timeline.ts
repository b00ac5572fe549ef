import { passesThrough } from '../class-plan/circuit.js';
import { passesOf, type ClassPlan, type Familiarity, type Item, type Section } from '../class-plan/class-plan.js';
import { withChoice } from '../class-plan/led.js';
import { activeSecondsOf } from '../movement/dose.js';
import type { Library } from '../movement/library.js';
import type { ItemSides } from '../movement/sides.js';
import type { Movement } from '../movement/movement.js';
import type { ItemId, MovementSlug, Seconds } from '../values/unit.js';
import { familiarityOf, type Exposure } from './familiarity.js';
import { partsOf, secondsOf, workFactor, type ItemTimeContext, type TimeParts } from './item-time.js';
import type { Pace } from './pace.js';
import type { TimingSettings } from './settings.js';
import { changesLevel, surroundingsAfter, type Surroundings } from './surroundings.js';
import type { TeachingStyle, Way } from '../class-plan/way.js';
import { wayOf } from './way-of.js';

/** Who is taught and by whom, as far as time goes. */
export interface TimelineContext {
  readonly settings: TimingSettings;
  readonly meanAgeYears: number;
  /** What the group has met, by movement; nothing known of a movement means new. */
  readonly exposures: ReadonlyMap<MovementSlug, Exposure>;
  /** What classes taught say of the instructor. */
  readonly pace: Pace;
  /** How the instructor teaches, where the plan does not say it. */
  readonly style: TeachingStyle;
}

/** One item on the clock; a station of a circuit is there once for each round. All times in seconds from the start of the class. */
export interface TimedItem {
  readonly item: Item;
  readonly section: Section;
  readonly movement: Movement;
  /** Which sides are done now; in a chain one after the other. */
  readonly sides: ItemSides;
  readonly isOtherSide: boolean;
  /** Of what is done, how much each child does: half in a pair. */
  readonly share: number;
  readonly familiarity: Familiarity;
  readonly way: Way;
  readonly startSecond: Seconds;
  readonly seconds: Seconds;
  readonly parts: TimeParts;
  /** When explaining and going there are over and the body begins. */
  readonly workStartSecond: Seconds;
  /** How long each body moves: work without rests, all sides. */
  readonly movingSeconds: Seconds;
  /** Which round of a circuit, from 1; 1 of 1 for what is done once. */
  readonly round: number;
  readonly rounds: number;
  /** Of going there: the rest between two rounds. */
  readonly roundRestSeconds: Seconds;
}

/** A whole class on the clock. */
export interface Timeline {
  readonly items: readonly TimedItem[];
  readonly totalSeconds: Seconds;
  /** Share of the time in which children move, 0 to 1; 0 for an empty plan. */
  readonly movingShare: number;
  readonly levelChanges: number;
  /** How often the camera is really moved. */
  readonly reframings: number;
  /** Items whose movement the library does not have: they take no time and are listed here. */
  readonly unknown: readonly Item[];
}

/** Reckons every item of a plan in order: its start, its length and what that is made of. Linear in the items. */
export function timelineOf(plan: ClassPlan, library: Library, context: TimelineContext): Timeline {
  const items: TimedItem[] = [];
  const unknown: Item[] = [];
  let before: Surroundings | null = null;
  let startSecond = 0;
  let moving = 0;
  let levelChanges = 0;
  let reframings = 0;
  const style = plan.style ?? context.style;
  for (const pass of passesThrough(plan)) {
    const { item, section, sides, share, round, rounds, roundRestSeconds } = pass;
    const own = library.get(item.movement);
    if (!own) {
      if (round === 1) unknown.push(item);
      continue;
    }
    const movement = withChoice(own, item.choice, library);
    const familiarity = item.familiarity ?? familiarityOf(context.exposures.get(item.movement));
    const way = wayOf(item, section, movement, { familiarity, before, style });
    const timeContext: ItemTimeContext = {
      settings: context.settings,
      meanAgeYears: context.meanAgeYears,
      familiarity,
      way,
      pace: context.pace,
      before,
      pass,
    };
    const parts = partsOf(item, movement, timeContext);
    const seconds = secondsOf(parts);
    const movingSeconds =
      movement.effort === 0 ? 0 : share * passesOf(pass) * activeSecondsOf(item.dose) * workFactor(item.dose, timeContext);
    items.push({
      item,
      section,
      sides,
      isOtherSide: pass.isOtherSide,
      share,
      movement,
      familiarity,
      way,
      startSecond,
      seconds,
      parts,
      workStartSecond: startSecond + parts.goTo + parts.explain,
      movingSeconds,
      round,
      rounds,
      roundRestSeconds,
    });
    levelChanges += changesLevel(movement, before) ? 1 : 0;
    reframings += item.isCameraMoved && round === 1 ? 1 : 0;
    moving += movingSeconds;
    startSecond += seconds;
    before = surroundingsAfter(movement, before);
  }
  return {
    items,
    totalSeconds: startSecond,
    movingShare: startSecond > 0 ? moving / startSecond : 0,
    levelChanges,
    reframings,
    unknown,
  };
}

/** Seconds per section, in the order of the plan. */
export function sectionSeconds(plan: ClassPlan, timeline: Timeline): readonly { readonly section: Section; readonly seconds: Seconds }[] {
  return plan.sections.map((section) => ({
    section,
    seconds: timeline.items.filter((timed) => timed.section.id === section.id).reduce((sum, timed) => sum + timed.seconds, 0),
  }));
}

/** Each item where it comes first: circuits are not gone round again. */
export function firstRounds(items: readonly TimedItem[]): readonly TimedItem[] {
  return items.filter(({ round }) => round === 1);
}

/** What an item takes in all its rounds together. */
export interface ItemTotal {
  readonly first: TimedItem;
  readonly seconds: Seconds;
  readonly parts: TimeParts;
}

/** Per item, in the order of the class, its time over all rounds. */
export function itemTotals(items: readonly TimedItem[]): ReadonlyMap<ItemId, ItemTotal> {
  const totals = new Map<ItemId, ItemTotal>();
  for (const timed of items) {
    const before = totals.get(timed.item.id);
    totals.set(
      timed.item.id,
      before
        ? { first: before.first, seconds: before.seconds + timed.seconds, parts: sumOf(before.parts, timed.parts) }
        : { first: timed, seconds: timed.seconds, parts: timed.parts },
    );
  }
  return totals;
}

function sumOf(one: TimeParts, other: TimeParts): TimeParts {
  return {
    explain: one.explain + other.explain,
    goTo: one.goTo + other.goTo,
    setUp: one.setUp + other.setUp,
    work: one.work + other.work,
    sideChange: one.sideChange + other.sideChange,
  };
}
