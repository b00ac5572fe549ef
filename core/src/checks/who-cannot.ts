import { groupBy } from '../values/group-by.js';
import type { ChildId } from '../values/unit.js';
import type { Version } from '../versions/version.js';
import type { CheckContext } from './check.js';

const troubled = new WeakMap<CheckContext, readonly Version[]>();

/** Versions of which something is to be said – few, of hundreds –, looked for once for all checks. */
function troubledVersions(context: CheckContext): readonly Version[] {
  const known =
    troubled.get(context) ??
    context.versions.filter((version) => version.tier === null || version.lacks.length > 0 || isAgainstHealth(version));
  troubled.set(context, known);
  return known;
}

/** The versions of each item that are said something of, with the movement. */
export function byItem(context: CheckContext, wanted: (version: Version) => boolean) {
  const groups = groupBy(troubledVersions(context).filter(wanted), ({ itemId }) => itemId);
  if (groups.size === 0) return [];
  return context.timeline.items.flatMap(({ item, movement }) => {
    const versions = groups.get(item.id);
    return versions ? [{ item, movement, versions }] : [];
  });
}

/** Set by hand although a health note says otherwise: for this child there is no version, whoever set it. */
export const isAgainstHealth = ({ isByHand, bar }: Version): boolean => isByHand && bar !== null;

export const childrenOf = (versions: readonly Version[]): readonly ChildId[] => versions.map(({ childId }) => childId);
