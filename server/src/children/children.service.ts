import type {
  AddChildRequest,
  ChangeChildrenRequest,
  ChangedChildren,
  ChangeChildRequest,
  ChildLadder,
  ChildPageResponse,
  ChildRecordResponse,
  ChildResponse,
  Household,
} from '@leiter/contract';
import { accepted, childKey, familyInitialOf, refused, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClipsService } from '../clips/clips.service.js';
import { ClubService } from '../club/club.service.js';
import { lockFor } from '../database/locks.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { LadderService } from '../record/ladder.service.js';
import { observationColumns, observationOf, type ObservationRow } from '../record/observation.mapper.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { ChildEntity } from './child.entity.js';
import { childResponse, unknownHousehold, type GradeRow } from './child.mapper.js';
import { eraseChild } from './erasure.js';
import { insertAward } from './grade-award.js';
import { recordOfHome } from './record-of-home.js';
import { HealthNotesService } from './health-notes.service.js';
import { StaffService } from '../staff/staff.service.js';

export type ChildRefusal =
  | { readonly kind: 'group-unknown' }
  | { readonly kind: 'born-in-the-future' }
  | { readonly kind: 'there-already' }
  | { readonly kind: 'grade-unknown' }
  | { readonly kind: 'not-of-its-staff' }
  | { readonly kind: 'home-changed-meanwhile'; readonly current: Household; readonly version: number };
const inOrder = new Intl.Collator('en').compare;

@Injectable()
export class ChildrenService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly syllabuses: SyllabusService,
    private readonly ladders: LadderService,
    private readonly health: HealthNotesService,
    private readonly staff: StaffService,
    private readonly clips: ClipsService,
  ) {}

  /** Every child of the club with groups and grades; three queries. */
  async list(clubId: string): Promise<readonly ChildResponse[]> {
    const found = await this.source.getRepository(ChildEntity).find({ where: { clubId } });
    const children = found.toSorted((a, b) => inOrder(a.givenName, b.givenName) || inOrder(a.familyInitial, b.familyInitial));
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
    const isStaff = await this.mayReach(asker, id);
    const health = await this.health.of(asker, id);
    if (health && health.notes.length > 0) await this.staff.logLook(this.source, asker, id, 'health-seen');
    return {
      child: await this.response(clubId, child),
      health,
      log: isStaff ? await this.staff.logOf(clubId, id) : [],
      contacts: isStaff ? child.contacts : null,
      ladders,
      observations: observations.map(observationOf),
      attendance,
    };
  }

  async add(asker: Asker, request: AddChildRequest): Promise<Result<ChildResponse, ChildRefusal>> {
    const { clubId } = asker;
    const refusal = await this.refusalOf(clubId, request);
    if (refusal) return refused(refusal);
    const today = await this.clubs.today(clubId);
    const { groupIds, household, startingGradeId, ...written } = request;
    const fields = {
      ...written,
      familyInitial: familyInitialOf(written.familyInitial),
      household: household ?? unknownHousehold,
      homeKnown: household !== undefined,
    };
    const starting = startingGradeId === undefined ? null : await this.gradeInUse(clubId, startingGradeId);
    if (startingGradeId !== undefined && !starting) return refused({ kind: 'grade-unknown' });
    const child = await this.source.transaction(async (manager) => {
      // one after the other: the same child twice at once is one child
      await lockFor(manager, 'import', `children ${clubId}`);
      const born = await manager.find(ChildEntity, { where: { clubId, birthDate: fields.birthDate } });
      if (born.some((one) => childKey(one) === childKey(fields))) return null;
      const saved = await manager.save(manager.create(ChildEntity, { ...fields, clubId, householdVersion: 1, archivedAt: null }));
      await this.enrol(manager, asker, saved.id, groupIds, today);
      if (starting) {
        await insertAward(manager, asker, { childId: saved.id, gradeId: starting.id, awardedOn: today });
        await this.staff.log(manager, asker, [saved.id], {
          kind: 'grade-given',
          detail: { grade: starting.name, reason: 'begins with it' },
        });
      }
      return saved;
    });
    return child ? accepted(await this.response(clubId, child)) : refused({ kind: 'there-already' });
  }

  /** Changes what is named and nothing else: two who change different things at once both have their way. */
  async change(asker: Asker, id: string, request: ChangeChildRequest): Promise<Result<ChildResponse, ChildRefusal>> {
    const { clubId } = asker;
    await this.find(clubId, id);
    const refusal = await this.refusalOf(clubId, request);
    if (refusal) return refused(refusal);
    if (request.groupIds && !(await this.staff.mayMove(asker, id))) {
      const now = (await this.openEnrolments(clubId, id)).map(({ group_id: groupId }) => groupId);
      const isOther = now.length !== request.groupIds.length || request.groupIds.some((groupId) => !now.includes(groupId));
      if (isOther) return refused({ kind: 'not-of-its-staff' });
    }
    const today = await this.clubs.today(clubId);
    if (request.contacts && !(await this.mayReach(asker, id))) return refused({ kind: 'not-of-its-staff' });
    const { groupIds, archived, household, householdVersion, ...fields } = request;
    return this.source.transaction(async (manager) => {
      const [before] = await rows<{ household_version: number; household: ChildEntity['household'] }>(
        manager,
        'SELECT household_version, household FROM child WHERE club_id = $1 AND id = $2 FOR UPDATE',
        [clubId, id],
      );
      if (!before) throw notFound('child');
      if (household && householdVersion !== before.household_version)
        return refused({ kind: 'home-changed-meanwhile', current: before.household, version: before.household_version });
      if (groupIds) await this.enrol(manager, asker, id, groupIds, today);
      const changed = {
        ...fields,
        ...(fields.familyInitial === undefined ? {} : { familyInitial: familyInitialOf(fields.familyInitial) }),
        ...(household ? { household, householdVersion: before.household_version + 1, homeKnown: true } : {}),
      };
      if (Object.keys(changed).length > 0) await manager.update(ChildEntity, { id, clubId }, changed);
      if (archived !== undefined)
        await manager.query(
          'UPDATE child SET archived_at = CASE WHEN $3 THEN coalesce(archived_at, now()) ELSE NULL END WHERE club_id = $1 AND id = $2',
          [clubId, id, archived],
        );
      return accepted(await this.response(clubId, await this.find(clubId, id, manager), manager));
    });
  }

  /** Changes several children, each by itself: who may not be changed stays, and is named with the reason. */
  async changeSeveral(asker: Asker, { childIds, joinGroupId, leaveGroupId, archived }: ChangeChildrenRequest): Promise<ChangedChildren> {
    const { clubId } = asker;
    const known = await rows<{ id: string }>(this.source, 'SELECT id FROM child WHERE club_id = $1 AND id = ANY($2)', [clubId, childIds]);
    if (known.length < new Set(childIds).size) throw notFound('child');
    const changed: string[] = [];
    const notChanged: { childId: string; why: string }[] = [];
    for (const childId of new Set(childIds)) {
      const enrolled = (await this.openEnrolments(clubId, childId)).map(({ group_id }) => group_id);
      const groupIds = [...enrolled.filter((groupId) => groupId !== leaveGroupId), ...(joinGroupId === undefined ? [] : [joinGroupId])];
      const isMoved = joinGroupId !== undefined || leaveGroupId !== undefined;
      const done = await this.change(asker, childId, {
        ...(isMoved ? { groupIds: [...new Set(groupIds)] } : {}),
        ...(archived === undefined ? {} : { archived }),
      });
      if (done.ok) changed.push(childId);
      else
        notChanged.push({
          childId,
          why: done.error.kind === 'not-of-its-staff' ? 'another instructor teaches this child' : 'there is no such group',
        });
    }
    return { changed, refused: notChanged };
  }

  /** A grade that children can be given, of whichever programme of the club. */
  private async gradeInUse(clubId: string, id: string): Promise<{ readonly id: string; readonly name: string } | null> {
    const ladders = await this.syllabuses.list(clubId);
    return ladders.flatMap(({ grades }) => grades).find((grade) => grade.id === id && !grade.isPutAway) ?? null;
  }

  /** Whether somebody may write to the family: its staff, and the owner. */
  private async mayReach(asker: Asker, childId: string): Promise<boolean> {
    return asker.role === 'owner' || this.staff.isOfChild(asker, childId);
  }

  /** Removes a child and everything that was noted of it, for good. */
  async erase(clubId: string, id: string): Promise<void> {
    await this.find(clubId, id);
    await this.clips.eraseOf({ clubId, childId: id });
    await this.source.transaction((manager) => eraseChild(manager, clubId, id));
  }

  /** All that is kept of a child, for the family that asks for it: what its page shows, every health note, and when it was in which group. */
  async record(asker: Asker, id: string): Promise<Result<ChildRecordResponse, { readonly kind: 'not-of-its-staff' }>> {
    await this.find(asker.clubId, id);
    if (asker.role !== 'owner' && !(await this.staff.isOfChild(asker, id))) return refused({ kind: 'not-of-its-staff' });
    const healthNotes = await this.health.handOut(asker, id);
    const { health: _shown, ...page } = await this.page(asker, id);
    const enrolments = await rows<ChildRecordResponse['enrolments'][number]>(
      this.source,
      `SELECT t.name AS "groupName", e.from_day AS "fromDay", e.to_day AS "toDay" FROM enrolment e JOIN teaching_group t ON t.id = e.group_id
       WHERE e.club_id = $1 AND e.child_id = $2 ORDER BY e.from_day, t.name`,
      [asker.clubId, id],
    );
    return accepted({ ...page, healthNotes, enrolments, ...(await recordOfHome(this.source, asker.clubId, id)) });
  }

  /** Makes the open enrolments those of the list: what is missing begins today, what is not in it ends today; the child is locked. */
  private async enrol(manager: EntityManager, asker: Asker, childId: string, groupIds: readonly string[], today: string): Promise<void> {
    const { clubId } = asker;
    const left = await rows<{ name: string }>(
      manager,
      `WITH gone AS (
         UPDATE enrolment SET to_day = greatest(from_day, $3::date) WHERE child_id = $1 AND to_day IS NULL AND NOT group_id = ANY($2) RETURNING group_id)
       SELECT t.name FROM gone JOIN teaching_group t ON t.id = gone.group_id`,
      [childId, groupIds, today],
    );
    const joined = await rows<{ name: string }>(
      manager,
      `WITH come AS (
         INSERT INTO enrolment (club_id, child_id, group_id, from_day) SELECT $1, $2, id, $4 FROM (SELECT DISTINCT unnest($3::uuid[]) AS id) wanted
         WHERE NOT EXISTS (SELECT 1 FROM enrolment e WHERE e.child_id = $2 AND e.group_id = wanted.id AND e.to_day IS NULL)
         ON CONFLICT DO NOTHING RETURNING group_id)
       SELECT t.name FROM come JOIN teaching_group t ON t.id = come.group_id`,
      [clubId, childId, groupIds, today],
    );
    for (const { name } of left) await this.staff.log(manager, asker, [childId], { kind: 'left-group', detail: { group: name } });
    for (const { name } of joined) await this.staff.log(manager, asker, [childId], { kind: 'joined-group', detail: { group: name } });
  }

  private async find(clubId: string, id: string, manager: EntityManager = this.source.manager): Promise<ChildEntity> {
    const child = await manager.findOneBy(ChildEntity, { id, clubId });
    if (!child) throw notFound('child');
    return child;
  }

  private async response(clubId: string, child: ChildEntity, manager: EntityManager = this.source.manager): Promise<ChildResponse> {
    return childResponse(child, await this.openEnrolments(clubId, child.id, manager), await this.grades(clubId, child.id));
  }

  private openEnrolments(
    clubId: string,
    childId: string | null,
    manager: EntityManager = this.source.manager,
  ): Promise<readonly { child_id: string; group_id: string }[]> {
    return rows(
      manager,
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
