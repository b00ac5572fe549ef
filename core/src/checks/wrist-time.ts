import { clockText } from '../values/clock-text.js';
import type { Movement } from '../movement/movement.js';
import { onHandsSeconds } from '../preparation/on-hands.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export const wristLimits = {
  youngUpToYears: 7,
  youngSeconds: 60,
  olderSeconds: 90,
  reliefSeconds: 30,
} as const;

export interface Fact {
  readonly kind: 'wrist-time';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Too long on the hands without half a minute of relief; one finding for each such stretch. */
export const wristTime = defineCheck({
  id: 'wrist-time',
  look: (context): readonly Found<Fact>[] => {
    const limitSeconds = context.youngestYears <= wristLimits.youngUpToYears ? wristLimits.youngSeconds : wristLimits.olderSeconds;
    const findings: Found<Fact>[] = [];
    let stretch: TimedItem[] = [];
    let carried = 0;
    let free = 0;
    const close = (): void => {
      if (carried > limitSeconds + 0.5) findings.push(findingOn(context, stretch, carried, limitSeconds));
      stretch = [];
      carried = 0;
    };
    for (const timed of context.timeline.items) {
      const seconds = onHandsSeconds(timed);
      if (seconds === 0) {
        free += timed.seconds;
        continue;
      }
      // what is explained before the hands come down is relief as well
      if (free + (timed.workStartSecond - timed.startSecond) >= wristLimits.reliefSeconds) close();
      free = 0;
      carried += seconds;
      stretch.push(timed);
    }
    close();
    return findings;
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `${clockText(seconds)} on the hands`,
    sentence: `${name}: at this age ${String(limitSeconds)} seconds without half a minute of relief are usual.`,
  }),
});

function findingOn(context: CheckContext, stretch: readonly TimedItem[], seconds: Seconds, limitSeconds: Seconds): Found<Fact> {
  const fact = { kind: 'wrist-time', seconds: Math.round(seconds), limitSeconds } as const;
  return {
    severity: 'caution',
    itemIds: stretch.map(({ item }) => item.id),
    fact,
    mend: relief(context, stretch, limitSeconds),
  };
}

/** Puts half a minute for the wrists before the item that goes over; no mend where one item alone does. */
function relief(context: CheckContext, stretch: readonly TimedItem[], limitSeconds: Seconds): Found<Fact>['mend'] {
  let carried = 0;
  const over = stretch.find((timed) => (carried += onHandsSeconds(timed)) > limitSeconds);
  const helps = (movement: Movement): boolean =>
    movement.prepares.includes('wrists') &&
    !movement.hazards.includes('weight-on-hands') &&
    !movement.loads.some(({ region }) => region === 'wrists');
  const easing = suitableMovement(context, ['mobiliser', 'dynamic-stretch', 'break'], (movement) =>
    helps(movement) ? movement.effort : movement.kind === 'break' ? 20 : null,
  );
  if (!over || over === stretch[0] || !easing) return null;
  const item = { ...mendItem(easing, context), dose: { kind: 'timed', seconds: wristLimits.reliefSeconds } as const };
  return [{ kind: 'insert', item, place: { at: 'before', item: over.item.id } }];
}
