import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement } from '../testing/makers.js';
import { chanceOf } from '../values/chance.js';
import { callListsFor, callsNamed, writtenCalls, writtenPattern, type Call, type CalledGroup } from './call-list.js';
import { betweenSeconds, callRound, type CallRound } from './caller.js';

const call = (text: string, said: Partial<Call> = {}): Call => ({ text, language: 'en', movement: null, from: null, to: null, ...said });
const shapes = [
  call('tuck sit', { from: 'sitting', to: 'sitting' }),
  call('star', { from: 'standing', to: 'standing' }),
  call('dish', { from: 'lying', to: 'lying' }),
  call('table', { from: 'all-fours', to: 'all-fours' }),
];
const round = (said: Partial<CallRound> = {}): CallRound => ({
  seconds: 120,
  every: { first: 4, last: 4 },
  mostAtOnce: 1,
  gaps: 'even',
  order: 'chance',
  seed: 1,
  ...said,
});
const anyRound = fc.record<CallRound>({
  seconds: fc.integer({ min: 0, max: 300 }),
  every: fc.record({ first: fc.integer({ min: 1, max: 8 }), last: fc.integer({ min: 1, max: 8 }) }),
  mostAtOnce: fc.constantFrom(1, 2, 3),
  gaps: fc.constantFrom('even', 'random'),
  order: fc.constant('chance'),
  seed: fc.nat(),
});

describe('a round of calls', () => {
  it('calls each about equally often at any moment, none three times running, over a thousand seeds', () => {
    for (let seed = 0; seed < 1000; seed += 1) {
      const called = callRound(
        shapes,
        round({ seed, mostAtOnce: (1 + (seed % 3)) as 1 | 2 | 3, gaps: seed % 2 === 0 ? 'even' : 'random' }),
      ).flatMap(({ calls }) => calls);
      const counts = new Map(shapes.map(({ text }) => [text, 0]));
      called.forEach(({ text }, index) => {
        counts.set(text, (counts.get(text) ?? 0) + 1);
        expect(Math.max(...counts.values()) - Math.min(...counts.values())).toBeLessThanOrEqual(1);
        expect(called[index - 1]?.text === text && called[index - 2]?.text === text).toBe(false);
      });
      expect(called.length).toBeGreaterThan(12);
    }
  });

  it('leaves the time it takes to get from one posture to the next, and to say it, and ends in time', () => {
    fc.assert(
      fc.property(anyRound, (some) => {
        const moments = callRound(shapes, some);
        moments.forEach(({ at, calls }, index) => {
          const before = moments[index - 1];
          expect(at).toBeLessThan(Math.max(0.001, some.seconds));
          if (!before) return;
          const [from, to] = [before.calls.at(-1) ?? null, calls[0]];
          if (to) expect(at - before.at).toBeGreaterThanOrEqual(betweenSeconds(from, to) - 1e-9);
          expect(at - before.at).toBeGreaterThanOrEqual(0.5);
        });
      }),
    );
  });

  it('is the same for the same seed, and another for another', () => {
    const texts = (seed: number): string =>
      callRound(shapes, round({ seed }))
        .map(({ calls }) => calls[0]?.text)
        .join();
    expect(texts(7)).toBe(texts(7));
    expect(new Set(Array.from({ length: 20 }, (_, seed) => texts(seed))).size).toBeGreaterThan(15);
  });

  it('grows quicker, and calls two and then three at once', () => {
    const still = shapes.map(({ text }) => call(text));
    const gaps = callRound(still, round({ every: { first: 6, last: 2 } })).map(({ at }) => at);
    expect((gaps[1] ?? 0) - (gaps[0] ?? 0)).toBeCloseTo(6, 6);
    expect((gaps.at(-1) ?? 0) - (gaps.at(-2) ?? 0)).toBeLessThan(2.6);
    const atOnce = callRound(still, round({ mostAtOnce: 3 })).map(({ calls }) => calls.length);
    expect([atOnce[0], atOnce.at(-1)]).toEqual([1, 3]);
    expect(atOnce).toEqual(atOnce.toSorted((a, b) => a - b));
  });

  it('goes in turn by a pattern, and comes unforeseen for reaction', () => {
    const still = ['jump', 'roll'].map((text) => call(text));
    expect(
      callRound(still, round({ order: 'in-turn', seconds: 20 }))
        .flatMap(({ calls }) => calls.map(({ text }) => text))
        .slice(0, 5),
    ).toEqual(['jump', 'roll', 'jump', 'roll', 'jump']);
    const at = callRound(still, round({ gaps: 'random' })).map((moment) => moment.at);
    const gaps = at.slice(1).map((one, index) => one - (at[index] ?? 0));
    expect(Math.min(...gaps)).toBeLessThan(3);
    expect(Math.max(...gaps)).toBeGreaterThan(6);
  });

  it('calls nothing of a single call, of none, or in no time', () => {
    expect([callRound([], round()), callRound([call('star')], round()), callRound(shapes, round({ seconds: 0 }))]).toEqual([[], [], []]);
  });
});

describe('what can be called', () => {
  const held = { '4-6': { kind: 'hold', sets: 1, holdSeconds: 5, restSeconds: 0 } } as const;
  const dose = { '4-6': held['4-6'], '7-9': held['4-6'], '10-13': held['4-6'] };
  const basic = (slug: string, said: Parameters<typeof aMovement>[1] = {}) =>
    aMovement(slug, { kind: 'basic', programmes: ['gymnastics'], dose, ...said });
  const library = aLibrary(
    basic('tuck-sit'),
    basic('star-shape'),
    basic('arch-shape', { leastAge: 9 }),
    basic('bridge', { hazards: ['inverted'] }),
    basic('hang', { needs: { ...aMovement('x').needs, equipment: ['bar'] } }),
    basic('new-shape'),
    basic('horse-stance', { programmes: ['martial-arts'] }),
    basic('first-position', {
      programmes: ['dance'],
      term: { text: 'première position', language: 'fr', sayIt: 'pruh', meaning: 'first' },
    }),
  );
  const group: CalledGroup = { programme: 'gymnastics', youngestYears: 7, knows: (slug) => slug !== 'new-shape', countLanguage: 'ko' };
  const texts = (said: Partial<CalledGroup>, kind: string) =>
    callListsFor(library, { ...group, ...said })
      .find((list) => list.kind === kind)
      ?.calls.map(({ text }) => text);

  it('is known to the group, for its age, and harms nobody on a word', () => {
    expect(texts({}, 'shapes')).toEqual(['tuck-sit', 'star-shape']);
    expect(texts({ youngestYears: 10 }, 'shapes')).toEqual(['tuck-sit', 'star-shape', 'arch-shape']);
    expect(texts({ knows: () => false }, 'shapes')).toBeUndefined();
    expect(texts({}, 'stances')).toBeUndefined();
  });

  it('is counted in the language of the count, and named by its term', () => {
    expect(texts({}, 'numbers')?.slice(0, 2)).toEqual(['하나', '둘']);
    const ballet = aLibrary(
      ...['première', 'deuxième'].map((text, index) =>
        basic(`position-${String(index)}`, { programmes: ['dance'], term: { text, language: 'fr', sayIt: 'x', meaning: 'y' } }),
      ),
    );
    const [terms] = callListsFor(ballet, { ...group, programme: 'dance' }).filter(({ kind }) => kind === 'terms');
    expect(terms?.calls.map(({ text, language }) => [text, language])).toEqual([
      ['première', 'fr'],
      ['deuxième', 'fr'],
    ]);
  });

  it('is named in a plan by the name of the list, or written there', () => {
    const lists = callListsFor(library, group);
    expect(callsNamed(' Shapes ', lists)?.map(({ movement }) => movement)).toEqual(['tuck-sit', 'star-shape']);
    expect(callsNamed('left and right', lists)).toHaveLength(6);
    expect(callsNamed('tuck, pike', lists)?.map(({ text }) => text)).toEqual(['tuck', 'pike']);
    expect(callsNamed('whatever comes to mind', lists)).toBeNull();
  });

  it('is read from what an item says, where it is a list', () => {
    expect(writtenCalls('tuck, straddle; pike, tuck')?.map(({ text }) => text)).toEqual(['tuck', 'straddle', 'pike']);
    expect(writtenCalls('shapes they know')).toBeNull();
    expect(writtenCalls('…, –')).toBeNull();
  });

  it('are a pattern of one’s own, in its order and as often as it says', () => {
    const pattern = writtenPattern('jump – roll – jump – roll, half-turn');
    expect(pattern?.map(({ text }) => text)).toEqual(['jump', 'roll', 'jump', 'roll', 'half-turn']);
    const round = callRound(pattern ?? [], {
      seconds: 30,
      every: { first: 3, last: 3 },
      mostAtOnce: 1,
      gaps: 'random',
      order: 'in-turn',
      seed: 3,
    });
    expect(round.slice(0, 6).map(({ calls }) => calls[0]?.text)).toEqual(['jump', 'roll', 'jump', 'roll', 'half-turn', 'jump']);
    expect(writtenPattern('jump')).toBeNull();
  });
});

it('chance is even, and the same from the same seed', () => {
  const [one, same] = [chanceOf(5), chanceOf(5)];
  const numbers = Array.from({ length: 10_000 }, one);
  expect(numbers).toEqual(Array.from({ length: 10_000 }, same));
  for (let tenth = 0; tenth < 10; tenth += 1) {
    const share = numbers.filter((number) => Math.floor(number * 10) === tenth).length / numbers.length;
    expect(Math.abs(share - 0.1)).toBeLessThan(0.02);
  }
});
