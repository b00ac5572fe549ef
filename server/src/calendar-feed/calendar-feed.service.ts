import { createHash } from 'node:crypto';
import type { WeekEntry } from '@leiter/contract';
import { addDays, weekdayOf } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { DateTime } from 'luxon';
import { DataSource } from 'typeorm';
import { CalendarService } from '../classes/calendar.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { LibraryService } from '../library/library.service.js';
import type { Follower } from './calendar-links.service.js';

/** What a calendar is told of: so many days back and ahead. */
const [daysBack, daysAhead] = [28, 26 * 7];
const hoursBetweenAsking = 2;

/** One event as it is told: what a calendar shows of it. */
interface Told {
  readonly uid: string;
  readonly groupId: string;
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
 * What a person teaches as iCalendar (RFC 5545): an event a class, each under an id that stays when the class is moved, and with a number that grows
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
  async feed({ clubId, personId, role }: Follower, address: string): Promise<string> {
    const [club, today, library] = await Promise.all([this.clubs.find(clubId), this.clubs.today(clubId), this.library.library(clubId)]);
    const entries = (await this.calendar.between(clubId, addDays(today, -daysBack), addDays(today, daysAhead))).filter(
      ({ group, class: session, movedTo }) =>
        movedTo === null && (role !== 'instructor' || (session?.instructorId ?? group.instructorId) === personId),
    );
    const told = entries.map((entry) => this.toldOf(entry, club.timeZone, (slug) => library.get(slug)?.name ?? slug));
    const kept = await this.keep(told);
    const shown = ical({
      name: club.name,
      method: ICalCalendarMethod.PUBLISH,
      ttl: hoursBetweenAsking * 3600,
      prodId: { company: 'Leiter', product: 'classes', language: 'EN' },
    });
    told.forEach((one, index) => {
      const known = kept.get(one.uid);
      // a slot on a holiday that nobody was ever told of is not told as something that does not take place
      if (one.isOff && known?.sequence === 0) return;
      const session = entries[index]?.class;
      shown.createEvent({
        id: one.uid,
        sequence: known?.sequence ?? 0,
        start: one.start.toJSDate(),
        end: one.start.plus({ minutes: one.minutes }).toJSDate(),
        stamp: known?.changed_at ?? new Date(0),
        lastModified: known?.changed_at ?? new Date(0),
        summary: one.title,
        description: one.about,
        status: one.isOff ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
        ...(session ? { url: `${address}/classes/${session.id}` } : {}),
      });
    });
    return shown.toString();
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
      groupId: group.id,
      start: DateTime.fromISO(`${day}T${startsAt}`, { zone }),
      minutes: lengthMinutes,
      title: group.name,
      about: off === null ? planned.join(' ') : `Does not take place: ${off}.`,
      isOff: off !== null,
    };
  }

  /** Keeps what is told; what is told otherwise than before has a larger number from now on. */
  private async keep(told: readonly Told[]): Promise<ReadonlyMap<string, KeptRow>> {
    const contents = told.map(({ start, minutes, title, about, isOff }) =>
      createHash('sha256')
        .update(JSON.stringify([start.toMillis(), minutes, title, about, isOff]))
        .digest('base64url'),
    );
    const parameters = [told.map(({ groupId }) => groupId), told.map(({ uid }) => uid), contents];
    await this.source.query(
      `INSERT INTO calendar_told (group_id, uid, content)
       SELECT * FROM unnest($1::uuid[], $2::text[], $3::text[]) AS t (group_id, uid, content) ORDER BY 1, 2
       ON CONFLICT (group_id, uid) DO UPDATE SET content = excluded.content, sequence = calendar_told.sequence + 1, changed_at = now()
         WHERE calendar_told.content <> excluded.content`,
      parameters,
    );
    const kept = await rows<KeptRow>(
      this.source,
      'SELECT uid, sequence, changed_at FROM calendar_told WHERE group_id = ANY($1::uuid[]) AND uid = ANY($2::text[])',
      parameters.slice(0, 2),
    );
    return new Map(kept.map((row) => [row.uid, row]));
  }
}
