import type { ReportResponse } from '@leiter/contract';
import { addDays } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let today: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  today = (await owner.get('/api/session').expect(200)).body.today;
});
afterAll(() => club.close());

const report = async (weeks: number): Promise<ReportResponse> => (await owner.get(`/api/reports?weeks=${String(weeks)}`).expect(200)).body;

describe('a report', () => {
  it('has every child on one grade on every day on which it was in its group, as the board has it today', async () => {
    const { days, groups } = await report(14);
    expect(days).toHaveLength(15);
    expect([days[0], days.at(-1)]).toEqual([addDays(today, -98), today]);
    for (const { group, gradeNames, counts } of groups) {
      const enrolled = await club.source.query('SELECT from_day, to_day FROM enrolment WHERE group_id = $1', [group.id]);
      days.forEach((day, index) => {
        const there = enrolled.filter(
          (one: { from_day: string; to_day: string | null }) => one.from_day <= day && (one.to_day === null || day < one.to_day),
        ).length;
        expect(counts[index]?.reduce((sum, one) => sum + one, 0)).toBe(there);
      });
      const { rows } = (await owner.get(`/api/groups/${group.id}/board`).expect(200)).body;
      const onBoard = gradeNames.map(
        (name, rung) =>
          rows.filter(({ earnedGrade }: { earnedGrade: string | null }) => (rung === 0 ? earnedGrade === null : earnedGrade === name))
            .length,
      );
      expect(counts.at(-1)).toEqual(onBoard);
    }
  });

  it('counts who was there as the roll has it, in its weeks alone', async () => {
    const { groups } = await report(6);
    for (const { group, classesHeld, attendance } of groups) {
      const [{ held }] = await club.source.query(
        'SELECT count(*)::int AS held FROM class_session WHERE group_id = $1 AND taught_at IS NOT NULL AND day BETWEEN $2 AND $3',
        [group.id, addDays(today, -42), today],
      );
      expect(classesHeld).toBe(held);
      for (const { childId, there, late, away, watched } of attendance) {
        expect(there + late + away + watched).toBeLessThanOrEqual(held);
        const [{ count }] = await club.source.query(
          `SELECT count(*)::int AS count FROM attendance a JOIN class_session s ON s.id = a.class_id
           WHERE a.child_id = $1 AND s.group_id = $2 AND a.status = 'late' AND s.taught_at IS NOT NULL AND s.day BETWEEN $3 AND $4`,
          [childId, group.id, addDays(today, -42), today],
        );
        expect(late).toBe(count);
      }
    }
  });

  it('names nobody as stalling of whom something that counts was shown lately', async () => {
    const stalls = (await report(14)).groups.flatMap((one) => one.stalls);
    for (const { childId, stall } of stalls) {
      const row = (await owner.get(`/api/children/${childId}`).expect(200)).body;
      const lately = row.observations.filter(({ seenOn }: { seenOn: string }) => seenOn > addDays(today, -56));
      if (stall.kind === 'unlooked' || stall.kind === 'slow') expect(lately.length).toBeGreaterThanOrEqual(stall.looks);
      if (stall.kind === 'stuck')
        expect(lately.filter(({ movement }: { movement: string }) => movement === stall.movement).length).toBe(stall.looks);
    }
  });

  it('sums up week by week what the classes that were taught asked', async () => {
    const { days, groups } = await report(14);
    for (const { group, loads } of groups) {
      expect(loads).toHaveLength(days.length - 1);
      const held = await club.source.query(
        `SELECT c.day FROM class_session c JOIN class_plan l ON l.class_id = c.id WHERE c.group_id = $1 AND c.taught_at IS NOT NULL AND c.day > $2 AND c.day <= $3`,
        [group.id, days[0], days.at(-1)],
      );
      for (const [index, { classes, movingSeconds, hardSeconds }] of loads.entries()) {
        const own = held.filter(({ day }: { day: string }) => day > (days[index] ?? '') && day <= (days[index + 1] ?? ''));
        expect(classes).toBe(own.length);
        // a child moves in a class, and not longer than it is
        expect(movingSeconds > 0).toBe(classes > 0);
        expect(movingSeconds).toBeLessThanOrEqual(own.length * group.lengthMinutes * 60 * 1.2);
        expect(hardSeconds).toBeLessThanOrEqual(movingSeconds);
      }
    }
    const table = (await owner.get('/api/reports/load?weeks=14').expect(200)).text.trim().split('\r\n');
    expect(table).toHaveLength(1 + groups.length * 14);
  });

  it('goes into a spreadsheet, table by table', async () => {
    const grades = await owner
      .get('/api/reports/grades?weeks=6')
      .expect(200)
      .expect('content-type', /^text\/csv/);
    const lines = grades.text.replace('\uFEFF', '').trim().split('\r\n');
    expect(lines[0]?.split(',')).toHaveLength(9);
    const { groups } = await report(6);
    expect(lines).toHaveLength(1 + groups.reduce((sum, { gradeNames }) => sum + gradeNames.length, 0));
    const attendance = (await owner.get('/api/reports/attendance?weeks=6').expect(200)).text.trim().split('\r\n');
    expect(attendance).toHaveLength(1 + groups.reduce((sum, one) => sum + one.attendance.length, 0));
    await owner.get('/api/reports/stalls').expect(200);
    await owner.get('/api/reports/secrets').expect(404);
  });

  it('is for those who teach, of a length that makes sense', async () => {
    await (await club.as('assistant')).get('/api/reports').expect(403);
    for (const weeks of ['0', '1000', 'x', '1.5', '-3']) await owner.get(`/api/reports?weeks=${weeks}`).expect(422);
    await club.visitor().get('/api/reports').expect(401);
  });
});
