import type { ClassResponse, TodayResponse } from '@leiter/contract';
import { addDays, ageBandOf, meanAge } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { classResponse, selectClasses, type ClassRow } from '../classes/class.mapper.js';
import { ClassesService } from '../classes/classes.service.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import type { Asker } from '../people/asker.js';
import { PlansService } from '../plans/plans.service.js';
import { LadderService } from '../record/ladder.service.js';

@Injectable()
export class TodayService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly classes: ClassesService,
    private readonly plans: PlansService,
    private readonly ladders: LadderService,
  ) {}

  /** What a person starts the day with: an instructor's own groups first, for owner and assistant all. */
  async today(asker: Asker): Promise<TodayResponse> {
    const { clubId } = asker;
    const coming = await this.classes.coming(clubId);
    const own = coming.filter(({ group }) => group.instructorId === asker.id);
    const first = own[0] ?? coming[0];
    const next = first ? await this.next(clubId, first) : null;
    return { coming, next, withoutMarks: await this.withoutMarks(clubId), notices: await this.notices(asker) };
  }

  private async next(clubId: string, coming: TodayResponse['coming'][number]): Promise<TodayResponse['next']> {
    const session: ClassResponse = coming.class ?? {
      // not on the calendar yet: who would come if it took place
      id: '00000000-0000-0000-0000-000000000000',
      groupId: coming.group.id,
      groupName: coming.group.name,
      programme: coming.group.programme,
      day: coming.day,
      startsAt: coming.startsAt,
      lengthMinutes: coming.group.lengthMinutes,
      instructorId: coming.group.instructorId,
      taughtAt: null,
      endedAt: null,
      stopsNote: null,
      hasPlan: false,
    };
    const children = await this.classes.expected(clubId, session);
    const stored = coming.class ? await this.plans.find(clubId, coming.class.id) : null;
    const board = await this.ladders.board(clubId, coming.group.id);
    return {
      coming,
      children,
      focus: stored?.plan.focus ?? [],
      itemCount: stored?.plan.sections.reduce((sum, section) => sum + section.items.length, 0) ?? 0,
      board: board.rows,
      ageBand: ageBandOf(meanAge(children.map(({ ageYears }) => ageYears))),
    };
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

  private async withoutMarks(clubId: string): Promise<readonly ClassResponse[]> {
    const today = await this.clubs.today(clubId);
    const found = await rows<ClassRow>(
      this.source,
      `${selectClasses} AND c.taught_at IS NOT NULL AND c.day >= $2 AND NOT EXISTS (SELECT 1 FROM observation o WHERE o.class_id = c.id) ORDER BY c.day DESC`,
      [clubId, addDays(today, -14)],
    );
    return found.map(classResponse);
  }
}
