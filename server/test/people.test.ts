import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
const idOf = async (name: string): Promise<string> =>
  (await owner.get('/api/people').expect(200)).body.find((one: { name: string }) => one.name.startsWith(name)).id;
const signIn = (email: string, password: string) => club.visitor().post('/api/session').send({ email, password });
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

describe('somebody who is invited', () => {
  const guest = { name: 'Tove Lind', email: 'Tove@sail-loft.example', role: 'assistant' };

  it('joins by the link, once, with a password of its own, and is signed in', async () => {
    const { token } = (await owner.post('/api/people/invitations').send(guest).expect(201)).body;
    const visitor = club.visitor();
    expect((await visitor.get(`/api/invitations/${token}`).expect(200)).body).toEqual({
      kind: 'join',
      name: 'Tove Lind',
      email: 'tove@sail-loft.example',
      role: 'assistant',
      clubName: 'The Sail Loft, Farholm',
    });
    await visitor.post(`/api/invitations/${token}`).send({ password: 'ropes-and-sails' }).expect(204);
    expect((await visitor.get('/api/session').expect(200)).body.person).toMatchObject({ name: 'Tove Lind', role: 'assistant' });
    await club.visitor().post(`/api/invitations/${token}`).send({ password: 'another-and-longer' }).expect(404);
    await signIn('tove@sail-loft.example', 'ropes-and-sails').expect(200);
    const again = await owner.post('/api/people/invitations').send(guest).expect(422);
    expect(again.body.errors).toEqual([{ field: 'email', message: 'Somebody signs in with this address already.' }]);
  });

  it('twice at once with one link is one person', async () => {
    const { token } = (
      await owner
        .post('/api/people/invitations')
        .send({ ...guest, email: 'twin@sail-loft.example' })
        .expect(201)
    ).body;
    const tries = await Promise.all(
      [1, 2, 3].map(() => club.visitor().post(`/api/invitations/${token}`).send({ password: 'ropes-and-sails' })),
    );
    expect(tries.map(({ status }) => status).toSorted()).toEqual([204, 404, 404]);
  });

  it('finds the link closed after a week, or when it was taken back', async () => {
    const one = (
      await owner
        .post('/api/people/invitations')
        .send({ ...guest, email: 'late@sail-loft.example' })
        .expect(201)
    ).body;
    await club.source.query(`UPDATE invitation SET ends_at = now() - interval '1 second' WHERE id = $1`, [one.id]);
    await club.visitor().get(`/api/invitations/${one.token}`).expect(404);
    await club.visitor().post(`/api/invitations/${one.token}`).send({ password: 'ropes-and-sails' }).expect(404);
    const other = (
      await owner
        .post('/api/people/invitations')
        .send({ ...guest, email: 'no@sail-loft.example' })
        .expect(201)
    ).body;
    await owner.delete(`/api/people/invitations/${other.id}`).expect(204);
    await club.visitor().get(`/api/invitations/${other.token}`).expect(404);
  });

  it('has a link that stands nowhere in the database', async () => {
    const { token } = (
      await owner
        .post('/api/people/invitations')
        .send({ ...guest, email: 'secret@sail-loft.example' })
        .expect(201)
    ).body;
    const [{ all }] = await club.source.query<readonly [{ all: string }]>('SELECT string_agg(t::text, $1) AS all FROM invitation t', ['']);
    expect(all).not.toContain(token);
  });

  it.each([
    ['Password123', 'This is one of the passwords that are tried first. Take three or four words of your own.'],
    ['aaaaaaaaaaaa', 'This repeats itself: take at least five different characters.'],
    ['tove.lind.1', 'This is your name or address: others know it as well.'],
  ])('does not take “%s” as a password', async (password, message) => {
    const { token } = (
      await owner
        .post('/api/people/invitations')
        .send({ ...guest, email: 'tove.lind@x.example' })
        .expect(201)
    ).body;
    const answer = await club.visitor().post(`/api/invitations/${token}`).send({ password }).expect(422);
    expect(answer.body.errors).toEqual([{ field: 'password', message }]);
  });
});

describe('a password', () => {
  it('is changed with the old one, and whoever else was signed in with it is signed out', async () => {
    const [here, elsewhere] = [await club.as('dance'), await club.as('dance')];
    const change = (oldPassword: string, newPassword: string) => here.put('/api/session/password').send({ oldPassword, newPassword });
    expect((await change('not the one', 'tide and time').expect(422)).body.errors[0].field).toBe('oldPassword');
    expect((await change('farholm-demo', 'sunshine123').expect(422)).body.errors[0].field).toBe('newPassword');
    await change('farholm-demo', 'tide-pool-and-time').expect(204);
    await here.get('/api/session').expect(200);
    await elsewhere.get('/api/session').expect(401);
    await signIn('dance@sail-loft.example', 'farholm-demo').expect(401);
    await signIn('dance@sail-loft.example', 'tide-pool-and-time').expect(200);
  });

  it('that was forgotten is set anew by a link from the owner', async () => {
    const there = await club.as('martial-arts');
    const { token, kind } = (await owner.post(`/api/people/${await idOf('Kenji')}/reset`).expect(201)).body;
    expect(kind).toBe('reset');
    await club.visitor().post(`/api/invitations/${token}`).send({ password: 'lanterns-on-the-quay' }).expect(204);
    await there.get('/api/session').expect(401);
    await signIn('martial-arts@sail-loft.example', 'lanterns-on-the-quay').expect(200);
    await (await club.as('gymnastics')).post(`/api/people/${await idOf('Solveig')}/reset`).expect(403);
  });
});

describe('a person', () => {
  it('who is put away is signed out at once and cannot sign in; what they wrote stays theirs, and they can come back', async () => {
    const runa = await club.as('assistant');
    const id = await idOf('Runa');
    await runa.get('/api/today').expect(200);
    await owner.patch(`/api/people/${id}`).send({ isPutAway: true }).expect(200);
    await runa.get('/api/today').expect(401);
    await signIn('assistant@sail-loft.example', 'farholm-demo').expect(401);
    expect((await owner.get('/api/people').expect(200)).body).toContainEqual(
      expect.objectContaining({ id, name: 'Runa Petrie', isPutAway: true }),
    );
    await owner.patch(`/api/people/${id}`).send({ isPutAway: false }).expect(200);
    await signIn('assistant@sail-loft.example', 'farholm-demo').expect(200);
  });

  it('is known as what they are now, however soon they ask after it was changed', async () => {
    const runa = await club.as('assistant');
    const id = await idOf('Runa');
    for (let time = 0; time < 10; time += 1)
      for (const role of ['instructor', 'assistant']) {
        await owner.patch(`/api/people/${id}`).send({ role }).expect(200);
        expect((await runa.get('/api/session').expect(200)).body.person.role).toBe(role);
      }
  });

  it('has another role from the next request on', async () => {
    const tomasz = await club.as('gymnastics');
    const id = await idOf('Tomasz');
    await tomasz.get('/api/children/table').expect(200);
    await owner.patch(`/api/people/${id}`).send({ role: 'assistant' }).expect(200);
    await tomasz.get('/api/children/table').expect(403);
    await owner.patch(`/api/people/${id}`).send({ role: 'instructor' }).expect(200);
    await tomasz.get('/api/children/table').expect(200);
  });

  it('who is the last owner stays: neither by role nor put away, nor when two owners put each other away at once', async () => {
    const [me, other] = [await idOf('Solveig'), await idOf('Tomasz')];
    await owner.patch(`/api/people/${me}`).send({ role: 'instructor' }).expect(422);
    await owner.patch(`/api/people/${me}`).send({ isPutAway: true }).expect(422);
    await owner.patch(`/api/people/${other}`).send({ role: 'owner' }).expect(200);
    const second = await club.as('gymnastics');
    const answers = await Promise.all([
      owner.patch(`/api/people/${other}`).send({ isPutAway: true }),
      second.patch(`/api/people/${me}`).send({ isPutAway: true }),
    ]);
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    const left = await club.source.query<readonly [{ count: string }]>(
      `SELECT count(*) FROM person WHERE role = 'owner' AND put_away_at IS NULL AND email LIKE '%sail-loft%'`,
    );
    expect(Number(left[0].count)).toBe(1);
  });
});
