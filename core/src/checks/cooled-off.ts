import type { Movement } from '../movement/movement.js';
import type { Region } from '../movement/region.js';
import type { Seconds } from '../values/unit.js';
import { clockText } from '../values/clock-text.js';
import { defineCheck } from './check.js';
import { coolsAfter } from './preparation-rules.js';
import { itemsAt, rewarmFirst } from './cold.js';
import type { Found } from './finding.js';

const kicking: readonly Region[] = ['hips', 'hip-flexors', 'hamstrings', 'adductors'];

/** On one leg, hard, out of the hip: a turn on one leg is none. */
export function isKick({ posture, effort, loads, kind }: Movement): boolean {
  return (
    effort >= 3 &&
    kind !== 'game' &&
    posture.through.includes('one-leg') &&
    loads.some(({ region, amount }) => amount >= 2 && kicking.includes(region))
  );
}

/** What a body that has cooled off should not do at once: jumps, kicks, splits, and upside down. */
function wantsWarmth(movement: Movement): boolean {
  const { hazards, posture, kind } = movement;
  if (kind === 'pulse-raiser' || kind === 'game') return false;
  return (
    posture.through.includes('airborne') ||
    (['hard-landing', 'split', 'inverted'] as const).some((hazard) => hazards.includes(hazard)) ||
    isKick(movement)
  );
}

export interface Fact {
  readonly kind: 'cooled-off';
  readonly seconds: Seconds;
}

/** A warm body stood or moved gently for three minutes, and then jumps, kicks, splits or goes upside down. */
export const cooledOff = defineCheck({
  id: 'cooled-off',
  title: 'Cooled off',
  says: 'Jumps, kicks, splits or upside-downs come after warm bodies have cooled off.',
  gravest: 'caution',
  numbers: [coolsAfter],
  look: (context): readonly Found<Fact>[] => {
    // a split of the cool-down is eased into, not thrown
    const cold = itemsAt(
      context,
      ({ movement, section }, { isCooled }) =>
        isCooled && wantsWarmth(movement) && !(section.kind === 'cool-down' && movement.kind === 'static-stretch'),
    );
    const [first] = cold;
    if (!first) return [];
    return [
      {
        severity: 'caution',
        itemIds: cold.map(({ timed }) => timed.item.id),
        fact: { kind: 'cooled-off', seconds: Math.round(first.body.restedSeconds) },
        mend: rewarmFirst(context, first.timed),
      },
    ];
  },
  words: ({ seconds }, { first }) => ({
    title: 'Cooled off',
    sentence: `${first} comes after ${clockText(seconds)} of standing, sitting or moving gently.`,
  }),
  mendWords: () => 'Half a minute of moving first',
});
