import type { MovementKind } from '../movement/kind.js';
import { defineCheck } from './check.js';
import { coldReason, itemsAt, warmFirst, warmthWords } from './cold.js';
import type { Found } from './finding.js';

const kinds: ReadonlySet<MovementKind> = new Set(['skill', 'drill', 'combination', 'game']);

export interface Fact {
  readonly kind: 'cold-power';
  readonly warmShare: number;
}

/** Jumps, or full effort, in a skill, drill, phrase or game before the body is warm. What is a stop of cold-load is not told again. */
export const coldPower = defineCheck({
  id: 'cold-power',
  title: 'Power on a cold body',
  says: 'A skill, a drill, a combination or a game with landings or full effort comes before bodies are warm.',
  gravest: 'caution',
  look: (context): readonly Found<Fact>[] => {
    const cold = itemsAt(
      context,
      ({ movement }, { isWarm }) =>
        !isWarm &&
        kinds.has(movement.kind) &&
        (movement.effort === 4 || movement.hazards.includes('soft-landing')) &&
        coldReason(movement) === null,
    );
    const [first] = cold;
    if (!first) return [];
    return [
      {
        severity: 'caution',
        itemIds: cold.map(({ timed }) => timed.item.id),
        fact: { kind: 'cold-power', warmShare: first.body.effortSeconds / context.preparation.warmEffortSeconds },
        mend: warmFirst(context, first.timed, first.body),
      },
    ];
  },
  words: ({ warmShare }, { name }) => ({
    title: 'Power before warm',
    sentence: `${name}: jumps or full effort ${warmthWords(warmShare)}.`,
  }),
});
