import type { Attendance, ChangeClassRequest, ClassPageResponse, ClassResponse, ExpectedChild, ItemTimesRequest } from '@leiter/contract';
import { isExpected } from '@leiter/contract/who-comes';
import {
  addDays,
  ageOn,
  groupBy,
  isTryOfAClass,
  learnedPace,
  paceSettings,
  openPlan,
  type ClassPlan,
  type ItemRun,
  type LearnedPace,
  type KnownMark,
  type Side,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ChecksService } from '../club/checks.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { GroupsService } from '../groups/groups.service.js';
import { homeOf } from '../children/child.mapper.js';
import { HealthNotesService } from '../children/health-notes.service.js';
import { notFound } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { PlansService } from '../plans/plans.service.js';
import { observationColumns, observationOf, type ObservationRow } from '../record/observation.mapper.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { CalendarService } from './calendar.service.js';
import { classResponse, notYetOnCalendar, selectClasses, type ClassRow } from './class.mapper.js';
import { CallNamesService } from './call-names.service.js';
import { exposuresOf } from './exposure.js';

const weeksRemembered = 8;

interface ExpectedRow {
  readonly id: string;
  readonly given_name: string;
  readonly family_initial: string;
  readonly birth_date: string;
  readonly lead_side: Side;
  readonly status: Attendance | null;
  readonly grade_name: string | null;
  readonly household: unknown;
  readonly home_known: boolean;
  readonly earned: readonly string[] | null;
}

@Injectable()
export class ClassesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly checks: ChecksService,
    private readonly groups: GroupsService,
    private readonly calendar: CalendarService,
    private readonly plans: PlansService,
    private readonly syllabuses: SyllabusService,
    private readonly health: HealthNotesService,
    private readonly live: LiveService,
    private readonly names: CallNamesService,
  ) {}

  async find(clubId: string, id: string, source: DataSource | EntityManager = this.source): Promise<ClassResponse> {
    const [row] = await rows<ClassRow>(source, `${selectClasses} AND c.id = $2`, [clubId, id]);
    if (!row) throw notFound('class');
    return classResponse(row);
  }

  async page(asker: Asker, id: string): Promise<ClassPageResponse> {
    const { clubId } = asker;
    const session = await this.find(clubId, id);
    const children = await this.sparing(asker, session, await this.expected(clubId, session));
    const stored = await this.plans.find(clubId, id);
    const coming = children.filter(isExpected).map((child) => child.id);
    const exposures = exposuresOf(coming, await this.taughtBefore(clubId, session));
    const observations = await rows<ObservationRow>(
      this.source,
      `SELECT ${observationColumns} FROM observation o WHERE o.club_id = $1 AND o.class_id = $2 ORDER BY o.recorded_at`,
      [clubId, id],
    );
    return {
      class: session,
      children,
      stored,
      exposures: [...exposures].map(([movement, exposure]) => ({ movement, ...exposure })),
      pace: await this.pace(clubId, session.instructorId),
      observations: observations.map(observationOf),
      ...(await this.teachingOf(session.instructorId)),
      syllabus: await this.syllabuses.ladderOf(clubId, session.programme),
      callNames: await this.names.of(clubId, session.groupId),
      rules: await this.checks.rules(clubId),
    };
  }

  /** Whom the next class of a group is planned for: who comes, what they have met, and the instructor's pace. */
  async comingContext(
    asker: Asker,
    groupId: string,
  ): Promise<Pick<ClassPageResponse, 'children' | 'exposures' | 'pace' | 'style'> & { readonly startsAt: string }> {
    const { clubId } = asker;
    const group = await this.groups.find(clubId, groupId);
    const coming = (await this.calendar.coming(clubId)).find((one) => one.group.id === group.id);
    const today = await this.clubs.today(clubId);
    const session = coming?.class ?? notYetOnCalendar(group, coming?.day ?? today);
    const expected = (await this.expected(clubId, session)).filter(isExpected);
    const children = await this.sparing(asker, session, expected);
    const exposures = exposuresOf(
      children.map(({ id }) => id),
      await this.taughtBefore(clubId, session),
    );
    return {
      children,
      exposures: [...exposures].map(([movement, exposure]) => ({ movement, ...exposure })),
      pace: await this.pace(clubId, session.instructorId),
      style: (await this.teachingOf(session.instructorId)).style,
      startsAt: session.startsAt,
    };
  }

  /** Those enrolled on the day, with what is known of their coming. */
  async expected(clubId: string, session: ClassResponse): Promise<readonly ExpectedChild[]> {
    const found = await rows<ExpectedRow>(
      this.source,
      `SELECT c.id, c.given_name, c.family_initial, c.birth_date, c.lead_side, c.household, c.home_known, a.status, held.names[1] AS grade_name, held.slugs AS earned
       FROM child c LEFT JOIN attendance a ON a.child_id = c.id AND a.class_id = $2
       LEFT JOIN LATERAL (
         SELECT array_agg(g.name ORDER BY w.awarded_on DESC, g.position DESC) AS names, array_agg(g.slug) AS slugs
         FROM grade_award w JOIN grade g ON g.id = w.grade_id JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id
         WHERE w.child_id = c.id AND p.slug = $5) held ON true
       WHERE c.club_id = $1 AND (a.status IS NOT NULL OR (c.archived_at IS NULL AND EXISTS (
         SELECT 1 FROM enrolment e WHERE e.child_id = c.id AND e.group_id = $3 AND e.from_day <= $4 AND (e.to_day IS NULL OR e.to_day > $4))))
       ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial COLLATE "und-x-icu"`,
      [clubId, session.id, session.groupId, session.day, session.programme],
    );
    const known = await this.marks(
      clubId,
      found.map(({ id }) => id),
    );
    return found.map((row) => ({
      id: row.id,
      name: `${row.given_name} ${row.family_initial}`,
      birthDate: row.birth_date,
      ageYears: ageOn(row.birth_date, session.day),
      leadSide: row.lead_side,
      gradeName: row.grade_name,
      attendance: row.status,
      earned: row.earned ?? [],
      home: homeOf(row.household),
      isHomeKnown: row.home_known,
      marks: known.get(row.id) ?? [],
    }));
  }

  /** The same children with what each has to be spared, where the one who asks may know. */
  private async sparing(asker: Asker, session: ClassResponse, children: readonly ExpectedChild[]): Promise<readonly ExpectedChild[]> {
    const ids = children.map(({ id }) => id);
    const spares = await this.health.spares(asker, session.groupId, session.day, ids);
    return children.map((child) => {
      const own = spares.get(child.id);
      return own ? { ...child, spares: own } : child;
    });
  }

  /** The best of the last three marks of each child, by movement and stage; kept by the database as marks come in. */
  private async marks(clubId: string, childIds: readonly string[]): Promise<ReadonlyMap<string, readonly KnownMark[]>> {
    const found = await rows<KnownMark & { readonly child_id: string }>(
      this.source,
      'SELECT child_id, movement_slug AS movement, nullif(stage, 0) AS stage, best AS mark FROM recent_mark WHERE club_id = $1 AND child_id = ANY($2)',
      [clubId, childIds],
    );
    return new Map(
      [...groupBy(found, ({ child_id }) => child_id)].map(([id, own]) => [
        id,
        own.map(({ movement, stage, mark }) => ({ movement, stage, mark })),
      ]),
    );
  }

  /** @param status null where nothing is known any more: what was said was a slip */
  async setAttendance(clubId: string, id: string, childIds: readonly string[], status: Attendance | null): Promise<void> {
    const session = await this.find(clubId, id);
    const expected = new Set((await this.expected(clubId, session)).map((child) => child.id));
    if (childIds.some((childId) => !expected.has(childId))) throw notFound('child in this class');
    // one order for everybody who writes, so that two at once wait for each other and never for ever
    const sorted = [...new Set(childIds)].toSorted();
    await this.source.transaction(async (manager) => {
      if (status === null)
        await manager.query('DELETE FROM attendance WHERE class_id = $1 AND child_id = ANY($2) AND club_id = $3', [id, sorted, clubId]);
      else
        await manager.query(
          `INSERT INTO attendance (class_id, child_id, club_id, status) SELECT $1, child, $3, $4 FROM unnest($2::uuid[]) AS child
           ON CONFLICT (class_id, child_id) DO UPDATE SET status = EXCLUDED.status`,
          [id, sorted, clubId, status],
        );
      for (const childId of sorted) await this.live.emit(manager, clubId, { topic: 'attendance', classId: id, childId, status });
    });
  }

  /**
   * Notes that teaching began or ended; the first beginning counts. A run of less than a third of the class was a try: the class is
   * still to be taught, and its times teach nothing.
   */
  async change(clubId: string, id: string, request: ChangeClassRequest): Promise<ClassResponse> {
    const session = await this.find(clubId, id);
    return this.source.transaction(async (manager) => {
      const isTry =
        request.teaching === 'ended' && request.taughtSeconds !== undefined && isTryOfAClass(request.taughtSeconds, session.lengthMinutes);
      if (isTry) {
        await manager.query(
          'UPDATE class_session SET taught_at = NULL, ended_at = NULL, rehearsed_at = now() WHERE club_id = $1 AND id = $2',
          [clubId, id],
        );
        await manager.query('DELETE FROM item_time WHERE club_id = $1 AND class_id = $2', [clubId, id]);
      } else if (request.teaching === 'not-at-all')
        // what was measured stays taught
        await manager.query(
          `UPDATE class_session c SET taught_at = NULL, ended_at = NULL
           WHERE c.club_id = $1 AND c.id = $2 AND NOT EXISTS (SELECT 1 FROM item_time t WHERE t.class_id = c.id)`,
          [clubId, id],
        );
      else if (request.teaching)
        await manager.query(
          `UPDATE class_session SET taught_at = coalesce(taught_at, $4), ended_at = CASE WHEN $3 THEN $4::timestamptz ELSE NULL END
           WHERE club_id = $1 AND id = $2`,
          [clubId, id, request.teaching === 'ended', momentOf(request.at)],
        );
      // whoever stood beside it stands beside nothing any more
      if (request.teaching === 'ended' || request.teaching === 'not-at-all') {
        await manager.query('DELETE FROM remote_link WHERE club_id = $1 AND class_id = $2', [clubId, id]);
        await manager.query('DELETE FROM stage WHERE club_id = $1 AND class_id = $2', [clubId, id]);
        await manager.query(`SELECT pg_notify('leiter_stage', $1)`, [id]);
      }
      if (request.stopsNote !== undefined)
        await manager.query('UPDATE class_session SET stops_note = $3 WHERE club_id = $1 AND id = $2', [clubId, id, request.stopsNote]);
      if (request.note !== undefined)
        await manager.query('UPDATE class_session SET note = $3 WHERE club_id = $1 AND id = $2', [clubId, id, request.note]);
      await this.calendar.reschedule(manager, session, request, clubId);
      await this.live.emit(manager, clubId, { topic: 'class', classId: id });
      return this.find(clubId, id, manager);
    });
  }

  /** Stores how long items really took; items that are not in the plan any more are left out. */
  async storeItemTimes(clubId: string, id: string, request: ItemTimesRequest): Promise<void> {
    await this.find(clubId, id);
    const stored = await this.plans.find(clubId, id);
    const movementOf = new Map(
      (stored?.plan ?? emptyPlan).sections.flatMap(({ items }) => items.map((item) => [item.id, item.movement] as const)),
    );
    // the last of two with one id counts: one statement must not touch a row twice
    const byItem = new Map(request.times.map((time) => [time.itemId, time]));
    const known = [...byItem.values()].filter(({ itemId }) => movementOf.has(itemId));
    await this.source.query(
      `INSERT INTO item_time (class_id, item_id, club_id, movement_slug, planned_seconds, real_seconds,
                              way, is_clock_bound, planned_explain, real_explain, planned_work, real_work)
       SELECT $1, t.item_id, $2, t.movement_slug, t.planned, t.real, t.way, t.is_clock_bound, t.planned_explain, t.real_explain,
              t.planned_work, t.real_work
       FROM unnest($3::text[], $4::text[], $5::real[], $6::real[], $7::text[], $8::boolean[], $9::real[], $10::real[], $11::real[], $12::real[])
         AS t (item_id, movement_slug, planned, real, way, is_clock_bound, planned_explain, real_explain, planned_work, real_work)
       ON CONFLICT (class_id, item_id) DO UPDATE SET planned_seconds = EXCLUDED.planned_seconds, real_seconds = EXCLUDED.real_seconds,
         way = EXCLUDED.way, is_clock_bound = EXCLUDED.is_clock_bound, planned_explain = EXCLUDED.planned_explain,
         real_explain = EXCLUDED.real_explain, planned_work = EXCLUDED.planned_work, real_work = EXCLUDED.real_work`,
      [
        id,
        clubId,
        known.map(({ itemId }) => itemId),
        known.map(({ itemId }) => movementOf.get(itemId)),
        known.map(({ plannedSeconds }) => plannedSeconds),
        known.map(({ realSeconds }) => realSeconds),
        known.map(({ measured }) => measured?.way ?? null),
        known.map(({ measured }) => measured?.isClockBound ?? null),
        known.map(({ measured }) => measured?.plannedExplainSeconds ?? null),
        known.map(({ measured }) => measured?.realExplainSeconds ?? null),
        known.map(({ measured }) => measured?.plannedWorkSeconds ?? null),
        known.map(({ measured }) => measured?.realWorkSeconds ?? null),
      ],
    );
    const visits = (request.visits ?? []).filter(({ item }) => movementOf.has(item));
    if (visits.length > 0)
      await this.source.query('UPDATE class_session SET visits = $3 WHERE club_id = $1 AND id = $2', [clubId, id, JSON.stringify(visits)]);
  }

  /** Where and how an instructor teaches. */
  private async teachingOf(instructorId: string | null): Promise<Pick<ClassPageResponse, 'room' | 'style'>> {
    const [found] = await rows<Pick<ClassPageResponse, 'room' | 'style'>>(this.source, 'SELECT room, style FROM person WHERE id = $1', [
      instructorId,
    ]);
    return found ?? { room: null, style: 'as-it-comes' };
  }

  private async taughtBefore(
    clubId: string,
    session: ClassResponse,
  ): Promise<readonly { plan: ClassPlan; presentChildIds: readonly string[] }[]> {
    const found = await rows<{ document: unknown; present: readonly string[] | null }>(
      this.source,
      `SELECT l.document, (SELECT array_agg(a.child_id) FROM attendance a WHERE a.class_id = c.id AND a.status IN ('present', 'late')) AS present
       FROM class_session c JOIN class_plan l ON l.class_id = c.id
       WHERE c.club_id = $1 AND c.group_id = $2 AND c.taught_at IS NOT NULL AND c.day < $3 AND c.day >= $4 ORDER BY c.day DESC`,
      [clubId, session.groupId, session.day, addDays(session.day, -7 * weeksRemembered)],
    );
    // a plan that cannot be read says nothing of what was met
    return found.flatMap(({ document, present }) => {
      const plan = openPlan(document);
      return plan.ok ? [{ plan: plan.value, presentChildIds: present ?? [] }] : [];
    });
  }

  /** What the last classes of an instructor say of the pace; of what was skipped, nothing. */
  private async pace(clubId: string, instructorId: string | null): Promise<LearnedPace> {
    const runs = await rows<ItemRun>(
      this.source,
      `SELECT c.id AS "classId", m.document ->> 'kind' AS kind, i.way, i.is_clock_bound AS "isClockBound",
              i.planned_explain AS "plannedExplainSeconds", i.real_explain AS "realExplainSeconds",
              i.planned_work AS "plannedWorkSeconds", i.real_work AS "realWorkSeconds"
       FROM (SELECT id, day, starts_at FROM class_session WHERE club_id = $1 AND instructor_id = $2 AND taught_at IS NOT NULL
               AND EXISTS (SELECT 1 FROM item_time t WHERE t.class_id = class_session.id AND t.way IS NOT NULL)
             ORDER BY day DESC, starts_at DESC LIMIT $3) AS c
       JOIN item_time i ON i.class_id = c.id AND i.way IS NOT NULL
       JOIN movement m ON m.club_id = i.club_id AND m.slug = i.movement_slug
       ORDER BY c.day DESC, c.starts_at DESC, i.item_id`,
      [clubId, instructorId, paceSettings.lastClasses],
    );
    return learnedPace(runs);
  }
}

const emptyPlan: ClassPlan = { sections: [], focus: [] };

const weekMilliseconds = 7 * 24 * 3600 * 1000;

/** When it was, as somebody says who tells it later; now where that cannot be. */
function momentOf(at: string | undefined): Date {
  const now = Date.now();
  const said = at === undefined ? now : Date.parse(at);
  return new Date(said > now - weekMilliseconds && said < now ? said : now);
}
