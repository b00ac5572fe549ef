import type { Hazard } from '../movement/hazard.js';
import { defineCheck } from './check.js';
import { asReckonedWords, homeLacks, homeLacksWords } from './home-lacks.js';

const graveHazards: readonly Hazard[] = ['inverted', 'neck-load'];

/** The floor at home is not for it. */
export const surface = defineCheck({
  id: 'surface',
  look: (context) =>
    homeLacks(context, 'surface', ({ hazards }) => (graveHazards.some((hazard) => hazards.includes(hazard)) ? 'stop' : 'caution')),
  words: homeLacksWords('Floor not for it'),
  mendWords: asReckonedWords,
});
