import type { Hazard } from '../movement/hazard.js';
import { firstRounds } from '../timing/timeline.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

const blind: readonly Hazard[] = ['soft-landing', 'hard-landing', 'inverted', 'rotation', 'travels-fast'];

export interface Fact {
  readonly kind: 'eyes-closed';
}

/** With eyes closed one stands or feels; who travels, jumps, turns or goes upside down has to see the room. Ours, beyond safety.md. */
export const eyesClosed = defineCheck({
  id: 'eyes-closed',
  title: 'Eyes closed',
  says: 'Eyes are closed while one travels, jumps or turns.',
  gravest: 'caution',
  look: ({ timeline }): readonly Found<Fact>[] => {
    const itemIds = firstRounds(timeline.items)
      .filter(
        ({ item, movement: { hazards, view } }) =>
          item.areEyesClosed && (view?.framing === 'travel' || blind.some((hazard) => hazards.includes(hazard))),
      )
      .map(({ item }) => item.id);
    return itemIds.length === 0 ? [] : [{ severity: 'caution', itemIds, fact: { kind: 'eyes-closed' }, mend: null }];
  },
  words: (_, { name }) => ({
    title: 'Eyes closed on the move',
    sentence: `${name}: nobody in the room sees where a child goes that travels, jumps or turns with its eyes closed.`,
  }),
});
