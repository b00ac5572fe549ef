import { groupBy } from '../values/group-by.js';
import { childCount } from './child-count.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Item } from '../class-plan/class-plan.js';
import type { MovementKind } from '../movement/kind.js';
import { tierNames, type Movement } from '../movement/movement.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import { abilityOf, type ChildInClass } from '../versions/child-in-class.js';
import { firstRounds } from '../timing/timeline.js';
import { versionsOf, type Version } from '../versions/version.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

const learnt: ReadonlySet<MovementKind> = new Set(['skill', 'drill', 'strength', 'combination']);

export interface Fact {
  readonly kind: 'one-for-all';
  readonly easier: number;
  readonly harder: number;
}

/**
 * One version for everybody in a group of mixed grades, of skills, drills, strength and phrases that have others which some of the
 * children would do: the youngest are lost or the oldest are bored (job.md). One finding for the class. A version set by hand for a
 * child is not asked about.
 */
export const oneForAll = defineCheck({
  id: 'one-for-all',
  title: 'One version for all',
  says: 'A skill, a drill, strength or a combination has one version in a group of mixed grades.',
  gravest: 'hint',
  look: ({ timeline, library, children, ladder, startsAt, versionsByItem }): readonly Found<Fact>[] => {
    const single = firstRounds(timeline.items).filter(
      ({ item, movement }) => item.tiers.length === 1 && learnt.has(movement.kind) && tiersOf(movement).length > 1,
    );
    if (single.length === 0 || children.length < 2) return [];
    const open = single.map((timed) => ({ ...timed, item: withAllTiers(timed.item, timed.movement) }));
    const own = new Set(single.map(({ item }) => item.id));
    const planned = new Map(
      versionsByItem
        .filter(([first]) => first && own.has(first.itemId))
        .flatMap((versions) => versions.map(({ itemId, childId, tier }) => [`${itemId} ${childId}`, tier] as const)),
    );
    const other = versionsOf(open, library, { children, ladder, startsAt }).filter(
      ({ itemId, childId, tier, isByHand }) =>
        !isByHand && tier !== null && tier !== 'instead' && tier !== planned.get(`${itemId} ${childId}`),
    );
    // where all would do the same other version, that is the version of the class: of mixed grades they are not of one mind
    const better = isMixed(children, ladder)
      ? other
      : [...groupBy(other, ({ itemId }) => itemId).values()].filter((own) => own.length < children.length).flat();
    if (better.length === 0) return [];
    const asked = new Set(better.map(({ itemId }) => itemId));
    const items = single.filter(({ item }) => asked.has(item.id));
    const only = new Map(single.map(({ item }) => [item.id, item.tiers[0]]));
    const isEasier = ({ itemId, tier }: Version): boolean => tier === 'easier' || (tier === 'core' && only.get(itemId) === 'harder');
    const childrenWith = (isSuch: (version: Version) => boolean): number =>
      new Set(better.filter(isSuch).map(({ childId }) => childId)).size;
    return [
      {
        severity: 'hint',
        itemIds: items.map(({ item }) => item.id),
        childIds: [...new Set(better.map(({ childId }) => childId))],
        fact: {
          kind: 'one-for-all',
          easier: childrenWith((version) => isEasier(version)),
          harder: childrenWith((version) => !isEasier(version)),
        },
        mend: items.map(({ item, movement }): PlanEdit => ({ kind: 'set-tiers', item: item.id, tiers: tiersOf(movement) })),
      },
    ];
  },
  words: ({ easier, harder }, { name }) => ({
    title: 'One version for all',
    sentence: `${name}: there are others${[
      ...(easier > 0 ? [`, ${childCount(easier)} would do an easier one`] : []),
      ...(harder > 0 ? [`, ${childCount(harder)} could do a harder one`] : []),
    ].join('')}.`,
  }),
  mendWords: () => 'Use all versions',
});

const tiersOf = ({ tiers }: { readonly tiers: object }) => tierNames.filter((name) => name in tiers);

/** Children of one grade, or none, do one version with good reason. */
function isMixed(children: readonly ChildInClass[], ladder: Syllabus | null): boolean {
  return new Set(children.map((child) => abilityOf(child, ladder).rung)).size > 1;
}

/** The same item opened to all versions; kept, so that its versions are reckoned once. */
const opened = new WeakMap<Item, Item>();

function withAllTiers(item: Item, movement: Movement): Item {
  const all = opened.get(item) ?? { ...item, tiers: tiersOf(movement) };
  opened.set(item, all);
  return all;
}
