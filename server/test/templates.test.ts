import type { ClassPageResponse, ComingClass } from '@leiter/contract';
import {
  ageBandOf,
  defaultTimingSettings,
  evaluatePlan,
  fillSlot,
  libraryOf,
  libraryWithRows,
  meanAge,
  paceOf,
  planFromTemplate,
  templatesFor,
  wordsOf,
  usualRules,
  type EvaluationContext,
  type PlanTemplate,
} from '@leiter/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

it.each(['Puffins', 'Kittiwakes', 'Tide Pool', 'Undertow', 'Lanterns'])(
  'the template that is offered first to the %s, untouched, lets no check find anything',
  async (name) => {
    const library = libraryWithRows(libraryOf((await owner.get('/api/library').expect(200)).body));
    const templates: readonly PlanTemplate[] = (await owner.get('/api/plan-templates').expect(200)).body;
    const coming: readonly ComingClass[] = (await owner.get('/api/coming-classes').expect(200)).body;
    const { class: session } = coming.find(({ group }) => group.name === name) ?? {};
    const page: ClassPageResponse = (await owner.get(`/api/classes/${session?.id ?? ''}`).expect(200)).body;
    const context: EvaluationContext = {
      settings: defaultTimingSettings,
      exposures: new Map(page.exposures.map(({ movement, ...exposure }) => [movement, exposure])),
      pace: paceOf(page.pace),
      style: page.style,
      agesYears: page.children.map(({ ageYears }) => ageYears),
      programme: page.class.programme,
      slotMinutes: page.class.lengthMinutes,
      stretchingSchool: page.syllabus?.stretchingSchool ?? 'early-static',
      children: page.children,
      ladder: page.syllabus,
      startsAt: page.class.startsAt,
      room: null,
      rules: usualRules,
    };
    const ageBand = ageBandOf(meanAge(context.agesYears));
    const [template] = templatesFor(templates, { ...page.class, ageBand });
    const started = template && planFromTemplate(template, library, () => crypto.randomUUID());
    if (!started?.ok) throw new Error('no template');
    const { findings, timeline } = evaluatePlan(fillSlot(started.value, library, context), library, context);
    const nameOf = (id: string): string => timeline.items.find(({ item }) => item.id === id)?.movement.slug ?? id;
    expect(findings.map((one) => `${one.check}: ${wordsOf(one, timeline, library).sentence} [${one.itemIds.map(nameOf).join()}]`)).toEqual(
      [],
    );
  },
);
