import type { ChildResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

const send = (text: string, query = '', agent = owner) => agent.post(`/api/children/table${query}`).send({ text });
const children = async (): Promise<readonly ChildResponse[]> => (await owner.get('/api/children').expect(200)).body;
const named = async (givenName: string): Promise<ChildResponse | undefined> =>
  (await children()).find((child) => child.givenName === givenName);

describe('a list of children', () => {
  it('taken in as it was given out changes nothing', async () => {
    const { text } = await owner.get('/api/children/table').expect(200);
    const taken = await send(text).expect(200);
    expect(taken.body.importId).toBeNull();
    expect(new Set(taken.body.lines.map(({ what }: { what: string }) => what))).toEqual(new Set(['same']));
  });

  it('shows row by row what it would do, then does it all, and is undone', async () => {
    const before = await children();
    const [known] = before;
    const side = known?.leadSide === 'left' ? 'right' : 'left';
    const text = [
      '\uFEFFName;Birth date;Group;Grade;Lead side',
      '"Jördis\nÅberg";3.4.2019;Kittiwakes;;left',
      `${known?.givenName ?? ''} ${known?.familyInitial ?? ''};${known?.birthDate ?? ''};;;${side}`,
      '',
    ].join('\r\n');
    const looked = await send(text, '?dryRun=true').expect(200);
    expect(looked.body).toEqual({
      importId: null,
      lines: [
        { row: 2, name: 'Jördis Å.', what: 'added', fields: [] },
        { row: 3, name: `${known?.givenName ?? ''} ${known?.familyInitial ?? ''}`, what: 'changed', fields: ['lead side'] },
      ],
    });
    expect(await children()).toEqual(before);

    const taken = await send(text).expect(200);
    expect(await named('Jördis')).toMatchObject({
      familyInitial: 'Å.',
      birthDate: '2019-04-03',
      leadSide: 'left',
      household: { surface: 'tiles', adult: 'not-at-hand' },
    });
    expect((await children()).find(({ id }) => id === known?.id)?.leadSide).toBe(side);

    await owner.delete(`/api/children/imports/${taken.body.importId}`).expect(204);
    expect(await children()).toEqual(before);
    await owner.delete(`/api/children/imports/${taken.body.importId}`).expect(404);
  });

  it('writes down a grade that was earned before, in the group of its programme', async () => {
    const [ladder] = (await owner.get('/api/syllabuses').expect(200)).body.filter(
      (one: { programme: string }) => one.programme === 'gymnastics',
    );
    const grade = ladder.grades[2].name;
    const taken = await send(`name,birth date,group,grade\nPia Quast,2017-01-01,Kittiwakes,${grade}\n`).expect(200);
    const pia = await named('Pia');
    expect(pia?.grades).toMatchObject([{ gradeName: grade }]);
    const page = (await owner.get(`/api/children/${pia?.id ?? ''}`).expect(200)).body;
    expect(page.ladders[0].earned).toHaveLength(1);
    await owner.delete(`/api/children/imports/${taken.body.importId}`).expect(204);
    expect(await named('Pia')).toBeUndefined();
  });

  it('stays when something was noted of its children meanwhile', async () => {
    const taken = await send('name,birth date,group\nQuin Roth,2018-01-01,Kittiwakes\n').expect(200);
    const quin = await named('Quin');
    await owner
      .put(`/api/observations/${crypto.randomUUID()}`)
      .send({
        childId: quin?.id,
        movement: 'cartwheel',
        side: 'left',
        mark: 'alone',
        measure: {},
        faults: [],
        note: '',
        seenOn: '2026-01-05',
        source: 'entered-later',
      })
      .expect(200);
    const answer = await owner.delete(`/api/children/imports/${taken.body.importId}`).expect(409);
    expect(JSON.stringify(answer.body)).not.toMatch(/Quin/);
    expect(await named('Quin')).toBeDefined();
  });

  it('with anything wrong stores nothing and says where', async () => {
    const before = (await children()).length;
    const answer = await send('name,birth date,group\nAda Berg,2018-01-01,Kittiwakes\nBen,soon,Crows\n').expect(422);
    expect(answer.body.errors.map(({ field }: { field: string }) => field)).toEqual(['row 3, name', 'row 3, birth date', 'row 3, group']);
    expect(await children()).toHaveLength(before);
  });

  it('keeps no name of a child beside the child itself', async () => {
    await send('name,birth date\nZebedee Unseen,2018-01-01\n').expect(200);
    const kept = await club.source.query('SELECT string_agg(before::text, $1) AS all FROM import', ['']);
    expect(JSON.stringify(kept)).not.toMatch(/Zebedee|Unseen/);
  });

  it('is not given to an assistant', async () => {
    const assistant = await club.as('assistant');
    await assistant.get('/api/children/table').expect(403);
    await send('name,birth date\n', '', assistant).expect(403);
  });
});
