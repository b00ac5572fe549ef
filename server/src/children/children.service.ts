import type { AddChildRequest, ChangeChildRequest, ChildLadder, ChildPageResponse, ChildResponse } from '@leiter/contract';
import { accepted, gradeAbove, refused, verdictOn, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/session.guard.js';
import { LadderService } from '../record/ladder.service.js';
import { observationColumns, observationOf, type ObservationRow } from '../record/observation.mapper.js';
import { SyllabusService, coreSyllabus } from '../syllabus/syllabus.service.js';
import { ChildEntity } from './child.entity.js';
import { childResponse, type GradeRow } from './child.mapper.js';
import { HealthNotesService } from './health-notes.service.js';
import { EnrolmentEntity } from './enrolment.entity.js';

export type ChildRefusal = { readonly kind: 'group-unknown' } | { readonly kind: 'born-in-the-future' };
export type AwardRefusal = { readonly kind: 'not-the-next-grade' } | { readonly kind: 'not-earned'; readonly missing: number };

@Injectable()
export class ChildrenService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly syllabuses: SyllabusService,
    private readonly ladders: LadderService,
    private readonly health: HealthNotesService,
  ) {}

  /** Every child of the club with groups and grades; three queries. */
  async list(clubId: string): Promise<readonly ChildResponse[]> {
    const children = await this.source
      .getRepository(ChildEntity)
      .find({ where: { clubId }, order: { givenName: 'ASC', familyInitial: 'ASC' } });
    const enrolments = await this.openEnrolments(clubId, null);
    const grades = await this.grades(clubId, null);
    return children.map((child) => childResponse(child, enrolments, grades));
  }

  async page(asker: Asker, id: string): Promise<ChildPageResponse> {
    const { clubId } = asker;
    const child = await this.find(clubId, id);
    const today = await this.clubs.today(clubId);
    const programmes = await rows<{ slug: string }>(
      this.source,
      `SELECT DISTINCT p.slug FROM enrolment e JOIN teaching_group t ON t.id = e.group_id JOIN programme p ON p.id = t.programme_id
       WHERE e.club_id = $1 AND e.child_id = $2 ORDER BY p.slug`,
      [clubId, id],
    );
    const ladders: ChildLadder[] = [];
    for (const { slug } of programmes) {
      const ladder = await this.ladderOf(clubId, id, slug, today);
      if (ladder) ladders.push(ladder);
    }
    const observations = await rows<ObservationRow>(
      this.source,
      `SELECT ${observationColumns} FROM observation o WHERE o.club_id = $1 AND o.child_id = $2 ORDER BY o.seen_on DESC, o.recorded_at DESC`,
      [clubId, id],
    );
    const attendance = await rows<ChildPageResponse['attendance'][number]>(
      this.source,
      `SELECT a.class_id AS "classId", c.day, t.name AS "groupName", a.status FROM attendance a
       JOIN class_session c ON c.id = a.class_id JOIN teaching_group t ON t.id = c.group_id
       WHERE a.club_id = $1 AND a.child_id = $2 ORDER BY c.day DESC`,
      [clubId, id],
    );
    return {
      child: await this.response(clubId, child),
      healthNotes: await this.health.of(asker, id),
      ladders,
      observations: observations.map(observationOf),
      attendance,
    };
  }

  async add(clubId: string, request: AddChildRequest): Promise<Result<ChildResponse, ChildRefusal>> {
    const refusal = await this.refusalOf(clubId, request);
    if (refusal) return refused(refusal);
    const today = await this.clubs.today(clubId);
    const { groupIds, ...fields } = request;
    const child = await this.source.transaction(async (manager) => {
      const saved = await manager.save(manager.create(ChildEntity, { ...fields, clubId, archivedAt: null }));
      await enrol(manager, saved, groupIds, today);
      return saved;
    });
    return accepted(await this.response(clubId, child));
  }

  async change(clubId: string, id: string, request: ChangeChildRequest): Promise<Result<ChildResponse, ChildRefusal>> {
    const child = await this.find(clubId, id);
    const refusal = await this.refusalOf(clubId, request);
    if (refusal) return refused(refusal);
    const today = await this.clubs.today(clubId);
    const { groupIds, archived, ...fields } = request;
    const archivedAt = archived === undefined ? child.archivedAt : archived ? (child.archivedAt ?? new Date()) : null;
    const saved = await this.source.transaction(async (manager) => {
      if (groupIds) await enrol(manager, child, groupIds, today);
      return manager.save(ChildEntity, Object.assign(child, fields, { archivedAt }));
    });
    return accepted(await this.response(clubId, saved));
  }

  /** Gives the next grade where core finds it earned; given twice it is given once. */
  async award(asker: Asker, id: string, gradeId: string): Promise<Result<ChildPageResponse, AwardRefusal>> {
    const { clubId } = asker;
    const page = await this.page(asker, id);
    const held = page.ladders.some(({ earned }) => earned.some(({ grade }) => grade.id === gradeId));
    if (held) return accepted(page);
    const today = await this.clubs.today(clubId);
    const ladder = page.ladders.find(({ syllabus }) => syllabus.grades.some((grade) => grade.id === gradeId));
    if (!ladder) throw notFound('grade');
    const next = gradeAbove(
      coreSyllabus(ladder.syllabus),
      ladder.earned.map(({ grade }) => grade.slug),
    );
    if (next?.id !== gradeId) return refused({ kind: 'not-the-next-grade' });
    const { birthDate, leadSide } = page.child;
    const verdict = verdictOn(
      next,
      page.observations,
      { birthDate, leadSide, inGradeSince: ladder.inGradeSince, classesSince: ladder.classesSince },
      today,
    );
    if (!verdict.earned) return refused({ kind: 'not-earned', missing: verdict.missing.length });
    await this.source.transaction(async (manager) => {
      await manager.query(
        `INSERT INTO grade_award (club_id, child_id, grade_id, awarded_on, awarded_by) VALUES ($1, $2, $3, $4, $5) ON CONFLICT (child_id, grade_id) DO NOTHING`,
        [clubId, id, gradeId, today, asker.id],
      );
      // the grade it began is finished: from here on it climbs the newest ladder
      await climbNewest(manager, clubId, id, ladder.programme);
    });
    return accepted(await this.page(asker, id));
  }

  /** Moves a child over to the newest version of a ladder; what it has earned stays. */
  async moveOver(asker: Asker, id: string, programme: string): Promise<ChildPageResponse> {
    const { clubId } = asker;
    await this.find(clubId, id);
    await climbNewest(this.source.manager, clubId, id, programme);
    return this.page(asker, id);
  }

  /** Removes a child and everything that was noted of it, for good. */
  async erase(clubId: string, id: string): Promise<void> {
    await this.find(clubId, id);
    await this.source.query('DELETE FROM child WHERE club_id = $1 AND id = $2', [clubId, id]);
  }

  private async find(clubId: string, id: string): Promise<ChildEntity> {
    const child = await this.source.getRepository(ChildEntity).findOneBy({ id, clubId });
    if (!child) throw notFound('child');
    return child;
  }

  private async response(clubId: string, child: ChildEntity): Promise<ChildResponse> {
    return childResponse(child, await this.openEnrolments(clubId, child.id), await this.grades(clubId, child.id));
  }

  private openEnrolments(clubId: string, childId: string | null): Promise<readonly { child_id: string; group_id: string }[]> {
    return rows(
      this.source,
      'SELECT child_id, group_id FROM enrolment WHERE club_id = $1 AND to_day IS NULL AND ($2::uuid IS NULL OR child_id = $2)',
      [clubId, childId],
    );
  }

  private grades(clubId: string, childId: string | null): Promise<readonly GradeRow[]> {
    return rows(
      this.source,
      `SELECT DISTINCT ON (a.child_id, p.slug) a.child_id, p.slug AS programme, g.id AS grade_id, g.name
       FROM grade_award a JOIN grade g ON g.id = a.grade_id JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id
       WHERE a.club_id = $1 AND ($2::uuid IS NULL OR a.child_id = $2) ORDER BY a.child_id, p.slug, a.awarded_on DESC, g.position DESC`,
      [clubId, childId],
    );
  }

  private async ladderOf(clubId: string, childId: string, programme: string, today: string): Promise<ChildLadder | null> {
    const climbed = await this.syllabuses.climbed(clubId, programme);
    if (!climbed) return null;
    const rung = (await this.ladders.rungs(clubId, [childId], programme, today)).get(childId);
    return {
      programme,
      syllabus: climbed.ladderOf(childId),
      newestVersion: climbed.newest.version,
      earned: (rung?.earned ?? []).map(({ gradeId, slug, name, awardedOn }) => ({ grade: { id: gradeId, slug, name }, awardedOn })),
      inGradeSince: rung?.inGradeSince ?? today,
      classesSince: rung?.classesSince ?? 0,
    };
  }

  private async refusalOf(clubId: string, request: Pick<ChangeChildRequest, 'groupIds' | 'birthDate'>): Promise<ChildRefusal | null> {
    if (request.birthDate && request.birthDate > (await this.clubs.today(clubId))) return { kind: 'born-in-the-future' };
    const wanted = [...new Set(request.groupIds ?? [])];
    if (wanted.length === 0) return null;
    const found = await rows(this.source, 'SELECT id FROM teaching_group WHERE club_id = $1 AND id = ANY($2)', [clubId, wanted]);
    return found.length === wanted.length ? null : { kind: 'group-unknown' };
  }
}

/** Makes the open enrolments those of the list: what is missing begins today, what is not in it ends today. */
async function enrol(manager: EntityManager, child: ChildEntity, groupIds: readonly string[], today: string): Promise<void> {
  await manager.query(
    'UPDATE enrolment SET to_day = greatest(from_day, $3::date) WHERE child_id = $1 AND to_day IS NULL AND NOT group_id = ANY($2)',
    [child.id, groupIds, today],
  );
  const open = await manager.find(EnrolmentEntity, { where: { childId: child.id } });
  const missing = [...new Set(groupIds)].filter((groupId) => !open.some((one) => one.groupId === groupId && one.toDay === null));
  await manager.save(
    missing.map((groupId) =>
      manager.create(EnrolmentEntity, { clubId: child.clubId, childId: child.id, groupId, fromDay: today, toDay: null }),
    ),
  );
}

function climbNewest(manager: EntityManager, clubId: string, childId: string, programme: string): Promise<unknown> {
  return manager.query(
    `DELETE FROM ladder_pin i USING programme p WHERE p.id = i.programme_id AND i.club_id = $1 AND i.child_id = $2 AND p.slug = $3`,
    [clubId, childId, programme],
  );
}
