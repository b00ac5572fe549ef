import { Household } from '@leiter/contract';
import {
  defaultTimingSettings,
  evaluatePlan,
  fillSlot,
  planFromTemplate,
  sectionKinds,
  type AgeBand,
  type EvaluationContext,
} from '@leiter/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { describe, expect, it } from 'vitest';
import { demoLists } from '../src/demo/demo-lists.js';
import { shippedLibrary, shippedSyllabuses, shippedTemplates } from '../src/library/shipped-content.js';

const library = shippedLibrary();

describe('the library that ships', () => {
  it('has something for every programme and part of a class', () => {
    const movements = [...library.values()];
    for (const programme of ['gymnastics', 'dance', 'martial-arts'])
      expect(movements.filter((one) => one.programmes.includes(programme)).length, programme).toBeGreaterThanOrEqual(15);
    expect(movements.filter((one) => one.programmes.length === 0).length).toBeGreaterThanOrEqual(15);
    for (const section of sectionKinds)
      expect(
        movements.filter((one) => one.sections.includes(section)),
        section,
      ).not.toEqual([]);
  });

  it('gives every movement a cue that is said in a breath', () => {
    for (const { slug, cues } of library.values())
      for (const cue of cues) expect(cue.split(/\s+/).length, `${slug}: ${cue}`).toBeLessThanOrEqual(9);
  });
});

describe.each(shippedSyllabuses())('the ladder of $programme', ({ grades }) => {
  it('asks only for movements and stages that the library has', () => {
    for (const { name, requirements } of grades)
      for (const { movement, stage } of requirements) {
        const found = library.get(movement);
        expect(found, `${name}: ${movement}`).toBeDefined();
        if (stage !== undefined) expect(found?.stages.length, `${name}: ${movement}`).toBeGreaterThanOrEqual(stage);
      }
  });

  it('asks for a side of a movement that is done on one side after the other', () => {
    for (const { name, requirements } of grades)
      for (const { movement, criterion } of requirements) {
        if (library.get(movement)?.sides === 'each') expect(criterion.sides ?? 'none', `${name}: ${movement}`).not.toBe('none');
      }
  });

  it('is climbed at an age that never falls', () => {
    const ages = grades.map(({ leastAgeYears }) => leastAgeYears);
    expect(ages).toEqual(ages.toSorted((a, b) => a - b));
  });
});

describe('the homes of the demo club', () => {
  it.each(Object.entries(demoLists().homes))('%s are homes as the form would take them', (_name, { about: _about, ...home }) => {
    expect(
      validateSync(plainToInstance(Household, home), { forbidUnknownValues: true, whitelist: true, forbidNonWhitelisted: true }),
    ).toEqual([]);
  });
});

describe.each(shippedTemplates().map((template) => [template.slug, template] as const))('the template %s', (_slug, template) => {
  const ages: Readonly<Record<AgeBand, readonly number[]>> = { '4-6': [5, 5, 6, 6], '7-9': [7, 8, 8, 9], '10-13': [10, 11, 12, 13] };
  const context: EvaluationContext = {
    settings: defaultTimingSettings,
    exposures: new Map(),
    paces: new Map(),
    agesYears: ages[template.ageBand],
    programme: template.programme,
    slotMinutes: template.lengthMinutes,
  };
  let made = 0;
  const plan = planFromTemplate(template, library, () => `i${String((made += 1))}`);

  it('names only movements of the library, and focuses on some that it teaches', () => {
    expect(plan.ok).toBe(true);
    const taught = new Set(template.sections.flatMap(({ items }) => items.map(({ movement }) => movement)));
    expect(template.focus.length).toBeGreaterThan(0);
    for (const movement of template.focus) expect(taught).toContain(movement);
  });

  it('raises neither a stop nor a caution for a group that learns everything in it anew', () => {
    if (!plan.ok) throw new Error('see above');
    const found = evaluatePlan(fillSlot(plan.value, library, context), library, context).findings;
    expect(found.filter(({ severity }) => severity !== 'hint')).toEqual([]);
  });
});
