import { applyEdits, evaluatePlan, fitToClock, findItem, wordsOf, type Finding } from '@leiter/core';
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

describe('a class that is 90 s behind in minute 20', () => {
  /** Every class that goes on for a while after minute 20, at several moments around it: a hundred and more. */
  const late = classes.flatMap((one) => {
    const { timeline } = evaluatePlan(one.plan, library, one.context);
    if (timeline.totalSeconds < 30 * 60) return [];
    return Array.from({ length: 10 }, (_, nth) => 18 + nth / 2).map((minute) => ({
      ...one,
      minute,
      timeline,
      done: new Set(timeline.items.filter(({ startSecond }) => startSecond <= minute * 60).map(({ item }) => item.id)),
    }));
  });
  const offers = late.map((one) => ({
    ...one,
    fit: fitToClock(one.plan, library, one.context, { done: one.done, slotSeconds: one.timeline.totalSeconds - 90 }),
  }));

  it('ends within 20 s of its slot with what is offered, in at least 95 of 100', () => {
    expect(offers.length).toBeGreaterThanOrEqual(100);
    const misses = offers.flatMap(({ name, minute, plan, context, timeline, fit }) => {
      const fitted = applyEdits(
        plan,
        fit.steps.map(({ edit }) => edit),
        () => '',
      );
      const seconds = fitted.ok ? evaluatePlan(fitted.value, library, context).timeline.totalSeconds : Infinity;
      const off = seconds + 90 - timeline.totalSeconds;
      return Math.abs(off) <= 20 ? [] : [`${name} at ${String(minute)}: ${off.toFixed(0)} s, ${fit.kind}`];
    });
    expect(misses.length / offers.length, misses.join('\n')).toBeLessThanOrEqual(0.05);
  });

  it('never touches what was taught, the cool-down, a talk or a drink, and makes no finding worse', () => {
    for (const { plan, context, done, fit, name } of offers) {
      for (const { item } of fit.steps) {
        expect(done.has(item), name).toBe(false);
        const { section, item: own } = findItem(plan, item) ?? {};
        expect(['opening', 'safety', 'cool-down', 'closing'], name).not.toContain(section?.kind);
        expect(['talk', 'break'], name).not.toContain(library.get(own?.movement ?? '')?.kind);
      }
      const fitted = applyEdits(
        plan,
        fit.steps.map(({ edit }) => edit),
        () => '',
      );
      const stops = (some: typeof plan): number =>
        evaluatePlan(some, library, context).findings.filter(({ severity }) => severity === 'stop').length;
      if (fitted.ok) expect(stops(fitted.value), name).toBeLessThanOrEqual(stops(plan));
    }
  });
});
