import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { otherClub, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let agent: Agent;
let theirs: Awaited<ReturnType<typeof otherClub>>;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  agent = await club.as('owner');
  theirs = await otherClub(club.source);
});
afterAll(() => club.close());

const mark = (said: object) => ({
  childId: theirs.child,
  movement: 'cartwheel',
  side: 'left',
  mark: 'alone',
  measure: {},
  faults: [],
  note: '',
  seenOn: '2026-01-05',
  source: 'class',
  ...said,
});

const stage = () => ({
  tab: randomUUID(),
  item: 'Jog',
  what: 'Go',
  side: null,
  next: null,
  remainingSeconds: 10,
  isPaused: false,
  isWaiting: false,
  isOver: false,
  canPutOff: false,
  canUndo: false,
  watch: null,
  done: [],
});

const letterTo = (childId: string) => ({ childId, kind: 'own', language: 'en', subject: 'Hello', body: 'A line.' });

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete';
interface Foreign {
  readonly method: Method;
  readonly path: () => string;
  readonly body?: () => object;
  readonly status: number;
}

/**
 * Every route of the API. A route that takes ids says here how it answers to those of another club; a new route that is not
 * on the list fails the test below.
 */
const routes: Readonly<Record<string, 'no ids' | 'public' | readonly Foreign[]>> = {
  'GET /api/health': 'public',
  'GET /api/welcome': 'public',
  'POST /api/club': 'public',
  'POST /api/session': 'public',
  'GET /api/session': 'no ids',
  'DELETE /api/session': 'public',
  'PUT /api/session/room': 'no ids',
  'PUT /api/session/style': 'no ids',
  'PUT /api/session/voice': 'no ids',
  'POST /api/voice/clips': 'no ids',
  // a clip belongs to nobody: words and how they sound
  'GET /api/voice/clips/{key}': 'no ids',
  'PUT /api/session/password': 'no ids',
  'GET /api/invitations/{token}': 'public',
  'POST /api/invitations/{token}': 'public',
  'GET /api/events': 'no ids',
  'GET /api/people': 'no ids',
  'GET /api/people/invitations': 'no ids',
  'POST /api/people/invitations': 'no ids',
  'DELETE /api/people/invitations/{id}': [{ method: 'delete', path: () => `/api/people/invitations/${theirs.invitation}`, status: 404 }],
  'PATCH /api/people/{id}': [
    { method: 'patch', path: () => `/api/people/${theirs.person}`, body: () => ({ isPutAway: true }), status: 404 },
  ],
  'POST /api/people/{id}/reset': [{ method: 'post', path: () => `/api/people/${theirs.person}/reset`, status: 404 }],
  'DELETE /api/plan-imports/{id}': [{ method: 'delete', path: () => `/api/plan-imports/${theirs.planImport}`, status: 404 }],
  'GET /api/library': 'no ids',
  'GET /api/library/{slug}': 'no ids',
  'GET /api/library/export': 'no ids',
  'POST /api/library/import': 'no ids',
  'DELETE /api/library/imports/{id}': [{ method: 'delete', path: () => `/api/library/imports/${theirs.import}`, status: 404 }],
  'PUT /api/library/{slug}': 'no ids',
  'PATCH /api/library/{slug}': 'no ids',
  'GET /api/library/{slug}/phrase': 'no ids',
  'PUT /api/library/{slug}/phrase': 'no ids',
  'GET /api/syllabuses': 'no ids',
  'GET /api/syllabuses/export': 'no ids',
  'POST /api/syllabuses/import': 'no ids',
  'DELETE /api/syllabuses/imports/{id}': [
    { method: 'delete', path: () => `/api/syllabuses/imports/${theirs.syllabusImport}`, status: 404 },
  ],
  'PUT /api/syllabuses/{programme}': 'no ids',
  'GET /api/syllabuses/{programme}/table': 'no ids',
  'POST /api/syllabuses/{programme}/table': 'no ids',
  'GET /api/children/table': 'no ids',
  'POST /api/children/table': 'no ids',
  'DELETE /api/children/imports/{id}': [{ method: 'delete', path: () => `/api/children/imports/${theirs.childrenImport}`, status: 404 }],
  'POST /api/children/{id}/newest-ladder': [
    { method: 'post', path: () => `/api/children/${theirs.child}/newest-ladder`, body: () => ({ programme: 'gymnastics' }), status: 404 },
  ],
  'GET /api/plan-templates': 'no ids',
  'POST /api/plan-templates': 'no ids',
  'DELETE /api/plan-templates/{id}': [{ method: 'delete', path: () => `/api/plan-templates/${theirs.template}`, status: 404 }],
  'GET /api/coming-classes': 'no ids',
  'GET /api/weeks/{day}': 'no ids',
  'GET /api/weeks/{day}/outlook': 'no ids',
  'GET /api/boards': 'no ids',
  'GET /api/reports': 'no ids',
  'GET /api/reports/{table}': 'no ids',
  'GET /api/calendar-link': 'no ids',
  'POST /api/calendar-link': 'no ids',
  'DELETE /api/calendar-link': 'no ids',
  'GET /api/calendars/{token}': 'public',
  'GET /api/children/{id}/badges/{gradeId}': [
    { method: 'get', path: () => `/api/children/${theirs.child}/badges/${theirs.grade}`, status: 404 },
  ],
  'GET /api/children/{id}/certificates/{gradeId}': [
    { method: 'get', path: () => `/api/children/${theirs.child}/certificates/${theirs.grade}`, status: 404 },
  ],
  'GET /api/groups/{id}/certificates': [
    { method: 'get', path: () => `/api/groups/${theirs.group}/certificates?since=2020-01-01`, status: 404 },
  ],
  'GET /api/classes/{id}/certificates': [{ method: 'get', path: () => `/api/classes/${theirs.class}/certificates`, status: 404 }],
  'GET /api/gradings': 'no ids',
  'POST /api/gradings': 'no ids',
  'GET /api/gradings/{id}': [{ method: 'get', path: () => `/api/gradings/${theirs.grading}`, status: 404 }],
  'PATCH /api/gradings/{id}': [
    { method: 'patch', path: () => `/api/gradings/${theirs.grading}`, body: () => ({ warmUpMinutes: 5 }), status: 404 },
  ],
  'DELETE /api/gradings/{id}': [{ method: 'delete', path: () => `/api/gradings/${theirs.grading}`, status: 404 }],
  'PUT /api/gradings/{id}/children/{childId}': [
    { method: 'put', path: () => `/api/gradings/${theirs.grading}/children/${theirs.child}`, body: () => ({ size: '' }), status: 404 },
    { method: 'put', path: () => `/api/gradings/${own.grading}/children/${theirs.child}`, body: () => ({ size: '' }), status: 404 },
  ],
  'DELETE /api/gradings/{id}/children/{childId}': [
    { method: 'delete', path: () => `/api/gradings/${theirs.grading}/children/${theirs.child}`, status: 404 },
  ],
  'POST /api/gradings/{id}/timetable': [{ method: 'post', path: () => `/api/gradings/${theirs.grading}/timetable`, status: 404 }],
  'PUT /api/gradings/{id}/marks/{markId}': [
    {
      method: 'put',
      path: () => `/api/gradings/${theirs.grading}/marks/${randomUUID()}`,
      body: () => ({
        childId: theirs.child,
        requirementId: randomUUID(),
        side: 'none',
        mark: 'alone',
        measure: {},
        faults: [],
        isSettled: false,
      }),
      status: 404,
    },
  ],
  'POST /api/gradings/{id}/close': [
    { method: 'post', path: () => `/api/gradings/${theirs.grading}/close`, body: () => ({ decisions: [] }), status: 404 },
  ],
  'POST /api/gradings/{id}/reopen': [
    { method: 'post', path: () => `/api/gradings/${theirs.grading}/reopen`, body: () => ({ reason: 'x' }), status: 404 },
  ],
  'GET /api/gradings/{id}/sheets': [{ method: 'get', path: () => `/api/gradings/${theirs.grading}/sheets`, status: 404 }],
  'GET /api/gradings/{id}/order': [{ method: 'get', path: () => `/api/gradings/${theirs.grading}/order`, status: 404 }],
  'GET /api/gradings/{id}/certificates': [{ method: 'get', path: () => `/api/gradings/${theirs.grading}/certificates`, status: 404 }],
  'GET /api/children/{id}/home': [{ method: 'get', path: () => `/api/children/${theirs.child}/home`, status: 404 }],
  'POST /api/children/{id}/home': [{ method: 'post', path: () => `/api/children/${theirs.child}/home`, status: 404 }],
  'DELETE /api/children/{id}/home': [{ method: 'delete', path: () => `/api/children/${theirs.child}/home`, status: 404 }],
  'POST /api/children/{id}/consents': [
    { method: 'post', path: () => `/api/children/${theirs.child}/consents`, body: () => ({ kind: 'clips', isGiven: true }), status: 404 },
  ],
  // the link of a family is all it has: what it leads to is asked in home.test.ts
  'GET /api/home': 'public',
  'PUT /api/home/practice/{id}': 'public',
  'DELETE /api/home/practice/{id}': 'public',
  'PUT /api/home/absence': 'public',
  'PUT /api/home/household': 'public',
  'PUT /api/home/language': 'public',
  'POST /api/home/calendar': 'public',
  'PUT /api/home/clips/{id}': 'public',
  'DELETE /api/home/clips/{id}': 'public',
  'GET /api/groups/{id}/bests': [{ method: 'get', path: () => `/api/groups/${theirs.group}/bests`, status: 404 }],
  'GET /api/clips': 'no ids',
  'GET /api/children/{id}/clips': [{ method: 'get', path: () => `/api/children/${theirs.child}/clips`, status: 404 }],
  'GET /api/clips/{id}/file': [{ method: 'get', path: () => `/api/clips/${randomUUID()}/file`, status: 404 }],
  'DELETE /api/clips/{id}': [{ method: 'delete', path: () => `/api/clips/${randomUUID()}`, status: 404 }],
  'GET /api/letters': 'no ids',
  'PUT /api/letters/{id}': [{ method: 'put', path: () => `/api/letters/${randomUUID()}`, body: () => letterTo(theirs.child), status: 404 }],
  'POST /api/letters/{id}/again': [{ method: 'post', path: () => `/api/letters/${randomUUID()}/again`, status: 404 }],
  'GET /api/classes/{id}/letters': [{ method: 'get', path: () => `/api/classes/${theirs.class}/letters`, status: 404 }],
  'GET /api/gradings/{id}/letters': [{ method: 'get', path: () => `/api/gradings/${theirs.grading}/letters`, status: 404 }],
  'POST /api/home/consents': 'public',
  'GET /api/home/certificates/{gradeId}': 'public',
  'GET /api/home/badges/{gradeId}': 'public',
  // who has the address of a badge may verify it: what it tells is asked in badges.test.ts
  'GET /api/badges/{id}': 'public',
  'GET /api/badges/{id}/credential': 'public',
  'GET /api/badges/{id}/badge.svg': 'public',
  'GET /api/issuers/{clubId}': 'public',
  'GET /api/issuers/{clubId}/key': 'public',
  'GET /api/issuers/{clubId}/revoked': 'public',
  'GET /api/issuers/{clubId}/achievements/{gradeId}': 'public',
  'GET /api/issuers/{clubId}/crest.png': 'public',
  'GET /api/club/look': 'no ids',
  'PUT /api/club/look': 'no ids',
  'GET /api/club/checks': 'no ids',
  'PUT /api/club/checks/{check}': 'no ids',
  'PUT /api/club/check-numbers/{number}': 'no ids',
  'DELETE /api/club/check-numbers/{number}': 'no ids',
  'PUT /api/club/crest': 'no ids',
  'DELETE /api/club/crest': 'no ids',
  'GET /api/holidays': 'no ids',
  'POST /api/holidays': 'no ids',
  'DELETE /api/holidays/{id}': [{ method: 'delete', path: () => `/api/holidays/${theirs.holiday}`, status: 404 }],
  'DELETE /api/classes/{id}': [{ method: 'delete', path: () => `/api/classes/${theirs.class}`, status: 404 }],
  'GET /api/classes/{id}/taught': [{ method: 'get', path: () => `/api/classes/${theirs.class}/taught`, status: 404 }],
  'PUT /api/classes/{id}/attendance': [
    {
      method: 'put',
      path: () => `/api/classes/${theirs.class}/attendance`,
      body: () => ({ childIds: [theirs.child], status: 'present' }),
      status: 404,
    },
    {
      method: 'put',
      path: () => `/api/classes/${own.class}/attendance`,
      body: () => ({ childIds: [theirs.child], status: 'present' }),
      status: 404,
    },
  ],
  'GET /api/today': 'no ids',
  'GET /api/groups': 'no ids',
  'GET /api/children': 'no ids',
  'POST /api/groups': [
    {
      method: 'post',
      path: () => '/api/groups',
      body: () => ({ name: 'New', programme: 'dance', weekday: 1, startsAt: '16:00', lengthMinutes: 45, instructorId: theirs.person }),
      status: 422,
    },
  ],
  'PATCH /api/groups/{id}': [{ method: 'patch', path: () => `/api/groups/${theirs.group}`, body: () => ({ name: 'Mine' }), status: 404 }],
  'GET /api/groups/{id}/classes': [{ method: 'get', path: () => `/api/groups/${theirs.group}/classes`, status: 404 }],
  'GET /api/groups/{id}/board': [{ method: 'get', path: () => `/api/groups/${theirs.group}/board`, status: 404 }],
  'POST /api/children': [
    {
      method: 'post',
      path: () => '/api/children',
      body: () => ({
        givenName: 'New',
        familyInitial: 'N.',
        birthDate: '2018-01-01',
        leadSide: 'left',
        groupIds: [theirs.group],
        household: {
          surface: 'carpet',
          clearLengthM: 2,
          clearWidthM: 2,
          things: [],
          adult: 'in-the-room',
          partner: false,
          quietHours: null,
        },
      }),
      status: 422,
    },
  ],
  'POST /api/children/several': [
    { method: 'post', path: () => '/api/children/several', body: () => ({ childIds: [theirs.child], archived: true }), status: 404 },
    {
      method: 'post',
      path: () => '/api/children/several',
      body: () => ({ childIds: [own.child, theirs.child], archived: true }),
      status: 404,
    },
  ],
  'GET /api/children/{id}': [{ method: 'get', path: () => `/api/children/${theirs.child}`, status: 404 }],
  'PATCH /api/children/{id}': [
    { method: 'patch', path: () => `/api/children/${theirs.child}`, body: () => ({ givenName: 'Mine' }), status: 404 },
  ],
  'PUT /api/children/{id}/health-notes': [
    { method: 'put', path: () => `/api/children/${theirs.child}/health-notes`, body: () => ({ version: 1, notes: [] }), status: 404 },
  ],
  'GET /api/children/{id}/record': [{ method: 'get', path: () => `/api/children/${theirs.child}/record`, status: 404 }],
  'GET /api/children/{id}/record/paper': [{ method: 'get', path: () => `/api/children/${theirs.child}/record/paper`, status: 404 }],
  'POST /api/children/{id}/grades/{gradeId}/take-back': [
    {
      method: 'post',
      path: () => `/api/children/${theirs.child}/grades/${theirs.grade}/take-back`,
      body: () => ({ reason: 'mine' }),
      status: 404,
    },
  ],
  'DELETE /api/children/{id}': [{ method: 'delete', path: () => `/api/children/${theirs.child}`, status: 404 }],
  'POST /api/children/{id}/grades': [
    { method: 'post', path: () => `/api/children/${theirs.child}/grades`, body: () => ({ gradeId: theirs.grade }), status: 404 },
    { method: 'post', path: () => `/api/children/${own.child}/grades`, body: () => ({ gradeId: theirs.grade }), status: 404 },
  ],
  'POST /api/classes': [
    { method: 'post', path: () => '/api/classes', body: () => ({ groupId: theirs.group, day: '2027-01-04' }), status: 404 },
  ],
  'GET /api/classes/{id}': [{ method: 'get', path: () => `/api/classes/${theirs.class}`, status: 404 }],
  'PATCH /api/classes/{id}': [
    { method: 'patch', path: () => `/api/classes/${theirs.class}`, body: () => ({ teaching: 'ended' }), status: 404 },
  ],
  'PUT /api/classes/{id}/plan': [
    {
      method: 'put',
      path: () => `/api/classes/${theirs.class}/plan`,
      body: () => ({ version: 0, plan: { sections: [], focus: [] } }),
      status: 404,
    },
  ],
  'GET /api/classes/{id}/earlier': [{ method: 'get', path: () => `/api/classes/${theirs.class}/earlier`, status: 404 }],
  'GET /api/classes/{id}/plan/version': [{ method: 'get', path: () => `/api/classes/${theirs.class}/plan/version`, status: 404 }],
  'GET /api/classes/{id}/plan/export': [{ method: 'get', path: () => `/api/classes/${theirs.class}/plan/export`, status: 404 }],
  'GET /api/classes/{id}/plan/paper': [{ method: 'get', path: () => `/api/classes/${theirs.class}/plan/paper`, status: 404 }],
  'POST /api/classes/{id}/plan/import': [
    {
      method: 'post',
      path: () => `/api/classes/${theirs.class}/plan/import`,
      body: () => ({ version: 0, file: { format: 'leiter-plan/1', programme: 'dance', lengthMinutes: 30, sections: [] } }),
      status: 404,
    },
  ],
  'POST /api/class-plans/preview': [
    {
      method: 'post',
      path: () => '/api/class-plans/preview',
      body: () => ({ groupId: theirs.group, plan: { format: 'leiter-plan/1', programme: 'dance', lengthMinutes: 30, sections: [] } }),
      status: 404,
    },
  ],
  'PUT /api/classes/{id}/item-times': [
    { method: 'put', path: () => `/api/classes/${theirs.class}/item-times`, body: () => ({ times: [] }), status: 404 },
  ],
  'PUT /api/classes/{id}/attendance/{childId}': [
    {
      method: 'put',
      path: () => `/api/classes/${theirs.class}/attendance/${theirs.child}`,
      body: () => ({ status: 'present' }),
      status: 404,
    },
    { method: 'put', path: () => `/api/classes/${own.class}/attendance/${theirs.child}`, body: () => ({ status: 'present' }), status: 404 },
  ],
  'DELETE /api/classes/{id}/attendance/{childId}': [
    { method: 'delete', path: () => `/api/classes/${theirs.class}/attendance/${theirs.child}`, status: 404 },
  ],
  'PUT /api/classes/{id}/presence': [
    {
      method: 'put',
      path: () => `/api/classes/${theirs.class}/presence`,
      body: () => ({ tab: randomUUID(), itemId: null, isHere: true }),
      status: 404,
    },
  ],
  'PUT /api/classes/{id}/call-names': [
    {
      method: 'put',
      path: () => `/api/classes/${theirs.class}/call-names`,
      body: () => ({ names: [{ name: 'a', childIds: [] }] }),
      status: 404,
    },
  ],
  'PUT /api/classes/{id}/stage': [{ method: 'put', path: () => `/api/classes/${theirs.class}/stage`, body: stage, status: 404 }],
  'GET /api/classes/{id}/stage/events': [{ method: 'get', path: () => `/api/classes/${theirs.class}/stage/events`, status: 404 }],
  'POST /api/classes/{id}/presses': [
    {
      method: 'post',
      path: () => `/api/classes/${theirs.class}/presses`,
      body: () => ({ id: randomUUID(), tab: randomUUID(), press: 'on' }),
      status: 404,
    },
  ],
  'POST /api/classes/{id}/remote': [{ method: 'post', path: () => `/api/classes/${theirs.class}/remote`, status: 404 }],
  'POST /api/remote': 'public',
  'GET /api/remote/events': 'public',
  'POST /api/remote/presses': 'public',
  'PUT /api/observations/{id}': [
    { method: 'put', path: () => `/api/observations/${randomUUID()}`, body: () => mark({}), status: 404 },
    {
      method: 'put',
      path: () => `/api/observations/${randomUUID()}`,
      body: () => mark({ childId: own.child, classId: theirs.class }),
      status: 404,
    },
    {
      method: 'put',
      path: () => `/api/observations/${randomUUID()}`,
      body: () => mark({ childId: own.child, supersedes: theirs.observation }),
      status: 422,
    },
    { method: 'put', path: () => `/api/observations/${theirs.observation}`, body: () => mark({ childId: own.child }), status: 409 },
  ],
};

const own = { child: '', class: '', grading: '' };
beforeAll(async () => {
  own.child = (await agent.get('/api/children').expect(200)).body[0].id;
  own.grading = (await agent.get('/api/gradings').expect(200)).body[0].id;
  own.class = (await agent.get('/api/coming-classes').expect(200)).body[0].class.id;
});

describe('another club', () => {
  it('is asked about on every route there is', async () => {
    const { paths } = (await club.visitor().get('/api/openapi.json').expect(200)).body as {
      paths: Record<string, Record<string, unknown>>;
    };
    const served = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method.toUpperCase()} ${path}`),
    );
    expect(served.toSorted()).toEqual(Object.keys(routes).toSorted());
  });

  const foreign = Object.entries(routes).flatMap(([route, cases]) =>
    typeof cases === 'string' ? [] : cases.map((one, nth) => ({ route, nth, ...one })),
  );
  it.each(foreign)('is not reached by $route ($nth), and nothing of it is changed', async ({ method, path, body, status }) => {
    const before = await fingerprint();
    const answer = await agent[method](path()).send(body?.());
    expect(answer.status).toBe(status);
    expect(answer.headers['content-type']).toMatch(/problem\+json/);
    expect(JSON.stringify(answer.body)).not.toMatch(/Other/);
    expect(await fingerprint()).toEqual(before);
  });

  it('answers as something that is not there at all', async () => {
    const [foreignChild, nobody] = [await agent.get(`/api/children/${theirs.child}`), await agent.get(`/api/children/${randomUUID()}`)];
    expect(foreignChild.body).toEqual(nobody.body);
  });

  it('does not appear in any list', async () => {
    for (const path of [
      'children',
      'groups',
      'people',
      'coming-classes',
      'today',
      'syllabuses',
      'weeks/2026-12-21',
      'holidays',
      'boards',
      'gradings',
    ])
      expect(JSON.stringify((await agent.get(`/api/${path}`).expect(200)).body)).not.toMatch(/Other|somebody@other/);
  });
});

describe('somebody who is not signed in', () => {
  it.each(Object.entries(routes).filter(([, kind]) => kind !== 'public'))('is not answered by %s', async (route) => {
    const [method = '', path = ''] = route.split(' ');
    const url = path.replace(/\{\w+\}/g, randomUUID());
    const answer = await club.visitor()[method.toLowerCase() as Method](url).send({});
    expect(answer.status).toBe(401);
  });
});

/** Every row of the other club, as one text. */
async function fingerprint(): Promise<unknown> {
  const tables = [
    'child',
    'teaching_group',
    'class_session',
    'class_plan',
    'attendance',
    'observation',
    'grade_award',
    'plan_template',
    'holiday',
    'grading_day',
    'grading_entry',
    'grading_mark',
    'home_link',
    'practice',
    'consent',
    'letter',
    'clip',
    'ladder_pin',
    'syllabus',
    'import',
    'invitation',
    'person',
    'presence',
    'child_log',
    'event',
    'enrolment',
    'item_time',
  ];
  return Promise.all(
    tables.map((table) =>
      club.source.query(`SELECT count(*), md5(string_agg(t::text, '' ORDER BY t::text)) FROM ${table} t WHERE club_id = $1`, [theirs.club]),
    ),
  );
}
