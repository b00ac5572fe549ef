import type { AwardGradeRequest, ChildLadder, ChildPageResponse } from '@leiter/contract';
import { accepted, gradeAbove, refused, verdictOn, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { StaffService } from '../staff/staff.service.js';
import { SyllabusService, coreSyllabus } from '../syllabus/syllabus.service.js';
import { ChildrenService } from './children.service.js';
import { climbNewest, insertAward } from './grade-award.js';

export interface TakeBackRefusal {
  readonly kind: 'not-the-last-grade';
}
export type AwardRefusal =
  | { readonly kind: 'no-such-day' }
  | { readonly kind: 'before-the-last'; readonly day: string }
  | { readonly kind: 'not-the-next-grade' }
  | { readonly kind: 'not-earned'; readonly missing: number };

/** Grades of a child: given, taken back, and which version of a ladder it climbs. */
@Injectable()
export class GradesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly children: ChildrenService,
    private readonly clubs: ClubService,
    private readonly syllabuses: SyllabusService,
    private readonly staff: StaffService,
  ) {}

  /**
   * Gives a grade: the next one where core finds it earned, any that is not held yet with a reason – it was earned elsewhere, or seen
   * on a day without marks; the reason is written down. Given twice it is given once.
   */
  async award(
    asker: Asker,
    id: string,
    { gradeId, awardedOn, reason }: AwardGradeRequest,
  ): Promise<Result<ChildPageResponse, AwardRefusal>> {
    const { clubId } = asker;
    const page = await this.children.page(asker, id);
    const held = page.ladders.some(({ earned }) => earned.some(({ grade }) => grade.id === gradeId));
    if (held) return accepted(page);
    const today = await this.clubs.today(clubId);
    const ladder = page.ladders.find(({ syllabus }) => syllabus.grades.some((grade) => grade.id === gradeId));
    if (!ladder) throw notFound('grade');
    const next = gradeAbove(
      coreSyllabus(ladder.syllabus),
      ladder.earned.map(({ grade }) => grade.slug),
    );
    const { birthDate, leadSide } = page.child;
    const day = awardedOn ?? today;
    if (day > today || day < birthDate) return refused({ kind: 'no-such-day' });
    const before = ladder.earned.at(-1)?.awardedOn;
    if (before !== undefined && day < before) return refused({ kind: 'before-the-last', day: before });
    const grade = ladder.syllabus.grades.find((one) => one.id === gradeId);
    if (reason !== undefined && grade) {
      const rank = (slug: string): number => ladder.syllabus.grades.findIndex((one) => one.slug === slug);
      if (ladder.earned.some((held) => rank(held.grade.slug) > rank(grade.slug))) return refused({ kind: 'not-the-next-grade' });
      await this.give(asker, page, ladder, { id: gradeId, name: grade.name, day, reason });
      return accepted(await this.children.page(asker, id));
    }
    if (next?.id !== gradeId) return refused({ kind: 'not-the-next-grade' });
    const verdict = verdictOn(
      next,
      page.observations,
      { birthDate, leadSide, inGradeSince: ladder.inGradeSince, classesSince: ladder.classesSince },
      today,
    );
    if (!verdict.earned) return refused({ kind: 'not-earned', missing: verdict.missing.length });
    await this.give(asker, page, ladder, { id: gradeId, name: next.name, day, reason: null });
    return accepted(await this.children.page(asker, id));
  }

  private async give(
    asker: Asker,
    { child }: ChildPageResponse,
    ladder: ChildLadder,
    grade: { readonly id: string; readonly name: string; readonly day: string; readonly reason: string | null },
  ): Promise<void> {
    await this.source.transaction(async (manager) => {
      await insertAward(manager, asker, { childId: child.id, gradeId: grade.id, awardedOn: grade.day });
      if (grade.reason !== null)
        await this.staff.log(manager, asker, [child.id], { kind: 'grade-given', detail: { grade: grade.name, reason: grade.reason } });
      await climbNewest(manager, asker.clubId, child.id, ladder.programme);
    });
  }

  /** Takes back a grade that was given by mistake, with the reason; those above it have to go first. */
  async takeBack(asker: Asker, id: string, gradeId: string, reason: string): Promise<Result<ChildPageResponse, TakeBackRefusal>> {
    const { clubId } = asker;
    const page = await this.children.page(asker, id);
    const ladder = page.ladders.find(({ earned }) => earned.some(({ grade }) => grade.id === gradeId));
    const held = ladder?.earned.find(({ grade }) => grade.id === gradeId);
    if (!ladder || !held) throw notFound('grade of this child');
    if (ladder.earned.at(-1)?.grade.id !== gradeId) return refused({ kind: 'not-the-last-grade' });
    await this.source.transaction(async (manager) => {
      await manager.query('DELETE FROM grade_award WHERE club_id = $1 AND child_id = $2 AND grade_id = $3', [clubId, id, gradeId]);
      await this.staff.log(manager, asker, [id], { kind: 'grade-taken-back', detail: { grade: held.grade.name, reason } });
    });
    return accepted(await this.children.page(asker, id));
  }

  /** Moves a child over to the newest version of a ladder; what it has earned stays. */
  async moveOver(asker: Asker, id: string, programme: string): Promise<ChildPageResponse> {
    const { clubId } = asker;
    await this.children.page(asker, id);
    if (!(await this.syllabuses.programmeBySlug(clubId, programme))) throw notFound('programme');
    await climbNewest(this.source.manager, clubId, id, programme);
    return this.children.page(asker, id);
  }
}
