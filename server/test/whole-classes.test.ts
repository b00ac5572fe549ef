import { evaluatePlan, wordsOf, type Finding } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../src/library/shipped-content.js';
import { readClasses, type WholeClass } from './classes/read-classes.js';
import { mistakes } from './classes/mistakes.js';
import { wholeClasses } from './classes/whole-classes.js';

const library = shippedLibrary();
const classes = readClasses(wholeClasses, library);

describe.each(classes.map((one) => [one.name, one] as const))('%s', (_name, { plan, context }: WholeClass) => {
  it('is nothing to argue with: no stop, no caution, at most two hints', () => {
    const { findings, timeline } = evaluatePlan(plan, library, context);
    const told = ({ check, severity, itemIds, ...finding }: Finding): string =>
      `${severity} ${check}: ${wordsOf({ check, severity, itemIds, ...finding }, timeline, library).sentence} [${itemIds.join()}]`;
    expect(findings.filter(({ severity }) => severity !== 'hint').map(told)).toEqual([]);
    expect(findings.map(told).length, findings.map(told).join('\n')).toBeLessThanOrEqual(2);
  });
});

describe.each(Object.entries(mistakes))('%s', (_name, plant) => {
  const planted = classes.flatMap((one) => {
    const wrong = plant(one, library);
    return wrong ? [[one.name, one, wrong] as const] : [];
  });

  it('can be planted into some of them, and would not be found without it', () => {
    expect(planted.length).toBeGreaterThanOrEqual(3);
    for (const [name, { plan, context }, { check }] of planted)
      if (check !== 'order')
        expect(
          evaluatePlan(plan, library, context).findings.map((one) => one.check),
          name,
        ).not.toContain(check);
  });

  it.each(planted)('is found in “%s”, at its place', (_class, _one, { plan, context, check, at }) => {
    const own = evaluatePlan(plan, library, context).findings.filter((finding) => finding.check === check);
    expect(own).not.toEqual([]);
    if (at !== null) expect(own.flatMap(({ itemIds }) => itemIds)).toContain(at);
  });
});
