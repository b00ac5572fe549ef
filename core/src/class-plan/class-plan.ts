import type { Dose } from '../movement/dose.js';
import type { TierName } from '../movement/movement.js';
import type { SectionKind } from '../movement/section-kind.js';
import type { ItemSides } from '../movement/sides.js';
import type { ChildId, CircuitId, ItemId, MovementSlug, Seconds, SectionId } from '../values/unit.js';
import type { Calls, Helper, HomeTask, Leader, LeaderStance } from './led.js';
import type { TeachingStyle, Way } from './way.js';
import type { Track } from './music.js';
import type { PhraseParts } from '../phrase/phrase.js';

export const familiarities = ['new', 'known', 'routine'] as const;
/** How well the group knows a movement, which decides how long explaining takes. */
export type Familiarity = (typeof familiarities)[number];

/** One line of the running order. */
export interface Item {
  readonly id: ItemId;
  readonly movement: MovementSlug;
  readonly dose: Dose;
  readonly sides: ItemSides;
  /** The versions in use; one alone means that everybody does the same. */
  readonly tiers: readonly TierName[];
  /** Set where the instructor overrules the record. */
  readonly familiarity?: Familiarity;
  readonly cue?: string;
  readonly note?: string;
  /** Versions that the instructor set for single children; they stand whatever else is known. */
  readonly tierByHand?: Readonly<Record<ChildId, TierName>>;
  /** The circuit it is a station of; those of one circuit stand next to each other in one section. */
  readonly circuit?: CircuitId;
  /** What is played to it alone. */
  readonly music?: Track;
  /** How it is taught, where that is not as its section is. */
  readonly way?: Way;
  /** How long it is explained, where the instructor knows it. */
  readonly explainSeconds?: Seconds;
  /** What is fetched or built before it. */
  readonly build?: Build;
  /** The camera is moved before it. */
  readonly isCameraMoved?: boolean;
  /** Two do it one after the other, the other one helps or watches. */
  readonly takesTurns?: boolean;
  /** Who leads it, where it is not the instructor. */
  readonly leader?: Leader;
  /** How who leads it stands, where the children need to know. */
  readonly stands?: LeaderStance;
  /** What a parent or a partner at home does. */
  readonly helper?: Helper;
  /** What is called out. */
  readonly calls?: Calls;
  /** What each child may do in its place, as it likes. */
  readonly choice?: readonly MovementSlug[];
  readonly areEyesClosed?: boolean;
  /** They stand still when the music does. */
  readonly stopsWithMusic?: boolean;
  /** Of a phrase, in the time of a timed dose: which segments are built up, new and known, counted from 0. */
  readonly parts?: PhraseParts;
}

/** A line of tape, a ring, a beam of towels: what it is, and how long it takes. */
export interface Build {
  readonly what: string;
  readonly seconds: Seconds;
}

/** Inclusive; of what is explained and of what is built. */
export const talkLimits = { explainSeconds: { least: 0, most: 900 }, buildSeconds: { least: 0, most: 600 } } as const;

/**
 * What is done with the items of a block: round again from the first; a chain, all on the left and then all on the right; or a pair,
 * one of two does all while the other holds, watches or counts, then they change.
 */
export const circuitKinds = ['circuit', 'chain', 'pair'] as const;
export type CircuitKind = (typeof circuitKinds)[number];

/** Items that are done one after the other, and again from the first: `rounds` times in all, in a chain on each side, in a pair by each. */
export interface Circuit {
  /** A circuit where nothing is said. */
  readonly kind?: CircuitKind;
  readonly id: CircuitId;
  readonly rounds: number;
  /** Between two rounds. */
  readonly restSeconds: Seconds;
}

export interface Section {
  readonly id: SectionId;
  readonly kind: SectionKind;
  readonly items: readonly Item[];
  /** What is played to the whole of it. */
  readonly music?: Track;
  /** How it is taught, where that is not as usual. */
  readonly way?: Way;
}

/** The running order of one class: sections in their order, each with its items. One document, kept as it is. */
export interface ClassPlan {
  readonly sections: readonly Section[];
  /** What this class is about: what is marked. */
  readonly focus: readonly MovementSlug[];
  /** Findings that the instructor has looked at and lets stand, each with the reason. */
  readonly accepted?: readonly AcceptedFinding[];
  /** Items that are done one after the other, several times. */
  readonly circuits?: readonly Circuit[];
  /** How this class is taught, where that is not as its instructor usually does. */
  readonly style?: TeachingStyle;
  /** What it is about for the children: pirates, the sea, a motto. */
  readonly story?: string;
  readonly homeTask?: HomeTask;
}

/** A finding that is known by its check and its items. */
export interface AcceptedFinding {
  readonly check: string;
  readonly itemIds: readonly ItemId[];
  readonly reason: string;
}

/** The most items a plan takes: far beyond any class, so that reckoning stays within bounded time. */
export const mostItems = 200;
export const mostSections = 40;

export interface PlacedItem {
  readonly item: Item;
  readonly section: Section;
}

/** The items in the order in which they are taught, each with its section. */
export function placedItems(plan: ClassPlan): readonly PlacedItem[] {
  return plan.sections.flatMap((section) => section.items.map((item) => ({ item, section })));
}

export function findItem(plan: ClassPlan, id: ItemId): PlacedItem | undefined {
  return placedItems(plan).find((placed) => placed.item.id === id);
}

/** How many times an item's dose is done: twice when left and right come one after the other. */
export function passesOf(item: Pick<Item, 'sides'>): 1 | 2 {
  return item.sides === 'both' ? 2 : 1;
}
