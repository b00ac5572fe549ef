import { defineCheck } from './check.js';
import { asReckonedWords, homeLacks, homeLacksWords } from './home-lacks.js';

/** It is loud, and the house has to be quiet. */
export const quiet = defineCheck({
  id: 'quiet',
  look: (context) => homeLacks(context, 'quiet'),
  words: homeLacksWords('Too loud for the hour'),
  mendWords: asReckonedWords,
});
