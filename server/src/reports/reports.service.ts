import type { AttendanceLine, GroupReport, ReportResponse, StallResponse } from '@leiter/contract';
import {
  addDays,
  classLoad,
  defaultTimingSettings,
  gradesInUse,
  groupBy,
  openPlan,
  plainPace,
  rungsOverTime,
  stallOf,
  timelineOf,
  weekLoads,
  type ClassLoad,
  type Stall,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { LibraryService } from '../library/library.service.js';
import { LadderService } from '../record/ladder.service.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';

interface EnrolmentRow {
  readonly child_id: string;
  readonly group_id: string;
  readonly from_day: string;
  readonly to_day: string | null;
}

interface RollRow {
  readonly group_id: string;
  readonly child_id: string;
  readonly status: string;
  readonly count: number;
}

/** What came of some weeks: children by grade, who was there, who does not come on and why. */
@Injectable()
export class ReportsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly ladders: LadderService,
    private readonly syllabuses: SyllabusService,
    private readonly library: LibraryService,
  ) {}

  async movementNames(clubId: string): Promise<ReadonlyMap<string, string>> {
    return new Map((await this.library.list(clubId)).map(({ slug, name }) => [slug, name]));
  }

  async report(clubId: string, weeks: number): Promise<ReportResponse> {
    const today = await this.clubs.today(clubId);
    const days = Array.from({ length: weeks + 1 }, (_, index) => addDays(today, -7 * (weeks - index)));
    const since = days[0] ?? today;
    const [asked, ladders, enrolments, held, roll, loads] = await Promise.all([
      this.ladders.askedOf(clubId),
      this.syllabuses.list(clubId),
      rows<EnrolmentRow>(this.source, 'SELECT child_id, group_id, from_day, to_day FROM enrolment WHERE club_id = $1', [clubId]),
      rows<{ group_id: string; day: string }>(
        this.source,
        'SELECT group_id, day FROM class_session WHERE club_id = $1 AND taught_at IS NOT NULL AND day <= $2',
        [clubId, today],
      ),
      rows<RollRow>(
        this.source,
        `SELECT s.group_id, a.child_id, a.status, count(*)::int AS count FROM attendance a JOIN class_session s ON s.id = a.class_id
         WHERE s.club_id = $1 AND s.taught_at IS NOT NULL AND s.day BETWEEN $2 AND $3 GROUP BY 1, 2, 3`,
        [clubId, since, today],
      ),
      this.loads(clubId, since, today),
    ]);
    const heldOf = groupBy(held, ({ group_id }) => group_id);
    const reports = asked.map(async ({ group, children }): Promise<GroupReport> => {
      const ladder = ladders.find(({ programme }) => programme === group.programme);
      const grades = ladder ? gradesInUse(ladder.grades) : [];
      const own = enrolments.filter(({ group_id }) => group_id === group.id);
      const rungs = await this.ladders.rungs(clubId, [...new Set(own.map(({ child_id }) => child_id))], group.programme, today);
      const climbs = own.map(({ child_id, from_day, to_day }) => ({
        joinedOn: from_day,
        leftOn: to_day,
        climbed: (rungs.get(child_id)?.earned ?? []).flatMap(({ slug, awardedOn }) => {
          const rung = grades.findIndex((grade) => grade.slug === slug) + 1;
          return rung > 0 ? [{ rung, on: awardedOn }] : [];
        }),
      }));
      const heldDays = (heldOf.get(group.id) ?? []).map(({ day }) => day);
      return {
        group,
        gradeNames: [ladder?.startsAs ?? '', ...grades.map(({ name }) => name)],
        counts: rungsOverTime(climbs, grades.length, days),
        classesHeld: heldDays.filter((day) => day >= since).length,
        loads: weekLoads(loads.get(group.id) ?? [], days),
        attendance: children.map(({ childId, name }) =>
          attendanceLine(
            childId,
            name,
            roll.filter((row) => row.group_id === group.id && row.child_id === childId),
          ),
        ),
        stalls: children.flatMap(({ childId, name, asked: facts }) => {
          const stall = facts && stallOf(facts, heldDays, today);
          return stall ? [{ childId, name, stall: stallResponse(stall) }] : [];
        }),
      };
    });
    return { days, groups: await Promise.all(reports) };
  }

  /** What each class that was taught asked, by group. */
  private async loads(
    clubId: string,
    since: string,
    until: string,
  ): Promise<ReadonlyMap<string, readonly { readonly day: string; readonly load: ClassLoad }[]>> {
    const [library, taught] = await Promise.all([
      this.library.reckoned(clubId),
      rows<TaughtRow>(
        this.source,
        `SELECT c.group_id, c.day, l.document, (SELECT avg((c.day - k.birth_date) / 365.25)::float8 FROM enrolment e JOIN child k ON k.id = e.child_id
           WHERE e.group_id = c.group_id AND e.from_day <= c.day AND (e.to_day IS NULL OR e.to_day > c.day)) AS mean_age
         FROM class_session c JOIN class_plan l ON l.class_id = c.id
         WHERE c.club_id = $1 AND c.taught_at IS NOT NULL AND c.day > $2 AND c.day <= $3 ORDER BY c.day`,
        [clubId, since, until],
      ),
    ]);
    const loads = taught.flatMap(({ group_id, day, document, mean_age }) => {
      const plan = openPlan(document);
      if (!plan.ok) return [];
      const { items } = timelineOf(plan.value, library, {
        settings: defaultTimingSettings,
        meanAgeYears: mean_age ?? 9,
        exposures: new Map(),
        pace: plainPace,
        style: 'as-it-comes',
      });
      return [{ groupId: group_id, day, load: classLoad(items) }];
    });
    return groupBy(loads, ({ groupId }) => groupId);
  }
}

interface TaughtRow {
  readonly group_id: string;
  readonly day: string;
  readonly document: unknown;
  readonly mean_age: number | null;
}

function attendanceLine(childId: string, name: string, roll: readonly RollRow[]): AttendanceLine {
  const of = (status: string): number => roll.find((row) => row.status === status)?.count ?? 0;
  return { childId, name, there: of('present'), late: of('late'), away: of('absent'), watched: of('watched') };
}

function stallResponse(stall: Stall): StallResponse {
  return stall.kind === 'stuck' ? { kind: 'stuck', movement: stall.requirement.movement, looks: stall.looks } : stall;
}
