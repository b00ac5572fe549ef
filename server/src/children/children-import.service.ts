import { randomUUID } from 'node:crypto';
import type { ChildrenImportResponse } from '@leiter/contract';
import {
  accepted,
  childrenTable,
  gradesInUse,
  groupBy,
  readChildrenTable,
  refused,
  type CellFault,
  type ChildIntake,
  type ChildrenTableContext,
  type Result,
  type Side,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { ImportsService } from '../imports/imports.service.js';
import { StaffService } from '../staff/staff.service.js';
import { GroupsService } from '../groups/groups.service.js';
import { readTable, writeTable } from '../http/spreadsheet.js';
import type { Asker } from '../people/asker.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import type { ChildEntity } from './child.entity.js';
import { unknownHousehold } from './child.mapper.js';

/** What an import did to a child, by ids only. */
interface Before {
  readonly childId: string;
  readonly isNew: boolean;
  readonly leadSide: Side | null;
  readonly enrolments: readonly string[];
  readonly awards: readonly string[];
}

@Injectable()
export class ChildrenImportService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly groups: GroupsService,
    private readonly syllabuses: SyllabusService,
    private readonly imports: ImportsService,
    private readonly staff: StaffService,
  ) {}

  async write(clubId: string): Promise<string> {
    return writeTable(childrenTable(await this.context(clubId)));
  }

  /** Takes in a list of children, all or none. */
  take(
    asker: Asker,
    text: string,
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<ChildrenImportResponse, readonly CellFault[]>> {
    return this.imports.run(asker, 'children', { isDryRun }, async (manager) => {
      const context = await this.context(asker.clubId, manager);
      const read = readChildrenTable(readTable(text), context);
      if (!read.ok) return read;
      const barred = await this.barred(asker, read.value);
      if (barred.length > 0) return refused(barred);
      const lines = read.value.map(({ row, givenName, familyInitial, what, fields }) => ({
        row,
        name: `${givenName} ${familyInitial}`,
        what,
        fields,
      }));
      const touched = read.value.filter(({ what }) => what !== 'same');
      const store = (): Promise<readonly Before[]> => this.store(manager, asker, touched, context);
      return accepted({ told: { lines }, store: touched.length === 0 ? null : store });
    });
  }

  /** Undoes an import, while nothing was noted of the children it brought. */
  undo(clubId: string, id: string): Promise<Result<undefined, { readonly kind: 'in-use'; readonly count: number }>> {
    return this.imports.undo<readonly Before[], { readonly kind: 'in-use'; readonly count: number }>(
      clubId,
      'children',
      id,
      async (manager, { before }) => {
        const added = before.filter(({ isNew }) => isNew).map(({ childId }) => childId);
        const awards = before.flatMap((one) => one.awards);
        const enrolments = before.flatMap((one) => one.enrolments);
        const used = await rows<{ id: string }>(
          manager,
          `SELECT c.id FROM child c WHERE c.id = ANY($1) AND (c.health_version > 1 OR c.household_version > 1
             OR EXISTS (SELECT 1 FROM observation o WHERE o.child_id = c.id)
             OR EXISTS (SELECT 1 FROM attendance a WHERE a.child_id = c.id)
             OR EXISTS (SELECT 1 FROM enrolment e WHERE e.child_id = c.id AND NOT e.id = ANY($3))
             OR EXISTS (SELECT 1 FROM grade_award w WHERE w.child_id = c.id AND NOT w.id = ANY($2))) FOR UPDATE`,
          [added, awards, enrolments],
        );
        if (used.length > 0) return refused({ kind: 'in-use', count: used.length });
        await manager.query('DELETE FROM grade_award WHERE club_id = $1 AND id = ANY($2)', [clubId, awards]);
        await manager.query('DELETE FROM enrolment WHERE club_id = $1 AND id = ANY($2)', [clubId, enrolments]);
        const turned = before.filter(({ isNew, leadSide }) => !isNew && leadSide !== null);
        await manager.query(
          'UPDATE child c SET lead_side = t.side FROM unnest($2::uuid[], $3::text[]) AS t (id, side) WHERE c.club_id = $1 AND c.id = t.id',
          [clubId, turned.map(({ childId }) => childId), turned.map(({ leadSide }) => leadSide)],
        );
        await manager.query('DELETE FROM child WHERE club_id = $1 AND id = ANY($2)', [clubId, added]);
        return accepted(undefined);
      },
    );
  }

  /** Children that the one who brings the list may not put into a group: that is for their staff and the owner. */
  private async barred(asker: Asker, intakes: readonly ChildIntake[]): Promise<readonly CellFault[]> {
    if (asker.role === 'owner') return [];
    const moved = intakes.filter(({ knownId, groupId }) => knownId !== null && groupId !== null);
    const faults: CellFault[] = [];
    for (const { row, knownId } of moved)
      if (!(await this.staff.mayMove(asker, knownId ?? '')))
        faults.push({
          row,
          column: 'group',
          kind: 'not-right',
          found: 'Another instructor teaches this child: ask them or the owner to add it here.',
        });
    return faults;
  }

  /** Stores what the rows ask for, in as many statements whatever their number. */
  private async store(
    manager: EntityManager,
    asker: Asker,
    touched: readonly ChildIntake[],
    { today, groups }: ChildrenTableContext,
  ): Promise<readonly Before[]> {
    const { clubId } = asker;
    const children = [...groupBy(touched, ({ firstRow }) => firstRow).values()].flatMap((intakes) => {
      const [first] = intakes;
      if (!first) return [];
      const turnsTo = intakes.find(({ fields }) => fields.includes('lead side'))?.leadSide ?? null;
      return [{ id: first.knownId ?? randomUUID(), first, intakes, turnsTo }];
    });
    const added = children.filter(({ first }) => first.knownId === null);
    await manager.query(
      `INSERT INTO child (id, club_id, given_name, family_initial, birth_date, lead_side, household, home_known)
       SELECT t.id, $1, t.given, t.family, t.birth, t.side, $7, false FROM unnest($2::uuid[], $3::text[], $4::text[], $5::date[], $6::text[]) AS t (id, given, family, birth, side)`,
      [
        clubId,
        added.map(({ id }) => id),
        added.map(({ first }) => first.givenName),
        added.map(({ first }) => first.familyInitial),
        added.map(({ first }) => first.birthDate),
        added.map(({ first, turnsTo }) => turnsTo ?? first.leadSide),
        JSON.stringify(unknownHousehold),
      ],
    );
    const turned = children.filter(({ first, turnsTo }) => first.knownId !== null && turnsTo !== null);
    const sides = await rows<{ id: string; lead_side: Side }>(
      manager,
      'SELECT id, lead_side FROM child WHERE club_id = $1 AND id = ANY($2)',
      [clubId, turned.map(({ id }) => id)],
    );
    await manager.query(
      'UPDATE child c SET lead_side = t.side FROM unnest($2::uuid[], $3::text[]) AS t (id, side) WHERE c.club_id = $1 AND c.id = t.id',
      [clubId, turned.map(({ id }) => id), turned.map(({ turnsTo }) => turnsTo)],
    );
    const joins = children.flatMap(({ id, intakes }) => intakes.flatMap(({ groupId }) => (groupId === null ? [] : [{ id, groupId }])));
    const enrolments = await rows<{ id: string; child_id: string }>(
      manager,
      `INSERT INTO enrolment (club_id, child_id, group_id, from_day) SELECT $1, t.child, t.grp, $4 FROM unnest($2::uuid[], $3::uuid[]) AS t (child, grp)
       ON CONFLICT DO NOTHING RETURNING id, child_id`,
      [clubId, joins.map(({ id }) => id), joins.map(({ groupId }) => groupId), today],
    );
    const given = children.flatMap(({ id, intakes }) =>
      [...new Set(intakes.flatMap(({ gradeId }) => gradeId ?? []))].map((gradeId) => ({ id, gradeId })),
    );
    const awards = await rows<{ id: string; child_id: string }>(
      manager,
      `INSERT INTO grade_award (club_id, child_id, grade_id, awarded_on, awarded_by) SELECT $1, t.child, t.grade, $4, $5
       FROM unnest($2::uuid[], $3::uuid[]) AS t (child, grade) ON CONFLICT (child_id, grade_id) DO NOTHING RETURNING id, child_id`,
      [clubId, given.map(({ id }) => id), given.map(({ gradeId }) => gradeId), today, asker.id],
    );
    for (const [groupId, own] of groupBy(joins, (one) => one.groupId))
      await this.staff.log(
        manager,
        asker,
        own.map(({ id }) => id),
        { kind: 'joined-group', detail: { group: groups.find(({ id }) => id === groupId)?.name ?? '' } },
      );
    const [sideOf, enrolmentsOf, awardsOf] = [
      new Map(sides.map(({ id, lead_side: side }) => [id, side])),
      groupBy(enrolments, ({ child_id: id }) => id),
      groupBy(awards, ({ child_id: id }) => id),
    ];
    return children.map(({ id, first }) => ({
      childId: id,
      isNew: first.knownId === null,
      leadSide: sideOf.get(id) ?? null,
      enrolments: (enrolmentsOf.get(id) ?? []).map((one) => one.id),
      awards: (awardsOf.get(id) ?? []).map((one) => one.id),
    }));
  }

  /** What a list is read against; children who were put away are not in it. */
  private async context(clubId: string, source: DataSource | EntityManager = this.source): Promise<ChildrenTableContext> {
    const [today, groups, ladders] = await Promise.all([this.clubs.today(clubId), this.groups.list(clubId), this.syllabuses.list(clubId)]);
    // one after the other: within a transaction they share a connection
    const children = await rows<Pick<ChildEntity, 'id' | 'givenName' | 'familyInitial' | 'birthDate' | 'leadSide'>>(
      source,
      `SELECT id, given_name AS "givenName", family_initial AS "familyInitial", birth_date AS "birthDate", lead_side AS "leadSide"
       FROM child WHERE club_id = $1 AND archived_at IS NULL ORDER BY given_name, family_initial`,
      [clubId],
    );
    const enrolments = await rows<{ child_id: string; group_id: string }>(
      source,
      'SELECT child_id, group_id FROM enrolment WHERE club_id = $1 AND to_day IS NULL ORDER BY from_day, group_id',
      [clubId],
    );
    const awards = await rows<{ child_id: string; programme: string; slug: string }>(
      source,
      `SELECT a.child_id, p.slug AS programme, g.slug FROM grade_award a JOIN grade g ON g.id = a.grade_id
       JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id WHERE a.club_id = $1`,
      [clubId],
    );
    const groupsOf = groupBy(enrolments, ({ child_id }) => child_id);
    const awardsOf = groupBy(awards, ({ child_id }) => child_id);
    return {
      today,
      groups: groups.filter(({ archived }) => !archived),
      ladders: ladders.map(({ programme, startsAs, grades }) => ({ programme, startsAs, grades: gradesInUse(grades) })),
      children: children.map((child) => ({
        ...child,
        groupIds: (groupsOf.get(child.id) ?? []).map(({ group_id }) => group_id),
        earned: new Map(
          [...groupBy(awardsOf.get(child.id) ?? [], ({ programme }) => programme)].map(([programme, own]) => [
            programme,
            own.map(({ slug }) => slug),
          ]),
        ),
      })),
    };
  }
}
