import { randomBytes, randomUUID } from 'node:crypto';
import type { HomePageResponse, PhraseResponse } from '@leiter/contract';
import { addDays } from '@leiter/core';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { HomeLinksService } from '../src/home/home-links.service.js';
import { withoutOthers } from '../src/home/without-others.js';
import { ProblemException } from '../src/http/problem.js';
import { asBuffer, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let today: string;
let all: readonly { id: string; givenName: string; familyInitial: string; groupIds: readonly string[]; householdVersion: number }[];
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  today = (await owner.get('/api/session').expect(200)).body.today;
  all = (await owner.get('/api/children').expect(200)).body;
});
afterAll(() => club.close());
beforeEach(() => club.source.query('DELETE FROM home_try'));

const idOf = (name: string): string => all.find(({ givenName }) => givenName === name)?.id ?? '';
const linkFor = async (name: string): Promise<string> => (await owner.post(`/api/children/${idOf(name)}/home`).expect(201)).body.token;
const asked = (token: string) => club.visitor().get('/api/home').set('authorization', `Bearer ${token}`);
const home = async (token: string): Promise<HomePageResponse> => (await asked(token).expect(200)).body;
const put = (token: string, path: string, body: object) =>
  club.visitor().put(`/api/home/${path}`).set('authorization', `Bearer ${token}`).send(body);

describe('the page of a family', () => {
  it('shows the child’s own ladder, bests and classes, as the club has them', async () => {
    const page = await home(await linkFor('Ilse'));
    const child = (await owner.get(`/api/children/${idOf('Ilse')}`).expect(200)).body;
    expect(page.child).toMatchObject({ givenName: 'Ilse', leadSide: child.child.leadSide });
    const [ladder] = page.ladders;
    expect(ladder?.grades.filter(({ awardedOn }) => awardedOn !== null).map(({ gradeId }) => gradeId)).toEqual(
      child.ladders[0].earned.map(({ grade }: { grade: { id: string } }) => grade.id),
    );
    const board = (await owner.get(`/api/groups/${child.child.groupIds[0]}/board`).expect(200)).body;
    const row = board.rows.find(({ childId }: { childId: string }) => childId === idOf('Ilse'));
    expect([ladder?.next?.name, ladder?.next?.metCount, ladder?.next?.asked.map(({ standing }) => standing)]).toEqual([
      row.nextGradeName,
      row.metCount,
      row.cells.map(({ standing }: { standing: string }) => standing),
    ]);
    expect(page.coming.length).toBeGreaterThan(0);
    expect(page.grading).toMatchObject([{ gradeName: row.nextGradeName }]);
    // every entry that is named is there, and no other
    const named = [...(ladder?.next?.asked ?? []), ...page.bests, ...(page.task?.items ?? [])].map(({ movement }) => movement);
    expect(new Set(page.movements.map(({ slug }) => slug))).toEqual(new Set(named));
  });

  it('has the phrases of what is practised or asked, to both sides: what is left in one is right in the other', async () => {
    const now: readonly { id: string; archived: boolean; groupIds: readonly string[] }[] = (await owner.get('/api/children').expect(200))
      .body;
    const pages: HomePageResponse[] = [];
    for (const { id } of now.filter(({ archived, groupIds }) => !archived && groupIds.length > 0))
      pages.push(await home((await owner.post(`/api/children/${id}/home`).expect(201)).body.token));
    const phrases = pages.flatMap((page) => page.phrases.map((phrase) => ({ phrase, page })));
    expect(phrases.length).toBeGreaterThan(3);
    const flipped = { left: 'right', right: 'left', both: 'both' } as const;
    for (const { phrase, page } of phrases) {
      expect(page.movements.map(({ slug }) => slug)).toContain(phrase.movement);
      expect(phrase.other.map(({ foot, at, turn }) => [foot && flipped[foot], at, -turn || 0])).toEqual(
        phrase.own.map(({ foot, at, turn }) => [foot, at, turn || 0]),
      );
    }
    // who does it with the child reads what to do, on its counts
    const steps = `/api/library/${phrases[0]?.phrase.movement ?? ''}/phrase`;
    const stored = (await owner.get(steps).expect(200)).body as PhraseResponse;
    const text = 'partner ahead 1.8\n1 R back, 2 R close\npartner: 1 L fwd / hands lunge punch L';
    await owner
      .put(steps)
      .send({ version: stored.version, phrase: { ...stored.phrase, text } })
      .expect(200);
    const child = pages.findIndex((page) => page.phrases.some(({ movement }) => movement === phrases[0]?.phrase.movement));
    const { id } = now.filter(({ archived, groupIds }) => !archived && groupIds.length > 0)[child] ?? { id: '' };
    const again = await home((await owner.post(`/api/children/${id}/home`).expect(201)).body.token);
    const found = again.phrases.find(({ movement }) => movement === phrases[0]?.phrase.movement);
    expect(found?.own.map(({ partner }) => partner?.length)).toEqual([1, undefined]);
    expect(found?.own[0]?.partner).toMatchObject([{ at: 0, foot: 'left', arms: 'lunge punch L' }]);
    expect(found?.other[0]?.partner).toMatchObject([{ at: 0, foot: 'right', arms: 'lunge punch R' }]);
  }, 60_000);

  it('tells not one byte of another child, in any answer that a link can get', async () => {
    const names = all.map(({ givenName, familyInitial }) => [givenName, familyInitial] as const);
    const [otto] = await club.source.query(`SELECT id FROM child WHERE given_name = 'Otto'`);
    // an instructor who names others where one writes
    await club.source.query(
      `UPDATE class_session SET note = 'Otto cried' WHERE group_id IN (SELECT group_id FROM enrolment WHERE child_id = $1)`,
      [otto.id],
    );
    await club.source.query(
      `UPDATE class_session SET cancelled_because = 'Otto and Noor are ill' WHERE taught_at IS NULL AND day > $1::date + 7`,
      [today],
    );
    await club.source.query(
      `UPDATE class_plan SET document = jsonb_set(document, '{homeTask}', '{"tasks": [], "note": "As Otto and Noor P. did, slowly."}')
       WHERE class_id IN (SELECT id FROM class_session WHERE taught_at IS NOT NULL)`,
    );
    for (const { id, givenName, familyInitial } of all.filter(({ groupIds }) => groupIds.length > 0).slice(0, 20)) {
      const made = await owner.post(`/api/children/${id}/home`).expect(201);
      const { token } = made.body;
      const answers = [
        await asked(token),
        await put(token, `practice/${randomUUID()}`, { day: today, movement: 'cartwheel', feeling: 'well' }),
        await put(token, 'absence', { groupId: randomUUID(), day: today, isAway: true }),
        await put(token, 'household', { household: {}, householdVersion: 0 }),
        await club.visitor().post('/api/home/consents').set('authorization', `Bearer ${token}`).send({ kind: 'clips', isGiven: true }),
        await club.visitor().get(`/api/home/certificates/${randomUUID()}`).set('authorization', `Bearer ${token}`),
        await asked(token),
      ];
      const text = answers.map((answer) => `${JSON.stringify(answer.body)}${answer.text}${JSON.stringify(answer.headers)}`).join('\n');
      expect(text.includes('another child'), `${givenName} has a task with a note`).toBe(true);
      for (const other of all)
        if (other.id !== id) expect(text.includes(other.id), `${givenName} is told of ${other.givenName}`).toBe(false);
      for (const [name, initial] of names)
        if (name !== givenName || initial !== familyInitial)
          expect(new RegExp(`(?<![\\p{L}])${name}(?![\\p{L}])`, 'u').test(text), `${givenName} is told of ${name}`).toBe(false);
    }
  });

  it('is opened by its link alone: renewed, ended and of a child that left, the old one opens nothing', async () => {
    const first = await linkFor('Kaia');
    await asked(first).expect(200);
    const second = await linkFor('Kaia');
    await asked(first).expect(404);
    await asked(second).expect(200);
    const kept = await club.source.query('SELECT * FROM home_link');
    expect(JSON.stringify(kept)).not.toContain(second);
    await owner.delete(`/api/children/${idOf('Kaia')}/home`).expect(204);
    await asked(second).expect(404);
    const third = await linkFor('Kaia');
    await owner
      .patch(`/api/children/${idOf('Kaia')}`)
      .send({ archived: true })
      .expect(200);
    await asked(third).expect(404);
    await owner.post(`/api/children/${idOf('Kaia')}/home`).expect(404);
    await owner
      .patch(`/api/children/${idOf('Kaia')}`)
      .send({ archived: false })
      .expect(200);
  });

  it('takes an absence beforehand, which the instructor sees, and takes it back', async () => {
    const token = await linkFor('Noor');
    const [next] = (await home(token)).coming;
    const away = { groupId: next?.groupId ?? '', day: next?.day ?? '' };
    await put(token, 'absence', { ...away, isAway: true }).expect(204);
    expect((await home(token)).coming[0]?.isAway).toBe(true);
    const week = (await owner.get(`/api/weeks/${away.day}`).expect(200)).body;
    const entry = week.entries.find((one: { day: string; group: { id: string } }) => one.day === away.day && one.group.id === away.groupId);
    expect(entry.away.join()).toMatch(/Noor/);
    await put(token, 'absence', { ...away, isAway: false }).expect(204);
    expect((await home(token)).coming[0]?.isAway).toBe(false);
    // of a group of others, of the past, and where no class is
    const other = (await owner.get('/api/groups').expect(200)).body.find((group: { id: string }) => group.id !== away.groupId);
    await put(token, 'absence', { groupId: other.id, day: away.day, isAway: true }).expect(404);
    await put(token, 'absence', { ...away, day: addDays(today, -7), isAway: true }).expect(422);
    await put(token, 'absence', { ...away, day: addDays(away.day, 1), isAway: true }).expect(404);
  });

  it('notes practice once, beside marks and never as one', async () => {
    const token = await linkFor('Leif');
    const id = randomUUID();
    const [{ before }] = await club.source.query('SELECT count(*)::int AS before FROM observation WHERE child_id = $1', [idOf('Leif')]);
    const practice = { day: today, movement: 'cartwheel', feeling: 'hurt' };
    await Promise.all([put(token, `practice/${id}`, practice), put(token, `practice/${id}`, practice)]);
    expect((await home(token)).practice).toMatchObject([{ id, ...practice }]);
    expect((await owner.get(`/api/children/${idOf('Leif')}/home`).expect(200)).body.practice).toMatchObject([practice]);
    // what hurt stands on the first page of who teaches it, and of nobody who does not
    const [own, foreign] = [await club.as('gymnastics'), await club.as('dance')];
    expect((await own.get('/api/today').expect(200)).body.hurt).toMatchObject([{ childId: idOf('Leif'), movement: 'cartwheel' }]);
    expect((await foreign.get('/api/today').expect(200)).body.hurt).toEqual([]);
    const [{ after }] = await club.source.query('SELECT count(*)::int AS after FROM observation WHERE child_id = $1', [idOf('Leif')]);
    expect(after).toBe(before);
    await put(token, `practice/${randomUUID()}`, { ...practice, day: addDays(today, -8) }).expect(422);
    await put(token, `practice/${randomUUID()}`, { ...practice, movement: 'no-such-thing' }).expect(404);
    // another family’s id is not written over, nor taken back
    const other = await linkFor('Mirela');
    await put(other, `practice/${id}`, { ...practice, feeling: 'well' }).expect(409);
    await club.visitor().delete(`/api/home/practice/${id}`).set('authorization', `Bearer ${other}`).expect(204);
    expect((await home(token)).practice).toHaveLength(1);
  });

  it('changes the home on the version that was read, and keeps every consent with its day', async () => {
    const token = await linkFor('Priya');
    const { child } = await home(token);
    const household = { ...(child.household as object), clearLengthM: 3.5 };
    await put(token, 'household', { household, householdVersion: child.householdVersion }).expect(204);
    await put(token, 'household', { household, householdVersion: child.householdVersion }).expect(409);
    expect((await home(token)).child).toMatchObject({ household: { clearLengthM: 3.5 }, isHomeKnown: true });
    const say = (isGiven: boolean) =>
      club.visitor().post('/api/home/consents').set('authorization', `Bearer ${token}`).send({ kind: 'pictures', isGiven }).expect(204);
    await say(true);
    await say(true);
    await say(false);
    expect((await home(token)).consents).toMatchObject([{ kind: 'pictures', isGiven: false }]);
    const [{ count }] = await club.source.query('SELECT count(*)::int AS count FROM consent WHERE child_id = $1', [idOf('Priya')]);
    expect(count).toBe(2);
  });

  it('hands out the child’s own certificates alone', async () => {
    const [token, other] = [await linkFor('Ilse'), await linkFor('Jamal')];
    const held = (await home(token)).ladders[0]?.grades.filter(({ awardedOn }) => awardedOn !== null) ?? [];
    const get = (link: string) =>
      club
        .visitor()
        .get(`/api/home/certificates/${held.at(-1)?.gradeId ?? ''}`)
        .set('authorization', `Bearer ${link}`);
    const pdf = await get(token).buffer().parse(asBuffer).expect(200);
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    await get(other).expect(404);
  });

  it('leaves nothing behind when the child is erased: its id stands in no row of any table', async () => {
    const id = idOf('Rafael');
    const token = await linkFor('Rafael');
    await put(token, `practice/${randomUUID()}`, { day: today, movement: 'cartwheel', feeling: 'well' }).expect(204);
    await club
      .visitor()
      .post('/api/home/consents')
      .set('authorization', `Bearer ${token}`)
      .send({ kind: 'clips', isGiven: true })
      .expect(204);
    const { grading } = (await owner.post('/api/gradings').send({ programme: 'gymnastics', day: today, startsAt: '10:00' }).expect(201))
      .body;
    const { children, grades } = (await owner.put(`/api/gradings/${grading.id}/children/${id}`).send({ size: 'x' }).expect(200)).body;
    const { gradeId } = children.find(({ childId }: { childId: string }) => childId === id);
    const [wanted] = grades
      .find((grade: { id: string }) => grade.id === gradeId)
      .requirements.filter(({ criterion }: { criterion: { sides: string } }) => criterion.sides === 'none');
    const mark = { childId: id, requirementId: wanted.id, side: 'none', mark: 'alone', measure: {}, faults: [], isSettled: false };
    await owner.put(`/api/gradings/${grading.id}/marks/${randomUUID()}`).send(mark).expect(200);
    await owner.post(`/api/gradings/${grading.id}/timetable`).expect(200);
    await owner
      .post(`/api/gradings/${grading.id}/close`)
      .send({ decisions: [{ childId: id, isGranted: true, reason: 'seen' }] })
      .expect(200);
    const record = (await owner.get(`/api/children/${id}/record`).expect(200)).body;
    expect(record).toMatchObject({
      practice: [{ movement: 'cartwheel' }],
      consents: [{ kind: 'clips', isGiven: true }],
      gradings: [{ decision: 'granted', reason: 'seen', marks: [{ mark: 'alone' }] }],
    });
    const tables = await club.source.query(
      `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE'`,
    );
    const foundIn = async (): Promise<readonly string[]> => {
      const found: string[] = [];
      for (const { name } of tables) {
        const [{ count }] = await club.source.query(`SELECT count(*)::int AS count FROM "${name}" t WHERE t::text LIKE $1`, [`%${id}%`]);
        if (count > 0) found.push(name);
      }
      return found;
    };
    expect(await foundIn()).toEqual(expect.arrayContaining(['child', 'consent', 'grading_entry', 'grading_mark', 'home_link', 'practice']));
    await owner.delete(`/api/children/${id}`).expect(204);
    expect(await foundIn()).toEqual([]);
    await asked(token).expect(404);
  });

  it('is made by who may reach the family', async () => {
    const [dance, assistant] = [await club.as('dance'), await club.as('assistant')];
    await dance.post(`/api/children/${idOf('Ilse')}/home`).expect(403);
    await dance.get(`/api/children/${idOf('Ilse')}/home`).expect(403);
    await assistant.post(`/api/children/${idOf('Ilse')}/home`).expect(403);
    await assistant.get(`/api/children/${idOf('Ilse')}/home`).expect(200);
  });
});

describe('what others wrote', () => {
  it.each([
    ['As Otto did.', 'As another child did.'],
    ['Otto P., Noor and Ottoman', 'another child, another child and Ottoman'],
    ['otto is a word', 'otto is a word'],
    ['José-María jumped', 'another child jumped'],
    ['', ''],
  ])('names no other child: %s', (text, shown) => {
    expect(withoutOthers(text, ['Otto', 'Noor', 'José', 'José-María'])).toBe(shown);
  });
});

// the last: from then on this address waits
describe('a link to the page of a family', () => {
  it('is not found by guessing: ten thousand links lead nowhere, and who tries many is asked to wait', async () => {
    const url = await club.app.getUrl();
    const guess = (): string => randomBytes(32).toString('base64url');
    const answers = await Promise.all(
      Array.from({ length: 200 }, () => fetch(`${url}/api/home`, { headers: { authorization: `Bearer ${guess()}` } })),
    );
    const statuses = answers.map(({ status }) => status);
    expect([...new Set(statuses)].toSorted()).toEqual([404, 429]);
    // those that came at the same moment as the first ones were looked up before anything was counted
    expect(statuses.filter((status) => status === 404).length).toBeLessThan(150);
    // and on the way past HTTP, from here and from a thousand addresses
    const links = club.app.get(HomeLinksService);
    for (let tried = 0; tried < 10_000; tried += 1)
      await expect(links.childOf(guess(), tried % 10 === 0 ? `10.0.${String(tried % 1000)}` : '127.0.0.1')).rejects.toThrow(
        ProblemException,
      );
    for (const wrong of ['', 'x', 'x'.repeat(43), `${'x'.repeat(42)}'`]) expect([404, 429]).toContain((await asked(wrong)).status);
  }, 60_000);
});
