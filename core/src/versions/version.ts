import type { Item } from '../class-plan/class-plan.js';
import type { Library } from '../movement/library.js';
import type { Hazard } from '../movement/hazard.js';
import type { Region } from '../movement/region.js';
import { heightM, libraryHeightM } from '../movement/height.js';
import { fromYears, tierNames, type LittleRoomWay, type Movement, type Prerequisite, type TierName } from '../movement/movement.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ChildId, ItemId, MovementSlug } from '../values/unit.js';
import { abilityOf, rungOf, type Ability, type ChildInClass } from './child-in-class.js';
import { firstLack, lacking, roomFor, type HomeNeed } from './home-needs.js';
import { relativesIn, type Relatives } from './relatives.js';
import { sparedIn } from './spares.js';

/** Why a child does not do a version. */
export type Bar =
  | { readonly kind: 'grade'; readonly grade: string }
  | { readonly kind: 'prerequisite'; readonly movement: MovementSlug }
  /** The harder one without a grade waits until the movement itself is clean. */
  | { readonly kind: 'not-clean' }
  | { readonly kind: 'age'; readonly leastAge: number }
  | { readonly kind: 'home'; readonly need: HomeNeed }
  | { readonly kind: 'health'; readonly spared: Region | Hazard };

/** What one child does of one item. */
export interface Version {
  readonly itemId: ItemId;
  readonly childId: ChildId;
  /** `instead` for another movement; null where nothing fits. */
  readonly tier: TierName | 'instead' | null;
  /** What the child does; the item's movement where nothing fits. */
  readonly movement: MovementSlug;
  /** Set by hand. */
  readonly isByHand: boolean;
  /**
   * What kept the child from more: from the next harder version, or from all of them. Null where nothing did. Of a version
   * set by hand: what a health note says against it.
   */
  readonly bar: Bar | null;
  /** How it is done for want of room; left out where there is enough. */
  readonly inLittleRoom?: LittleRoomWay;
  /** What a version set by hand, or the help that the item asks for, wants and the home does not have. */
  readonly lacks: readonly HomeNeed[];
}

/** Who is taught, and when. */
export interface VersionContext {
  readonly children: readonly ChildInClass[];
  /** The ladder of the programme; null where there is none: then no grade bars anybody. */
  readonly ladder: Syllabus | null;
  /** When the class begins, `HH:MM`; null where that is not known. */
  readonly startsAt: string | null;
}

/**
 * Which version each child does of each item, and why (model.md): the core is what the class does. The harder one is for who has
 * reached its grade or does the movement clean, the prerequisites standing; nobody gets it just because nothing forbids it. Else the
 * core, where grade and prerequisites allow – an earned grade that asks the movement opens it –; else the easier one, which has only
 * prerequisites of its own; else the nearest easier relative; else none. Each step asks the home and the health notes as well.
 * A version set by hand stands whatever is known.
 * @returns one version per item and child, in the order of the items and then of the children
 */
export function versionsOf(items: readonly TimedItem[], library: Library, context: VersionContext): readonly Version[] {
  // lists are joined whole, far faster than one by one: there are hundreds of versions, and this runs at every key
  return ([] as readonly Version[]).concat(...versionsByItem(items, library, context));
}

/** The same by item. An item that did not change keeps its list, for the same children, library, ladder and hour. */
export function versionsByItem(items: readonly TimedItem[], library: Library, context: VersionContext): readonly (readonly Version[])[] {
  const kept = keptFor(library, context);
  const relatives = relativesIn(library);
  return items.map(({ item, movement }) => {
    const known = kept.byItem.get(item);
    if (known) return known;
    kept.abilities ??= context.children.map((child) => abilityOf(child, context.ladder));
    // what is the same for every child is found once: there are hundreds of versions
    const tiers = hardestFirst.filter((tier) => item.tiers.includes(tier));
    const versions = kept.abilities.map((ability) => versionOf(item, movement, tiers, ability, context, relatives));
    kept.byItem.set(item, versions);
    return versions;
  });
}

/** What was found for the items of a plan; holds for the same children, library, ladder and hour. */
interface KeptVersions {
  readonly library: Library;
  readonly ladder: Syllabus | null;
  readonly startsAt: string | null;
  readonly byItem: WeakMap<Item, readonly Version[]>;
  /** What each child is able to do; null as long as nobody asked. */
  abilities: readonly Ability[] | null;
}

/** A plan is reckoned anew after every key; what does not change keeps its object, and so its versions. */
const keptVersions = new WeakMap<readonly ChildInClass[], KeptVersions>();

function keptFor(library: Library, { children, ladder, startsAt }: VersionContext): KeptVersions {
  const before = keptVersions.get(children);
  if (before?.library === library && before.ladder === ladder && before.startsAt === startsAt) return before;
  const kept: KeptVersions = { library, ladder, startsAt, byItem: new WeakMap(), abilities: null };
  keptVersions.set(children, kept);
  return kept;
}

/**
 * The movement with the room that the item takes: lengths are as long as they are written, whatever it takes on the spot and however
 * tall who does it is.
 */
export function inItsRoom({ dose }: Pick<Item, 'dose'>, movement: Movement, ageYears?: number): Movement {
  if (dose.kind !== 'lengths') return movement;
  const scale = ageYears === undefined ? 1 : heightM(ageYears) / libraryHeightM;
  const footprint = { ...movement.needs.footprint, lengthM: dose.metres / scale };
  return { ...movement, needs: { ...movement.needs, footprint } };
}

function versionOf(
  item: Item,
  movement: Movement,
  tiers: readonly TierName[],
  ability: Ability,
  context: VersionContext,
  relatives: Relatives,
): Version {
  const { child } = ability;
  const itemId = item.id;
  const childId = child.id;
  const byHand = item.tierByHand?.[childId];
  if (byHand !== undefined) {
    const asked = inItsRoom(item, movement, child.ageYears);
    const lacks = child.home ? lacking(asked, movement.tiers[byHand], child.home, child.ageYears, context.startsAt) : nothing;
    const bar = healthBar(movement, child);
    return inRoom({ itemId, childId, tier: byHand, movement: movement.slug, isByHand: true, bar, lacks }, asked, child);
  }
  const asked = inItsRoom(item, movement, child.ageYears);
  let bar: Bar | null = null;
  for (const tier of tiers) {
    const found = barOf(asked, tier, ability, context);
    if (!found) {
      const lacks = helpLacking(item, child);
      return inRoom({ itemId, childId, tier, movement: movement.slug, isByHand: false, bar, lacks }, asked, child);
    }
    bar = found;
  }
  const fits = (one: Movement): boolean => barOf(one, 'core', ability, context) === null;
  const other = relatives.easierThan(movement).find(fits) ?? relatives.standInsFor(movement).find(fits);
  if (!other) return { itemId, childId, tier: null, movement: movement.slug, isByHand: false, bar, lacks: nothing };
  return inRoom({ itemId, childId, tier: 'instead', movement: other.slug, isByHand: false, bar, lacks: nothing }, other, child);
}

/** Somebody is to help, and nobody is there: it can be done without, and is told. */
function helpLacking({ helper }: Item, { home }: ChildInClass): readonly HomeNeed[] {
  if (!helper || !home) return nothing;
  if (helper.who === 'partner') return home.partner ? nothing : lacksPartner;
  return home.adult === 'not-at-hand' ? lacksAdult : nothing;
}
const lacksPartner: readonly HomeNeed[] = ['partner'];
const lacksAdult: readonly HomeNeed[] = ['adult'];

/** The version with how it is done where the home is too little for it: asked of the few movements that can be done so. */
function inRoom(version: Version, { needs }: Movement, { home, ageYears }: ChildInClass): Version {
  if (!home || !needs.inLittleRoom) return version;
  const how = roomFor({ needs }, home, ageYears);
  return how === 'as-it-is' || how === 'none' ? version : { ...version, inLittleRoom: how };
}

const hardestFirst = tierNames.toReversed();
const nothing: readonly HomeNeed[] = [];

function healthBar(movement: Movement, { spares }: ChildInClass): Bar | null {
  const spared = sparedIn(movement, spares);
  return spared && { kind: 'health', spared };
}

/** What keeps a child from a version of a movement; null where nothing does. */
function barOf(movement: Movement, tier: TierName, ability: Ability, { ladder, startsAt }: VersionContext): Bar | null {
  const { child } = ability;
  const said = movement.tiers[tier];
  const leastAge = fromYears(movement);
  if (child.ageYears < leastAge) return { kind: 'age', leastAge };
  const health = healthBar(movement, child);
  if (health) return health;
  // what a grade of the child asks is open to it, whatever else is known of its past
  const isOpen = tier === 'core' && ability.hasEarned(movement.slug);
  const untold = isOpen ? null : recordBar(movement, tier, ability, ladder);
  if (untold) return untold;
  const need = child.home && firstLack(movement, said, child.home, child.ageYears, startsAt);
  return need && { kind: 'home', need };
}

/** What grade and record say against a version. */
function recordBar(movement: Movement, tier: TierName, ability: Ability, ladder: Syllabus | null): Bar | null {
  const said = movement.tiers[tier];
  const wanted = said?.fromGrade == null ? 0 : rungOf(said.fromGrade, ladder);
  const isBelow = said?.fromGrade != null && wanted > ability.rung;
  if (tier !== 'harder') {
    if (isBelow) return { kind: 'grade', grade: said.fromGrade };
  } else if (!ability.isClean(movement.slug)) {
    if (isBelow) return { kind: 'grade', grade: said.fromGrade };
    // without a grade that the ladder has, only the record opens it
    if (wanted === 0) return { kind: 'not-clean' };
  }
  const open = firstOpen(said?.prerequisites, ability) ?? (tier === 'easier' ? undefined : firstOpen(movement.prerequisites, ability));
  return open ? { kind: 'prerequisite', movement: open.movement } : null;
}

function firstOpen(prerequisites: Movement['prerequisites'] | undefined, ability: Ability): Prerequisite | undefined {
  if (prerequisites) for (const one of prerequisites) if (!ability.reaches(one)) return one;
  return undefined;
}

/** How many children do which version of an item. */
export interface VersionCounts {
  readonly easier: number;
  readonly core: number;
  readonly harder: number;
  readonly instead: number;
  readonly none: number;
  /** What those do who do something else, the most frequent first. */
  readonly others: readonly MovementSlug[];
}

/** Counts of versions by item. */
export function versionCounts(versions: readonly Version[]): ReadonlyMap<ItemId, VersionCounts> {
  type Counting = Record<Exclude<keyof VersionCounts, 'others'>, number> & { readonly by: Map<MovementSlug, number> };
  const counts = new Map<ItemId, Counting>();
  for (const { itemId, tier, movement } of versions) {
    const own = counts.get(itemId) ?? { easier: 0, core: 0, harder: 0, instead: 0, none: 0, by: new Map<MovementSlug, number>() };
    own[tier ?? 'none'] += 1;
    if (tier === 'instead') own.by.set(movement, (own.by.get(movement) ?? 0) + 1);
    counts.set(itemId, own);
  }
  return new Map(
    [...counts].map(([id, { by, ...own }]) => [id, { ...own, others: [...by].sort((a, b) => b[1] - a[1]).map(([movement]) => movement) }]),
  );
}
