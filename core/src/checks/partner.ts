import { defineCheck } from './check.js';
import { asReckonedWords, homeLacks, homeLacksWords } from './home-lacks.js';

/** It is done by two, and the child is alone. */
export const partner = defineCheck({
  id: 'partner',
  title: 'A partner',
  says: 'It is done by two, and the child is alone.',
  gravest: 'caution',
  look: (context) => homeLacks(context, 'partner'),
  words: homeLacksWords('No partner'),
  mendWords: asReckonedWords,
});
