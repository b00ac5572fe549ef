import { clockText } from '../values/clock-text.js';
import type { Movement } from '../movement/movement.js';
import { onHandsSeconds } from '../preparation/on-hands.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import type { Version } from '../versions/version.js';
import { defineCheck, type CheckContext } from './check.js';
import { limitAt, numberIn, ruleByAge, ruleNumber } from './club-rules.js';
import { bodiesIn, itemsWhere, listsIn, named, type OneBody } from './each-body.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export const atOnce = ruleByAge({
  id: 'wrist-time.at-once',
  words: 'On the hands at a stretch at most',
  unit: 'seconds',
  usual: [
    { upToYears: 7, limit: 60 },
    { upToYears: 99, limit: 90 },
  ],
  least: 10,
  most: 600,
});

export const relief = ruleNumber({
  id: 'wrist-time.relief',
  words: 'Relief for the wrists in between at least',
  unit: 'seconds',
  usual: 30,
  least: 5,
  most: 180,
});

export interface Fact {
  readonly kind: 'wrist-time';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
  readonly reliefSeconds: Seconds;
}

/** Weight on the hands with less relief in between than it takes. */
interface Stretch {
  readonly items: readonly TimedItem[];
  readonly seconds: Seconds;
}

export const onHands = (movement: Movement): boolean => movement.hazards.includes('weight-on-hands');

/** Weight on the hands through the class. */
interface OnHands {
  /** Of which somebody has some. */
  readonly items: readonly TimedItem[];
  /** By body, in the order of `bodiesIn`: the seconds of each of these items. */
  readonly seconds: readonly (readonly Seconds[])[];
}

const known = new WeakMap<CheckContext, OnHands>();

/** Reckoned once for all who ask. */
export function onHandsIn(context: CheckContext): OnHands {
  const before = known.get(context);
  if (before) return before;
  const items = itemsWhere(context, onHands);
  const bodies = bodiesIn(context);
  const shares = items.map((timed) => sharesOf(context, bodies, timed));
  const seconds = bodies.map((_body, nth) => items.map(({ movingSeconds }, index) => movingSeconds * (shares[index]?.[nth] ?? 0)));
  const found: OnHands = { items, seconds };
  known.set(context, found);
  return found;
}

const knownShares = new WeakMap<readonly Version[], readonly number[]>();

/** How much of the moving of an item each body has its hands on the floor; the same for as long as the item and the children are. */
function sharesOf(context: CheckContext, bodies: readonly OneBody[], timed: TimedItem): readonly number[] {
  const versions = listsIn(context.versionsByItem).get(timed.item.id);
  const before = versions && knownShares.get(versions);
  if (before) return before;
  const shares = bodies.map((body) => {
    const done = body.does(timed);
    return done ? onHandsSeconds({ movement: done.movement, movingSeconds: done.share }, done.dose) : 0;
  });
  if (versions) knownShares.set(versions, shares);
  return shares;
}

/** Too long on the hands without relief. */
export const wristTime = defineCheck({
  id: 'wrist-time',
  title: 'Long on the hands',
  says: 'The hands carry for long at a stretch, without relief for the wrists.',
  gravest: 'caution',
  numbers: [atOnce, relief],
  look: (context): readonly Found<Fact>[] => {
    const { items, seconds: bySeconds } = onHandsIn(context);
    if (items.length === 0) return [];
    const bodies = bodiesIn(context);
    const limitOf = limitAt(context, atOnce);
    const reliefSeconds = numberIn(context, relief);
    const itemIds = new Set<ItemId>();
    const over: OneBody[] = [];
    let worst: (Stretch & { readonly limit: Seconds }) | null = null;
    for (const [nth, body] of bodies.entries()) {
      const limit = limitOf(body.ageYears);
      const tooLong = stretchesOver(limit + 0.5, bySeconds[nth] ?? [], items, reliefSeconds);
      if (tooLong.length > 0) over.push(body);
      for (const stretch of tooLong) {
        for (const { item } of stretch.items) itemIds.add(item.id);
        if (!worst || stretch.seconds / limit > worst.seconds / worst.limit) worst = { ...stretch, limit };
      }
    }
    if (!worst) return [];
    const inOrder = [...new Set(items.map(({ item }) => item.id))].filter((id) => itemIds.has(id));
    return [
      {
        severity: 'caution',
        itemIds: inOrder,
        ...named(over, bodies),
        fact: { kind: 'wrist-time', seconds: Math.round(worst.seconds), limitSeconds: worst.limit, reliefSeconds },
        mend: relieved(context, worst),
      },
    ];
  },
  words: ({ seconds, limitSeconds, reliefSeconds }, { name }) => ({
    title: `${clockText(seconds)} on the hands`,
    sentence: `${name}: at this age ${String(limitSeconds)} seconds without ${reliefSeconds === 30 ? 'half a minute' : `${String(reliefSeconds)} seconds`} of relief are usual.`,
  }),
});

/** The stretches of one body that are longer than so many seconds. */
function stretchesOver(
  most: Seconds,
  seconds: readonly Seconds[],
  items: readonly TimedItem[],
  reliefSeconds: Seconds,
): readonly Stretch[] {
  const stretches: Stretch[] = [];
  let own: TimedItem[] = [];
  let sum = 0;
  let end = -Infinity;
  const close = (): void => {
    if (sum > most) stretches.push({ items: own, seconds: sum });
    own = [];
    sum = 0;
  };
  for (const [index, timed] of items.entries()) {
    const here = seconds[index] ?? 0;
    if (here === 0) continue;
    // what is explained before the hands come down is relief as well
    if (timed.workStartSecond - end >= reliefSeconds) close();
    end = timed.startSecond + timed.seconds;
    own.push(timed);
    sum += here;
  }
  close();
  return stretches;
}

/** Puts relief for the wrists before the item that goes over; no mend where one item alone does. */
function relieved(context: CheckContext, { items, limit }: Stretch & { readonly limit: Seconds }): Found<Fact>['mend'] {
  let carried = 0;
  const over = items.find((timed) => (carried += onHandsSeconds(timed, timed.item.dose)) > limit);
  const helps = (movement: Movement): boolean =>
    movement.prepares.includes('wrists') && !onHands(movement) && !movement.loads.some(({ region }) => region === 'wrists');
  const easing = suitableMovement(context, ['mobiliser', 'dynamic-stretch', 'break'], 'eases wrists', (movement) =>
    helps(movement) ? movement.effort : movement.kind === 'break' ? 20 : null,
  );
  if (!over || over === items[0] || !easing) return null;
  const item = { ...mendItem(easing, context), dose: { kind: 'timed', seconds: numberIn(context, relief) } as const };
  return [{ kind: 'insert', item, place: { at: 'before', item: over.item.id } }];
}
