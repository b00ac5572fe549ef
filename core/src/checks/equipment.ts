import { defineCheck } from './check.js';
import { asReckonedWords, homeLacks, homeLacksWords } from './home-lacks.js';

/** A thing it needs is not at home. */
export const equipment = defineCheck({
  id: 'equipment',
  title: 'Things at home',
  says: 'A thing that it needs is not at home.',
  gravest: 'caution',
  look: (context) => homeLacks(context, 'equipment'),
  words: homeLacksWords('Thing not at home'),
  mendWords: asReckonedWords,
});
