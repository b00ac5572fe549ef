import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let agent: Agent;
const own = { child: '', group: '', class: '', person: '' };
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  agent = await club.as('owner');
  const [coming] = (await agent.get('/api/coming-classes').expect(200)).body;
  own.class = coming.class.id;
  own.group = coming.group.id;
  own.child = (await agent.get('/api/children').expect(200)).body[0].id;
});
afterAll(() => club.close());

type Json = string | number | boolean | null | readonly Json[] | Body;
interface Body {
  readonly [key: string]: Json;
}
interface Write {
  readonly method: 'post' | 'put' | 'patch';
  readonly path: () => string;
  /** A body that is right. */
  readonly body: () => Body;
  /** So many characters are too many, where it is not the usual million. */
  readonly most?: number;
}

const household = {
  surface: 'carpet',
  clearLengthM: 2,
  clearWidthM: 2,
  things: ['chair'],
  adult: 'in-the-room',
  partner: false,
  quietHours: { from: '19:00', to: '07:00' },
};
const item = {
  id: 'a',
  movement: 'drink-break',
  dose: { kind: 'timed', seconds: 60 },
  sides: 'none',
  tiers: ['core'],
  familiarity: 'new',
  cue: 'x',
  note: 'y',
};
const ownMovement = {
  slug: 'harbour-hop',
  name: 'Harbour hop',
  kind: 'drill',
  sections: ['drills'],
  plainMeaning: 'Hop along the quay',
  posture: { from: 'standing', to: 'standing' },
  level: 'standing',
  effort: 2,
  dose: { '7-9': { kind: 'timed', seconds: 30 } },
  loads: [{ region: 'calves', amount: 1 }],
  stages: [{ name: 'One', see: 'Two feet' }],
  cues: ['Light'],
  figure: ['hop'],
};

const planFile = { format: 'leiter-plan/1', programme: 'gymnastics', lengthMinutes: 30, startsAt: '16:00', focus: ['drink-break'] };

const ownGrade = {
  slug: 'first',
  name: 'First',
  leastWeeksInGrade: 8,
  leastClasses: 6,
  leastAgeYears: 5,
  requirements: [
    {
      movement: 'cartwheel',
      stage: 1,
      criterion: {
        leastMark: 'clean',
        sides: 'both',
        leastSeconds: 2,
        leastCorrect: { correct: 1, of: 2 },
        faults: [],
        times: 2,
        days: 2,
        withinWeeks: 20,
      },
    },
  ],
};

const writes: Readonly<Record<string, Write>> = {
  'sign in': { method: 'post', path: () => '/api/session', body: () => ({ email: 'a@b.example', password: 'wrong password' }) },
  'make a club': {
    method: 'post',
    path: () => '/api/club',
    body: () => ({ clubName: 'X', ownerName: 'Y', email: 'a@b.example', password: 'long enough it is', timeZone: 'UTC' }),
  },
  'say where one teaches': {
    method: 'put',
    path: () => '/api/session/room',
    body: () => ({ room: { clearLengthM: 3, clearWidthM: 3, cameraDistanceM: 3, cameraHeightM: 1, viewAngleDegrees: 70 } }),
  },
  'add a person': {
    method: 'post',
    path: () => '/api/people',
    body: () => ({ name: 'X', email: `${randomUUID()}@b.example`, role: 'assistant', password: 'long enough it is' }),
  },
  'add a child': {
    method: 'post',
    path: () => '/api/children',
    body: () => ({ givenName: 'Una', familyInitial: 'P.', birthDate: '2018-05-05', leadSide: 'left', groupIds: [own.group], household }),
  },
  'change a child': {
    method: 'patch',
    path: () => `/api/children/${own.child}`,
    body: () => ({
      givenName: 'Una',
      familyInitial: 'P.',
      birthDate: '2018-05-05',
      leadSide: 'left',
      groupIds: [own.group],
      household,
      archived: false,
    }),
  },
  'keep health notes': { method: 'put', path: () => `/api/children/${own.child}/health-notes`, body: () => ({ notes: [] }) },
  'give a grade': { method: 'post', path: () => `/api/children/${own.child}/grades`, body: () => ({ gradeId: randomUUID() }) },
  'make a group': {
    method: 'post',
    path: () => '/api/groups',
    body: () => ({
      name: randomUUID().slice(0, 8),
      programme: 'dance',
      weekday: 5,
      startsAt: '16:00',
      lengthMinutes: 45,
      instructorId: null,
    }),
  },
  'change a group': {
    method: 'patch',
    path: () => `/api/groups/${own.group}`,
    body: () => ({ name: randomUUID().slice(0, 8), weekday: 5, startsAt: '16:00', lengthMinutes: 45, archived: false }),
  },
  'add a class': { method: 'post', path: () => '/api/classes', body: () => ({ groupId: own.group, day: '2027-03-03' }) },
  'change a class': {
    method: 'patch',
    path: () => `/api/classes/${own.class}`,
    body: () => ({ teaching: 'started', stopsNote: 'mats out' }),
  },
  'save a plan': {
    method: 'put',
    path: () => `/api/classes/${own.class}/plan`,
    body: () => ({
      version: 0,
      plan: {
        sections: [{ id: 's', kind: 'drills', items: [{ ...item, tierByHand: { child: 'core' } }] }],
        focus: ['drink-break'],
        accepted: [{ check: 'clock', itemIds: [], reason: 'a long one' }],
      },
    }),
  },
  'keep a template': {
    method: 'post',
    path: () => '/api/plan-templates',
    body: () => ({
      name: randomUUID().slice(0, 8),
      programme: 'dance',
      lengthMinutes: 45,
      ageBand: '7-9',
      plan: { sections: [{ id: 's', kind: 'drills', items: [item] }], focus: ['drink-break'] },
    }),
  },
  'judge a plan': {
    method: 'post',
    path: () => '/api/class-plans/preview',
    body: () => ({
      plan: { ...planFile, sections: [{ kind: 'drills', items: [{ ...item, movementInline: { ...ownMovement } }] }] },
      children: [
        {
          id: 'a',
          birthDate: '2018-01-01',
          grade: 'reef',
          leadSide: 'left',
          household,
          standings: [{ movement: 'lever', stage: 1, mark: 'alone' }],
        },
      ],
      instructor: { learnedPace: true },
    }),
  },
  'take in a plan': {
    method: 'post',
    path: () => `/api/classes/${own.class}/plan/import`,
    body: () => ({ version: 0, file: { ...planFile, sections: [{ kind: 'drills', items: [item] }] } }),
  },
  'save a movement': { method: 'put', path: () => '/api/library/harbour-hop', body: () => ({ movement: { ...ownMovement } }) },
  'put a movement away': { method: 'patch', path: () => '/api/library/harbour-hop', body: () => ({ isPutAway: false, ownCue: 'Quiet' }) },
  'change a ladder': { method: 'put', path: () => '/api/syllabuses/dance', body: () => ({ version: 1, grades: [ownGrade] }) },
  'take in a ladder': {
    method: 'post',
    path: () => '/api/syllabuses/import?dryRun=true',
    body: () => ({
      format: 'leiter-syllabus/1',
      syllabuses: [{ programme: 'dance', name: 'Dance', stretchingSchool: 'dynamic-first', startsAs: 'New', grades: [ownGrade] }],
    }),
    most: 5_000_000,
  },
  'take in a ladder as a table': {
    method: 'post',
    path: () => '/api/syllabuses/dance/table?dryRun=true',
    body: () => ({ text: 'grade,movement\nA,cartwheel' }),
  },
  'take in a list of children': {
    method: 'post',
    path: () => '/api/children/table?dryRun=true',
    body: () => ({ text: 'name,birth date\nA B,2018-01-01' }),
  },
  'move a child over': { method: 'post', path: () => `/api/children/${own.child}/newest-ladder`, body: () => ({ programme: 'dance' }) },
  'take in a library': {
    method: 'post',
    path: () => '/api/library/import',
    body: () => ({ format: 'leiter-library/1', movements: [{ ...ownMovement }] }),
    most: 30_000_000,
  },
  'set attendance': { method: 'put', path: () => `/api/classes/${own.class}/attendance/${own.child}`, body: () => ({ status: 'late' }) },
  'store real times': {
    method: 'put',
    path: () => `/api/classes/${own.class}/item-times`,
    body: () => ({ times: [{ itemId: 'a', plannedSeconds: 60, realSeconds: 62.5 }] }),
  },
  'give a mark': {
    method: 'put',
    path: () => `/api/observations/${randomUUID()}`,
    body: () => ({
      childId: own.child,
      movement: 'cartwheel',
      stage: 1,
      side: 'left',
      mark: 'alone',
      help: null,
      measure: { seconds: 3, reps: 2, correct: 1, of: 2 },
      faults: [],
      note: 'fine',
      seenOn: '2026-01-05',
      source: 'entered-later',
      classId: null,
      supersedes: null,
    }),
  },
};

const nasty: readonly (readonly [string, Json])[] = [
  ['null', null],
  ['a number', 7],
  ['a huge number', 1e308],
  ['a negative number', -1],
  ['a fraction', 0.333],
  ['text', 'abc'],
  ['empty text', ''],
  ['an array', []],
  ['an object', {}],
  ['true', true],
  ['long text', 'x'.repeat(20_000)],
  ['a NUL character', 'a\u0000b'],
  ['ten thousand things', Array.from({ length: 10_000 }, () => 'x')],
  ['something deep', JSON.parse('['.repeat(60) + ']'.repeat(60)) as Json],
  ['the prototype', JSON.parse('{"__proto__": {"admin": true}}') as Json],
];

/** Every field of a body, nested ones too, as a path. */
function pathsIn(value: Json, path: readonly (string | number)[] = []): readonly (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  const entries: readonly (readonly [string | number, Json])[] = Array.isArray(value)
    ? value.map((one, index) => [index, one] as const)
    : Object.entries(value as Body);
  return [path, ...entries.flatMap(([key, inner]) => pathsIn(inner, [...path, key]))];
}

function withValue(body: Json, path: readonly (string | number)[], value: Json): Json {
  const [first, ...rest] = path;
  if (first === undefined) return value;
  if (Array.isArray(body)) return body.map((one: Json, index) => (index === first ? withValue(one, rest, value) : one));
  return { ...(body as Body), [first]: withValue((body as Body)[first] ?? null, rest, value) };
}

const send = (write: Write, body: Json) =>
  agent[write.method](write.path()).set('content-type', 'application/json').send(JSON.stringify(body));

describe.each(Object.entries(writes))('to %s', (_name, write) => {
  it('with any field replaced by anything is answered, refusals as problems, never a crash', async () => {
    const body = write.body();
    for (const path of pathsIn(body))
      for (const [name, value] of nasty) {
        const answer = await send(write, withValue(write.body(), path, value));
        expect(answer.status, `${path.join('.')} as ${name}: ${answer.text.slice(0, 200)}`).toBeLessThan(500);
        if (answer.status >= 400) expect(answer.headers['content-type']).toMatch(/application\/problem\+json/);
      }
  }, 120_000);

  it('with an unknown field is refused, and says which', async () => {
    const answer = await send(write, { ...write.body(), surprise: 1 });
    expect(answer.status).toBe(400);
    expect(answer.body.errors).toContainEqual({ field: 'surprise', message: 'This field is not known here.' });
  });

  it('with more than it takes is refused unread', async () => {
    const tooMuch = JSON.stringify({ a: 'x'.repeat(write.most ?? 1_000_000) });
    const answer = await agent[write.method](write.path()).set('content-type', 'application/json').send(tooMuch);
    expect(answer.status).toBe(413);
    expect(answer.headers['content-type']).toMatch(/application\/problem\+json/);
  });

  it.each([
    ['no JSON', '{"a":', 'application/json', 400],
    ['another type', 'a=1', 'text/plain', 415],
    ['a list at the top', '[]', 'application/json', 400],
  ])('sent as %s is refused', async (_kind, text, type, status) => {
    const answer = await agent[write.method](write.path()).set('content-type', type).send(text);
    expect(answer.status).toBe(status);
    expect(answer.body).toMatchObject({ status, title: expect.any(String), type: 'about:blank' });
  });
});

describe('an address that is odd', () => {
  it.each([
    '/api/children/not-an-id',
    '/api/children/%00',
    '/api/library/%00',
    '/api/groups/1/board',
    '/api/nothing',
    "/api/children/';DROP TABLE child",
  ])('%s is a refusal', async (path) => {
    const answer = await agent.get(path);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(answer.headers['content-type']).toMatch(/problem\+json/);
  });
});

describe('a plan of ten thousand items', () => {
  it('is refused in a moment, and nothing of it is stored', async () => {
    const items = Array.from({ length: 10_000 }, (_, index) => ({
      id: `i${String(index)}`,
      movement: 'drink-break',
      dose: { kind: 'timed', seconds: 1 },
      sides: 'none',
      tiers: ['core'],
    }));
    const answer = await agent
      .put(`/api/classes/${own.class}/plan`)
      .send({ version: 1, plan: { sections: [{ id: 's', kind: 'drills', items }], focus: [] } });
    expect([400, 413]).toContain(answer.status);
    const stored = (await agent.get(`/api/classes/${own.class}`).expect(200)).body.stored;
    expect(JSON.stringify(stored ?? {}).length).toBeLessThan(5000);
  });
});
