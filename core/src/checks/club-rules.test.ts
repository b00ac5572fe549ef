import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { checkIds, checksTold, ruleNamed } from './all-checks.js';
import {
  isUsual,
  limitAt,
  numberIn,
  ruleRefusal,
  ruleValueWords,
  sameRuleValue,
  usualRules,
  type AnyRule,
  type ClubRules,
  type RuleValue,
} from './club-rules.js';
import { wordsOf } from './finding-words.js';
import { withoutDrink } from './no-drink.js';
import { relief } from './wrist-time.js';

const every = checksTold.flatMap(({ numbers }) => numbers);

describe('checks as a club reads of them', () => {
  it('each is told once, with a name of its own and a whole sentence', () => {
    expect(checksTold.map(({ id }) => id)).toEqual(checkIds);
    expect(new Set(checksTold.map(({ title }) => title)).size).toBe(checksTold.length);
    for (const { id, says } of checksTold) expect(says, id).toMatch(/^[A-Z].+\.$/);
  });

  it('each number stands under its check, by one name, and may be what it usually is', () => {
    expect(new Set(every.map(({ id }) => id)).size).toBe(every.length);
    for (const { id, numbers } of checksTold)
      for (const rule of numbers) {
        expect(rule.id.startsWith(`${id}.`), rule.id).toBe(true);
        expect(ruleNamed(rule.id)).toBe(rule);
        expect(ruleRefusal(rule, rule.usual), rule.id).toBeNull();
        expect(isUsual(rule, rule.usual), rule.id).toBe(true);
      }
    expect(ruleNamed('landings')).toBeUndefined();
  });
});

describe('a number of a club', () => {
  const rules = {
    off: [],
    numbers: {
      [relief.id]: 45,
      [withoutDrink.id]: [
        { upToYears: 9, limit: 10 },
        { upToYears: 99, limit: 12 },
      ],
    },
  };

  it('holds in place of the usual one; by age the last step is for all who are older', () => {
    expect([numberIn({ rules: usualRules }, relief), numberIn({ rules }, relief)]).toEqual([30, 45]);
    const limit = limitAt({ rules }, withoutDrink);
    expect([4, 9, 9.9, 10, 60].map(limit)).toEqual([10, 10, 10, 12, 12]);
    expect([6, 7].map(limitAt({ rules: usualRules }, withoutDrink))).toEqual([15, 20]);
  });

  it('of the wrong kind is passed over: a plan is judged all the same', () => {
    const wrong = { off: [], numbers: { [relief.id]: [{ upToYears: 99, limit: 1 }], [withoutDrink.id]: 3 } };
    expect(numberIn({ rules: wrong }, relief)).toBe(30);
    expect(limitAt({ rules: wrong }, withoutDrink)(8)).toBe(20);
  });

  it.each<readonly [string, AnyRule, RuleValue, string]>([
    ['too little', relief, 4, 'From 5 to 180 seconds.'],
    ['no number', relief, Number.NaN, 'From 5 to 180 seconds.'],
    ['by age where it is one', relief, [{ upToYears: 99, limit: 30 }], 'This number is the same at every age.'],
    ['one where it is by age', withoutDrink, 10, 'This number is told by age.'],
    ['nobody older', withoutDrink, [{ upToYears: 12, limit: 10 }], 'The last step is for all who are older.'],
    ['nothing', withoutDrink, [], 'From one to six steps of age.'],
    [
      'an age twice',
      withoutDrink,
      [8, 8, 99].map((upToYears) => ({ upToYears, limit: 10 })),
      'Ages in whole years, each step older than the one before.',
    ],
    [
      'a step too long',
      withoutDrink,
      [
        { upToYears: 8, limit: 10 },
        { upToYears: 99, limit: 61 },
      ],
      'From 5 to 60 minutes.',
    ],
  ])('is refused in words: %s', (_why, rule, value, words) => {
    expect(ruleRefusal(rule, value)).toBe(words);
  });

  it('is read as one says it', () => {
    expect(ruleValueWords(40, 'percent')).toBe('40 %');
    expect(ruleValueWords(1, 'minutes')).toBe('1 minute');
    expect(ruleValueWords(240, 'effort-seconds')).toBe('240 effort × seconds, as 120 seconds of jogging on the spot');
    expect(ruleValueWords(ruleNamed('landings.most')?.usual ?? 0, 'times')).toBe('40 times up to 6 years, 60 up to 9, 80 when older');
    expect(ruleValueWords(withoutDrink.usual, 'minutes')).toBe('15 minutes up to 6 years, 20 when older');
    expect(ruleValueWords([{ upToYears: 99, limit: 12 }], 'minutes')).toBe('12 minutes');
  });

  it('is the same, whatever the order in which its fields were stored', () => {
    expect(sameRuleValue([{ upToYears: 99, limit: 5 }], JSON.parse('[{"limit":5,"upToYears":99}]') as RuleValue)).toBe(true);
    expect(sameRuleValue([{ upToYears: 99, limit: 5 }], [{ upToYears: 98, limit: 5 }])).toBe(false);
    expect(sameRuleValue(5, [{ upToYears: 99, limit: 5 }])).toBe(false);
  });
});

describe('a check that a club does not make', () => {
  const library = aLibrary(
    aMovement('drop', { kind: 'skill', effort: 4, hazards: ['hard-landing'] }),
    aMovement('stretch', { kind: 'static-stretch', effort: 1 }),
  );
  const plan = aPlan({
    drills: [anItem('drop')],
    mobilise: [anItem('stretch', { dose: { kind: 'hold', sets: 1, holdSeconds: 90, restSeconds: 0 } })],
  });
  const found = evaluated(plan, library).findings;

  it('is silent; all others say what they said before', () => {
    expect(found.length).toBeGreaterThan(5);
    fc.assert(
      fc.property(fc.subarray([...checkIds]), (off) => {
        const rules = { off: off.map((check) => ({ check, reason: '' })), numbers: {} };
        expect(evaluated(plan, library, { rules }).findings).toEqual(found.filter(({ check }) => !off.includes(check)));
      }),
      { numRuns: 60 },
    );
  });

  it('says its own number where a club has one', () => {
    const talk = aPlan({ opening: [anItem('stretch', { dose: { kind: 'timed', seconds: 60 }, explainSeconds: 240 })] });
    const told = (rules: ClubRules): string | undefined => {
      const { findings, timeline } = evaluated(talk, library, { rules });
      const finding = findings.find(({ check }) => check === 'little-moving');
      return finding && wordsOf(finding, timeline, library).sentence;
    };
    expect(told(usualRules)).toContain('; 40 % and more are usual.');
    expect(told({ off: [], numbers: { 'little-moving.least': 25 } })).toContain('; 25 % and more are usual.');
    expect(told({ off: [], numbers: { 'little-moving.least': 10 } })).toBeUndefined();
  });

  it('changes nothing else: neither times nor versions nor what bodies go through', () => {
    const { findings: _usual, ...usual } = evaluated(plan, library);
    const rules = { off: checkIds.map((check) => ({ check, reason: '' })), numbers: {} };
    const { findings, preparation, ...other } = evaluated(plan, library, { rules });
    expect(findings).toEqual([]);
    expect({ ...other, preparation }).toEqual(usual);
  });
});
