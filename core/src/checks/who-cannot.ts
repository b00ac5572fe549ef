import type { ChildId, ItemId, MovementSlug } from '../values/unit.js';
import type { Version } from '../versions/version.js';
import type { CheckContext } from './check.js';

/** What the versions of one item say to the checks; found once for as long as the item is the same. */
interface Summary {
  /** Of which something is to be said: few. */
  readonly troubled: readonly Version[];
  /** What is done instead of the item, by how many. */
  readonly instead: ReadonlyMap<MovementSlug, number>;
}

const summaries = new WeakMap<readonly Version[], Summary>();

export function summaryOf(versions: readonly Version[]): Summary {
  const before = summaries.get(versions);
  if (before) return before;
  const instead = new Map<MovementSlug, number>();
  for (const { tier, movement } of versions) if (tier === 'instead') instead.set(movement, (instead.get(movement) ?? 0) + 1);
  const troubled = versions.filter((version) => version.tier === null || version.lacks.length > 0 || isAgainstHealth(version));
  const found: Summary = { troubled, instead };
  summaries.set(versions, found);
  return found;
}

const troubledIn = new WeakMap<CheckContext, ReadonlyMap<ItemId, readonly Version[]>>();

/** The versions of each item that are said something of, with the movement. */
export function byItem(context: CheckContext, wanted: (version: Version) => boolean) {
  const known = troubledIn.get(context) ?? troubledByItem(context);
  troubledIn.set(context, known);
  const groups = new Map<ItemId, readonly Version[]>();
  for (const [id, troubled] of known) {
    const versions = troubled.filter(wanted);
    if (versions.length > 0) groups.set(id, versions);
  }
  if (groups.size === 0) return [];
  return context.timeline.items.flatMap(({ item, movement }) => {
    const versions = groups.get(item.id);
    return versions ? [{ item, movement, versions }] : [];
  });
}

function troubledByItem({ versionsByItem }: CheckContext): ReadonlyMap<ItemId, readonly Version[]> {
  const found = new Map<ItemId, readonly Version[]>();
  for (const versions of versionsByItem) {
    const { troubled } = summaryOf(versions);
    if (troubled[0]) found.set(troubled[0].itemId, troubled);
  }
  return found;
}

/** Set by hand although a health note says otherwise: for this child there is no version, whoever set it. */
export const isAgainstHealth = ({ isByHand, bar }: Version): boolean => isByHand && bar !== null;

export const childrenOf = (versions: readonly Version[]): readonly ChildId[] => versions.map(({ childId }) => childId);
