import { groupBy } from '../group-by.js';
import type { Hazard } from '../movement/hazard.js';
import type { Movement } from '../movement/movement.js';
import type { ChildId } from '../unit.js';
import type { HomeNeed } from '../versions/home-needs.js';
import type { Bar, Version } from '../versions/version.js';
import type { Check, CheckContext } from './check.js';
import type { CheckId, Finding, Severity } from './finding.js';

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
function byItem(context: CheckContext, wanted: (version: Version) => boolean) {
  const groups = groupBy(troubledVersions(context).filter(wanted), ({ itemId }) => itemId);
  if (groups.size === 0) return [];
  return context.timeline.items.flatMap(({ item, movement }) => {
    const versions = groups.get(item.id);
    return versions ? [{ item, movement, versions }] : [];
  });
}

/** Set by hand although a health note says otherwise: for this child there is no version, whoever set it. */
const isAgainstHealth = ({ isByHand, bar }: Version): boolean => isByHand && bar !== null;

const childrenOf = (versions: readonly Version[]): readonly ChildId[] => versions.map(({ childId }) => childId);

/** A child expected has no version of an item, whatever keeps it from it. */
export const noVersion: Check = (context) =>
  byItem(context, (version) => version.tier === null || isAgainstHealth(version)).map(({ item, versions }): Finding => {
    const bar: Bar = versions[0]?.bar ?? { kind: 'age', leastAge: 0 };
    return {
      check: 'no-version',
      severity: 'stop',
      itemIds: [item.id],
      childIds: childrenOf(versions),
      fact: { kind: 'no-version', children: versions.length, bar },
      mend: null,
    };
  });

/** A skill of which a child lacks a prerequisite, and neither a version nor something else fits. */
export const prerequisite: Check = (context) =>
  byItem(context, ({ tier, bar }) => tier === null && bar?.kind === 'prerequisite').flatMap(
    ({ item, movement, versions }): readonly Finding[] => {
      const bar = versions[0]?.bar;
      if (bar?.kind !== 'prerequisite' || !['skill', 'combination', 'drill'].includes(movement.kind)) return [];
      const fact = { kind: 'prerequisite', movement: bar.movement, children: versions.length } as const;
      return [{ check: 'prerequisite', severity: 'stop', itemIds: [item.id], childIds: childrenOf(versions), fact, mend: null }];
    },
  );

const graveHazards: readonly Hazard[] = ['inverted', 'neck-load'];

function severityOf(need: HomeNeed, movement: Movement): Severity {
  if (need === 'surface' && graveHazards.some((hazard) => movement.hazards.includes(hazard))) return 'stop';
  return need === 'adult' && movement.needs.adult === 'hands-on' ? 'stop' : 'caution';
}

/** A home lacks what the version wants that was set for its child, or what every version of the item wants. */
function homeCheck(check: CheckId, need: HomeNeed): Check {
  return (context) =>
    byItem(context, ({ tier, bar, lacks }) => lacks.includes(need) || (tier === null && bar?.kind === 'home' && bar.need === need)).map(
      ({ item, movement, versions }): Finding => ({
        check,
        severity: severityOf(need, movement),
        itemIds: [item.id],
        childIds: childrenOf(versions),
        fact: { kind: 'home-lacks', need, children: versions.length },
        mend: versions.every(({ isByHand }) => isByHand)
          ? versions.map(({ childId }) => ({
              kind: 'set-tier-by-hand' as const,
              item: item.id,
              child: childId,
              tier: 'as-reckoned' as const,
            }))
          : null,
      }),
    );
}

export const surface = homeCheck('surface', 'surface');
export const equipment = homeCheck('equipment', 'equipment');
export const adult = homeCheck('adult', 'adult');
export const partner = homeCheck('partner', 'partner');
export const quiet = homeCheck('quiet', 'quiet');
export const homeSpace = homeCheck('footprint', 'space');
