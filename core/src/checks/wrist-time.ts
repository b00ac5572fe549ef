import { clockText } from '../values/clock-text.js';
import type { Movement } from '../movement/movement.js';
import { onHandsSeconds } from '../preparation/on-hands.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import { bodiesIn, byAge, itemsWhere, named, type OneBody } from './each-body.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export const wristLimits = {
  atOnce: [
    { upToYears: 7, limit: 60 },
    { upToYears: 99, limit: 90 },
  ],
  reliefSeconds: 30,
} as const;

export interface Fact {
  readonly kind: 'wrist-time';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Weight on the hands with less than half a minute of relief in between. */
interface Stretch {
  readonly items: readonly TimedItem[];
  readonly seconds: Seconds;
}

const limitOf = byAge(wristLimits.atOnce);
export const onHands = (movement: Movement): boolean => movement.hazards.includes('weight-on-hands');

/** Seconds of weight on the hands that an item costs a body. */
export function handsSeconds(body: OneBody, timed: TimedItem): Seconds {
  const done = body.does(timed);
  return done ? onHandsSeconds({ movement: done.movement, movingSeconds: timed.movingSeconds * done.share }, done.dose) : 0;
}

/** Too long on the hands without half a minute of relief. */
export const wristTime = defineCheck({
  id: 'wrist-time',
  look: (context): readonly Found<Fact>[] => {
    const items = itemsWhere(context, onHands);
    if (items.length === 0) return [];
    const bodies = bodiesIn(context);
    const itemIds = new Set<ItemId>();
    const over: OneBody[] = [];
    let worst: (Stretch & { readonly limit: Seconds }) | null = null;
    for (const body of bodies) {
      const limit = limitOf(body.ageYears);
      const tooLong = stretchesOf(body, items).filter(({ seconds }) => seconds > limit + 0.5);
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
        fact: { kind: 'wrist-time', seconds: Math.round(worst.seconds), limitSeconds: worst.limit },
        mend: relief(context, worst),
      },
    ];
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `${clockText(seconds)} on the hands`,
    sentence: `${name}: at this age ${String(limitSeconds)} seconds without half a minute of relief are usual.`,
  }),
});

function stretchesOf(body: OneBody, items: readonly TimedItem[]): readonly Stretch[] {
  const stretches: Stretch[] = [];
  let before: TimedItem | null = null;
  for (const timed of items) {
    const seconds = handsSeconds(body, timed);
    if (seconds === 0) continue;
    // what is explained before the hands come down is relief as well
    const free = before ? timed.workStartSecond - before.startSecond - before.seconds : Infinity;
    before = timed;
    const last = free >= wristLimits.reliefSeconds ? undefined : stretches.pop();
    stretches.push({ items: [...(last?.items ?? []), timed], seconds: (last?.seconds ?? 0) + seconds });
  }
  return stretches;
}

/** Puts half a minute for the wrists before the item that goes over; no mend where one item alone does. */
function relief(context: CheckContext, { items, limit }: Stretch & { readonly limit: Seconds }): Found<Fact>['mend'] {
  let carried = 0;
  const over = items.find((timed) => (carried += onHandsSeconds(timed, timed.item.dose)) > limit);
  const helps = (movement: Movement): boolean =>
    movement.prepares.includes('wrists') && !onHands(movement) && !movement.loads.some(({ region }) => region === 'wrists');
  const easing = suitableMovement(context, ['mobiliser', 'dynamic-stretch', 'break'], (movement) =>
    helps(movement) ? movement.effort : movement.kind === 'break' ? 20 : null,
  );
  if (!over || over === items[0] || !easing) return null;
  const item = { ...mendItem(easing, context), dose: { kind: 'timed', seconds: wristLimits.reliefSeconds } as const };
  return [{ kind: 'insert', item, place: { at: 'before', item: over.item.id } }];
}
