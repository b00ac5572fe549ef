import type { AddGroupRequest, ChangeGroupRequest, GroupResponse } from '@leiter/contract';
import { accepted, refused, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import { DataSource, Repository } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { PeopleService } from '../people/people.service.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { GroupEntity } from './group.entity.js';

export type GroupRefusal = { readonly kind: 'name-taken' } | { readonly kind: 'programme-unknown' } | { readonly kind: 'person-unknown' };

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
}

const selectGroups = `
  SELECT g.id, g.name, p.slug AS programme, g.weekday, g.starts_at, g.length_minutes, g.instructor_id,
         g.archived_at IS NOT NULL AS archived,
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
  };
}

@Injectable()
export class GroupsService {
  constructor(
    @InjectRepository(GroupEntity) private readonly groups: Repository<GroupEntity>,
    @InjectDataSource() private readonly source: DataSource,
    private readonly people: PeopleService,
    private readonly syllabuses: SyllabusService,
  ) {}

  async list(clubId: string): Promise<readonly GroupResponse[]> {
    const found = await rows<GroupRow>(this.source, `${selectGroups} ORDER BY g.weekday, g.starts_at, g.name`, [clubId]);
    return found.map(groupResponse);
  }

  async find(clubId: string, id: string): Promise<GroupResponse> {
    const [row] = await rows<GroupRow>(this.source, `${selectGroups} AND g.id = $2`, [clubId, id]);
    if (!row) throw notFound('group');
    return groupResponse(row);
  }

  async add(clubId: string, request: AddGroupRequest): Promise<Result<GroupResponse, GroupRefusal>> {
    const programme = await this.syllabuses.programmeBySlug(clubId, request.programme);
    if (!programme) return refused({ kind: 'programme-unknown' });
    const refusal = await this.refusalOf(clubId, request, null);
    if (refusal) return refused(refusal);
    const saved = await this.groups.save(
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
    return accepted(await this.find(clubId, saved.id));
  }

  async change(clubId: string, id: string, request: ChangeGroupRequest): Promise<Result<GroupResponse, GroupRefusal>> {
    const group = await this.groups.findOneBy({ id, clubId });
    if (!group) throw notFound('group');
    const refusal = await this.refusalOf(clubId, request, id);
    if (refusal) return refused(refusal);
    const { archived, ...changes } = request;
    const archivedAt = archived === undefined ? group.archivedAt : archived ? (group.archivedAt ?? new Date()) : null;
    await this.groups.save(Object.assign(group, changes, { archivedAt }));
    return accepted(await this.find(clubId, id));
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
