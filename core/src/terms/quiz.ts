import { chanceOf, type Chance } from '../values/chance.js';
import type { Word } from './terms.js';

/** What is asked: what a word means, what something is called, or what was heard. */
export const quizWays = ['meaning', 'word', 'ear'] as const;
export type QuizWay = (typeof quizWays)[number];

/** What a word must have to be asked. */
export type AskedWord = Pick<Word, 'text' | 'meaning'>;

export interface Question<Asked extends AskedWord = Word> {
  readonly way: QuizWay;
  readonly asked: Asked;
  /** Among them the one that is asked, at a place that chance chose. */
  readonly choices: readonly Asked[];
}

export const quizSettings = { questions: 10, choices: 4 } as const;

function shuffled<Value>(list: readonly Value[], chance: Chance): readonly Value[] {
  const left = [...list];
  return list.map(() => left.splice(Math.floor(chance() * left.length), 1)[0] as Value); // as many as there are
}

/** Two words that nobody could tell apart by what is asked stand in no question together. */
const areAlike = (a: AskedWord, b: AskedWord): boolean =>
  a.text.toLowerCase() === b.text.toLowerCase() || a.meaning.toLowerCase() === b.meaning.toLowerCase();

/**
 * Ten questions about words: each word once, the ways in turn or one of them; wrong choices are other words of the same list, none of which
 * is the same by word or meaning. The same seed gives the same.
 * @param ways in which it is asked, in turn
 * @returns fewer questions where there are fewer words; none where there are too few for a choice
 */
export function quizOf<Asked extends AskedWord>(
  words: readonly Asked[],
  ways: readonly QuizWay[],
  seed: number,
): readonly Question<Asked>[] {
  const chance = chanceOf(seed);
  const asked = shuffled(words, chance).slice(0, quizSettings.questions);
  return asked.flatMap((word, index): readonly Question<Asked>[] => {
    const others: Asked[] = [];
    for (const other of shuffled(words, chance)) {
      if (others.length === quizSettings.choices - 1) break;
      if (other !== word && ![word, ...others].some((one) => areAlike(one, other))) others.push(other);
    }
    const way = ways[index % ways.length];
    if (others.length === 0 || way === undefined) return [];
    return [{ way, asked: word, choices: shuffled([word, ...others], chance) }];
  });
}
