import type { Item } from '../class-plan/class-plan.js';
import { movementsOfKind } from '../movement/by-kind.js';
import type { Library } from '../movement/library.js';
import type { MovementKind } from '../movement/kind.js';
import type { Hazard } from '../movement/hazard.js';
import type { Region } from '../movement/region.js';
import { tierNames, type Movement, type TierName } from '../movement/movement.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ChildId, ItemId, MovementSlug } from '../unit.js';
import { abilityOf, rungOf, type Ability, type ChildInClass } from './child-in-class.js';
import { lacking, type HomeNeed } from './home-needs.js';
import { sparedIn } from './spares.js';

/** Why a child does not do a version. */
export type Bar =
  | { readonly kind: 'grade'; readonly grade: string }
  | { readonly kind: 'prerequisite'; readonly movement: MovementSlug }
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
  /** What a version set by hand wants and the home does not have. */
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

/** How far from a movement its easier relatives are looked for. */
const furthestRelative = 4;

/**
 * Which version each child does of each item, and why (model.md): from the harder tier to the easier the first that its grade
 * reaches, whose prerequisites stand, and which its home allows; else the nearest easier relative that does; else none.
 * A version set by hand stands whatever is known. The prerequisites of the movement bar the core and the harder tier: the
 * easier one is there for those who lack them.
 * @returns one version per item and child, in the order of the items and then of the children
 */
export function versionsOf(items: readonly TimedItem[], library: Library, context: VersionContext): readonly Version[] {
  const kept = keptFor(library, context);
  if (items.every(({ item }) => kept.byItem.has(item))) return items.flatMap(({ item }) => kept.byItem.get(item) ?? []);
  const abilities = context.children.map((child) => abilityOf(child, context.ladder));
  const search: Search = {
    ...context,
    relativesOf: askedOnce((movement) => easierRelatives(movement, library)),
    standInsOf: askedOnce((movement) => sameUse(movement, library)),
  };
  return items.flatMap(({ item, movement }) => {
    const versions = kept.byItem.get(item) ?? abilities.map((ability) => versionOf(item, movement, ability, search));
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
}

/** A plan is reckoned anew after every key; what does not change keeps its object, and so its versions. */
const keptVersions = new WeakMap<readonly ChildInClass[], KeptVersions>();

function keptFor(library: Library, { children, ladder, startsAt }: VersionContext): KeptVersions {
  const before = keptVersions.get(children);
  if (before?.library === library && before.ladder === ladder && before.startsAt === startsAt) return before;
  const kept: KeptVersions = { library, ladder, startsAt, byItem: new WeakMap() };
  keptVersions.set(children, kept);
  return kept;
}

/** What else there is for a movement: the same for all children, and looked for only where somebody needs it. */
interface Search extends VersionContext {
  readonly relativesOf: (movement: Movement) => readonly Movement[];
  readonly standInsOf: (movement: Movement) => readonly Movement[];
}

function askedOnce(ask: (movement: Movement) => readonly Movement[]): (movement: Movement) => readonly Movement[] {
  const answers = new Map<MovementSlug, readonly Movement[]>();
  return (movement) => {
    const answer = answers.get(movement.slug) ?? ask(movement);
    answers.set(movement.slug, answer);
    return answer;
  };
}

function versionOf(item: Item, movement: Movement, ability: Ability, context: Search): Version {
  const { child } = ability;
  const byHand = item.tierByHand?.[child.id];
  if (byHand !== undefined) {
    const equipment = movement.tiers[byHand]?.equipment;
    const lacks = child.home ? lacking(movement, equipment, child.home, context.startsAt) : nothing;
    const bar = healthBar(movement, child);
    return { itemId: item.id, childId: child.id, tier: byHand, movement: movement.slug, isByHand: true, bar, lacks };
  }
  const reckoned = (tier: Version['tier'], slug: MovementSlug, bar: Bar | null): Version => ({
    itemId: item.id,
    childId: child.id,
    tier,
    movement: slug,
    isByHand: false,
    bar,
    lacks: nothing,
  });
  let bar: Bar | null = null;
  for (const tier of hardestFirst) {
    if (!item.tiers.includes(tier)) continue;
    const found = barOf(movement, tier, ability, context);
    if (!found) return reckoned(tier, movement.slug, bar);
    bar = found;
  }
  const fits = (one: Movement): boolean => barOf(one, 'core', ability, context) === null;
  const relative = context.relativesOf(movement).find(fits) ?? context.standInsOf(movement).find(fits);
  return reckoned(relative ? 'instead' : null, relative?.slug ?? movement.slug, bar);
}

const hardestFirst = tierNames.toReversed();
const nothing: readonly HomeNeed[] = [];
const noPrerequisites: Movement['prerequisites'] = [];

function healthBar(movement: Movement, { spares }: ChildInClass): Bar | null {
  const spared = sparedIn(movement, spares);
  return spared && { kind: 'health', spared };
}

/** What keeps a child from a version of a movement; null where nothing does. */
function barOf(movement: Movement, tier: TierName, ability: Ability, { ladder, startsAt }: VersionContext): Bar | null {
  const { child } = ability;
  const said = movement.tiers[tier];
  if (child.ageYears < movement.leastAge) return { kind: 'age', leastAge: movement.leastAge };
  const health = healthBar(movement, child);
  if (health) return health;
  if (said?.fromGrade && rungOf(said.fromGrade, ladder) > ability.rung) return { kind: 'grade', grade: said.fromGrade };
  const open =
    (said?.prerequisites ?? noPrerequisites).find((one) => !ability.reaches(one)) ??
    (tier === 'easier' ? noPrerequisites : movement.prerequisites).find((one) => !ability.reaches(one));
  if (open) return { kind: 'prerequisite', movement: open.movement };
  const [need] = child.home ? lacking(movement, said?.equipment, child.home, startsAt) : [];
  return need === undefined ? null : { kind: 'home', need };
}

/** What is done instead and what comes before, and before that: the nearest first. */
function easierRelatives(movement: Movement, library: Library): readonly Movement[] {
  const seen = new Set([movement.slug]);
  const found: Movement[] = [];
  let open: readonly Movement[] = [movement];
  for (let distance = 1; distance <= furthestRelative && open.length > 0; distance += 1) {
    const next: Movement[] = [];
    for (const { instead, prerequisites } of open)
      for (const slug of [...(instead === null ? [] : [instead]), ...prerequisites.map((one) => one.movement)]) {
        const relative = seen.has(slug) ? undefined : library.get(slug);
        seen.add(slug);
        if (relative) next.push(relative);
      }
    found.push(...next);
    open = next;
  }
  return found;
}

/** What stands in for a stretch, a warm-up or a game need not be a step towards it; for a skill it has to be. */
const learnt: ReadonlySet<MovementKind> = new Set(['skill', 'drill', 'combination']);

/** Other movements of the same kind and use, no harder than it: they ready, stretch or load the same; the nearest first. */
function sameUse(movement: Movement, library: Library): readonly Movement[] {
  if (learnt.has(movement.kind)) return [];
  const wanted = useOf(movement);
  const shared = (one: Movement): number => [...useOf(one)].filter((region) => wanted.has(region)).length;
  return movementsOfKind(library, movement.kind)
    .filter(
      (one) =>
        one.slug !== movement.slug &&
        one.effort <= movement.effort &&
        one.sections.some((section) => movement.sections.includes(section)) &&
        (one.programmes.length === 0 || one.programmes.some((programme) => movement.programmes.includes(programme))),
    )
    .map((one) => ({ one, shared: shared(one) }))
    .filter((found) => wanted.size === 0 || found.shared > 0)
    .sort((a, b) => b.shared - a.shared)
    .map(({ one }) => one);
}

const useOf = ({ prepares, lengthens, loads }: Movement): ReadonlySet<Region> =>
  new Set([...prepares, ...lengthens, ...loads.map(({ region }) => region)]);

/** How many children do which version of an item. */
export interface VersionCounts {
  readonly easier: number;
  readonly core: number;
  readonly harder: number;
  readonly instead: number;
  readonly none: number;
}

/** Counts of versions by item. */
export function versionCounts(versions: readonly Version[]): ReadonlyMap<ItemId, VersionCounts> {
  const counts = new Map<ItemId, Record<keyof VersionCounts, number>>();
  for (const { itemId, tier } of versions) {
    const own = counts.get(itemId) ?? { easier: 0, core: 0, harder: 0, instead: 0, none: 0 };
    own[tier ?? 'none'] += 1;
    counts.set(itemId, own);
  }
  return counts;
}
