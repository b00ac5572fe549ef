import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { libraryOf } from '../movement/library.js';
import { aMovement } from '../testing/makers.js';
import { quizOf, quizSettings, quizWays } from './quiz.js';
import { wordsOf, type Word } from './terms.js';

const dance = { programmes: ['dance'] };
const term = (text: string, language = 'fr') => ({ text, language, sayIt: text.toUpperCase(), meaning: `means ${text}` });
const many = Array.from({ length: 12 }, (_, index) =>
  aMovement(`step-${String(index)}`, { ...dance, name: `Step ${String(index)}`, term: term(`pas ${String(index)}`) }),
);

describe('the words of a programme', () => {
  it('are its terms, in the order of the grades that ask them first, then of the alphabet', () => {
    const plain = aMovement('walk', { ...dance, name: 'Walk' });
    const other = aMovement('punch', { programmes: ['martial-arts'], term: term('zuki', 'ja') });
    const ladder = {
      grades: [
        { slug: 'first', requirements: [{ movement: 'step-7' }, { movement: 'walk' }] },
        { slug: 'second', requirements: [{ movement: 'step-3' }, { movement: 'step-7' }] },
      ],
    };
    const words = wordsOf(libraryOf([plain, other, ...many]), 'dance', ladder);
    expect(words).toHaveLength(12);
    expect(words.slice(0, 2).map(({ text, grade }) => [text, grade])).toEqual([
      ['pas 7', 'first'],
      ['pas 3', 'second'],
    ]);
    expect(words.slice(2).every(({ grade }) => grade === null)).toBe(true);
    expect(words[0]).toMatchObject({ meaning: 'means pas 7', sayIt: 'PAS 7', spoken: { text: 'pas 7', language: 'fr' } });
  });

  it('of a programme with few terms are the names of what its ladder asks', () => {
    const roll = aMovement('roll', { programmes: ['gymnastics'], name: 'Roll', plainMeaning: 'Roll over' });
    const hop = aMovement('hop', { programmes: ['gymnastics'], name: 'Hop' });
    const ladder = { grades: [{ slug: 'first', requirements: [{ movement: 'roll' }] }] };
    expect(wordsOf(libraryOf([roll, hop]), 'gymnastics', ladder)).toMatchObject([
      { text: 'Roll', meaning: 'Roll over', sayIt: null, spoken: { text: 'roll', language: 'en' } },
    ]);
    expect(wordsOf(libraryOf([roll, hop]), 'gymnastics', null)).toEqual([]);
  });
});

describe('a quiz', () => {
  const words = wordsOf(libraryOf(many), 'dance', null);

  it('asks ten different words in turn, each with four choices that differ, the right one among them; the same seed the same', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const questions = quizOf(words, quizWays, seed);
        expect(questions).toHaveLength(quizSettings.questions);
        expect(new Set(questions.map(({ asked }) => asked)).size).toBe(quizSettings.questions);
        questions.forEach(({ way, asked, choices }, index) => {
          expect(way).toBe(quizWays[index % quizWays.length]);
          expect(choices).toContain(asked);
          expect(new Set(choices.map(({ meaning }) => meaning)).size).toBe(quizSettings.choices);
        });
        expect(quizOf(words, quizWays, seed)).toEqual(questions);
      }),
    );
  });

  it('has the right one at each place about equally often', () => {
    const places = [0, 0, 0, 0];
    for (let seed = 0; seed < 400; seed += 1)
      for (const { asked, choices } of quizOf(words, ['meaning'], seed))
        places[choices.indexOf(asked)] = (places[choices.indexOf(asked)] ?? 0) + 1;
    for (const count of places) expect(count / 4000).toBeCloseTo(0.25, 1);
  });

  it('never sets two beside each other that cannot be told apart, and asks nothing where there is no choice', () => {
    const same = (slug: string): Word => ({
      movement: aMovement(slug),
      text: slug,
      sayIt: null,
      meaning: 'the same',
      variants: [],
      spoken: { text: slug, language: 'en' },
      grade: null,
    });
    expect(quizOf([same('a'), same('b')], ['meaning'], 1)).toEqual([]);
    expect(quizOf([], ['meaning'], 1)).toEqual([]);
    const questions = quizOf([same('a'), same('b'), ...words], ['meaning'], 3);
    for (const { choices } of questions) expect(choices.filter(({ meaning }) => meaning === 'the same').length).toBeLessThan(2);
  });
});
