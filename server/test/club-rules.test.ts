import { checksTold, evaluatePlan, everyAge, isByAge, libraryWithRows, severities, type ClubRules, type RuleValue } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../src/library/shipped-content.js';
import { mistakes } from './classes/mistakes.js';
import { readClasses } from './classes/read-classes.js';
import { wholeClasses } from './classes/whole-classes.js';

/*
 * What a club sets otherwise than usual, on whole classes: nothing to argue with, and with the mistakes of the week planted.
 */

const library = libraryWithRows(shippedLibrary());
const classes = readClasses(wholeClasses, library);
/** The camera carried about for every item. */
const carried = classes.map(({ plan, context }) => ({
  plan: { ...plan, sections: plan.sections.map((one) => ({ ...one, items: one.items.map((item) => ({ ...item, isCameraMoved: true })) })) },
  context,
}));
const all = [
  ...carried,
  ...classes.map(({ plan, context }) => ({ plan, context })),
  ...Object.values(mistakes).flatMap((plant) => classes.flatMap((one) => plant(one, library) ?? [])),
];

describe('each number of a check that a club may set', () => {
  const extremes = checksTold.flatMap(({ id, numbers }) =>
    numbers.map((rule) => {
      const at = (limit: number): RuleValue => (isByAge(rule) ? [{ upToYears: everyAge, limit }] : limit);
      const holding = (value: RuleValue): ClubRules => ({ off: [], numbers: { [rule.id]: value } });
      return [rule.id, id, holding(at(rule.least)), holding(at(rule.most))] as const;
    }),
  );

  it.each(extremes)('%s is asked: at its least and at its most the checks say something else', (_name, _check, least, most) => {
    const told = (rules: ClubRules, { plan, context }: (typeof all)[number]): string =>
      JSON.stringify(
        evaluatePlan(plan, library, { ...context, rules }).findings.map(({ check, severity, itemIds }) => [check, severity, itemIds]),
      );
    expect(all.some((one) => told(least, one) !== told(most, one))).toBe(true);
  });
});

describe('each check as it is told', () => {
  it('finds nothing graver than it says, and somewhere the gravest where it says stop', () => {
    const gravest = new Map<string, number>();
    for (const { plan, context } of all)
      for (const { check, severity } of evaluatePlan(plan, library, context).findings)
        gravest.set(check, Math.min(gravest.get(check) ?? Infinity, severities.indexOf(severity)));
    for (const { id, gravest: told } of checksTold)
      expect(gravest.get(id) ?? Infinity, id).toBeGreaterThanOrEqual(severities.indexOf(told));
    const stops = checksTold.filter(({ id, gravest: told }) => told === 'stop' && gravest.get(id) === 0);
    expect(stops.length).toBeGreaterThanOrEqual(6);
  });
});
