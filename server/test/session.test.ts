import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from './test-app.js';

let club: TestApp;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
});
afterAll(() => club.close());

const signIn = (email: unknown, password: unknown) => club.visitor().post('/api/session').send({ email, password });

describe('signing in', () => {
  it('takes a person of the demo club in, whatever the case of the address, and says who and where', async () => {
    const answer = await signIn('Gymnastics@Sail-Loft.example ', 'farholm-demo').expect(200);
    expect(answer.body).toMatchObject({ person: { role: 'instructor' }, club: { name: 'The Sail Loft, Farholm', isDemo: true } });
    expect(answer.body.today).toMatch(/^\d{4}-\d\d-\d\d$/);
    const cookie = String(answer.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
  });

  it('answers alike for a person it does not know and for a wrong password', async () => {
    const unknown = await signIn('nobody@sail-loft.example', 'farholm-demo').expect(401);
    const wrong = await signIn('owner@sail-loft.example', 'not the password').expect(401);
    expect(unknown.body).toEqual(wrong.body);
  });

  it('slows down somebody who guesses, and neither others nor the browser in which the person signed in before', async () => {
    const known = await club.as('dance');
    const tries: number[] = [];
    for (let count = 0; count < 22; count++) tries.push((await signIn('dance@sail-loft.example', 'guess')).status);
    expect(tries.at(0)).toBe(401);
    expect(tries.at(-1)).toBe(429);
    await signIn('martial-arts@sail-loft.example', 'farholm-demo').expect(200);
    // a browser that nobody knows waits even with the right password; one's own does not
    await signIn('dance@sail-loft.example', 'farholm-demo').expect(429);
    await known.post('/api/session').send({ email: 'dance@sail-loft.example', password: 'farholm-demo' }).expect(200);
  });

  it('keeps no password, only an argon2id hash', async () => {
    const people = await club.source.query<readonly { password_hash: string }[]>('SELECT password_hash FROM person');
    for (const { password_hash } of people) expect(password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  });

  it('ends when one signs out', async () => {
    const agent = await club.as('assistant');
    await agent.get('/api/session').expect(200);
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });

  it('gives a new session id at every sign-in, so that one planted before is worth nothing', async () => {
    const agent = club.visitor();
    const enter = () => agent.post('/api/session').send({ email: 'assistant@sail-loft.example', password: 'farholm-demo' }).expect(200);
    const planted = String((await enter()).headers['set-cookie']).split(';')[0] ?? '';
    await enter();
    await club.visitor().get('/api/session').set('Cookie', planted).expect(401);
  });
});

describe('what a role may do', () => {
  it('lets an assistant look and mark, but not change children, groups, plans or people', async () => {
    const agent = await club.as('assistant');
    const [child] = (await agent.get('/api/children').expect(200)).body;
    const [group] = (await agent.get('/api/groups').expect(200)).body;
    await agent
      .patch(`/api/children/${String(child.id)}`)
      .send({ archived: true })
      .expect(403);
    await agent
      .patch(`/api/groups/${String(group.id)}`)
      .send({ archived: true })
      .expect(403);
    await agent.post('/api/people/invitations').send({ name: 'X', email: 'x@x.example', role: 'owner' }).expect(403);
    await agent.delete(`/api/children/${String(child.id)}`).expect(403);
  });
});

describe('the first visitor of an empty Leiter', () => {
  it('makes the club, owns it, finds library and ladders in it, and nobody can do so again', async () => {
    const empty = await testApp({ filled: 'empty' });
    const founder = empty.visitor();
    expect((await founder.get('/api/welcome').expect(200)).body).toEqual({ needsClub: true, demoPeople: [], demoPassword: null });
    const club = {
      clubName: 'Pier Nine',
      ownerName: 'Asta',
      email: 'asta@pier-nine.example',
      password: 'over the water',
      timeZone: 'Europe/Oslo',
    };
    await founder.post('/api/club').send(club).expect(204);
    expect((await founder.get('/api/session').expect(200)).body).toMatchObject({
      person: { role: 'owner' },
      club: { name: 'Pier Nine', timeZone: 'Europe/Oslo' },
    });
    expect((await founder.get('/api/library').expect(200)).body.length).toBeGreaterThan(60);
    expect((await founder.get('/api/syllabuses').expect(200)).body).toHaveLength(3);
    expect((await founder.get('/api/children').expect(200)).body).toEqual([]);
    await empty
      .visitor()
      .post('/api/club')
      .send({ ...club, email: 'other@pier-nine.example' })
      .expect(409);
    await empty.visitor().post('/api/session').send({ email: 'owner@sail-loft.example', password: 'farholm-demo' }).expect(401);
    await empty.close();
  });
});

describe('where one teaches', () => {
  it('is kept for the person, and its classes are looked at with it', async () => {
    const tomasz = await club.as('gymnastics');
    expect((await tomasz.get('/api/session').expect(200)).body.room).toBeNull();
    const room = { clearLengthM: 3, clearWidthM: 2.5, cameraDistanceM: 3, cameraHeightM: 0.9, viewAngleDegrees: 70 };
    expect((await tomasz.put('/api/session/room').send({ room }).expect(200)).body.room).toEqual(room);
    const me = (await tomasz.get('/api/session').expect(200)).body.person.id;
    const coming = (await tomasz.get('/api/coming-classes').expect(200)).body;
    const own = coming.find((one: { group: { instructorId: string } }) => one.group.instructorId === me);
    const others = coming.find((one: { group: { instructorId: string } }) => one.group.instructorId !== me);
    expect((await tomasz.get(`/api/classes/${own.class.id}`).expect(200)).body.room).toEqual(room);
    expect((await tomasz.get(`/api/classes/${others.class.id}`).expect(200)).body.room).toBeNull();
    await tomasz
      .put('/api/session/room')
      .send({ room: { ...room, viewAngleDegrees: 3 } })
      .expect(400);
    expect((await tomasz.put('/api/session/room').send({ room: null }).expect(200)).body.room).toBeNull();
  });
});

describe('how one teaches', () => {
  it('is kept for the person, and its classes are reckoned with it, nobody else’s', async () => {
    const tomasz = await club.as('gymnastics');
    const session = (await tomasz.get('/api/session').expect(200)).body;
    expect(session.style).toBe('as-it-comes');
    expect((await tomasz.put('/api/session/style').send({ style: 'along' }).expect(200)).body.style).toBe('along');
    const coming = (await tomasz.get('/api/coming-classes').expect(200)).body;
    const styles = await Promise.all(
      coming.map(async (one: { group: { instructorId: string }; class: { id: string } }) => [
        one.group.instructorId === session.person.id,
        (await tomasz.get(`/api/classes/${one.class.id}`).expect(200)).body.style,
      ]),
    );
    for (const [isOwn, style] of styles) expect(style).toBe(isOwn ? 'along' : 'as-it-comes');
    const refused = await tomasz.put('/api/session/style').send({ style: 'loudly' }).expect(400);
    expect(refused.body.errors).toEqual([{ field: 'style', message: 'The style is along, as-it-comes, watch-then-do.' }]);
    await tomasz.put('/api/session/style').send({ style: 'as-it-comes' }).expect(200);
  });
});
