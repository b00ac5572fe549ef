import { regionWord } from '../movement/region-word.js';
import { capitalised } from '../values/capitalised.js';
import { listText } from '../values/list-text.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Movement } from '../movement/movement.js';
import type { Load, Region } from '../movement/region.js';
import { bodiesThrough, graveRegions } from '../preparation/bodies.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import { numberIn } from './club-rules.js';
import { staysReady } from './preparation-rules.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export interface Fact {
  readonly kind: 'unprepared-region';
  /** In the order in which they are loaded. */
  readonly regions: readonly Region[];
  /** For so long what was readied stays ready. */
  readonly withinMinutes: number;
}

/** The trunk bears its load by what it does: only much of it wants readying. */
const bornBy: ReadonlySet<Region> = new Set(['core', 'hip-flexors']);

const counts = ({ kind }: Movement, { region, amount }: Load): boolean => kind !== 'pulse-raiser' && amount >= (bornBy.has(region) ? 3 : 2);

interface Unready {
  readonly timed: TimedItem;
  readonly region: Region;
}

/** Items load regions that nothing has readied lately and that are not in use: grave ones together, others together. */
export const unpreparedRegion = defineCheck({
  id: 'unprepared-region',
  title: 'Region not prepared',
  says: 'A part of the body is loaded that nothing has readied and that is not in use.',
  gravest: 'stop',
  numbers: [staysReady],
  look: (context): readonly Found<Fact>[] => {
    const bodies = bodiesThrough(context.timeline, context.preparation);
    const withinMinutes = numberIn(context, staysReady);
    const unready = context.timeline.items.flatMap((timed, index): readonly Unready[] =>
      (bodies[index]?.loads ?? []).flatMap(({ load, readySecondsAgo }) =>
        readySecondsAgo === null && counts(timed.movement, load) ? [{ timed, region: load.region }] : [],
      ),
    );
    const told = (severity: 'stop' | 'caution', some: readonly Unready[]): readonly Found<Fact>[] =>
      some.length === 0
        ? []
        : [
            {
              severity,
              itemIds: [...new Set(some.map(({ timed }) => timed.item.id))],
              fact: { kind: 'unprepared-region', regions: [...new Set(some.map(({ region }) => region))], withinMinutes },
              mend: prepareFirst(context, some),
            },
          ];
    return [
      ...told(
        'stop',
        unready.filter(({ region }) => graveRegions.has(region)),
      ),
      ...told(
        'caution',
        unready.filter(({ region }) => !graveRegions.has(region)),
      ),
    ];
  },
  words: ({ regions, withinMinutes }, { name }) => ({
    title: `${capitalised(listText(regions.map(regionWord)))} not prepared`,
    sentence: `${name}: nothing in the ${String(withinMinutes)} minutes before readies the ${listText(regions.map(regionWord))}.`,
  }),
});

/**
 * Before the first item that needs it, the gentlest movement that readies a region, on the same level if there is one; one that readies
 * several of them is taken for all.
 */
function prepareFirst(context: CheckContext, unready: readonly Unready[]): readonly PlanEdit[] | null {
  const edits: PlanEdit[] = [];
  const open = [...unready];
  for (let first = open[0]; first; first = open[0]) {
    const { timed, region } = first;
    const also = new Set(open.filter((one) => one.timed === timed).map((one) => one.region));
    const preparer = suitableMovement(
      context,
      ['mobiliser', 'dynamic-stretch'],
      `${region} of ${[...also].join()} ${timed.movement.level}`,
      (movement) => {
        if (!movement.prepares.includes(region) || movement.loads.some((load) => load.amount >= 2)) return null;
        const shared = movement.prepares.filter((one) => also.has(one)).length;
        return (movement.level === timed.movement.level ? 0 : 10) + movement.effort - 3 * shared;
      },
    );
    if (!preparer) return null;
    edits.push({ kind: 'insert', item: mendItem(preparer, context), place: { at: 'before', item: timed.item.id } });
    const done = new Set(preparer.prepares);
    open.splice(0, open.length, ...open.filter((one) => !done.has(one.region)));
  }
  return edits;
}
