import type {
  Consent,
  ConsentKind,
  ConsentRequest,
  HomeLanguageRequest,
  Practice,
  PracticeRequest,
  ToldAbsenceRequest,
  ToldHomeRequest,
} from '@leiter/contract';
import { addDays } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { CalendarService } from '../classes/calendar.service.js';
import { ClassesService } from '../classes/classes.service.js';
import { ClipsService } from '../clips/clips.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { fieldRefused, notFound, ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { StaffService } from '../staff/staff.service.js';
import type { HomeChild } from './home-links.service.js';

/** Practice is noted of the last days, not of last month. */
const practiceDays = 7;
const shownDays = 28;
/** More than anybody practises in a day; a link in wrong hands fills no disk. */
const mostADay = 60;
/** A family tells of the next weeks. */
const absenceDays = 60;

/** What families tell by their page: practice, absences, their home, and what they allow. */
@Injectable()
export class FromHomeService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly calendar: CalendarService,
    private readonly classes: ClassesService,
    private readonly staff: StaffService,
    private readonly clips: ClipsService,
  ) {}

  /** Who is neither of its staff nor the owner learns nothing of a family. */
  async refuseOthers(asker: Asker, childId: string): Promise<void> {
    const [child] = await rows(this.source, 'SELECT 1 FROM child WHERE club_id = $1 AND id = $2', [asker.clubId, childId]);
    if (!child) throw notFound('child');
    if (asker.role !== 'owner' && !(await this.staff.isOfChild(asker, childId)))
      throw new ProblemException(403, 'Another instructor teaches this child.');
  }

  async about(clubId: string, childId: string): Promise<{ readonly practice: readonly Practice[]; readonly consents: readonly Consent[] }> {
    const today = await this.clubs.today(clubId);
    const [practice, consents] = await Promise.all([
      rows<Practice>(
        this.source,
        `SELECT id, day, movement_slug AS movement, feeling FROM practice WHERE club_id = $1 AND child_id = $2 AND day >= $3
         ORDER BY day DESC, noted_at DESC`,
        [clubId, childId, addDays(today, -shownDays)],
      ),
      rows<{ kind: ConsentKind; is_given: boolean; at: Date; by: string | null }>(
        this.source,
        `SELECT DISTINCT ON (c.kind) c.kind, c.is_given, c.at, p.name AS by FROM consent c LEFT JOIN person p ON p.id = c.by_id
         WHERE c.club_id = $1 AND c.child_id = $2 ORDER BY c.kind, c.id DESC`,
        [clubId, childId],
      ),
    ]);
    return { practice, consents: consents.map(({ kind, is_given, at, by }) => ({ kind, isGiven: is_given, at: at.toISOString(), by })) };
  }

  /** Noted twice under one id it is noted once. */
  async practise({ clubId, childId }: HomeChild, id: string, { day, movement, feeling }: PracticeRequest): Promise<void> {
    const today = await this.clubs.today(clubId);
    if (day > today || day < addDays(today, -practiceDays)) throw fieldRefused('day', 'Practice is noted of the last seven days.');
    const [known] = await rows(this.source, 'SELECT 1 FROM movement WHERE club_id = $1 AND slug = $2', [clubId, movement]);
    if (!known) throw notFound('movement');
    const noted = await rows(
      this.source,
      `INSERT INTO practice (id, club_id, child_id, day, movement_slug, feeling) SELECT $1, $2, $3, $4, $5, $6
       WHERE (SELECT count(*) FROM practice WHERE child_id = $3 AND day = $4 AND id <> $1) < ${String(mostADay)}
       ON CONFLICT (id) DO UPDATE SET feeling = excluded.feeling WHERE practice.child_id = excluded.child_id RETURNING id`,
      [id, clubId, childId, day, movement, feeling],
    );
    if (noted.length === 0) throw new ProblemException(409, 'This was noted already, or there is enough for this day.');
  }

  async takeBackPractice({ clubId, childId }: HomeChild, id: string): Promise<void> {
    await this.source.query('DELETE FROM practice WHERE club_id = $1 AND child_id = $2 AND id = $3', [clubId, childId, id]);
  }

  /** A class to come that is not on the calendar yet is put there, so that the absence has a place. */
  async absence({ clubId, childId }: HomeChild, { groupId, day, isAway }: ToldAbsenceRequest): Promise<void> {
    const today = await this.clubs.today(clubId);
    if (day < today || day > addDays(today, absenceDays)) throw fieldRefused('day', 'Tell it of a class of the next weeks.');
    const [enrolled] = await rows(
      this.source,
      'SELECT 1 FROM enrolment WHERE club_id = $1 AND child_id = $2 AND group_id = $3 AND to_day IS NULL',
      [clubId, childId, groupId],
    );
    if (!enrolled) throw notFound('group of this child');
    const entry = (await this.calendar.between(clubId, day, day)).find(({ group, movedTo }) => group.id === groupId && movedTo === null);
    if (!entry || (entry.class === null && entry.holiday !== null)) throw notFound('class on this day');
    const session = entry.class ?? (await this.calendar.add(clubId, { groupId, day }));
    if (session.taughtAt !== null) throw new ProblemException(409, 'This class has begun: its roll is the instructor’s.');
    await this.classes.setAttendance(clubId, session.id, [childId], isAway ? 'absent' : null);
  }

  async household({ clubId, childId }: HomeChild, { household, householdVersion }: ToldHomeRequest): Promise<void> {
    const changed = await rows(
      this.source,
      `WITH changed AS (UPDATE child SET household = $3, household_version = household_version + 1, home_known = true
         WHERE club_id = $1 AND id = $2 AND household_version = $4 RETURNING id) SELECT id FROM changed`,
      [clubId, childId, JSON.stringify(household), householdVersion],
    );
    if (changed.length === 0) throw new ProblemException(409, 'It was changed meanwhile. Look at it again, then change it.');
  }

  async language({ clubId, childId }: HomeChild, { language }: HomeLanguageRequest): Promise<void> {
    await this.source.query('UPDATE child SET family_language = $3 WHERE club_id = $1 AND id = $2', [clubId, childId, language]);
  }

  /** Every word is kept with its day; the last one holds, and said again it is no other word. */
  async consent({ clubId, childId }: HomeChild, { kind, isGiven }: ConsentRequest, byId: string | null): Promise<void> {
    await this.source.query(
      `INSERT INTO consent (club_id, child_id, kind, is_given, by_id) SELECT $1, $2, $3, $4, $5
       WHERE $4 IS DISTINCT FROM (SELECT is_given FROM consent WHERE child_id = $2 AND kind = $3 ORDER BY id DESC LIMIT 1)
         AND (SELECT count(*) FROM consent WHERE child_id = $2 AND at > now() - interval '1 day') < ${String(mostADay)}`,
      [clubId, childId, kind, isGiven, byId],
    );
    if (kind === 'clips' && !isGiven) await this.clips.eraseOf({ clubId, childId });
  }
}
