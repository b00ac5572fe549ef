import { defineCheck } from './check.js';
import { asReckonedWords, homeLacks, homeLacksWords } from './home-lacks.js';

/** An adult is to be near or to hold, and none is at hand; or it is nothing for a call at all. */
export const adult = defineCheck({
  id: 'adult',
  title: 'An adult at hand',
  says: 'An adult has to be near or to hold, and none is there.',
  gravest: 'stop',
  look: (context) => [
    ...homeLacks(context, 'adult', ({ needs }) => (needs.adult === 'hands-on' ? 'stop' : 'caution')),
    ...homeLacks(context, 'in-person', () => 'stop'),
  ],
  words: homeLacksWords('No adult at hand'),
  mendWords: asReckonedWords,
});
