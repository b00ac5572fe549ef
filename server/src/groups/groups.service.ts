import type { AddGroupRequest, ChangeGroupRequest, GroupResponse } from '@leiter/contract';
import { accepted, refused, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import { DataSource, Repository, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { isTaken } from '../http/database-fault.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { PeopleService } from '../people/people.service.js';
import { StaffService } from '../staff/staff.service.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { GroupEntity } from './group.entity.js';

export type GroupRefusal =
  | { readonly kind: 'name-taken' }
  | { readonly kind: 'programme-unknown' }
  | { readonly kind: 'person-unknown' }
  | { readonly kind: 'not-yours' };

const nameIndex = 'teaching_group_name';

interface GroupRow {
  readonly id: string;
  readonly name: string;
  readonly programme: string;
  readonly weekday: number;
  readonly starts_at: string;
  readonly length_minutes: number;
  readonly instructor_id: string | null;
  readonly archived: boolean;
  readonly child_count: number;
  readonly since: string;
}

const selectGroups = `
  SELECT g.id, g.name, p.slug AS programme, g.weekday, g.starts_at, g.length_minutes, g.instructor_id,
         g.archived_at IS NOT NULL AS archived, g.since,
         (SELECT count(*)::int FROM enrolment e JOIN child c ON c.id = e.child_id
          WHERE e.group_id = g.id AND e.to_day IS NULL AND c.archived_at IS NULL) AS child_count
  FROM teaching_group g JOIN programme p ON p.id = g.programme_id
  WHERE g.club_id = $1`;

function groupResponse(row: GroupRow): GroupResponse {
  return {
    id: row.id,
    name: row.name,
    programme: row.programme,
    weekday: row.weekday,
    startsAt: row.starts_at.slice(0, 5),
    lengthMinutes: row.length_minutes,
    instructorId: row.instructor_id,
    archived: row.archived,
    childCount: row.child_count,
    since: row.since,
  };
}

@Injectable()
export class GroupsService {
  constructor(
    @InjectRepository(GroupEntity) private readonly groups: Repository<GroupEntity>,
    @InjectDataSource() private readonly source: DataSource,
    private readonly people: PeopleService,
    private readonly syllabuses: SyllabusService,
    private readonly staff: StaffService,
  ) {}

  async list(clubId: string): Promise<readonly GroupResponse[]> {
    const found = await rows<GroupRow>(this.source, `${selectGroups} ORDER BY g.weekday, g.starts_at, g.name`, [clubId]);
    return found.map(groupResponse);
  }

  async find(clubId: string, id: string, source: DataSource | EntityManager = this.source): Promise<GroupResponse> {
    const [row] = await rows<GroupRow>(source, `${selectGroups} AND g.id = $2`, [clubId, id]);
    if (!row) throw notFound('group');
    return groupResponse(row);
  }

  async add(clubId: string, request: AddGroupRequest): Promise<Result<GroupResponse, GroupRefusal>> {
    const programme = await this.syllabuses.programmeBySlug(clubId, request.programme);
    if (!programme) return refused({ kind: 'programme-unknown' });
    const refusal = await this.refusalOf(clubId, request, null);
    if (refusal) return refused(refusal);
    const saved = await this.save(
      this.groups.create({
        clubId,
        programmeId: programme.id,
        name: request.name,
        weekday: request.weekday,
        startsAt: request.startsAt,
        lengthMinutes: request.lengthMinutes,
        instructorId: request.instructorId,
        archivedAt: null,
      }),
    );
    return saved ? accepted(await this.find(clubId, saved.id)) : refused({ kind: 'name-taken' });
  }

  /** @returns null where the name was taken at this moment */
  private async save(group: GroupEntity): Promise<GroupEntity | null> {
    try {
      return await this.groups.save(group);
    } catch (error) {
      if (isTaken(error, nameIndex)) return null;
      throw error;
    }
  }

  /**
   * Changes what is named. Who teaches a group sees what families told of its children's health: only the owner and who teaches it
   * now hand it to somebody else, and that is written down for each of its children.
   */
  async change(asker: Asker, id: string, request: ChangeGroupRequest): Promise<Result<GroupResponse, GroupRefusal>> {
    const { clubId } = asker;
    const refusal = await this.refusalOf(clubId, request, id);
    if (refusal) return refused(refusal);
    try {
      return await this.source.transaction(async (manager) => {
        const group = await manager.findOne(GroupEntity, { where: { id, clubId }, lock: { mode: 'pessimistic_write' } });
        if (!group) throw notFound('group');
        const { archived, ...changes } = request;
        const isHandedOn = changes.instructorId !== undefined && changes.instructorId !== group.instructorId;
        if (isHandedOn && asker.role !== 'owner' && group.instructorId !== asker.id) return refused({ kind: 'not-yours' });
        const archivedAt = archived === undefined ? group.archivedAt : archived ? (group.archivedAt ?? new Date()) : null;
        await manager.update(GroupEntity, { id, clubId }, { ...changes, archivedAt });
        await this.moveClasses(manager, group, changes);
        if (isHandedOn) await this.logHandingOn(manager, asker, group, changes.instructorId ?? null);
        return accepted(await this.find(clubId, id, manager));
      });
    } catch (error) {
      if (isTaken(error, nameIndex)) return refused({ kind: 'name-taken' });
      throw error;
    }
  }

  /** Classes of its slot that are still to be taught go along: to the new day of the same week, to its time, length and instructor. */
  private async moveClasses(
    manager: EntityManager,
    group: GroupEntity,
    { weekday = group.weekday, startsAt, lengthMinutes, instructorId }: Omit<ChangeGroupRequest, 'name' | 'archived'>,
  ): Promise<void> {
    const shift = weekday - group.weekday;
    if (shift === 0 && startsAt === undefined && lengthMinutes === undefined && instructorId === undefined) return;
    await manager.query(
      `UPDATE class_session c SET day = c.day + $2::int, starts_at = coalesce($3, c.starts_at), length_minutes = coalesce($4, c.length_minutes),
         instructor_id = CASE WHEN $5 THEN $6::uuid ELSE c.instructor_id END
       WHERE c.group_id = $1 AND c.day > CURRENT_DATE AND c.taught_at IS NULL AND c.slot_day IS NULL AND extract(isodow FROM c.day) = $7
         AND NOT EXISTS (SELECT 1 FROM class_session other WHERE other.group_id = $1 AND $2 <> 0 AND other.day = c.day + $2::int)`,
      [group.id, shift, startsAt ?? null, lengthMinutes ?? null, instructorId !== undefined, instructorId ?? null, group.weekday],
    );
  }

  private async logHandingOn(manager: EntityManager, asker: Asker, group: GroupEntity, instructorId: string | null): Promise<void> {
    const children = await rows<{ child_id: string }>(manager, 'SELECT child_id FROM enrolment WHERE group_id = $1 AND to_day IS NULL', [
      group.id,
    ]);
    const person = instructorId === null ? null : await this.people.find(instructorId);
    await this.staff.log(
      manager,
      asker,
      children.map(({ child_id: childId }) => childId),
      { kind: 'group-taught-by', detail: { group: group.name, person: person?.name ?? 'nobody yet' } },
    );
  }

  private async refusalOf(
    clubId: string,
    request: { readonly name?: string | undefined; readonly instructorId?: string | null | undefined },
    self: string | null,
  ): Promise<GroupRefusal | null> {
    if (request.instructorId) {
      const person = await this.people.find(request.instructorId);
      if (person?.clubId !== clubId) return { kind: 'person-unknown' };
    }
    if (request.name === undefined) return null;
    const same = await rows<{ id: string }>(
      this.source,
      'SELECT id FROM teaching_group WHERE club_id = $1 AND lower(name) = lower($2) AND archived_at IS NULL',
      [clubId, request.name],
    );
    return same.some((group) => group.id !== self) ? { kind: 'name-taken' } : null;
  }
}
