import { randomUUID } from 'node:crypto';
import { addDays, measuredLines } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let tomasz: Agent;
let group: { id: string; name: string };
let classId: string;
let child: { childId: string; leadSide: 'left' | 'right' };
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  tomasz = await club.as('gymnastics');
  group = (await tomasz.get('/api/groups').expect(200)).body.find((one: { name: string }) => one.name === 'Kittiwakes');
  classId = (await tomasz.get(`/api/groups/${group.id}/classes`).expect(200)).body.find(
    (one: { taughtAt: string | null }) => one.taughtAt !== null,
  ).id;
  child = (await board()).rows[0];
});
afterAll(() => club.close());

const board = async () => (await tomasz.get(`/api/groups/${group.id}/board`).expect(200)).body;
const yesterday = new Date(Date.now() - 36 * 3600 * 1000).toISOString().slice(0, 10);
const mark = (more: object = {}) => ({
  childId: child.childId,
  movement: 'cartwheel',
  stage: null,
  side: 'left',
  mark: 'alone',
  help: null,
  measure: {},
  faults: [],
  note: '',
  seenOn: yesterday,
  source: 'class',
  classId,
  supersedes: null,
  ...more,
});
const put = (id: string, body: object, agent = tomasz) => agent.put(`/api/observations/${id}`).send(body);
const count = async () => Number((await club.source.query('SELECT count(*) FROM observation'))[0].count);

describe('a mark', () => {
  it('sent twice with the same id is stored once, and both answers say so', async () => {
    const id = randomUUID();
    const before = await count();
    const body = mark({ measure: { seconds: 4.5 }, note: 'straight legs' });
    const first = await put(id, body).expect(200);
    const second = await put(id, body).expect(200);
    expect(second.body).toEqual(first.body);
    expect(first.body).toMatchObject({ id, mark: 'alone', note: 'straight legs', measure: { seconds: 4.5 } });
    expect(await count()).toBe(before + 1);
  });

  it('sent five times at the same moment is stored once, and each answer says so', async () => {
    const before = await count();
    const rounds = 30;
    for (let round = 0; round < rounds; round += 1) {
      const id = randomUUID();
      const answers = await Promise.all(Array.from({ length: 5 }, () => put(id, mark())));
      expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200]);
    }
    expect(await count()).toBe(before + rounds);
  });

  it('with an id that another mark has is refused, and the other stays', async () => {
    const id = randomUUID();
    await put(id, mark()).expect(200);
    await put(id, mark({ mark: 'clean' })).expect(409);
    const [row] = await club.source.query('SELECT mark FROM observation WHERE id = $1', [id]);
    expect(row.mark).toBe('alone');
  });

  it('is corrected by one that supersedes it; both stay stored, and only one correction is taken', async () => {
    const [wrong, right, late] = [randomUUID(), randomUUID(), randomUUID()];
    await put(wrong, mark()).expect(200);
    await put(right, mark({ mark: 'with-help', help: 'hands-on', supersedes: wrong })).expect(200);
    await put(late, mark({ mark: 'clean', supersedes: wrong })).expect(409);
    const marks = (await tomasz.get(`/api/children/${child.childId}`).expect(200)).body.observations;
    expect(marks.find((one: { id: string }) => one.id === right)).toMatchObject({ supersedes: wrong, help: 'hands-on' });
    expect(marks.some((one: { id: string }) => one.id === wrong)).toBe(true);
    expect(marks.some((one: { id: string }) => one.id === late)).toBe(false);
  });

  it('does not supersede a mark in another movement: what a board reads of one movement is whole', async () => {
    const id = randomUUID();
    await put(id, mark()).expect(200);
    await put(randomUUID(), mark({ movement: 'bridge', side: 'none', supersedes: id })).expect(422);
  });

  it('does not supersede the mark of another child', async () => {
    const id = randomUUID();
    await put(id, mark()).expect(200);
    const other = (await board()).rows[1].childId;
    await put(randomUUID(), mark({ childId: other, supersedes: id })).expect(422);
  });

  it.each([
    ['a stage the movement does not have', { stage: 20 }, 'stage'],
    ['a fault the movement does not have', { faults: ['purple-knees'] }, 'faults'],
    ['a day that has not come', { seenOn: '2190-01-01' }, 'seenOn'],
  ])('with %s is refused by field', async (_what, more, field) => {
    const before = await count();
    const answer = await put(randomUUID(), mark(more)).expect(422);
    expect(answer.body.errors[0].field).toBe(field);
    expect(await count()).toBe(before);
  });

  it('of a movement nobody knows answers not found', () => put(randomUUID(), mark({ movement: 'flying-carpet' })).expect(404));

  it('may be given by an assistant, and says who gave it', async () => {
    const runa = await club.as('assistant');
    const answer = await put(randomUUID(), mark(), runa).expect(200);
    expect(answer.body.recordedBy).toBe((await runa.get('/api/session').expect(200)).body.person.id);
  });
});

describe('the table of marks', () => {
  it.each([
    ['an update', `UPDATE observation SET mark = 'clean'`],
    ['a delete', 'DELETE FROM observation'],
    ['a truncate', 'TRUNCATE observation CASCADE'],
  ])('refuses %s, whoever sends it', async (_what, sql) => {
    await expect(club.source.query(sql)).rejects.toThrow(/append-only/);
  });
});

describe('a forecast on a board', () => {
  it('is said of who is on the way, within two years and from tomorrow on, the same twice; nothing is foreseen where all is there', async () => {
    const { rows, columns } = await board();
    const asked = new Set(columns.flatMap(({ requirements }: { requirements: { id: string }[] }) => requirements.map(({ id }) => id)));
    const today = (await tomasz.get('/api/session').expect(200)).body.today;
    const kinds = rows.map(
      ({ forecast, isEarned, nextGradeId }: { forecast: { kind: string } | null; isEarned: boolean; nextGradeId: string | null }) =>
        isEarned || nextGradeId === null ? forecast === null : forecast !== null,
    );
    expect(kinds.every(Boolean)).toBe(true);
    const spans = rows.flatMap(({ forecast }: { forecast: { kind: string } | null }) => (forecast?.kind === 'span' ? [forecast] : []));
    expect(spans.length).toBeGreaterThan(0);
    for (const { from, middle, to, hangsOn } of spans) {
      expect([from >= today, from <= middle, middle <= to, to <= addDays(today, 740)]).toEqual([true, true, true, true]);
      expect(hangsOn === null || asked.has(hangsOn)).toBe(true);
    }
    expect((await board()).rows.map(({ forecast }: { forecast: unknown }) => forecast)).toEqual(
      rows.map(({ forecast }: { forecast: unknown }) => forecast),
    );
  });

  it('comes nearer with marks that show what is open, and is on Today as on the board', async () => {
    const { rows, columns } = await board();
    const row = rows.find(
      ({ forecast, cells }: { forecast: { kind: string } | null; cells: { standing: string }[] }) =>
        forecast?.kind === 'span' && cells.filter(({ standing }) => standing !== 'met' && standing !== 'fading').length > 1,
    );
    const requirements = columns.find(({ gradeId }: { gradeId: string }) => gradeId === row.nextGradeId).requirements;
    for (const cell of row.cells) {
      const { movement, stage } = requirements.find(({ id }: { id: string }) => id === cell.requirementId);
      for (const side of cell.sides.filter(({ name }: { name: string }) => name !== 'met' && name !== 'fading')) {
        const more = { childId: row.childId, movement, stage, side: side.side ?? 'none', mark: 'clean', classId: null };
        await put(randomUUID(), mark({ ...more, measure: { seconds: 300, reps: 300, correct: 30, of: 30 } })).expect(200);
      }
    }
    const after = (await board()).rows.find(({ childId }: { childId: string }) => childId === row.childId);
    expect(after.forecast === null || after.forecast.middle < row.forecast.middle).toBe(true);
    const today = (await tomasz.get('/api/today').expect(200)).body;
    const close = today.close.find((one: { childId: string; groupId: string }) => one.childId === row.childId && one.groupId === group.id);
    if (close) expect(close.forecast).toEqual(after.forecast);
  });
});

describe('who was passed over', () => {
  it('has as many classes as it came to in this group since it was looked at; a mark of a class of another group does not count', async () => {
    const owner = await club.as('owner');
    const [found] = await club.source.query(
      `SELECT e.child_id, e.group_id FROM enrolment e JOIN teaching_group t ON t.id = e.group_id
       WHERE e.to_day IS NULL AND t.archived_at IS NULL
         AND (SELECT count(*) FROM attendance a JOIN class_session s ON s.id = a.class_id WHERE a.child_id = e.child_id
              AND s.group_id = e.group_id AND s.taught_at IS NOT NULL AND a.status IN ('present', 'late')) > 4
         AND NOT EXISTS (SELECT 1 FROM enrolment o WHERE o.child_id = e.child_id AND o.id <> e.id)
         AND NOT EXISTS (SELECT 1 FROM observation o WHERE o.child_id = e.child_id AND o.class_id IS NULL) LIMIT 1`,
    );
    const of = async (): Promise<number> =>
      (await owner.get(`/api/groups/${found.group_id}/board`).expect(200)).body.rows.find(
        ({ childId }: { childId: string }) => childId === found.child_id,
      ).unlookedClasses;
    const attended: { day: string; id: string }[] = await club.source.query(
      `SELECT s.day, s.id FROM attendance a JOIN class_session s ON s.id = a.class_id WHERE a.child_id = $1 AND s.group_id = $2
         AND s.taught_at IS NOT NULL AND a.status IN ('present', 'late') AND s.day < $3 ORDER BY s.day DESC`,
      [found.child_id, found.group_id, (await owner.get('/api/session').expect(200)).body.today],
    );
    const [last] = await club.source.query('SELECT max(seen_on) AS day FROM observation WHERE child_id = $1', [found.child_id]);
    expect(await of()).toBe(attended.filter(({ day }) => last.day === null || day > last.day).length);
    // looked at in the newest class that it came to: nothing is open any more
    const [newest] = attended;
    const more = { childId: found.child_id, movement: 'bridge', side: 'none', seenOn: newest?.day, classId: newest?.id };
    await put(randomUUID(), mark(more), owner).expect(200);
    expect(await of()).toBe(0);
  });
});

describe('the board of a group', () => {
  it('has one row per child of the group and one cell per requirement of its next grade', async () => {
    const { rows, columns } = await board();
    expect(rows).toHaveLength(
      (await tomasz.get('/api/groups').expect(200)).body.find((one: { id: string }) => one.id === group.id).childCount,
    );
    for (const row of rows) {
      const column = columns.find((one: { gradeId: string }) => one.gradeId === row.nextGradeId);
      expect(row.cells.map((cell: { requirementId: string }) => cell.requirementId)).toEqual(
        column.requirements.map((one: { id: string }) => one.id),
      );
      expect(row.metCount).toBe(row.cells.filter((cell: { standing: string }) => ['met', 'fading'].includes(cell.standing)).length);
    }
  });

  it('shows a requirement as met once the child showed it as asked, on two days', async () => {
    const before = await board();
    const row = before.rows.find((one: { cells: readonly { standing: string }[] }) =>
      one.cells.some(({ standing }) => ['unseen', 'not-yet', 'with-help'].includes(standing)),
    );
    const cell = row.cells.find(({ standing }: { standing: string }) => ['unseen', 'not-yet', 'with-help'].includes(standing));
    const requirement = before.columns
      .flatMap((one: { requirements: readonly { id: string }[] }) => one.requirements)
      .find((one: { id: string }) => one.id === cell.requirementId);
    const { criterion } = requirement;
    const sides = criterion.sides === 'both' ? ['left', 'right'] : criterion.sides === 'lead' ? [row.leadSide] : ['none'];
    const { today } = (await tomasz.get('/api/session').expect(200)).body;
    const days = [2, 1, 0].map((ago) => addDays(today, -ago));
    for (const seenOn of days)
      for (const side of sides)
        await put(
          randomUUID(),
          mark({
            childId: row.childId,
            movement: requirement.movement,
            stage: requirement.stage,
            side,
            mark: 'clean',
            measure: {
              ...(criterion.leastSeconds ? { seconds: criterion.leastSeconds } : {}),
              ...(criterion.leastReps ? { reps: criterion.leastReps } : {}),
              ...(criterion.leastCorrect ? { correct: criterion.leastCorrect.correct, of: criterion.leastCorrect.of } : {}),
            },
            seenOn,
            classId: null,
            source: 'entered-later',
          }),
        ).expect(200);
    const after = (await board()).rows.find((one: { childId: string }) => one.childId === row.childId);
    expect(after.cells.find((one: { requirementId: string }) => one.requirementId === requirement.id).standing).toBe('met');
    expect(after.metCount).toBe(row.metCount + 1);
  });
});

describe('the bests of a group', () => {
  it('are those of the pages of its children, line by line', async () => {
    const owner = await club.as('owner');
    const groups = (await owner.get('/api/groups').expect(200)).body;
    let lines = 0;
    for (const group of groups) {
      const bests = (await owner.get(`/api/groups/${group.id}/bests`).expect(200)).body;
      for (const { childId, childName: _name, ...line } of bests.lines) {
        const page = (await owner.get(`/api/children/${childId}`).expect(200)).body;
        expect(measuredLines(page.observations)).toContainEqual(line);
        expect(page.child.groupIds).toContain(group.id);
        lines += 1;
      }
    }
    expect(lines).toBeGreaterThan(20);
  }, 60_000);
});
