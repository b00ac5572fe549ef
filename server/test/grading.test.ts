import { randomUUID } from 'node:crypto';
import type { GradingChild, GradingMarkRequest, GradingPageResponse } from '@leiter/contract';
import { addDays, findingsOf, groupBy, sidesAsked } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asBuffer, testApp, type Agent, type TestApp } from './test-app.js';

type Mark = Pick<GradingMarkRequest, keyof GradingMarkRequest>;

let club: TestApp;
let owner: Agent;
let instructor: Agent;
let assistant: Agent;
let today: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  [owner, instructor, assistant] = [await club.as('owner'), await club.as('gymnastics'), await club.as('assistant')];
  today = (await owner.get('/api/session').expect(200)).body.today;
});
afterAll(() => club.close());

const page = async (id: string): Promise<GradingPageResponse> => (await owner.get(`/api/gradings/${id}`).expect(200)).body;
const childNamed = ({ children }: GradingPageResponse, name: string): GradingChild => {
  const found = children.find((child) => child.name.startsWith(name));
  if (!found) throw new Error(`no ${name}`);
  return found;
};
const gradeOf = ({ grades }: GradingPageResponse, { gradeId }: GradingChild) => grades.find(({ id }) => id === gradeId);

/** A grading day of gymnastics, today, with these children. */
async function gradingToday(...names: readonly string[]): Promise<GradingPageResponse> {
  const made: GradingPageResponse = (
    await owner.post('/api/gradings').send({ programme: 'gymnastics', day: today, startsAt: '10.00' }).expect(201)
  ).body;
  for (const name of names)
    await owner
      .put(`/api/gradings/${made.grading.id}/children/${childNamed(made, name).childId}`)
      .send({ size: '' })
      .expect(200);
  return page(made.grading.id);
}

/** Everything a child’s grade asks, marked clean with what is measured. */
function shown(of: GradingPageResponse, child: GradingChild, mark: Mark['mark'] = 'clean'): readonly Mark[] {
  return (gradeOf(of, child)?.requirements ?? []).flatMap(({ id, criterion }) =>
    sidesAsked(criterion, child.leadSide).map((side) => ({
      childId: child.childId,
      requirementId: id,
      side: side ?? 'none',
      mark,
      help: null,
      measure: {
        ...(criterion.leastSeconds === undefined ? {} : { seconds: criterion.leastSeconds }),
        ...(criterion.leastReps === undefined ? {} : { reps: criterion.leastReps }),
        ...criterion.leastCorrect,
      },
      faults: [],
      isSettled: false,
    })),
  );
}
const give = async (agent: Agent, id: string, marks: readonly Mark[]): Promise<void> => {
  for (const mark of marks) await agent.put(`/api/gradings/${id}/marks/${randomUUID()}`).send(mark).expect(200);
};

describe('the grading day of the demo club', () => {
  it('is in three weeks, with children who can be ready and nobody else', async () => {
    const [only] = (await owner.get('/api/gradings').expect(200)).body;
    expect(only.day >= addDays(today, 18) && only.day <= addDays(today, 24)).toBe(true);
    const { children } = await page(only.id);
    const entered = children.filter(({ entry }) => entry !== null);
    expect(entered.map(({ name }) => name)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^Jamal/), expect.stringMatching(/^Ilse/)]),
    );
    expect(entered.length).toBeGreaterThanOrEqual(3);
    expect(entered.every(({ readiness }) => readiness?.kind !== 'not-yet')).toBe(true);
    // who climbs is there to be chosen, by name; other programmes are not
    expect(children.some(({ name }) => name.startsWith('Hugo'))).toBe(false);
  });

  it('has a timetable of what is chosen at the end, also where somebody changes it while it is looked for', async () => {
    const [{ id }] = (await owner.get('/api/gradings').expect(200)).body;
    const making = owner.post(`/api/gradings/${id}/timetable`).then((answer) => answer);
    await owner.patch(`/api/gradings/${id}`).send({ warmUpMinutes: 20 }).expect(200);
    const { status, body } = await making;
    expect(status).toBe(200);
    const first = Math.min(...((body as GradingPageResponse).timetable?.visits ?? []).map(({ from }) => from));
    expect([body.grading.warmUpMinutes, first >= 20]).toEqual([20, true]);
    await owner.patch(`/api/gradings/${id}`).send({ warmUpMinutes: 15 }).expect(200);
  });

  it('has a timetable in which everybody is warm, nobody waits and nobody is at two places, shown to be the shortest', async () => {
    const [{ id }] = (await owner.get('/api/gradings').expect(200)).body;
    const { timetable, children, grading, grades }: GradingPageResponse = (await owner.post(`/api/gradings/${id}/timetable`).expect(200))
      .body;
    expect(timetable).toMatchObject({ isBest: true });
    const visits = timetable?.visits ?? [];
    for (const party of timetable?.parties ?? []) {
      const own = visits.filter((visit) => visit.party === party.id).toSorted((a, b) => a.from - b.from);
      expect([party.warmUpFrom + grading.warmUpMinutes, party.to]).toEqual([own[0]?.from, own.at(-1)?.to]);
      expect(own.slice(1).every(({ from }, index) => from === own[index]?.to)).toBe(true);
      const inIt = children.filter(({ entry }) => entry?.party === party.id);
      expect(inIt.length).toBeGreaterThan(0);
      expect(inIt.length).toBeLessThanOrEqual(grading.together);
      expect(new Set(inIt.map(({ gradeId }) => gradeId))).toEqual(new Set([party.gradeId]));
    }
    for (const one of visits)
      for (const other of visits)
        if (one !== other && one.from < other.to && other.from < one.to) {
          expect(one.station).not.toBe(other.station);
          expect(one.examinerIds.some((examiner) => other.examinerIds.includes(examiner))).toBe(false);
        }
    expect(children.filter(({ entry }) => entry !== null).every(({ entry }) => entry?.party !== null)).toBe(true);
    const pdf = await owner.get(`/api/gradings/${id}/sheets`).buffer().parse(asBuffer).expect(200);
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    expect(grades.length).toBeGreaterThan(0);
    // another warm-up makes another timetable
    const changed: GradingPageResponse = (await owner.patch(`/api/gradings/${id}`).send({ warmUpMinutes: 15 }).expect(200)).body;
    expect([changed.timetable, changed.children.some(({ entry }) => entry?.party != null)]).toEqual([null, false]);
  });

  it('is not marked and not closed before its day', async () => {
    const [{ id }] = (await owner.get('/api/gradings').expect(200)).body;
    const of = await page(id);
    const [mark] = shown(of, childNamed(of, 'Jamal'));
    await owner.put(`/api/gradings/${id}/marks/${randomUUID()}`).send(mark).expect(422);
    await owner.post(`/api/gradings/${id}/close`).send({ decisions: [] }).expect(422);
  });
});

describe('a grading day', () => {
  it('gives grades as one act: marks into the record once, the grade on that day, and the same again changes nothing', async () => {
    const of = await gradingToday('Jamal', 'Ilse');
    const { id } = of.grading;
    const [jamal, ilse] = [childNamed(of, 'Jamal'), childNamed(of, 'Ilse')];
    await give(instructor, id, shown(of, jamal));
    await give(instructor, id, shown(of, ilse));
    const marked = await page(id);
    expect(childNamed(marked, 'Jamal').entry?.result).toMatchObject({ isEarned: true, missing: [] });
    const decisions = [jamal, ilse].map(({ childId }) => ({ childId, isGranted: true, reason: '' }));
    const answers = await Promise.all([1, 2, 3].map(() => owner.post(`/api/gradings/${id}/close`).send({ decisions })));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    const [{ count }] = await club.source.query(
      `SELECT count(*)::int AS count FROM observation WHERE source = 'grading' AND child_id = $1`,
      [jamal.childId],
    );
    expect(count).toBe(shown(of, jamal).length);
    const child = (await owner.get(`/api/children/${jamal.childId}`).expect(200)).body;
    expect(child.ladders[0].earned.at(-1)).toMatchObject({ awardedOn: today, grade: { id: jamal.gradeId } });
    const closed = await page(id);
    expect([closed.grading.granted, closed.children.filter(({ entry }) => entry?.decision === 'granted').length]).toEqual([2, 2]);
    const pdf = await owner.get(`/api/gradings/${id}/certificates`).buffer().parse(asBuffer).expect(200);
    expect((pdf.body as Buffer).toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(2);
    // closed is closed
    await instructor.put(`/api/gradings/${id}/marks/${randomUUID()}`).send(shown(of, jamal)[0]).expect(409);

    // and it is taken back as one act, with a reason that stays with the child
    await owner.post(`/api/gradings/${id}/reopen`).send({ reason: 'The wrong list' }).expect(200);
    const after = (await owner.get(`/api/children/${jamal.childId}`).expect(200)).body;
    expect(after.ladders[0].earned.some(({ grade }: { grade: { id: string } }) => grade.id === jamal.gradeId)).toBe(false);
    expect(after.log[0]).toMatchObject({ kind: 'grade-taken-back', detail: { reason: 'The wrong list' } });
    expect(after.observations.filter((one: { source: string }) => one.source === 'grading')).toHaveLength(2 * shown(of, jamal).length);
    expect(childNamed(await page(id), 'Jamal').entry).toMatchObject({ decision: null, result: { isEarned: true } });
    // closed once more the marks stand once more, each once
    await owner.post(`/api/gradings/${id}/close`).send({ decisions: [] }).expect(200);
    const [{ standing }] = await club.source.query(
      `SELECT count(*)::int AS standing FROM observation o WHERE source = 'grading' AND child_id = $1 AND NOT is_withdrawal
       AND NOT EXISTS (SELECT 1 FROM observation s WHERE s.supersedes = o.id)`,
      [jamal.childId],
    );
    expect(standing).toBe(shown(of, jamal).length);
  });

  it('gives a grade that was not all seen with a reason alone, which is kept', async () => {
    const of = await gradingToday('Mirela');
    const { id } = of.grading;
    const mirela = childNamed(of, 'Mirela');
    const close = (reason: string) =>
      owner.post(`/api/gradings/${id}/close`).send({ decisions: [{ childId: mirela.childId, isGranted: true, reason }] });
    const refused = await close('').expect(422);
    expect(refused.body.errors).toEqual([{ field: 'decisions.0.reason', message: expect.stringContaining('Mirela') }]);
    expect((await page(id)).grading.closedAt).toBeNull();
    await close('Seen in the hall').expect(200);
    const { log } = (await owner.get(`/api/children/${mirela.childId}`).expect(200)).body;
    expect(log[0]).toMatchObject({ kind: 'grade-given', detail: { reason: 'Seen in the hall' } });
  });

  it('keeps what two examiners saw apart; the lower counts until it is settled', async () => {
    const of = await gradingToday('Leif');
    const { id } = of.grading;
    const leif = childNamed(of, 'Leif');
    const [first] = shown(of, leif);
    if (!first) throw new Error('nothing is asked');
    await give(instructor, id, [first]);
    await give(assistant, id, [{ ...first, mark: 'with-help' }]);
    const counts = async () => findingsOf((await page(id)).marks)[0];
    expect(await counts()).toMatchObject({ agreement: 'apart', counts: { mark: 'with-help' } });
    await give(assistant, id, [{ ...first, mark: 'alone', isSettled: true }]);
    expect(await counts()).toMatchObject({ agreement: 'settled', counts: { mark: 'alone' } });
  });

  it('stores a mark that is sent again once, and refuses another one under its id, what is not asked, and whom nobody entered', async () => {
    const of = await gradingToday('Leif');
    const { id } = of.grading;
    const [mark] = shown(of, childNamed(of, 'Leif'));
    if (!mark) throw new Error('nothing is asked');
    const markId = randomUUID();
    const send = (said: Partial<Mark>, under = markId) => instructor.put(`/api/gradings/${id}/marks/${under}`).send({ ...mark, ...said });
    const both = await Promise.all([send({}), send({})]);
    expect(both.map(({ status }) => status)).toEqual([200, 200]);
    expect((await page(id)).marks).toHaveLength(1);
    await send({ mark: 'not-yet' }).expect(409);
    await send({ requirementId: randomUUID() }, randomUUID()).expect(422);
    await send({ childId: childNamed(of, 'Otto').childId }, randomUUID()).expect(422);
    await send({ faults: ['no-such-fault'] }, randomUUID()).expect(422);
    await send({ side: mark.side === 'none' ? 'left' : 'none' }, randomUUID()).expect(422);
  });

  it('gives nothing to who left between the sheet and the grade, and says so; who was erased is no longer there', async () => {
    const of = await gradingToday('Rafael', 'Priya');
    const { id } = of.grading;
    const [rafael, priya] = [childNamed(of, 'Rafael'), childNamed(of, 'Priya')];
    await give(instructor, id, shown(of, rafael));
    await give(instructor, id, shown(of, priya));
    await owner.patch(`/api/children/${rafael.childId}`).send({ archived: true }).expect(200);
    const decisions = [{ childId: rafael.childId, isGranted: true, reason: 'as decided' }];
    const { page: closed, left } = (await owner.post(`/api/gradings/${id}/close`).send({ decisions }).expect(200)).body;
    expect([left, closed.grading.granted]).toEqual([[rafael.name], 0]);
    await owner.delete(`/api/children/${priya.childId}`).send({ name: priya.name }).expect(204);
    expect((await page(id)).children.some(({ childId }) => childId === priya.childId)).toBe(false);
    const [{ count }] = await club.source.query('SELECT count(*)::int AS count FROM grading_mark WHERE child_id = $1', [priya.childId]);
    expect(count).toBe(0);
  });

  it('lists what is to be ordered by grade and size', async () => {
    const of = await gradingToday('Kaia', 'Noor');
    for (const [name, size] of [
      ['Kaia', 'small'],
      ['Noor', 'small'],
    ] as const)
      await owner
        .put(`/api/gradings/${of.grading.id}/children/${childNamed(of, name).childId}`)
        .send({ size })
        .expect(200);
    const { text } = await owner.get(`/api/gradings/${of.grading.id}/order`).expect(200);
    expect(text).toMatch(/small,2,/);
  });

  it('is planned and closed by who teaches; an assistant marks and looks', async () => {
    await assistant.post('/api/gradings').send({ programme: 'gymnastics', day: today, startsAt: '10:00' }).expect(403);
    const [{ id }] = (await assistant.get('/api/gradings').expect(200)).body;
    await assistant.post(`/api/gradings/${id}/close`).send({ decisions: [] }).expect(403);
    await owner
      .post('/api/gradings')
      .send({ programme: 'gymnastics', day: addDays(today, -1), startsAt: '10:00' })
      .expect(422);
    await owner
      .patch(`/api/gradings/${id}`)
      .send({ examinerIds: [randomUUID()] })
      .expect(422);
  });
});

describe('the search for a timetable', () => {
  it('finds the shortest for a whole programme and three examiners', async () => {
    const made: GradingPageResponse = (
      await owner
        .post('/api/gradings')
        .send({ programme: 'martial-arts', day: addDays(today, 3), startsAt: '10:00' })
        .expect(201)
    ).body;
    const { id } = made.grading;
    const climbing = made.children.filter(({ gradeId }) => gradeId !== null);
    for (const { childId } of climbing) await owner.put(`/api/gradings/${id}/children/${childId}`).send({ size: '' }).expect(200);
    const people = (await owner.get('/api/people').expect(200)).body;
    await owner
      .patch(`/api/gradings/${id}`)
      .send({ examinerIds: people.slice(0, 3).map((person: { id: string }) => person.id), together: 1 })
      .expect(200);
    const { timetable }: GradingPageResponse = (await owner.post(`/api/gradings/${id}/timetable`).expect(200)).body;
    const visits = timetable?.visits ?? [];
    const longest = (of: (visit: (typeof visits)[number]) => string | number): number =>
      Math.max(...[...groupBy(visits, of).values()].map((own) => own.reduce((sum, { from, to }) => sum + to - from, 0)));
    const work = visits.reduce((sum, { from, to }) => sum + to - from, 0);
    // what nobody can be quicker than: three who look, the busiest station, the party that has most to show
    const least = Math.max(
      Math.ceil(work / 3 / 5) * 5,
      longest(({ station }) => station),
      longest(({ party }) => party),
    );
    expect(timetable?.noneBefore).toBe(made.grading.warmUpMinutes + least);
    // what orders alone find; a solver with time finds more
    expect((timetable?.endsAfter ?? 0) - (timetable?.noneBefore ?? 0)).toBeLessThanOrEqual(20);
  });
});
