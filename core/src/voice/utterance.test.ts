import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { writtenPhrase } from '../testing/phrases.js';
import { phraseInStep } from '../timing/phrase-in-step.js';
import { anyLibrary, anyPlan } from '../testing/random-plans.js';
import type { Item } from '../class-plan/class-plan.js';
import { stepsOf } from '../timing/step.js';
import type { TimedItem } from '../timing/timeline.js';
import { countWord } from './count-words.js';
import { leaderSide, usualVoice, type TeachingVoice } from './teaching-voice.js';
import { quickFactor, spokenSeconds, type Utterance } from './spoken.js';
import { clipOf, clipsWanted, utterancesOf } from './utterance.js';

const voice = fc.record<TeachingVoice>({
  counts: fc.boolean(),
  sides: fc.boolean(),
  cues: fc.boolean(),
  names: fc.boolean(),
  halves: fc.boolean(),
  counting: fc.constantFrom('up', 'down'),
  countLanguage: fc.constantFrom('en', 'ja', 'ko', 'fr'),
  nameSource: fc.constant('clips'),
  loudness: fc.constant(1),
  go: fc.constant('by-itself'),
  stance: fc.constant('mirror'),
});

/** The moments of an item at which something must be heard: each rep and beat, and each work that begins. */
function beatsOf(timed: TimedItem): readonly number[] {
  let at = 0;
  return stepsOf(timed).flatMap((step) => {
    const from = at;
    at += step.seconds;
    const of = step.kind === 'reps' ? step.reps : step.kind === 'counts' || step.kind === 'count-in' ? step.counts : 0;
    return Array.from({ length: of }, (_, nth) => from + (nth * step.seconds) / of);
  });
}
const isNear = (one: number, other: number): boolean => Math.abs(one - other) < 1e-6;
const said = (item: Partial<Item>, chosen: Partial<TeachingVoice> = {}, movement: Parameters<typeof aMovement>[1] = {}) => {
  const { items } = evaluated(
    aPlan({ drills: [anItem('before'), anItem('lunge', { familiarity: 'new', ...item })] }),
    aLibrary(aMovement('before'), aMovement('lunge', { name: 'Lunge', sides: 'each', cues: ['Knee over the foot'], ...movement })),
  ).timeline;
  const timed = items[1] ?? items[0];
  const list = utterancesOf(items, { ...usualVoice, ...chosen })[1] ?? [];
  return {
    timed,
    list,
    words: list.map(({ text }) => text).filter((text) => text !== 'ready'),
    at: (text: string) => list.find((one) => one.text === text)?.at ?? Number.NaN,
  };
};

describe('what is said in a class', () => {
  it('names each rep and beat exactly once, in order, within its part, never two at once', () => {
    fc.assert(
      fc.property(anyPlan, voice, (plan, chosen) => {
        const { items } = evaluated(plan, anyLibrary).timeline;
        const lists = utterancesOf(items, chosen);
        expect(lists).toHaveLength(items.length);
        items.forEach((timed, index) => {
          const list = lists[index] ?? [];
          list.forEach((one, nth) => {
            expect(one.at).toBeGreaterThanOrEqual(0);
            expect(one.at + one.most).toBeLessThanOrEqual(timed.seconds + 1e-6);
            expect(one.keepFor).toBeGreaterThanOrEqual(0);
            const next: Utterance | undefined = list[nth + 1];
            if (next) expect(one.at + one.most).toBeLessThanOrEqual(next.at + 1e-6);
          });
          const heard = list.filter(({ kind }) => kind === 'count' || kind === 'side' || kind === 'name');
          if (chosen.counts) for (const beat of beatsOf(timed)) expect(heard.filter(({ at }) => isNear(at, beat))).toHaveLength(1);
          else expect(list.every(({ kind }) => kind !== 'count')).toBe(true);
        });
      }),
      { numRuns: 300 },
    );
  });

  it('names each side once when its work begins, each change, rest and hold once', () => {
    fc.assert(
      fc.property(anyPlan, voice, (plan, chosen) => {
        const { items } = evaluated(plan, anyLibrary).timeline;
        utterancesOf(items, chosen).forEach((list, index) => {
          const timed = items[index];
          if (!timed) return;
          const steps = stepsOf(timed);
          const words = list
            .filter(({ kind }) => kind === 'side' || kind === 'call' || kind === 'length' || kind === 'name')
            .map(({ text }) => text);
          const count = (word: string): number => words.filter((text) => text.split(', ').includes(word)).length;
          const isOn = Number(chosen.sides);
          expect(count('change')).toBe(isOn * steps.filter(({ kind }) => kind === 'change-side').length);
          expect(count('rest')).toBe(isOn * steps.filter(({ kind }) => kind === 'rest').length);
          const isQuiet = ['talk', 'break', 'ritual', 'breathing'].includes(timed.movement.kind);
          expect(count('hold')).toBe(isQuiet ? 0 : isOn * steps.filter(({ kind }) => kind === 'hold').length);
          if (isQuiet && timed.item.dose.kind !== 'lengths') expect(count('go') + count('stop')).toBe(0);
          if (timed.sides !== 'alternating')
            for (const side of ['left', 'right'] as const) {
              const isDone = timed.sides === 'both' || timed.sides === side;
              expect(count(side)).toBe(isOn * Number(isDone));
            }
        });
      }),
      { numRuns: 300 },
    );
  });

  it('gives every word that cannot wait the room it needs, spoken quickly if need be', () => {
    fc.assert(
      fc.property(anyPlan, voice, (plan, chosen) => {
        const { items } = evaluated(plan, anyLibrary).timeline;
        for (const one of utterancesOf(items, chosen).flat())
          if (one.kind === 'count' && one.text !== '')
            expect(spokenSeconds(one.text, one.language) * quickFactor).toBeLessThanOrEqual(one.most + 1e-6);
          else if (one.kind === 'cue' || one.kind === 'next')
            expect(spokenSeconds(one.text, one.language)).toBeLessThanOrEqual(one.most + 1e-6);
      }),
      { numRuns: 300 },
    );
  });
});

describe('an item', () => {
  it('with sides says the first side in place of “one”, change, and the other side', () => {
    const { words, timed } = said({ dose: { kind: 'reps', sets: 1, reps: 3, secondsPerRep: 2, restSeconds: 0 }, sides: 'both' });
    expect(timed?.parts.sideChange).toBeGreaterThan(0);
    expect(words).toEqual(['Lunge', 'left', 'two', 'three', 'change', 'right', 'two', 'three']);
  });

  it('in sets counts each from one, says rest between, and its side once', () => {
    const dose = { kind: 'reps', sets: 2, reps: 2, secondsPerRep: 2, restSeconds: 10 } as const;
    expect(said({ dose, sides: 'left' }).words).toEqual(['Lunge', 'left', 'two', 'rest', 'one', 'two']);
    expect(said({ dose, sides: 'none' }, { counting: 'down', countLanguage: 'ko' }).words).toEqual([
      'Lunge',
      '둘',
      '하나',
      'rest',
      '둘',
      '하나',
    ]);
  });

  it('in turns says the side of each rep', () => {
    const { words } = said({ dose: { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 1.5, restSeconds: 0 }, sides: 'alternating' });
    expect(words).toEqual(['Lunge', 'left', 'right', 'left', 'right']);
  });

  it('that is held has a cue, halfway and the last three seconds, at their moments', () => {
    const { words, at, timed } = said({ dose: { kind: 'hold', sets: 1, holdSeconds: 30, restSeconds: 0 }, sides: 'right' });
    expect(words).toEqual(['Lunge', 'right, hold', 'Knee over the foot', 'halfway', 'three', 'two', 'one', 'stop']);
    const end = timed?.seconds ?? 0;
    const length = end - at('right, hold');
    expect(at('halfway')).toBeCloseTo(end - length / 2, 6);
    expect(at('three')).toBeCloseTo(end - 3, 6);
    expect(at('one')).toBeCloseTo(end - 1, 6);
  });

  it('has the cue of the plan before those of the movement', () => {
    const dose = { kind: 'hold', sets: 2, holdSeconds: 15, restSeconds: 5 } as const;
    expect(
      said({ dose, sides: 'none', cue: 'Like a mast' })
        .list.filter(({ kind }) => kind === 'cue')
        .map(({ text }) => text),
    ).toEqual(['Like a mast', 'Knee over the foot']);
  });

  it('too quick for words has beats, and words again where there is time', () => {
    const { list } = said({ dose: { kind: 'reps', sets: 1, reps: 17, secondsPerRep: 0.4, restSeconds: 0 }, sides: 'none' });
    const counts = list.filter(({ kind }) => kind === 'count');
    expect(counts).toHaveLength(17);
    expect(counts[0]?.text).toBe('one');
    expect(counts[16]?.text).toBe('');
  });

  it('of lengths says which, and how it goes back', () => {
    const dose = { kind: 'lengths', lengths: 3, metres: 4, secondsPerMetre: 1, restSeconds: 0, back: 'backwards' } as const;
    expect(said({ dose, sides: 'none' }).words).toEqual(['Lunge', 'go', 'two, backwards', 'three']);
  });

  it('that follows without a word before it is named at the end of the one before, or at once, and its side with it', () => {
    const flow = (dose: Item['dose']) => {
      const { items } = evaluated(
        aPlan({
          drills: [
            anItem('jog', { dose }),
            anItem('lunge', { sides: 'left', dose: { kind: 'hold', sets: 1, holdSeconds: 9, restSeconds: 0 } }),
          ],
        }),
        aLibrary(aMovement('jog', { name: 'Jog' }), aMovement('lunge', { name: 'Lunge', sides: 'each' })),
      ).timeline;
      // as in the second round of a circuit: nothing comes before the work
      const bare = items.map((timed) => ({
        ...timed,
        seconds: timed.parts.work,
        parts: { ...timed.parts, goTo: 0, explain: 0, setUp: 0 },
      }));
      return utterancesOf(bare, usualVoice).map((list) => list.map(({ text }) => text));
    };
    expect(flow({ kind: 'timed', seconds: 30 })).toEqual([
      ['Jog, go', 'Lunge', 'stop'],
      ['left, hold', 'three', 'two', 'one', 'stop'],
    ]);
    const [full, named] = flow({ kind: 'counts', eights: 4, bpm: 96, repeats: 1, countIn: 0 });
    // no moment is free between counts: the name comes with its first word
    expect(full?.[0]).toBe('Jog');
    expect(full).not.toContain('Lunge');
    expect(named?.[0]).toBe('Lunge, left, hold');
  });
});

describe('an item in which one is quiet', () => {
  it('has its name, of breathing a cue, and no call: nobody is told to go and to stop', () => {
    const dose = { kind: 'timed', seconds: 90 } as const;
    expect(said({ dose, sides: 'none' }, {}, { kind: 'breathing' }).list.map(({ text }) => text)).toEqual(['Lunge', 'Knee over the foot']);
    for (const kind of ['break', 'talk', 'ritual'] as const)
      expect(said({ dose, sides: 'none' }, {}, { kind }).list.map(({ text }) => text)).toEqual(['Lunge']);
  });
});

describe('an item in which something is called', () => {
  const calls = ['tuck', 'pike', 'star'].map((text) => ({ text, language: 'en' as const, movement: null, from: null, to: null }));
  const called = (dose: Item['dose']) => {
    const { items } = evaluated(
      aPlan({ drills: [anItem('shapes', { dose, calls: { what: 'shapes', everySeconds: 4 } })] }),
      aLibrary(aMovement('shapes', { name: 'Shapes' })),
    ).timeline;
    return {
      timed: items[0],
      list: utterancesOf(items, usualVoice, () => calls)[0]?.filter(({ text }) => ['tuck', 'pike', 'star'].includes(text)) ?? [],
    };
  };

  it('calls once for each rep, in the place of the count', () => {
    const { list, timed } = called({ kind: 'reps', sets: 1, reps: 9, secondsPerRep: 4, restSeconds: 0 });
    expect(list).toHaveLength(9);
    for (const { text } of calls) expect(list.filter((one) => one.text === text)).toHaveLength(3);
    expect(list.every(({ at, most }) => at + most <= (timed?.seconds ?? 0) + 1e-6)).toBe(true);
  });

  it('calls for as long as it goes on, every so many seconds', () => {
    const { list, timed } = called({ kind: 'timed', seconds: 60 });
    expect(list.length).toBeGreaterThan(10);
    list.slice(1).forEach(({ at }, index) => {
      expect(at - (list[index]?.at ?? 0)).toBeCloseTo(4, 6);
    });
    expect((list.at(-1)?.at ?? 0) + 1).toBeLessThan(timed?.seconds ?? 0);
  });
});

describe('the clips of a class', () => {
  it('are each wanted once, quick only where an even pace is too slow', () => {
    const { items } = evaluated(
      aPlan({
        drills: ['a', 'b'].map((id) => anItem('lunge', { id, dose: { kind: 'reps', sets: 1, reps: 8, secondsPerRep: 2, restSeconds: 0 } })),
      }),
      aLibrary(aMovement('lunge')),
    ).timeline;
    const wanted = clipsWanted(utterancesOf(items, usualVoice));
    expect(new Set(wanted.map(({ text }) => text)).size).toBe(wanted.length);
    expect(wanted.every(({ isQuick }) => !isQuick)).toBe(true);
    expect(clipOf({ kind: 'count', text: 'seven', language: 'en', at: 0, most: 0.4, keepFor: 0 }).isQuick).toBe(true);
  });
});

describe('numbers', () => {
  it.each([
    ['en', [1, 12, 20, 21, 40, 99], ['one', 'twelve', 'twenty', 'twenty-one', 'forty', 'ninety-nine']],
    ['ja', [4, 7, 10, 11, 20, 34], ['し', 'しち', 'じゅう', 'じゅういち', 'にじゅう', 'さんじゅうし']],
    ['ko', [1, 10, 11, 20, 35], ['하나', '열', '열하나', '스물', '서른다섯']],
    [
      'fr',
      [1, 17, 21, 70, 71, 80, 81, 91, 99],
      [
        'un',
        'dix-sept',
        'vingt et un',
        'soixante-dix',
        'soixante et onze',
        'quatre-vingts',
        'quatre-vingt-un',
        'quatre-vingt-onze',
        'quatre-vingt-dix-neuf',
      ],
    ],
  ] as const)('are counted in %s as one says them', (language, numbers, words) => {
    expect(numbers.map((number) => countWord(number, language))).toEqual(words);
  });

  it('are all different from 1 to 99, in every language', () => {
    for (const language of ['en', 'ja', 'ko', 'fr'] as const)
      expect(new Set(Array.from({ length: 99 }, (_, index) => countWord(index + 1, language))).size).toBe(99);
  });
});

describe('the leader', () => {
  it('who faces moves the other side, and the same one turned round or facing with the same side', () => {
    expect((['mirror', 'turned', 'facing'] as const).map((stance) => leaderSide('left', stance))).toEqual(['right', 'left', 'left']);
    expect(leaderSide('right', 'mirror')).toBe('left');
  });
});

describe('a phrase', () => {
  const phrase = writtenPhrase(
    '1 R fwd / say walk, 2 L fwd / say walk, 3-4 both sink / say and hold\n5 L back, 6 R back, & L close, 7-8 both sink',
    { bpm: 60, learnBpm: 60, countIn: 2 },
  );
  const counts = { kind: 'counts' as const, eights: 1, bpm: 60, repeats: 2, countIn: 2 };

  it('has its words while it is learnt – a word over several counts once, numbers where there is none –, then its counts', () => {
    const { list, timed } = said(
      { dose: counts, sides: 'none', familiarity: 'routine', way: 'flow' },
      {},
      { kind: 'combination', sides: 'none', phrase },
    );
    const begin = timed?.parts ? timed.seconds - 18 : Number.NaN;
    const heard = list.filter(({ at, kind }) => at >= begin - 1e-6 && kind === 'count').map(({ text }) => text);
    expect(heard.slice(-16)).toEqual([
      ...['walk', 'walk', 'and hold', 'five', 'six', 'and', 'seven', 'eight'],
      ...['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'],
    ]);
  });

  it('that is built up fills the time of its item exactly: words, counts, and at last nothing but the count-in', () => {
    const item = {
      dose: { kind: 'timed' as const, seconds: 300 },
      parts: { new: [0], known: [] },
      sides: 'none' as const,
      way: 'flow' as const,
    };
    const { timed } = said(item, {}, { kind: 'combination', sides: 'none', phrase });
    if (!timed) throw new Error('no item');
    const steps = stepsOf(timed);
    expect(steps.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(timed.seconds, 6);
    const ways = steps.flatMap((step) => (step.kind === 'counts' && step.learning ? [step.learning.way] : []));
    expect(ways).toEqual(['words', 'from-behind', 'counts', 'full', 'groups', 'alone']);
    const list = utterancesOf([timed], usualVoice)[0] ?? [];
    let at = 0;
    for (const step of steps) {
      const from = at;
      at += step.seconds;
      if (step.kind !== 'counts') continue;
      const heard = list.filter((one) => one.kind === 'count' && one.at >= from - 1e-6 && one.at < at - 1e-6).map(({ text }) => text);
      if (step.learning?.way === 'alone') expect(heard).toEqual([]);
      else expect(heard[0]).toBe(step.learning?.way === 'words' || step.learning?.way === 'from-behind' ? 'walk' : 'one');
    }
  });

  it('to the other side is mirrored where the other side works, in a build-up too', () => {
    const item = {
      dose: { kind: 'timed' as const, seconds: 200 },
      parts: { new: [0], known: [] },
      sides: 'both' as const,
      way: 'flow' as const,
    };
    const { timed } = said(item, {}, { kind: 'combination', sides: 'each', phrase });
    if (!timed) throw new Error('no item');
    const sides = stepsOf(timed).flatMap((step) => (step.kind === 'counts' ? [`${step.learning?.way ?? ''} ${step.side ?? ''}`] : []));
    expect(sides[0]).toBe('words right');
    expect(sides).toContain('other-side left');
    const other = stepsOf(timed).find((step) => step.kind === 'counts' && step.side === 'left');
    const shown = other?.kind === 'counts' ? phraseInStep(timed, other) : null;
    expect(shown?.phrase.rows[0]?.foot).toBe('left');
  });
});
