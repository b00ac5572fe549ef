import { readdirSync, readFileSync } from 'node:fs';
import { Household } from '@leiter/contract';
import {
  ageBandOf,
  defaultTimingSettings,
  evaluatePlan,
  fillSlot,
  fromYears,
  itemOf,
  phraseRead,
  segmentStages,
  withSegmentStages,
  plainPace,
  planFromTemplate,
  sectionKinds,
  syllabusFaults,
  unsaidIn,
  unsignable,
  walk,
  wordsOf,
  usualRules,
  type AgeBand,
  type ChildInClass,
  type ClassPlan,
  type EvaluationContext,
  type Syllabus,
  type Version,
} from '@leiter/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { describe, expect, it } from 'vitest';
import { root } from '../src/root.js';
import { demoLists } from '../src/demo/demo-lists.js';
import { shippedLibrary, shippedSyllabuses, shippedTemplates } from '../src/library/shipped-content.js';

const library = shippedLibrary();

describe('the library that ships', () => {
  it('has something for every programme and part of a class', () => {
    const movements = [...library.values()];
    for (const [programme, least] of [
      ['gymnastics', 150],
      ['dance', 150],
      ['martial-arts', 130],
    ] as const)
      expect(movements.filter((one) => one.programmes.includes(programme)).length, programme).toBeGreaterThanOrEqual(least);
    expect(movements.filter((one) => one.programmes.length === 0).length).toBeGreaterThanOrEqual(90);
    for (const section of sectionKinds)
      expect(
        movements.filter((one) => one.sections.includes(section)),
        section,
      ).not.toEqual([]);
  });

  it('has three versions of most movements and stages of most skills, as a coach teaches them', () => {
    const movements = [...library.values()];
    expect(movements.filter(({ tiers }) => Object.keys(tiers).length === 3).length).toBeGreaterThanOrEqual(200);
    expect(movements.filter(({ stages }) => stages.length >= 2).length).toBeGreaterThanOrEqual(70);
  });

  it('has for every part of its steps a stage that can be marked', () => {
    const parted = [...library.values()].filter((movement) => segmentStages(movement).length > 0);
    expect(parted.length).toBeGreaterThan(20);
    const short = parted.filter((movement) => withSegmentStages(movement).stages.length < segmentStages(movement).length);
    expect(short.map(({ slug }) => slug)).toEqual([]);
  });

  it('names for every phrase at least the room that its steps take, whichever way it lies', () => {
    const tooSmall = [...library.values()].flatMap(({ slug, phrase, needs: { footprint } }) => {
      const read = phrase && phraseRead(phrase);
      if (!read) return [];
      const { lengthM, widthM } = walk(read).footprint;
      const fits = (long: number, wide: number): boolean => lengthM <= long + 0.05 && widthM <= wide + 0.05;
      const { lengthM: long, widthM: wide } = footprint;
      return fits(long, wide) || fits(wide, long) ? [] : [`${slug}: ${lengthM.toFixed(2)} × ${widthM.toFixed(2)}`];
    });
    expect(tooSmall).toEqual([]);
  });

  it('gives every movement a cue that is said in a breath', () => {
    for (const { slug, cues } of library.values())
      for (const cue of cues) expect(cue.split(/\s+/).length, `${slug}: ${cue}`).toBeLessThanOrEqual(9);
  });

  it('gives everything that is moved two cues, what is learnt two faults with their fixes, and the youngest a picture', () => {
    const led = new Set(['talk', 'break', 'ritual']);
    const learnt = new Set(['skill', 'drill', 'basic', 'strength', 'combination']);
    for (const { slug, kind, cues, faults, picture, leastAge } of library.values()) {
      if (!led.has(kind)) expect(cues.length, slug).toBeGreaterThanOrEqual(2);
      if (learnt.has(kind)) expect(faults.length, slug).toBeGreaterThanOrEqual(2);
      if (!led.has(kind) && leastAge <= 6) expect(picture, slug).not.toBeNull();
    }
  });

  it('says how an adult helps wherever one has to be there', () => {
    for (const { slug, needs, support } of library.values()) if (needs.adult !== 'none') expect(support, slug).not.toBeNull();
  });
});

describe('what safety rests on', () => {
  it('is said in every entry, and nothing is left to a default', () => {
    const files = readdirSync(`${root}content/library`).map(
      (name) =>
        JSON.parse(readFileSync(`${root}content/library/${name}`, 'utf8')) as { readonly movements: readonly Record<string, unknown>[] },
    );
    for (const entry of files.flatMap(({ movements }) => movements)) expect(unsaidIn(entry), String(entry['slug'])).toEqual([]);
  });

  it('is as a coach would sign it', () => {
    expect(unsignable([...library.values()], library)).toEqual([]);
  });

  it('asks for the stage wherever a prerequisite has stages', () => {
    for (const { slug, prerequisites, tiers } of library.values())
      for (const asked of [...prerequisites, ...Object.values(tiers).flatMap((tier) => tier.prerequisites ?? [])])
        expect(asked.stage !== undefined || library.get(asked.movement)?.stages.length === 0, `${slug}: ${asked.movement}`).toBe(true);
  });
});

describe.each(shippedSyllabuses())('the ladder of $programme', (syllabus) => {
  it('asks nothing of an age that it is not for, nothing that needs a hall, and nothing longer than a class does it', () => {
    for (const { slug, leastAgeYears, requirements } of syllabus.grades)
      for (const { movement: name, stage, criterion } of requirements) {
        const movement = library.get(name);
        const where = `${slug}: ${name}`;
        expect(movement && fromYears(movement), where).toBeLessThanOrEqual(leastAgeYears);
        expect(movement?.needs.adult, where).not.toBe('in-person');
        expect(stage ?? 0, where).toBeLessThanOrEqual(movement?.stages.length ?? 0);
        const own = movement?.dose[ageBandOf(leastAgeYears)];
        const { leastSeconds = 0, leastReps = 0 } = criterion;
        if (leastSeconds > 0)
          expect(own?.kind === 'hold' ? own.holdSeconds : own?.kind === 'timed' ? own.seconds : 0, where).toBeGreaterThanOrEqual(
            leastSeconds,
          );
        if (leastReps > 0 && own?.kind === 'reps') expect(own.reps * own.sets, where).toBeGreaterThanOrEqual(leastReps);
      }
  });

  it('names only what the library has, asks both sides where there are two, and each grade rests on the one below', () => {
    expect(syllabusFaults(syllabus, library)).toEqual([]);
  });

  it('asks for five to eleven things in each grade', () => {
    for (const { name, requirements } of syllabus.grades) {
      expect(requirements.length, name).toBeGreaterThanOrEqual(5);
      expect(requirements.length, name).toBeLessThanOrEqual(11);
    }
  });

  it('is as long as its programme says', () => {
    expect(syllabus.grades).toHaveLength({ gymnastics: 8, dance: 7, 'martial-arts': 13 }[syllabus.programme] ?? 0);
  });
});

describe.each(shippedSyllabuses())('who is taught by the ladder of $programme', (syllabus) => {
  const ladder = {
    ...syllabus,
    version: 1,
    grades: syllabus.grades.map((grade) => ({
      ...grade,
      id: grade.slug,
      isPutAway: false,
      requirements: grade.requirements.map((one, index) => ({ ...one, id: String(index) })),
    })),
  } as unknown as Syllabus;
  const movements = [...library.values()].filter(({ programmes }) => programmes.length === 0 || programmes.includes(syllabus.programme));
  const plan: ClassPlan = {
    focus: [],
    sections: [
      { id: 's', kind: 'skill', items: movements.map((movement) => ({ ...itemOf(movement, '7-9'), id: `item ${movement.slug}` })) },
    ],
  };
  const versionsFor = (child: Partial<ChildInClass>): readonly Version[] => {
    const children = [{ id: 'child', ageYears: 9, earned: [], home: null, marks: [], ...child }];
    return evaluatePlan(plan, library, {
      settings: defaultTimingSettings,
      exposures: new Map(),
      pace: plainPace,
      style: 'as-it-comes',
      agesYears: [9],
      programme: syllabus.programme,
      slotMinutes: 45,
      stretchingSchool: 'early-static',
      children,
      ladder,
      startsAt: null,
      room: null,
      rules: usualRules,
    }).versions;
  };

  it('does at least the core of all that an earned grade asks, and the grades below it', () => {
    ladder.grades.forEach((grade, index) => {
      const asked = new Set<string>(
        ladder.grades
          .slice(0, index + 1)
          .flatMap(({ requirements }) => requirements.flatMap(({ movement, stage }) => (stage === null ? [movement] : []))),
      );
      const oldEnough = Math.max(grade.leastAgeYears, ...[...asked].map((slug) => library.get(slug)?.leastAge ?? 0));
      const lesser = versionsFor({ ageYears: oldEnough, earned: [grade.slug] }).filter(
        ({ itemId, tier }) => asked.has(itemId.slice('item '.length)) && tier !== 'core' && tier !== 'harder',
      );
      expect(lesser.map(({ itemId, tier }) => `${grade.slug}: ${itemId} ${String(tier)}`)).toEqual([]);
    });
  });

  it('gives who has shown nothing nothing that needs a skill, and nothing harder', () => {
    const needing = versionsFor({ ageYears: 16 }).filter(({ tier, movement: slug }) => {
      const movement = library.get(slug);
      if (tier === null || !movement) return false;
      const needs = tier === 'easier' ? (movement.tiers.easier?.prerequisites ?? []) : movement.prerequisites;
      return tier === 'harder' || needs.length > 0;
    });
    expect(needing).toEqual([]);
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
    pace: plainPace,
    style: 'as-it-comes',
    agesYears: ages[template.ageBand],
    programme: template.programme,
    slotMinutes: template.lengthMinutes,
    stretchingSchool: shippedSyllabuses().find(({ programme }) => programme === template.programme)?.stretchingSchool ?? 'early-static',
    children: [],
    ladder: null,
    startsAt: null,
    room: null,
    rules: usualRules,
  };
  let made = 0;
  const plan = planFromTemplate(template, library, () => `i${String((made += 1))}`);

  it('names only movements of the library, and focuses on some that it teaches', () => {
    expect(plan.ok).toBe(true);
    const taught = new Set(template.sections.flatMap(({ items }) => items.map(({ movement }) => movement)));
    expect(template.focus.length).toBeGreaterThan(0);
    for (const movement of template.focus) expect(taught).toContain(movement);
  });

  function begun(said: Partial<EvaluationContext>, severities: readonly string[]) {
    if (!plan.ok) throw new Error('see above');
    const own = { ...context, ...said };
    const { findings, timeline } = evaluatePlan(fillSlot(plan.value, library, own), library, own);
    const told = findings
      .filter(({ severity }) => severities.includes(severity))
      .map(
        (finding) =>
          `${finding.check}: ${wordsOf(finding, timeline, library).title} ${finding.itemIds.map((id) => timeline.items.find(({ item }) => item.id === id)?.movement.slug ?? id).join()}`,
      );
    return { told, share: timeline.totalSeconds / (template.lengthMinutes * 60), movingShare: timeline.movingShare };
  }

  it('is nothing to argue with for a group that knows it: fills its slot, and the children move', () => {
    const exposures = new Map([...library.keys()].map((slug) => [slug, { shareInLastTwoClasses: 0, shareInLastEightWeeks: 1 }]));
    const { told, share, movingShare } = begun({ exposures }, ['stop', 'caution', 'hint']);
    expect(told).toEqual([]);
    expect(share).toBeGreaterThanOrEqual(0.94);
    expect(share).toBeLessThanOrEqual(1);
    expect(movingShare).toBeGreaterThanOrEqual(0.5);
  });

  it('lets no check stop or caution a group that learns everything in it anew', () => {
    expect(begun({}, ['stop', 'caution']).told).toEqual([]);
  });
});

describe('the templates of a programme', () => {
  it.each(['gymnastics', 'dance', 'martial-arts'])('of %s are eight at least, of all lengths and ages', (programme) => {
    const own = shippedTemplates().filter((one) => one.programme === programme);
    expect(own.length).toBeGreaterThanOrEqual(8);
    expect(new Set(own.map(({ lengthMinutes }) => lengthMinutes))).toEqual(new Set([20, 30, 45, 60]));
    expect(new Set(own.map(({ ageBand }) => ageBand))).toEqual(new Set(['4-6', '7-9', '10-13']));
    expect(new Set(own.map(({ name }) => name)).size).toBe(own.length);
  });
});
