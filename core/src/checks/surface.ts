import type { Hazard } from '../movement/hazard.js';
import type { Movement } from '../movement/movement.js';
import { firstRounds } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found, Severity } from './finding.js';
import { asReckonedWords, homeLacks, homeLacksWords, type HomeLacks } from './home-lacks.js';

const graveHazards: readonly Hazard[] = ['inverted', 'neck-load'];

const severityOf = ({ hazards }: Movement): Severity => (graveHazards.some((hazard) => hazards.includes(hazard)) ? 'stop' : 'caution');

export type Fact = HomeLacks | { readonly kind: 'own-floor' };

/** The floor at home is not for it, or the floor where it is taught and shown. */
export const surface = defineCheck({
  id: 'surface',
  title: 'Floor',
  says: 'A floor, at home or where you teach, is not for what is done on it.',
  gravest: 'stop',
  look: (context): readonly Found<Fact>[] => [...homeLacks(context, 'surface', severityOf), ...ownFloor(context)],
  words: (fact, told) =>
    fact.kind === 'home-lacks'
      ? homeLacksWords('Floor not for it')(fact, told)
      : { title: 'Your floor is not for it', sentence: `${told.name} wants another floor than there is where you teach.` },
  mendWords: asReckonedWords,
});

/** Who shows it is not spared by being grown up; only told where the floor is known. */
function ownFloor({ timeline, room }: CheckContext): readonly Found<Fact>[] {
  const own = room?.surface;
  if (!own) return [];
  const itemIds = firstRounds(timeline.items)
    .filter(({ movement: { needs } }) => needs.surface !== 'any-dry' && !needs.surface.includes(own))
    .map(({ item }) => item.id);
  return itemIds.length === 0 ? [] : [{ severity: 'caution', itemIds, fact: { kind: 'own-floor' }, mend: null }];
}
