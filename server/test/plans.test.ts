import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let tomasz: Agent;
let assistant: Agent;
let classId: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  tomasz = await club.as('gymnastics');
  assistant = await club.as('assistant');
  const coming = (await tomasz.get('/api/coming-classes').expect(200)).body as readonly { class: { id: string; hasPlan: boolean } }[];
  classId = coming.find((one) => !one.class.hasPlan)?.class.id ?? '';
});
afterAll(() => club.close());

const item = (id: string, more: object = {}) => ({
  id,
  movement: 'drink-break',
  dose: { kind: 'timed', seconds: 60 },
  sides: 'none',
  tiers: ['core'],
  ...more,
});
const planOf = (...items: readonly object[]) => ({ sections: [{ id: 's', kind: 'drills', items }], focus: [] });
const save = (version: number, plan: object, agent = tomasz) => agent.put(`/api/classes/${classId}/plan`).send({ version, plan });
const stored = async () => (await tomasz.get(`/api/classes/${classId}`).expect(200)).body.stored;

describe('the plan of a class', () => {
  it('is nothing at first, and version 1 once saved', async () => {
    expect(await stored()).toBeNull();
    const answer = await save(0, planOf(item('a'))).expect(200);
    expect(answer.body).toMatchObject({ version: 1, savedBy: 'Tomasz Bielik', plan: planOf(item('a')) });
    expect(await stored()).toMatchObject({ version: 1, plan: planOf(item('a')) });
  });

  it('keeps every field of an item', async () => {
    const whole = item('a', {
      movement: 'forward-roll',
      dose: { kind: 'reps', sets: 2, reps: 4, secondsPerRep: 6.5, restSeconds: 15 },
      tiers: ['easier', 'core'],
      familiarity: 'known',
      cue: 'Round like a hedgehog',
      note: 'mats ready',
    });
    const answer = await save(1, planOf(whole)).expect(200);
    expect(answer.body.plan.sections[0].items[0]).toEqual(whole);
  });

  it('is refused where a circuit is torn apart, and nothing changes', async () => {
    const plan = {
      ...planOf(item('a', { circuit: 'c' }), item('b'), item('d', { circuit: 'c' })),
      circuits: [{ id: 'c', rounds: 2, restSeconds: 10 }],
    };
    expect((await save(2, plan).expect(422)).body.detail).toContain('circuit');
    expect((await stored()).version).toBe(2);
  });

  it('tells a page that shows it who saved last, and nothing to another club', async () => {
    const last = await tomasz.get(`/api/classes/${classId}/plan/version`).expect(200);
    expect(last.body).toEqual({ version: 2, savedBy: 'Tomasz Bielik' });
    await tomasz.get(`/api/classes/${crypto.randomUUID()}/plan/version`).expect(404);
  });

  it('saved on an old version is refused, with both plans at hand and nothing changed', async () => {
    const mine = planOf(item('mine'));
    const answer = await save(1, mine).expect(409);
    expect(answer.body.current).toMatchObject({ version: 2, savedBy: 'Tomasz Bielik' });
    expect(answer.body.yours).toEqual(mine);
    expect((await stored()).version).toBe(2);
  });

  it('saved once more because the answer was lost is the same save, not a conflict', async () => {
    const mine = planOf(item('b'), item('c'));
    expect((await save(2, mine).expect(200)).body.version).toBe(3);
    expect((await save(2, mine).expect(200)).body.version).toBe(3);
  });

  it('saved by two people at the same moment is taken from one of them only', async () => {
    const owner = await club.as('owner');
    const answers = await Promise.all([save(3, planOf(item('one'))), save(3, planOf(item('two')), owner)]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    const kept = answers.find(({ status }) => status === 200);
    expect((await stored()).plan).toEqual(kept?.body.plan);
  });

  it('first saved by two people at the same moment is taken from one of them only', async () => {
    const { class: other } = (await tomasz.get('/api/coming-classes').expect(200)).body.find(
      (one: { class: { id: string; hasPlan: boolean } }) => !one.class.hasPlan && one.class.id !== classId,
    );
    const put = (id: string) => tomasz.put(`/api/classes/${other.id}/plan`).send({ version: 0, plan: planOf(item(id)) });
    const answers = await Promise.all([put('one'), put('two')]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
  });

  it.each([
    ['a movement nobody knows', planOf(item('a', { movement: 'flying-carpet' })), 'There is no movement “flying-carpet”.'],
    ['a focus nobody knows', { ...planOf(item('a')), focus: ['flying-carpet'] }, 'There is no movement “flying-carpet”.'],
  ])('with %s is refused by name', async (_what, plan, message) => {
    const before = await stored();
    const answer = await save(before.version, plan).expect(422);
    expect(answer.body.errors[0].message).toBe(message);
    expect(await stored()).toEqual(before);
  });

  it.each([
    ['two items', planOf(item('a'), item('a'))],
    ['an item and its section', planOf(item('s'))],
  ])('with one id for %s is refused', async (_what, plan) => {
    const { version } = await stored();
    expect((await save(version, plan).expect(422)).body.detail).toMatch(/same id/);
  });

  it('with more items than any class has is refused with the limit', async () => {
    const { version } = await stored();
    const many = (from: number) => Array.from({ length: 120 }, (_, index) => item(`i${String(from + index)}`));
    const plan = {
      sections: [
        { id: 'one', kind: 'drills', items: many(0) },
        { id: 'two', kind: 'skill', items: many(120) },
      ],
      focus: [],
    };
    expect((await save(version, plan).expect(422)).body.detail).toMatch(/at most \d+ items/);
  });

  it.each([
    ['a dose below the least', { dose: { kind: 'timed', seconds: -5 } }, 'plan.sections.0.items.0.dose.seconds'],
    ['half a set', { dose: { kind: 'reps', sets: 1.5, reps: 2, secondsPerRep: 2, restSeconds: 0 } }, 'plan.sections.0.items.0.dose.sets'],
    ['no version in use', { tiers: [] }, 'plan.sections.0.items.0.tiers'],
    ['sides nobody has', { sides: 'front' }, 'plan.sections.0.items.0.sides'],
  ])('with %s names the field', async (_what, more, field) => {
    const answer = await save(1, planOf(item('a', more))).expect(400);
    expect(answer.body.errors.map((one: { field: string }) => one.field)).toContain(field);
  });

  it('is not changed by an assistant', async () => {
    const before = await stored();
    await save(before.version, planOf(item('x')), assistant).expect(403);
    expect(await stored()).toEqual(before);
  });
});

describe('templates', () => {
  it('are there for every programme and each length of class', async () => {
    const templates = (await tomasz.get('/api/plan-templates').expect(200)).body as readonly { programme: string; lengthMinutes: number }[];
    for (const programme of ['gymnastics', 'dance', 'martial-arts'])
      for (const length of [30, 45, 60])
        expect(templates.filter((one) => one.programme === programme && one.lengthMinutes === length)).not.toHaveLength(0);
  });
});

describe('a template of the club', () => {
  const template = (more: object = {}) => ({
    name: 'Windy day',
    programme: 'gymnastics',
    lengthMinutes: 45,
    ageBand: '7-9',
    plan: {
      sections: [
        {
          id: 's',
          kind: 'skill',
          items: [
            {
              id: 'a',
              movement: 'lever',
              dose: { kind: 'timed', seconds: 90 },
              sides: 'both',
              tiers: ['core'],
              note: 'x',
              tierByHand: { kid: 'core' },
            },
          ],
        },
        { id: 't', kind: 'strength', items: [] },
      ],
      focus: ['lever'],
    },
    ...more,
  });

  it('is kept without anything of the children, offered beside those that ship, and put away again', async () => {
    const owner = await club.as('owner');
    const shipped = (await owner.get('/api/plan-templates').expect(200)).body.length;
    const kept = (await owner.post('/api/plan-templates').send(template()).expect(201)).body;
    expect(kept.sections).toEqual([{ kind: 'skill', items: [{ movement: 'lever', dose: { kind: 'timed', seconds: 90 } }] }]);
    expect(
      (
        await owner
          .post('/api/plan-templates')
          .send(template({ name: 'windy DAY' }))
          .expect(422)
      ).body.errors[0].field,
    ).toBe('name');
    const listed = (await owner.get('/api/plan-templates').expect(200)).body;
    expect(listed).toHaveLength(shipped + 1);
    expect(listed[0]).toEqual(kept);
    await owner.delete(`/api/plan-templates/${kept.ownId}`).expect(204);
    await owner.delete(`/api/plan-templates/${kept.ownId}`).expect(404);
    expect((await owner.get('/api/plan-templates').expect(200)).body).toHaveLength(shipped);
  });

  it('is refused where it names what the library does not have, and to an assistant', async () => {
    const owner = await club.as('owner');
    await owner
      .post('/api/plan-templates')
      .send(template({ plan: { sections: [], focus: ['moon-walk'] } }))
      .expect(422);
    await (await club.as('assistant')).post('/api/plan-templates').send(template()).expect(403);
  });
});
