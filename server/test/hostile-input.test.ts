import { randomUUID } from 'node:crypto';
import { bodies, nasty, pathsIn, withValue, type Json } from '@leiter/contract/testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let agent: Agent;
const own = { child: '', group: '', class: '', person: '', grading: '', newId: randomUUID };
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  agent = await club.as('owner');
  const coming = (await agent.get('/api/coming-classes').expect(200)).body.find(
    (one: { class: { hasPlan: boolean } | null }) => one.class && !one.class.hasPlan,
  );
  own.class = coming.class.id;
  own.group = coming.group.id;
  own.child = (await agent.get('/api/children').expect(200)).body[0].id;
  own.grading = (await agent.get('/api/gradings').expect(200)).body[0].id;
  // what a family sends comes with its link
  const { token } = (await agent.post(`/api/children/${own.child}/home`).expect(201)).body;
  agent.set('authorization', `Bearer ${token}`);
  own.person = (await agent.get('/api/people').expect(200)).body.find((one: { role: string }) => one.role === 'assistant').id;
});
afterAll(() => club.close());

interface Write {
  readonly name: string;
  readonly method: 'post' | 'put' | 'patch';
  readonly path: () => string;
  /** So many characters are too many, where it is not the usual million. */
  readonly most?: number;
}

const writes: readonly Write[] = [
  { name: 'sign in', method: 'post', path: () => '/api/session' },
  { name: 'make a club', method: 'post', path: () => '/api/club' },
  { name: 'say where one teaches', method: 'put', path: () => '/api/session/room' },
  { name: 'say how one teaches', method: 'put', path: () => '/api/session/style' },
  { name: 'say how one leads', method: 'put', path: () => '/api/session/voice' },
  { name: 'have clips spoken', method: 'post', path: () => '/api/voice/clips' },
  { name: 'add a child', method: 'post', path: () => '/api/children' },
  { name: 'change a child', method: 'patch', path: () => `/api/children/${own.child}` },
  { name: 'keep health notes', method: 'put', path: () => `/api/children/${own.child}/health-notes` },
  { name: 'change several children', method: 'post', path: () => '/api/children/several' },
  { name: 'say the roll', method: 'put', path: () => `/api/classes/${own.class}/attendance` },
  { name: 'add a holiday', method: 'post', path: () => '/api/holidays' },
  { name: 'give a grade', method: 'post', path: () => `/api/children/${own.child}/grades` },
  { name: 'make a group', method: 'post', path: () => '/api/groups' },
  { name: 'change a group', method: 'patch', path: () => `/api/groups/${own.group}` },
  { name: 'add a class', method: 'post', path: () => '/api/classes' },
  { name: 'change a class', method: 'patch', path: () => `/api/classes/${own.class}` },
  { name: 'save a plan', method: 'put', path: () => `/api/classes/${own.class}/plan` },
  { name: 'keep a template', method: 'post', path: () => '/api/plan-templates' },
  { name: 'judge a plan', method: 'post', path: () => '/api/class-plans/preview' },
  { name: 'take in a plan', method: 'post', path: () => `/api/classes/${own.class}/plan/import` },
  { name: 'save a movement', method: 'put', path: () => '/api/library/harbour-hop' },
  { name: 'save a phrase', method: 'put', path: () => '/api/library/jazz-box/phrase' },
  { name: 'put a movement away', method: 'patch', path: () => '/api/library/harbour-hop' },
  { name: 'change a ladder', method: 'put', path: () => '/api/syllabuses/dance' },
  { name: 'take in a ladder', method: 'post', path: () => '/api/syllabuses/import?dryRun=true', most: 5_000_000 },
  { name: 'take in a ladder as a table', method: 'post', path: () => '/api/syllabuses/dance/table?dryRun=true', most: 2_000_000 },
  { name: 'take in a list of children', method: 'post', path: () => '/api/children/table?dryRun=true', most: 2_000_000 },
  { name: 'move a child over', method: 'post', path: () => `/api/children/${own.child}/newest-ladder` },
  { name: 'take in a library', method: 'post', path: () => '/api/library/import', most: 30_000_000 },
  { name: 'set attendance', method: 'put', path: () => `/api/classes/${own.class}/attendance/${own.child}` },
  { name: 'store real times', method: 'put', path: () => `/api/classes/${own.class}/item-times` },
  { name: 'show the stage', method: 'put', path: () => `/api/classes/${own.class}/stage` },
  { name: 'keep names of a call', method: 'put', path: () => `/api/classes/${own.class}/call-names` },
  { name: 'press', method: 'post', path: () => `/api/classes/${own.class}/presses` },
  { name: 'press on a remote', method: 'post', path: () => '/api/remote/presses' },
  { name: 'follow the link of a remote', method: 'post', path: () => '/api/remote' },
  { name: 'give a mark', method: 'put', path: () => `/api/observations/${randomUUID()}` },
  { name: 'invite somebody', method: 'post', path: () => '/api/people/invitations' },
  { name: 'take an invitation up', method: 'post', path: () => '/api/invitations/nobody-knows-this' },
  { name: 'change a password', method: 'put', path: () => '/api/session/password' },
  { name: 'change a person', method: 'patch', path: () => `/api/people/${own.person}` },
  { name: 'take a grade back', method: 'post', path: () => `/api/children/${own.child}/grades/${randomUUID()}/take-back` },
  { name: 'say where one is', method: 'put', path: () => `/api/classes/${own.class}/presence` },
  { name: 'plan a grading day', method: 'post', path: () => '/api/gradings' },
  { name: 'change a grading day', method: 'patch', path: () => `/api/gradings/${own.grading}` },
  { name: 'enter a child', method: 'put', path: () => `/api/gradings/${own.grading}/children/${own.child}` },
  { name: 'mark on a grading day', method: 'put', path: () => `/api/gradings/${own.grading}/marks/${randomUUID()}` },
  { name: 'close a grading day', method: 'post', path: () => `/api/gradings/${own.grading}/close` },
  { name: 'open a grading day again', method: 'post', path: () => `/api/gradings/${own.grading}/reopen` },
  { name: 'note practice', method: 'put', path: () => `/api/home/practice/${randomUUID()}` },
  { name: 'tell an absence', method: 'put', path: () => '/api/home/absence' },
  { name: 'tell what is at home', method: 'put', path: () => '/api/home/household' },
  { name: 'turn a check', method: 'put', path: () => '/api/club/checks/landings' },
  { name: 'set a number of a check', method: 'put', path: () => '/api/club/check-numbers/wrist-time.relief' },
  { name: 'set a number by age', method: 'put', path: () => '/api/club/check-numbers/no-drink.without' },
  { name: 'change the look', method: 'put', path: () => '/api/club/look' },
  { name: 'choose a language', method: 'put', path: () => '/api/home/language' },
  { name: 'write to a family', method: 'put', path: () => `/api/letters/${randomUUID()}` },
  { name: 'allow something', method: 'post', path: () => '/api/home/consents' },
];

const bodyOf = ({ name }: Write): Json => bodies(own).find((one) => one.name === name)?.body ?? null;
const sendText = (write: Write, text: string) => agent[write.method](write.path()).set('content-type', 'application/json').send(text);
const send = (write: Write, body: Json) => sendText(write, JSON.stringify(body));

describe.each(writes)('to $name', (write) => {
  it('with a field replaced by anything is answered, refusals as problems, never a crash', async () => {
    // the contract's own test tries everything in every place; here each place meets what comes next, on the way through the server
    for (const [index, path] of pathsIn(bodyOf(write)).entries()) {
      const [name, value] = nasty[index % nasty.length] ?? ['nothing', null];
      const answer = await send(write, withValue(bodyOf(write), path, value));
      expect(answer.status, `${path.join('.')} as ${name}: ${answer.text.slice(0, 200)}`).toBeLessThan(500);
      if (answer.status >= 400) expect(answer.headers['content-type']).toMatch(/application\/problem\+json/);
    }
  }, 60_000);

  it('with an unknown field is refused, and says which', async () => {
    const answer = await send(write, { ...(bodyOf(write) as object), surprise: 1 });
    expect(answer.status).toBe(400);
    expect(answer.body.errors).toContainEqual({ field: 'surprise', message: 'This field is not known here.' });
  });

  it('with more than it takes is refused unread', async () => {
    const tooMuch = JSON.stringify({ a: 'x'.repeat(write.most ?? 1_000_000) });
    const answer = await sendText(write, tooMuch);
    expect(answer.status).toBe(413);
    expect(answer.headers['content-type']).toMatch(/application\/problem\+json/);
  });

  it.each([
    ['no JSON', '{"a":', 'application/json', 400],
    ['another type', 'a=1', 'text/plain', 415],
    ['a list at the top', '[]', 'application/json', 400],
    ['a text with a NUL character', '{"a":"b\\u0000"}', 'application/json', 400],
    ['a text with half of a character', '{"a":"\\ud800"}', 'application/json', 400],
    ['something nested without end', `${'['.repeat(5000)}${']'.repeat(5000)}`, 'application/json', 400],
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
