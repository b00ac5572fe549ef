import type {
  AddClassRequest,
  ChangeClassRequest,
  ClassResponse,
  ComingClass,
  GroupResponse,
  WeekEntry,
  WeekResponse,
} from '@leiter/contract';
import { addDays, daysBetween, entriesBetween, isToCome, openPlan, weekdayOf, type CalendarEntry } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { GroupsService } from '../groups/groups.service.js';
import { isTaken } from '../http/database-fault.js';
import { fieldRefused, notFound, ProblemException } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';
import { classResponse, selectClasses, type ClassRow } from './class.mapper.js';
import { HolidaysService } from './holidays.service.js';

const mostDaysAway = 550;
/** The next class of a group is looked for so far ahead: past the longest holiday. */
const daysAhead = 7 * 20;
const oncePerDay = 'class_session_group_id_day_key';

type Entry = CalendarEntry<GroupResponse, ClassResponse>;

interface FactRow {
  readonly id: string;
  readonly expected: number;
  readonly away: readonly string[] | null;
  readonly present: number;
  readonly roll: number;
  readonly marked: number;
  readonly document: unknown;
}

/** The classes of a club on its calendar: weekly slots, what is put down for them, and what is moved, cancelled or beside them. */
@Injectable()
export class CalendarService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly groups: GroupsService,
    private readonly holidays: HolidaysService,
    private readonly live: LiveService,
  ) {}

  /** The week of a day and the one after it, from Monday to the Sunday of the next. */
  async week(clubId: string, day: string): Promise<WeekResponse> {
    const fromDay = addDays(day, 1 - weekdayOf(day));
    const toDay = addDays(fromDay, 13);
    const [entries, holidays] = await Promise.all([this.between(clubId, fromDay, toDay), this.holidays.list(clubId)]);
    return { fromDay, toDay, entries, holidays };
  }

  /** What is on the calendar from one day to another, both included, with what is known of it; five queries. */
  async between(clubId: string, fromDay: string, toDay: string): Promise<readonly WeekEntry[]> {
    const entries = await this.entries(clubId, fromDay, toDay);
    const facts = await this.facts(
      clubId,
      entries.flatMap(({ class: session }) => (session ? [session.id] : [])),
    );
    return entries.map((entry) => weekEntry(entry, facts));
  }

  /** The next class of every group: the first that is still to be taught, on the calendar or in its slot. */
  async coming(clubId: string): Promise<readonly ComingClass[]> {
    const today = await this.clubs.today(clubId);
    const entries = (await this.entries(clubId, today, addDays(today, daysAhead))).filter(isToCome);
    const seen = new Set<string>();
    return entries.flatMap(({ group, day, startsAt, class: session }) => {
      if (group.archived || seen.has(group.id)) return [];
      seen.add(group.id);
      return [{ group, day, startsAt, class: session }];
    });
  }

  async list(clubId: string, groupId: string): Promise<readonly ClassResponse[]> {
    await this.groups.find(clubId, groupId);
    const found = await rows<ClassRow>(this.source, `${selectClasses} AND c.group_id = $2 ORDER BY c.day DESC`, [clubId, groupId]);
    return found.map(classResponse);
  }

  /** Puts a class on the calendar: in the group's slot, or beside it. The day it has one already, that one is returned. */
  async add(clubId: string, request: AddClassRequest): Promise<ClassResponse> {
    const group = await this.groups.find(clubId, request.groupId);
    await this.refuseFarAway(clubId, request.day);
    const isSlot = request.startsAt === undefined;
    return this.source.transaction(async (manager) => {
      const added = await rows(
        manager,
        `INSERT INTO class_session (club_id, group_id, day, starts_at, length_minutes, instructor_id)
         SELECT $1, $2, $3, $4, $5, $6
         WHERE NOT $7 OR NOT EXISTS (SELECT 1 FROM class_session WHERE group_id = $2 AND slot_day = $3)
         ON CONFLICT (group_id, day) DO NOTHING RETURNING id`,
        [
          clubId,
          group.id,
          request.day,
          request.startsAt ?? group.startsAt,
          request.lengthMinutes ?? group.lengthMinutes,
          group.instructorId,
          isSlot,
        ],
      );
      if (added.length === 0 && !isSlot) throw fieldRefused('day', `${group.name} has a class on this day already.`);
      const [row] = await rows<ClassRow>(
        manager,
        `${selectClasses} AND c.group_id = $2 AND (c.day = $3 OR c.slot_day = $3) ORDER BY c.day = $3 DESC LIMIT 1`,
        [clubId, group.id, request.day],
      );
      if (!row) throw notFound('class');
      if (added.length > 0) await this.live.emit(manager, clubId, { topic: 'class', classId: row.id });
      return classResponse(row);
    });
  }

  /** Takes a class off the calendar on which nothing was done yet: what was put down by a slip. */
  async remove(clubId: string, id: string): Promise<void> {
    await this.source.transaction(async (manager) => {
      await this.find(manager, clubId, id);
      const gone = await rows(
        manager,
        `WITH gone AS (DELETE FROM class_session c WHERE c.club_id = $1 AND c.id = $2 AND c.taught_at IS NULL AND coalesce(c.note, '') = ''
           AND NOT EXISTS (SELECT 1 FROM class_plan l WHERE l.class_id = c.id)
           AND NOT EXISTS (SELECT 1 FROM attendance a WHERE a.class_id = c.id)
           AND NOT EXISTS (SELECT 1 FROM observation o WHERE o.class_id = c.id) RETURNING id) SELECT id FROM gone`,
        [clubId, id],
      );
      if (gone.length === 0) throw new ProblemException(409, 'Something was planned or written down for this class: cancel it instead.');
      await this.live.emit(manager, clubId, { topic: 'class', classId: id });
    });
  }

  /** Moves a class, or says that it does not take place, or does after all; part of a transaction. */
  async reschedule(
    manager: EntityManager,
    session: ClassResponse,
    { day, startsAt, lengthMinutes, cancelledBecause }: ChangeClassRequest,
    clubId: string,
  ): Promise<void> {
    if (day !== undefined || startsAt !== undefined || lengthMinutes !== undefined) {
      if (session.taughtAt !== null) throw fieldRefused('day', 'This class was taught: it stays on its day.');
      if (day !== undefined) await this.refuseFarAway(clubId, day);
      const group = await this.groups.find(clubId, session.groupId, manager);
      try {
        await manager.query(
          'UPDATE class_session SET day = $3, starts_at = $4, length_minutes = $5, slot_day = $6 WHERE club_id = $1 AND id = $2',
          [
            clubId,
            session.id,
            day ?? session.day,
            startsAt ?? session.startsAt,
            lengthMinutes ?? session.lengthMinutes,
            day === undefined ? session.slotDay : slotOf(session, group, day),
          ],
        );
      } catch (error) {
        if (isTaken(error, oncePerDay)) throw fieldRefused('day', `${group.name} has a class on this day already.`);
        throw error;
      }
    }
    if (cancelledBecause !== undefined) {
      if (session.taughtAt !== null && cancelledBecause !== null) throw fieldRefused('cancelledBecause', 'This class was taught.');
      await manager.query('UPDATE class_session SET cancelled_because = $3, cancelled_by_holiday = NULL WHERE club_id = $1 AND id = $2', [
        clubId,
        session.id,
        cancelledBecause,
      ]);
    }
  }

  private async find(source: DataSource | EntityManager, clubId: string, id: string): Promise<ClassResponse> {
    const [row] = await rows<ClassRow>(source, `${selectClasses} AND c.id = $2`, [clubId, id]);
    if (!row) throw notFound('class');
    return classResponse(row);
  }

  private async refuseFarAway(clubId: string, day: string): Promise<void> {
    const today = await this.clubs.today(clubId);
    if (Math.abs(daysBetween(today, day)) > mostDaysAway)
      throw fieldRefused('day', 'A class is put on the calendar for a day within a year and a half.');
  }

  private async entries(clubId: string, fromDay: string, toDay: string): Promise<readonly Entry[]> {
    const [groups, classes, holidays] = await Promise.all([
      this.groups.list(clubId),
      rows<ClassRow>(this.source, `${selectClasses} AND (c.day BETWEEN $2 AND $3 OR c.slot_day BETWEEN $2 AND $3)`, [
        clubId,
        fromDay,
        toDay,
      ]),
      this.holidays.list(clubId),
    ]);
    return entriesBetween({ groups, classes: classes.map(classResponse), holidays }, fromDay, toDay);
  }

  private async facts(clubId: string, classIds: readonly string[]): Promise<ReadonlyMap<string, FactRow>> {
    const found = await rows<FactRow>(
      this.source,
      `SELECT c.id, l.document,
              (SELECT count(*)::int FROM child k WHERE k.club_id = c.club_id AND (
                 EXISTS (SELECT 1 FROM attendance a WHERE a.class_id = c.id AND a.child_id = k.id)
                 OR (k.archived_at IS NULL AND EXISTS (SELECT 1 FROM enrolment e WHERE e.child_id = k.id AND e.group_id = c.group_id
                      AND e.from_day <= c.day AND (e.to_day IS NULL OR e.to_day > c.day))))) AS expected,
              (SELECT array_agg(k.given_name || ' ' || k.family_initial ORDER BY k.given_name COLLATE "und-x-icu") FROM attendance a JOIN child k ON k.id = a.child_id
               WHERE a.class_id = c.id AND a.status = 'absent') AS away,
              (SELECT count(*)::int FROM attendance a WHERE a.class_id = c.id AND a.status IN ('present', 'late')) AS present,
              (SELECT count(*)::int FROM attendance a WHERE a.class_id = c.id) AS roll,
              (SELECT count(DISTINCT o.child_id)::int FROM observation o WHERE o.class_id = c.id) AS marked
       FROM class_session c LEFT JOIN class_plan l ON l.class_id = c.id WHERE c.club_id = $1 AND c.id = ANY($2)`,
      [clubId, classIds],
    );
    return new Map(found.map((fact) => [fact.id, fact]));
  }
}

/** The slot that a class stands for once it is on another day: its own day if that is one; none for a class beside the slots. */
function slotOf(session: ClassResponse, group: GroupResponse, day: string): string | null {
  const slot = session.slotDay ?? (weekdayOf(session.day) === group.weekday ? session.day : null);
  return slot === day ? null : slot;
}

function weekEntry({ group, day, startsAt, class: session, holiday, movedTo }: Entry, facts: ReadonlyMap<string, FactRow>): WeekEntry {
  const fact = session ? facts.get(session.id) : undefined;
  const plan = fact?.document ? openPlan(fact.document) : null;
  return {
    group,
    day,
    startsAt,
    lengthMinutes: session?.lengthMinutes ?? group.lengthMinutes,
    class: session,
    holiday: holiday?.name ?? null,
    movedTo,
    itemCount: plan?.ok ? plan.value.sections.reduce((sum, { items }) => sum + items.length, 0) : 0,
    focus: plan?.ok ? plan.value.focus : [],
    expectedCount: fact?.expected ?? group.childCount,
    away: fact?.away ?? [],
    presentCount: fact?.present ?? 0,
    rollCount: fact?.roll ?? 0,
    markedCount: fact?.marked ?? 0,
  };
}
