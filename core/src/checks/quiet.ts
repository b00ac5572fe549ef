import { defineCheck } from './check.js';
import { asReckonedWords, homeLacks, homeLacksWords } from './home-lacks.js';

/** It is loud, and the house has to be quiet. */
export const quiet = defineCheck({
  id: 'quiet',
  title: 'Quiet hours',
  says: 'It is loud at an hour at which the house has to be quiet.',
  gravest: 'caution',
  look: (context) => homeLacks(context, 'quiet'),
  words: homeLacksWords('Too loud for the hour'),
  mendWords: asReckonedWords,
});
