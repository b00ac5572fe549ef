import type { ComingClass, PlanPreviewResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asBuffer, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let groupId: string;
let classes: readonly { readonly id: string; readonly hasPlan: boolean; readonly taughtAt: string | null }[];
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  const coming: readonly ComingClass[] = (await owner.get('/api/coming-classes').expect(200)).body;
  groupId = coming.find(({ group }) => group.name === 'Kittiwakes')?.group.id ?? '';
  classes = (await owner.get(`/api/groups/${groupId}/classes`).expect(200)).body;
});
afterAll(() => club.close());

const planned = () => classes.find(({ hasPlan }) => hasPlan)?.id ?? '';
const file = async () => (await owner.get(`/api/classes/${planned()}/plan/export`).expect(200)).body;
const preview = (body: object) => owner.post('/api/class-plans/preview').send(body);
const small = (items: readonly object[], more: object = {}) => ({
  format: 'leiter-plan/1',
  programme: 'gymnastics',
  lengthMinutes: 30,
  sections: [{ kind: 'skill', items }],
  ...more,
});
const home = { surface: 'tiles', clearLengthM: 2, clearWidthM: 1.5, things: [], adult: 'not-at-hand', partner: false, quietHours: null };
const child = (id: string, more: object = {}) => ({
  id,
  birthDate: '2018-01-01',
  grade: null,
  leadSide: 'left',
  household: home,
  standings: [],
  ...more,
});
const before = async () =>
  (await club.source.query('SELECT (SELECT count(*) FROM class_plan) + (SELECT count(*) FROM movement) AS all'))[0].all;

const dayAhead = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

describe('judging a plan', () => {
  it('answers times, findings, versions and effort for the children of a group, and stores nothing', async () => {
    const stored = await before();
    const answer: PlanPreviewResponse = (await preview({ plan: await file(), groupId }).expect(200)).body;
    const { timing, findings, versions, effort } = answer;
    expect(timing.items.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(timing.totalSeconds, 6);
    expect(timing.sections.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(timing.totalSeconds, 6);
    for (const { seconds, parts } of timing.items)
      expect(parts.explain + parts.goTo + parts.setUp + parts.work + parts.sideChange).toBeCloseTo(seconds, 6);
    expect(effort).toHaveLength(Math.floor(timing.totalSeconds / 10) + 1);
    expect(new Set(versions.map(({ childId }) => childId)).size).toBeGreaterThan(3);
    expect(versions).toHaveLength(timing.items.length * new Set(versions.map(({ childId }) => childId)).size);
    for (const { message } of findings) expect(message).toMatch(/^\S.*\.$/s);
    expect(await before()).toBe(stored);
  });

  it('reckons without the learned pace when asked to', async () => {
    const plan = await file();
    const [learned, plain] = await Promise.all([
      preview({ plan, groupId }).expect(200),
      preview({ plan, groupId, instructor: { learnedPace: false } }).expect(200),
    ]);
    expect(learned.body.timing.totalSeconds).not.toBe(plain.body.timing.totalSeconds);
  });

  it('reckons with the way of each item, what is explained, and the style of who teaches', async () => {
    const item = (id: string, more: object = {}) => ({ id, movement: 'cat-and-cow', familiarity: 'known', ...more });
    const plan = {
      ...small([]),
      sections: [
        { kind: 'mobilise', items: [item('first'), item('flowing'), item('told', { explainSeconds: 200 })] },
        { kind: 'basics', way: 'watch', items: [item('watched'), item('own', { way: 'follow', build: { what: 'a ring', seconds: 40 } })] },
      ],
    };
    const timing = async (more: object = {}) => ((await preview({ plan, ...more }).expect(200)).body as PlanPreviewResponse).timing;
    const { items, span, totalSeconds, longestTalkSeconds } = await timing();
    expect(items.map(({ way }) => way)).toEqual(['follow', 'flow', 'flow', 'watch', 'follow']);
    expect(items[2]?.parts.explain).toBe(200);
    expect(items[4]?.parts.goTo).toBe(41);
    expect(longestTalkSeconds).toBe(200);
    expect(span.leastSeconds).toBeLessThan(totalSeconds);
    expect(span.mostSeconds).toBeGreaterThan(totalSeconds);
    const explained = await timing({ instructor: { style: 'watch-then-do' } });
    expect(explained.items.map(({ way }) => way)).toEqual(['teach', 'teach', 'teach', 'watch', 'follow']);
    expect(explained.totalSeconds).toBeGreaterThan(totalSeconds);
    const refused = await preview({ plan: small([item('x', { way: 'glide' })]) }).expect(400);
    expect(refused.body.errors).toEqual([
      { field: 'plan.sections.0.items.0.way', message: 'The way is flow, follow, teach, watch. It says "glide".' },
    ]);
  });

  it('keeps how a class is taught through a file and back', async () => {
    const teaching = {
      way: 'watch',
      explainSeconds: 45,
      build: { what: 'a line of tape', seconds: 30 },
      isCameraMoved: true,
      takesTurns: true,
    };
    const written = {
      ...small([
        { id: 'a', movement: 'lever', ...teaching },
        { id: 'b', movement: 'lever' },
      ]),
      style: 'along',
    };
    const { id } = (
      await owner
        .post('/api/classes')
        .send({ groupId, day: dayAhead(120) })
        .expect(201)
    ).body;
    await owner
      .post(`/api/classes/${id as string}/plan/import`)
      .send({ version: 0, file: written })
      .expect(200);
    const again = (await owner.get(`/api/classes/${id as string}/plan/export`).expect(200)).body;
    expect(again.style).toBe('along');
    expect(again.sections[0].items[0]).toMatchObject(teaching);
    expect(Object.keys(again.sections[0].items[1]).filter((key) => key in teaching)).toEqual([]);
  });

  it('takes children that are told with it: ages, grades, homes and marks decide', async () => {
    const plan = small([{ id: 'roll', movement: 'forward-roll' }]);
    const soft = { ...home, surface: 'mat', adult: 'in-the-room', clearLengthM: 4, clearWidthM: 3 };
    const known = { 'tuck-rock': 'alone', 'bear-walk': 'alone' };
    const rolled = [
      ...Object.entries(known).map(([movement, mark]) => ({ movement, mark })),
      { movement: 'forward-roll', stage: 2, mark: 'alone' },
    ];
    const all = [
      child('tiles'),
      child('ready', { household: soft, grade: 'reef', standings: rolled }),
      child('homeless', { household: null }),
    ];
    const { versions } = (await preview({ plan, children: all }).expect(200)).body as PlanPreviewResponse;
    const of = (id: string) => versions.find(({ childId }) => childId === id);
    expect(of('tiles')?.tier).not.toBe('harder');
    expect(of('ready')).toMatchObject({ tier: 'harder', movement: 'forward-roll' });
    expect(versions.every(({ reason }) => reason !== '')).toBe(true);
    const marked = child('m', { household: soft, standings: known });
    expect((await preview({ plan, children: [marked] }).expect(200)).body.versions[0].tier).toBe('easier');
  });

  it('goes round a circuit: what it takes is the sum of its rounds, item by item', async () => {
    const stations = ['high-plank', 'bear-walk'].map((movement) => ({
      id: movement,
      movement,
      dose: { kind: 'timed', seconds: 40 },
    }));
    const round = small(
      stations.map((one) => ({ ...one, circuit: 'c' })),
      { circuits: [{ id: 'c', rounds: 3, restSeconds: 20 }] },
    );
    const [once, thrice] = await Promise.all([preview({ plan: small(stations) }).expect(200), preview({ plan: round }).expect(200)]);
    const works = (timing: PlanPreviewResponse['timing']) => timing.items.map(({ id, parts }) => [id, parts.work]);
    expect(works(once.body.timing)).toEqual([
      ['high-plank', 40],
      ['bear-walk', 40],
    ]);
    expect(works(thrice.body.timing)).toEqual([
      ['high-plank', 120],
      ['bear-walk', 120],
    ]);
    const { items, totalSeconds } = (thrice.body as PlanPreviewResponse).timing;
    expect(items.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(totalSeconds, 6);
    expect(items.map(({ parts }) => parts.explain)).toEqual(once.body.timing.items.map((one: (typeof items)[number]) => one.parts.explain));
  });

  it('judges movements that the club does not have, brought along inline or as a list', async () => {
    const movement = (await owner.get('/api/library/export').expect(200)).body.movements.find(
      (one: { slug: string }) => one.slug === 'bridge',
    );
    const strange = {
      ...movement,
      slug: 'pier-bridge',
      name: 'Pier bridge',
      prerequisites: [],
      leadsTo: [],
      instead: null,
      hazards: ['back-bend'],
    };
    for (const plan of [
      small([{ id: 'x', movement: 'pier-bridge', movementInline: strange }]),
      small([{ id: 'x', movement: 'pier-bridge' }], { movements: [strange] }),
    ]) {
      const { findings } = (await preview({ plan }).expect(200)).body as PlanPreviewResponse;
      expect(findings.map(({ check }) => check)).toEqual(expect.arrayContaining(['back-bend-not-undone', 'safety-talk', 'cold-load']));
    }
    const broken = await preview({ plan: small([{ movement: 'pier-bridge', movementInline: { ...strange, effort: 9 } }]) }).expect(422);
    expect(broken.body.errors[0]).toEqual({
      field: 'plan.sections.0.items.0.movementInline.effort',
      message: '“effort” cannot be 9: it is 0, 1, 2, 3, 4.',
    });
  });

  it.each([
    [{ sides: 'up' }, 'sides', 'The sides can be none, both, left, right, lead, alternating. It says "up".'],
    [{ way: 'shout' }, 'way', 'The way is flow, follow, teach, watch. It says "shout".'],
    [{ calls: { what: 'shapes', everySeconds: 0 } }, 'calls.everySeconds', /^.*1.*60.* It says 0\.$/],
    [{ leader: 'nobody' }, 'leader', 'Who leads is co-coach, a-child, in-turn. It says "nobody".'],
  ])('names field, value and what is allowed: %j', async (said, field, message) => {
    const refused = await preview({ plan: small([{ movement: 'lever', ...said }]) }).expect(400);
    const [error] = refused.body.errors as readonly { readonly field: string; readonly message: string }[];
    expect(error?.field).toBe(`plan.sections.0.items.0.${field}`);
    expect(error?.message).toEqual(typeof message === 'string' ? message : expect.stringMatching(message));
  });

  it('offers only mends that were tried: none makes something new', async () => {
    const plan = small([{ id: 'k', movement: 'lever', sides: 'left' }]);
    const { findings } = (await preview({ plan }).expect(200)).body as PlanPreviewResponse;
    const sided = findings.find(({ check }) => check === 'one-sided');
    expect(sided?.mend).toEqual([{ kind: 'set-sides', item: 'k', sides: 'both' }]);
  });

  it.each([
    ['a movement nobody knows', small([{ movement: 'moon-walk' }]), 422, 'plan.sections.0.items.0.movement'],
    ['a focus nobody knows', small([], { focus: ['moon-walk'] }), 422, 'plan.focus.0'],
    [
      'two items with one id',
      small([
        { id: 'a', movement: 'lever' },
        { id: 'a', movement: 'lever' },
      ]),
      422,
      'plan.sections.0.items.1.id',
    ],
    ['a negative dose', small([{ movement: 'lever', dose: { kind: 'timed', seconds: -3 } }]), 400, 'plan.sections.0.items.0.dose.seconds'],
    [
      'an absurd dose',
      small([{ movement: 'lever', dose: { kind: 'hold', sets: 1, holdSeconds: 9999, restSeconds: 0 } }]),
      400,
      'plan.sections.0.items.0.dose.holdSeconds',
    ],
    ['two thousand items', small(Array.from({ length: 2000 }, () => ({ movement: 'lever' }))), 400, 'plan.sections.0.items'],
    ['sides that a movement does not have', small([{ movement: 'drink-break', sides: 'both' }]), 422, 'plan.sections.0.items.0.sides'],
    [
      'a version that a movement does not have',
      small([{ movement: 'drink-break', tiers: ['harder'] }]),
      422,
      'plan.sections.0.items.0.tiers.0',
    ],
    ['a version three times', small([{ movement: 'drink-break', tiers: ['core', 'core', 'core'] }]), 400, 'plan.sections.0.items.0.tiers'],
    ['a programme that nobody teaches', { ...small([]), programme: 'swimming' }, 422, 'plan.programme'],
    [
      'an entry under another name than the item’s',
      small([{ movement: 'lever', movementInline: { slug: 'other' } }]),
      422,
      'plan.sections.0.items.0.movementInline.slug',
    ],
    ['a circuit that is not there', small([{ movement: 'lever', circuit: 'c' }]), 422, 'plan.sections.0.items.0.circuit'],
    [
      'a circuit that comes back later',
      small(
        ['c', undefined, 'c'].map((circuit) => ({ movement: 'lever', ...(circuit ? { circuit } : {}) })),
        { circuits: [{ id: 'c', rounds: 2, restSeconds: 0 }] },
      ),
      422,
      'plan.sections.0.items.2.circuit',
    ],
    [
      'a circuit in a circuit',
      small([{ movement: 'lever', circuit: 'c' }], { circuits: [{ id: 'c', rounds: 2, restSeconds: 0, circuit: 'c' }] }),
      400,
      'plan.circuits.0.circuit',
    ],
    ['a thousand rounds', small([], { circuits: [{ id: 'c', rounds: 1000, restSeconds: 0 }] }), 400, 'plan.circuits.0.rounds'],
    [
      'music without an end',
      small([{ movement: 'lever', music: { name: '', seconds: 1e9, bpm: null } }]),
      400,
      'plan.sections.0.items.0.music.seconds',
    ],
    ['another format', { ...small([]), format: 'other/1' }, 400, 'plan.format'],
    ['no plan', null, 400, 'plan'],
  ])('refuses %s, and says where', async (_name, plan, status, field) => {
    const answer = await preview({ plan });
    expect(answer.status).toBe(status);
    expect(answer.body.errors[0].field).toBe(field);
  });

  it('answers for a group of two hundred, and refuses three hundred and one', async () => {
    const crowd = (count: number) => Array.from({ length: count }, (_, index) => child(`c${String(index)}`));
    const plan = small(Array.from({ length: 40 }, () => ({ movement: 'lever' })));
    expect((await preview({ plan, children: crowd(200) }).expect(200)).body.versions).toHaveLength(8000);
    await preview({ plan, children: crowd(301) }).expect(400);
  });

  it.each([
    ['a word nobody marks with', [{ movement: 'lever', mark: 'great' }], 'The 1. is not a movement'],
    [
      'a field that no mark has',
      [
        { movement: 'lever', mark: 'alone' },
        { movement: 'lever', mark: 'alone', by: 'me' },
      ],
      'The 2. is not a movement',
    ],
    ['a stage below the first', [{ movement: 'lever', stage: 0, mark: 'alone' }], 'The 1. is not a movement'],
    ['an object with a wrong mark', { lever: 'great' }, 'The 1. is not a movement'],
    ['no list', 'alone', 'A list of movement and mark'],
  ])('refuses marks of a child with %s, and says which', async (_what, standings, words) => {
    const answer = await preview({ plan: small([]), children: [child('a'), child('b', { standings })] }).expect(400);
    expect(answer.body.errors).toEqual([{ field: 'children.1.standings', message: expect.stringContaining(words) }]);
  });

  it('does not know the group of another club, nor answer who is not signed in', async () => {
    await preview({ plan: small([]), groupId: crypto.randomUUID() }).expect(404);
    await club
      .visitor()
      .post('/api/class-plans/preview')
      .send({ plan: small([]) })
      .expect(401);
  });
});

describe('the plan of a class as a file', () => {
  it('put into another class reads the same, and brings no movement that is there', async () => {
    const plain = await file();
    const [warmUp] = plain.sections[1].items;
    const given = {
      ...plain,
      circuits: [{ id: 'c', rounds: 2, restSeconds: 15 }],
      sections: plain.sections.map((section: { items: object[] }, index: number) =>
        index === 1
          ? {
              ...section,
              music: { name: 'Harbour reel', seconds: 180, bpm: 112 },
              items: [{ ...warmUp, circuit: 'c' }, ...section.items.slice(1)],
            }
          : section,
      ),
    };
    const target = classes.find(({ hasPlan }) => !hasPlan)?.id ?? '';
    const taken = await owner.post(`/api/classes/${target}/plan/import`).send({ version: 0, file: given }).expect(200);
    expect(taken.body).toEqual({ addedMovements: [], version: 1, importId: expect.any(String) });
    const again = (await owner.get(`/api/classes/${target}/plan/export`).expect(200)).body;
    expect([again.sections, again.circuits]).toEqual([given.sections, given.circuits]);
    await owner
      .post(`/api/classes/${target}/plan/import`)
      .send({ version: 0, file: { ...given, focus: [] } })
      .expect(409);
  });

  it('brings the movements that the club does not have, and nothing where it does not fit', async () => {
    const given = await file();
    const { movements } = (await owner.get('/api/library/export').expect(200)).body;
    const lever = movements.find((one: { slug: string }) => one.slug === 'lever');
    const own = { ...lever, slug: 'mole-lever', name: 'Mole lever', leadsTo: [] };
    const session = await owner
      .post('/api/classes')
      .send({ groupId, day: dayAhead(201) })
      .expect(201);
    const into = `/api/classes/${session.body.id}/plan/import`;
    const plan = { ...given, movements: [own], sections: [{ kind: 'skill', items: [{ id: 'a', movement: 'mole-lever' }] }], focus: [] };
    const stored = await before();
    const answer = await owner
      .post(into)
      .send({ version: 0, file: { ...plan, focus: ['moon-walk'] } })
      .expect(422);
    expect(answer.body.errors).toEqual([{ field: 'plan.focus.0', message: 'There is no movement “moon-walk”.' }]);
    expect(await before()).toBe(stored);
    const look = await owner.post(`${into}?dryRun=true`).send({ version: 0, file: plan }).expect(200);
    expect(look.body.addedMovements).toEqual(['mole-lever']);
    expect(await before()).toBe(stored);
    // on a version that somebody else has saved over, neither the plan nor its movements are stored
    await owner.post(into).send({ version: 3, file: plan }).expect(409);
    expect(await before()).toBe(stored);
    const taken = (await owner.post(into).send({ version: 0, file: plan }).expect(200)).body;
    expect(taken.addedMovements).toEqual(['mole-lever']);
    expect((await owner.get('/api/library/mole-lever').expect(200)).body.isOwn).toBe(true);
    await owner.delete(`/api/plan-imports/${taken.importId as string}`).expect(204);
    await owner.get('/api/library/mole-lever').expect(404);
    expect((await owner.get(`/api/classes/${session.body.id as string}`).expect(200)).body.stored).toBeNull();
    await owner.delete(`/api/plan-imports/${taken.importId as string}`).expect(404);
  });

  it('goes on paper as two pages with our fonts', async () => {
    const answer = await owner.get(`/api/classes/${planned()}/plan/paper`).buffer().parse(asBuffer);
    const pdf = (answer.body as Buffer).toString('latin1');
    expect(answer.headers['content-type']).toBe('application/pdf');
    expect(pdf.slice(0, 5)).toBe('%PDF-');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(2);
    expect(pdf).toMatch(/AtkinsonHyperlegible/);
    expect(pdf).toMatch(/BricolageGrotesque/);
    const unplanned = await owner
      .post('/api/classes')
      .send({ groupId, day: dayAhead(202) })
      .expect(201);
    await owner.get(`/api/classes/${unplanned.body.id}/plan/paper`).expect(404);
  });
});
