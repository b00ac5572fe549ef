import { createHash } from 'node:crypto';
import type { GradingTimetable, WeekEntry } from '@leiter/contract';
import { addDays, weekdayOf } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { DateTime } from 'luxon';
import { DataSource } from 'typeorm';
import { CalendarService } from '../classes/calendar.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { beginsAt } from '../grading/grading-times.js';
import { LibraryService } from '../library/library.service.js';
import type { Follower } from './calendar-links.service.js';

/** What a calendar is told of: so many days back and ahead. */
const [daysBack, daysAhead] = [28, 26 * 7];
const hoursBetweenAsking = 2;
/** A grading day without a timetable is kept free for so long: by who examines, and by a family. */
const [gradingMinutes, familyMinutes] = [180, 90];

/** One event as it is told: what a calendar shows of it. */
interface Told {
  readonly uid: string;
  /** The group whose class it is, or the grading day. */
  readonly of: string;
  readonly start: DateTime;
  readonly minutes: number;
  readonly title: string;
  readonly about: string;
  readonly isOff: boolean;
}

interface KeptRow {
  readonly uid: string;
  readonly sequence: number;
  readonly changed_at: Date;
}

/**
 * What a person teaches, or a child has, as iCalendar (RFC 5545): an event a class, each under an id that stays when the class is moved, and with a number that grows
 * with every change. Times are told in UTC: right over a change of the clocks, in whatever zone they are looked at. No child is named.
 */
@Injectable()
export class CalendarFeedService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly calendar: CalendarService,
    private readonly library: LibraryService,
  ) {}

  /** @param address where Leiter is, for the link to a class; without a slash at its end */
  async feed(follower: Follower, address: string): Promise<string> {
    const { clubId } = follower;
    const [club, today, library] = await Promise.all([this.clubs.find(clubId), this.clubs.today(clubId), this.library.library(clubId)]);
    const [from, to] = [addDays(today, -daysBack), addDays(today, daysAhead)];
    const isOwn = await this.ownEntries(follower);
    const entries = (await this.calendar.between(clubId, from, to)).filter((entry) => entry.movedTo === null && isOwn(entry));
    const classes = entries.map((entry) => ({
      told: this.toldOf(entry, club.timeZone, (slug) => library.get(slug)?.name ?? slug),
      // a family has no page of a class
      url: entry.class && follower.kind === 'person' ? `${address}/classes/${entry.class.id}` : null,
    }));
    const gradings = (await this.gradings(follower, { from, to, zone: club.timeZone })).map(({ gradingId, ...told }) => ({
      told,
      url: follower.kind === 'person' ? `${address}/gradings/${gradingId}` : null,
    }));
    const kept = new Map([
      ...(await this.keep(
        'calendar_told',
        classes.map(({ told }) => told),
        null,
      )),
      ...(await this.keep(
        'calendar_told_grading',
        gradings.map(({ told }) => told),
        clubId,
      )),
    ]);
    const shown = ical({
      name: club.name,
      method: ICalCalendarMethod.PUBLISH,
      ttl: hoursBetweenAsking * 3600,
      prodId: { company: 'Leiter', product: 'classes', language: 'EN' },
    });
    for (const { told, url } of [...classes, ...gradings]) {
      const known = kept.get(told.uid);
      // a slot on a holiday that nobody was ever told of is not told as something that does not take place
      if (told.isOff && known?.sequence === 0) continue;
      shown.createEvent({
        id: told.uid,
        sequence: known?.sequence ?? 0,
        start: told.start.toJSDate(),
        end: told.start.plus({ minutes: told.minutes }).toJSDate(),
        stamp: known?.changed_at ?? new Date(0),
        lastModified: known?.changed_at ?? new Date(0),
        summary: told.title,
        description: told.about,
        status: told.isOff ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
        ...(url === null ? {} : { url }),
      });
    }
    return shown.toString();
  }

  /** Which classes somebody follows: those one teaches, all for others of the club, and for a family those of its child while it is in the group. */
  private async ownEntries(follower: Follower): Promise<(entry: WeekEntry) => boolean> {
    if (follower.kind === 'person')
      return ({ group, class: session }) =>
        follower.role !== 'instructor' || (session?.instructorId ?? group.instructorId) === follower.personId;
    const enrolled = await rows<{ group_id: string; from_day: string; to_day: string | null }>(
      this.source,
      'SELECT group_id, from_day, to_day FROM enrolment WHERE club_id = $1 AND child_id = $2',
      [follower.clubId, follower.childId],
    );
    return ({ group, day }) =>
      enrolled.some((one) => one.group_id === group.id && one.from_day <= day && (one.to_day === null || day < one.to_day));
  }

  /** Grading days: those one examines, all for others of the club, and for a family that of its child, from when it begins for it. */
  private async gradings(
    follower: Follower,
    { from, to, zone }: { readonly from: string; readonly to: string; readonly zone: string },
  ): Promise<readonly (Told & { readonly gradingId: string })[]> {
    const [who, childId] =
      follower.kind === 'family' ? [null, follower.childId] : [follower.role === 'instructor' ? follower.personId : null, null];
    const found = await rows<{
      id: string;
      day: string;
      starts_at: string;
      timetable: GradingTimetable | null;
      programme: string;
      grade: string | null;
      party: number | null;
    }>(
      this.source,
      `SELECT d.id, d.day, d.starts_at, d.timetable, p.name AS programme, g.name AS grade, e.party
       FROM grading_day d JOIN programme p ON p.id = d.programme_id
       LEFT JOIN grading_entry e ON e.grading_id = d.id AND e.child_id = $5 LEFT JOIN grade g ON g.id = e.grade_id
       WHERE d.club_id = $1 AND d.day BETWEEN $2 AND $3 AND ($4::uuid IS NULL OR $4 = ANY(d.examiner_ids)) AND ($5::uuid IS NULL OR e.child_id IS NOT NULL)
       ORDER BY d.day`,
      [follower.clubId, from, to, who, childId],
    );
    return found.map(({ id, day, starts_at, timetable, programme, grade, party }) => {
      const own = beginsAt(starts_at, timetable, party);
      const ownParty = timetable?.parties.find((one) => one.id === party);
      return {
        gradingId: id,
        of: id,
        // the same each time, and nothing of a child to be read in it
        uid: `${createHash('sha256')
          .update(`${id} ${childId ?? ''}`)
          .digest('hex')
          .slice(0, 32)}@leiter`,
        start: DateTime.fromISO(`${day}T${own ?? starts_at.slice(0, 5)}`, { zone }),
        minutes: childId === null ? (timetable?.endsAfter ?? gradingMinutes) : ownParty ? ownParty.to - ownParty.warmUpFrom : familyMinutes,
        title: grade === null ? `Grading day, ${programme}` : `Grading day: ${grade}`,
        about: childId === null ? '' : own === null ? 'When it begins for your child will be told.' : 'It begins with the warm-up.',
        isOff: false,
      };
    });
  }

  private toldOf(
    { group, day, startsAt, lengthMinutes, class: session, holiday, itemCount, focus }: WeekEntry,
    zone: string,
    nameOf: (slug: string) => string,
  ): Told {
    const slot = session?.slotDay ?? (session === null || weekdayOf(day) === group.weekday ? day : null);
    const off = session ? session.cancelledBecause : holiday;
    const planned =
      itemCount > 0 ? ['Planned.', ...(focus.length > 0 ? [`In focus: ${focus.map(nameOf).join(', ')}.`] : [])] : ['Not planned yet.'];
    return {
      uid: slot === null ? `${session?.id ?? ''}@leiter` : `${group.id}-${slot}@leiter`,
      of: group.id,
      start: DateTime.fromISO(`${day}T${startsAt}`, { zone }),
      minutes: lengthMinutes,
      title: group.name,
      about: off === null ? planned.join(' ') : `Does not take place: ${off}.`,
      isOff: off !== null,
    };
  }

  /** Keeps what is told; what is told otherwise than before has a larger number from now on. */
  private async keep(
    table: 'calendar_told' | 'calendar_told_grading',
    told: readonly Told[],
    clubId: string | null,
  ): Promise<ReadonlyMap<string, KeptRow>> {
    const contents = told.map(({ start, minutes, title, about, isOff }) =>
      createHash('sha256')
        .update(JSON.stringify([start.toMillis(), minutes, title, about, isOff]))
        .digest('base64url'),
    );
    const parameters = [told.map(({ of }) => of), told.map(({ uid }) => uid), contents];
    if (table === 'calendar_told')
      await this.source.query(
        `INSERT INTO calendar_told (group_id, uid, content)
         SELECT * FROM unnest($1::uuid[], $2::text[], $3::text[]) AS t (group_id, uid, content) ORDER BY 1, 2
         ON CONFLICT (group_id, uid) DO UPDATE SET content = excluded.content, sequence = calendar_told.sequence + 1, changed_at = now()
           WHERE calendar_told.content <> excluded.content`,
        parameters,
      );
    else
      await this.source.query(
        `INSERT INTO calendar_told_grading (grading_id, uid, content, club_id)
         SELECT t.*, $4::uuid FROM unnest($1::uuid[], $2::text[], $3::text[]) AS t (grading_id, uid, content) ORDER BY 1, 2
         ON CONFLICT (uid) DO UPDATE SET content = excluded.content, sequence = calendar_told_grading.sequence + 1, changed_at = now()
           WHERE calendar_told_grading.content <> excluded.content`,
        [...parameters, clubId],
      );
    const kept = await rows<KeptRow>(
      this.source,
      `SELECT uid, sequence, changed_at FROM ${table} WHERE ${table === 'calendar_told' ? 'group_id' : 'grading_id'} = ANY($1::uuid[]) AND uid = ANY($2::text[])`,
      parameters.slice(0, 2),
    );
    return new Map(kept.map((row) => [row.uid, row]));
  }
}
