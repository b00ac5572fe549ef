import type { CloseToGrade, GroupBoardResponse, GroupResponse, TodayResponse, WeekEntry } from '@leiter/contract';
import { addDays, ageBandOf, meanAge } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DateTime } from 'luxon';
import { DataSource } from 'typeorm';
import { CalendarService } from '../classes/calendar.service.js';
import { notYetOnCalendar } from '../classes/class.mapper.js';
import { ClassesService } from '../classes/classes.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import type { Asker } from '../people/asker.js';
import { PlansService } from '../plans/plans.service.js';
import { LadderService } from '../record/ladder.service.js';

/** Classes are to be finished for so long after they were taught. */
const daysUnfinished = 14;
/** So long after its end a class can still begin. */
const minutesLate = 60;
/** Somebody with so few requirements open is near to a grade. */
const nearRequirements = 2;

@Injectable()
export class TodayService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly calendar: CalendarService,
    private readonly classes: ClassesService,
    private readonly plans: PlansService,
    private readonly ladders: LadderService,
  ) {}

  /** What a person starts the day with: an instructor's own groups first, for owner and assistant all. */
  async today(asker: Asker): Promise<TodayResponse> {
    const { clubId } = asker;
    const today = await this.clubs.today(clubId);
    const isOwn = ({ group }: { readonly group: GroupResponse }): boolean => asker.role !== 'instructor' || group.instructorId === asker.id;
    const [coming, around, boards] = await Promise.all([
      this.calendar.coming(clubId),
      this.calendar.between(clubId, addDays(today, -daysUnfinished), addDays(today, 6)),
      this.ladders.boards(clubId),
    ]);
    const ownEntries = around.filter(isOwn);
    const own = coming.filter(isOwn);
    const now = DateTime.now().setZone((await this.clubs.find(clubId)).timeZone);
    const first = own.find((one) => !hasPassed(one, now)) ?? own[0] ?? coming[0];
    return {
      coming,
      next: first ? await this.next(clubId, first, boards) : null,
      entries: ownEntries.filter(({ day }) => day >= today),
      close: closeIn(boards.filter(isOwn)),
      unfinished: ownEntries.filter((entry) => isUnfinished(entry, today)).toReversed(),
      hurt: await this.hurt(asker, today),
      clips: await this.clips(asker),
      notices: await this.notices(asker),
    };
  }

  private async next(
    clubId: string,
    coming: TodayResponse['coming'][number],
    boards: readonly GroupBoardResponse[],
  ): Promise<TodayResponse['next']> {
    // not on the calendar yet: who would come if it took place
    const session = coming.class ?? notYetOnCalendar(coming.group, coming.day);
    const children = await this.classes.expected(clubId, session);
    const stored = coming.class ? await this.plans.find(clubId, coming.class.id) : null;
    return {
      coming,
      children,
      focus: stored?.plan.focus ?? [],
      itemCount: stored?.plan.sections.reduce((sum, section) => sum + section.items.length, 0) ?? 0,
      board: boards.find(({ group }) => group.id === coming.group.id)?.rows ?? [],
      ageBand: ageBandOf(meanAge(children.map(({ ageYears }) => ageYears))),
    };
  }

  /** What families told of practice that hurt: to who teaches the child, and to owner and assistants. */
  private hurt(asker: Asker, today: string): Promise<TodayResponse['hurt']> {
    return rows<TodayResponse['hurt'][number]>(
      this.source,
      `SELECT p.child_id AS "childId", c.given_name || ' ' || c.family_initial AS "childName", p.movement_slug AS movement, p.day
       FROM practice p JOIN child c ON c.id = p.child_id AND c.archived_at IS NULL
       WHERE p.club_id = $1 AND p.feeling = 'hurt' AND p.day >= $2 AND ($3 OR EXISTS (
         SELECT 1 FROM enrolment e JOIN teaching_group t ON t.id = e.group_id WHERE e.child_id = c.id AND e.to_day IS NULL AND t.instructor_id = $4))
       ORDER BY p.day DESC, p.noted_at DESC LIMIT 20`,
      [asker.clubId, addDays(today, -daysUnfinished), asker.role !== 'instructor', asker.id],
    );
  }

  /** Clips that nobody looked at yet: to who teaches the child, and to the owner. */
  private clips(asker: Asker): Promise<TodayResponse['clips']> {
    return rows<TodayResponse['clips'][number]>(
      this.source,
      `SELECT v.id, c.given_name || ' ' || c.family_initial AS "childName", v.movement_slug AS movement, v.sent_at::date::text AS day
       FROM clip v JOIN child c ON c.id = v.child_id AND c.archived_at IS NULL
       WHERE v.club_id = $1 AND v.seen_at IS NULL AND ($2 OR EXISTS (
         SELECT 1 FROM enrolment e JOIN teaching_group t ON t.id = e.group_id WHERE e.child_id = c.id AND e.to_day IS NULL AND t.instructor_id = $3))
       ORDER BY v.sent_at LIMIT 20`,
      [asker.clubId, asker.role !== 'instructor', asker.id],
    );
  }

  /** What others changed lately about who sees the children that one teaches, or taught until then. */
  private async notices(asker: Asker): Promise<TodayResponse['notices']> {
    const found = await rows<Omit<TodayResponse['notices'][number], 'at'> & { readonly at: Date }>(
      this.source,
      `SELECT l.at, p.name AS by, l.kind, l.detail, c.id AS "childId", c.given_name || ' ' || c.family_initial AS "childName"
       FROM child_log l JOIN child c ON c.id = l.child_id LEFT JOIN person p ON p.id = l.by_id
       WHERE l.club_id = $1 AND l.by_id IS DISTINCT FROM $2 AND l.kind IN ('joined-group', 'left-group', 'group-taught-by')
         AND l.at > now() - interval '14 days' AND EXISTS (
           SELECT 1 FROM enrolment e JOIN teaching_group t ON t.id = e.group_id
           WHERE e.child_id = c.id AND t.instructor_id = $2 AND (e.to_day IS NULL OR e.to_day > now()::date - 14))
       ORDER BY l.at DESC, l.id DESC LIMIT 20`,
      [asker.clubId, asker.id],
    );
    return found.map(({ at, ...notice }) => ({ ...notice, at: at.toISOString() }));
  }
}

/** Whether a class was to be over for a while and was not begun: it is no longer what comes next. */
function hasPassed({ day, startsAt, group, class: session }: TodayResponse['coming'][number], now: DateTime): boolean {
  if (session?.taughtAt) return false;
  const begins = DateTime.fromISO(`${day}T${startsAt}`, { zone: now.zone });
  return now > begins.plus({ minutes: (session?.lengthMinutes ?? group.lengthMinutes) + minutesLate });
}

/** Who earned a grade or is near to it, in one group after the other; those who earned it first. */
function closeIn(boards: readonly GroupBoardResponse[]): readonly CloseToGrade[] {
  return boards
    .flatMap(({ group, columns, rows }) => {
      const movements = new Map(columns.flatMap(({ requirements }) => requirements).map(({ id, movement }) => [id, movement]));
      return rows.flatMap(({ childId, name, nextGradeName: gradeName, metCount, cells, isEarned, forecast }) => {
        if (gradeName === null || !(isEarned || (metCount > 0 && cells.length - metCount <= nearRequirements))) return [];
        const open = cells
          .filter(({ standing }) => standing !== 'met' && standing !== 'fading')
          .map(({ requirementId, sidesOpen }) => ({ movement: movements.get(requirementId) ?? '', sides: sidesOpen }));
        const place = { groupId: group.id, groupName: group.name };
        return [{ childId, name, ...place, gradeName, metCount, ofCount: cells.length, isEarned, open, forecast }];
      });
    })
    .toSorted((a, b) => Number(b.isEarned) - Number(a.isEarned) || a.ofCount - a.metCount - (b.ofCount - b.metCount));
}

/** A class that was taught and of which the roll or the marks are not done: nobody marked, or fewer than half of those who were there. */
function isUnfinished({ class: session, day, rollCount, expectedCount, presentCount, markedCount }: WeekEntry, today: string): boolean {
  if (session?.cancelledBecause !== null) return false;
  // planned, its day is over, and nobody said that it was taught
  if (session.taughtAt === null) return session.hasPlan && day < today;
  return rollCount < expectedCount || markedCount * 2 < presentCount || (markedCount === 0 && expectedCount > 0);
}
