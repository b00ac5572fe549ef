import {
  applyEdits,
  clockText,
  evaluatePlan,
  findItem,
  fitToClock,
  libraryWithRows,
  phraseInStep,
  stepsOf,
  type Finding,
  usualVoice,
  utterancesOf,
  wordsOf,
} from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../src/library/shipped-content.js';
import { readClasses, type WholeClass } from './classes/read-classes.js';
import { mistakes } from './classes/mistakes.js';
import { wholeClasses } from './classes/whole-classes.js';

const library = libraryWithRows(shippedLibrary());
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

describe('what is said in a whole class', () => {
  const numbers =
    'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty'.split(
      ' ',
    );

  it.each(classes.map((one) => [one.name, one] as const))(
    '%s: each rep, beat, side and change once, in its order, within its part',
    (_name, { plan, context }) => {
      const { items } = evaluatePlan(plan, library, context).timeline;
      const lists = utterancesOf(items, usualVoice);
      items.forEach((timed, index) => {
        let at = 0;
        for (const step of stepsOf(timed)) {
          const [from, to] = [at - 1e-6, at + step.seconds - 1e-6];
          at += step.seconds;
          const own = (lists[index] ?? []).filter((one) => one.at >= from && one.at < to && one.kind !== 'next');
          const where = `${timed.movement.name} at ${clockText(timed.startSecond)}`;
          if (step.kind === 'reps' && timed.sides !== 'alternating') {
            const counted = own.filter(({ kind }) => kind === 'count' || kind === 'side' || kind === 'name').map(({ text }) => text);
            expect(counted, where).toHaveLength(step.reps);
            counted.forEach((text, nth) => {
              if (nth > 0 && text !== '') expect(text, where).toBe(numbers[nth]);
            });
          }
          if (step.kind === 'counts') {
            const counted = own.filter(({ kind }) => kind === 'count' || kind === 'side' || kind === 'name');
            const danced = phraseInStep(timed, step);
            if (!danced) expect(counted, where).toHaveLength(step.counts);
            else if (!step.learning) {
              // a phrase: one thing at a time; each whole count on which a row begins the first time, then every count
              const { phrase, passCounts } = danced;
              const begins = Math.floor(phrase.rows[0]?.at ?? 0);
              const said = counted.map((one) => Math.round((2 * (one.at - (at - step.seconds)) * step.counts) / step.seconds) / 2);
              expect(new Set(said).size, where).toBe(said.length);
              for (const row of phrase.rows)
                if (row.at % 1 === 0 && row.at - begins < Math.min(passCounts, step.counts)) expect(said, where).toContain(row.at - begins);
              const later = Array.from({ length: Math.max(0, step.counts - passCounts) }, (_, nth) => passCounts + nth);
              expect(
                said.filter((count) => count >= passCounts),
                where,
              ).toEqual(later);
            }
          }
          if (step.kind === 'change-side') expect(own.map(({ text }) => text).slice(0, 1), where).toEqual(['change']);
          if (step.kind === 'rest') expect(own.map(({ text }) => text).slice(0, 1), where).toEqual(['rest']);
        }
      });
    },
  );
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
