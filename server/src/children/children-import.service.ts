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
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { GroupsService } from '../groups/groups.service.js';
import { notFound } from '../http/problem.js';
import { readTable, writeTable } from '../http/spreadsheet.js';
import type { Asker } from '../people/session.guard.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { ChildEntity } from './child.entity.js';
import { EnrolmentEntity } from './enrolment.entity.js';
import { GradeAwardEntity } from './grade-award.entity.js';

/** What an import did to a child, by ids only. */
interface Before {
  readonly childId: string;
  readonly isNew: boolean;
  readonly leadSide: 'left' | 'right' | null;
  readonly enrolments: readonly string[];
  readonly awards: readonly string[];
}

/** The household of a child of which a list says nothing: the careful side, until somebody says what is there. */
const unknownHousehold = {
  surface: 'tiles',
  clearLengthM: 2,
  clearWidthM: 1.5,
  things: [],
  adult: 'not-at-hand',
  partner: false,
  quietHours: null,
} as const;

@Injectable()
export class ChildrenImportService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly groups: GroupsService,
    private readonly syllabuses: SyllabusService,
  ) {}

  async write(clubId: string): Promise<string> {
    return writeTable(childrenTable(await this.context(clubId)));
  }

  /** Takes in a list of children, all or none. */
  async take(
    asker: Asker,
    text: string,
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<ChildrenImportResponse, readonly CellFault[]>> {
    const context = await this.context(asker.clubId);
    const read = readChildrenTable(readTable(text), context);
    if (!read.ok) return read;
    const lines = read.value.map(({ row, givenName, familyInitial, what, fields }) => ({
      row,
      name: `${givenName} ${familyInitial}`,
      what,
      fields,
    }));
    const touched = read.value.filter(({ what }) => what !== 'same');
    if (isDryRun || touched.length === 0) return accepted({ lines, importId: null });
    const importId = await this.source.transaction(async (manager) => {
      const before: Before[] = [];
      for (const intakes of groupBy(touched, ({ firstRow }) => firstRow).values())
        before.push(await storeChild(manager, asker, intakes, context.today));
      const [stored] = await rows<{ id: string }>(
        manager,
        'INSERT INTO children_import (club_id, imported_by, before) VALUES ($1, $2, $3) RETURNING id',
        [asker.clubId, asker.id, JSON.stringify(before)],
      );
      return stored?.id ?? null;
    });
    return accepted({ lines, importId });
  }

  /** Undoes an import, while nothing was noted of the children it brought. */
  async undo(clubId: string, id: string): Promise<Result<undefined, { readonly kind: 'in-use'; readonly count: number }>> {
    return this.source.transaction(async (manager) => {
      const [found] = await rows<{ before: readonly Before[] }>(
        manager,
        'SELECT before FROM children_import WHERE club_id = $1 AND id = $2 AND undone_at IS NULL FOR UPDATE',
        [clubId, id],
      );
      if (!found) throw notFound('import');
      const added = found.before.filter(({ isNew }) => isNew).map(({ childId }) => childId);
      const used = await rows<{ id: string }>(
        manager,
        `SELECT c.id FROM child c WHERE c.id = ANY($1) AND (EXISTS (SELECT 1 FROM observation o WHERE o.child_id = c.id)
           OR EXISTS (SELECT 1 FROM attendance a WHERE a.child_id = c.id)
           OR EXISTS (SELECT 1 FROM grade_award w WHERE w.child_id = c.id AND NOT w.id = ANY($2)))`,
        [added, found.before.flatMap(({ awards }) => awards)],
      );
      if (used.length > 0) return refused({ kind: 'in-use', count: used.length });
      await manager.query('DELETE FROM grade_award WHERE id = ANY($1)', [found.before.flatMap(({ awards }) => awards)]);
      await manager.query('DELETE FROM enrolment WHERE id = ANY($1)', [found.before.flatMap(({ enrolments }) => enrolments)]);
      for (const { childId, isNew, leadSide } of found.before)
        if (!isNew && leadSide) await manager.update(ChildEntity, { id: childId, clubId }, { leadSide });
      await manager.query('DELETE FROM child WHERE club_id = $1 AND id = ANY($2)', [clubId, added]);
      await manager.query('UPDATE children_import SET undone_at = now() WHERE id = $1', [id]);
      return accepted(undefined);
    });
  }

  /** What a list is read against; children who were put away are not in it. */
  private async context(clubId: string): Promise<ChildrenTableContext> {
    const [today, groups, ladders, children, enrolments, awards] = await Promise.all([
      this.clubs.today(clubId),
      this.groups.list(clubId),
      this.syllabuses.list(clubId),
      rows<Pick<ChildEntity, 'id' | 'givenName' | 'familyInitial' | 'birthDate' | 'leadSide'>>(
        this.source,
        `SELECT id, given_name AS "givenName", family_initial AS "familyInitial", birth_date AS "birthDate", lead_side AS "leadSide"
         FROM child WHERE club_id = $1 AND archived_at IS NULL ORDER BY given_name, family_initial`,
        [clubId],
      ),
      rows<{ child_id: string; group_id: string }>(
        this.source,
        'SELECT child_id, group_id FROM enrolment WHERE club_id = $1 AND to_day IS NULL ORDER BY from_day, group_id',
        [clubId],
      ),
      rows<{ child_id: string; programme: string; slug: string }>(
        this.source,
        `SELECT a.child_id, p.slug AS programme, g.slug FROM grade_award a JOIN grade g ON g.id = a.grade_id
         JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id WHERE a.club_id = $1`,
        [clubId],
      ),
    ]);
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

async function storeChild(manager: EntityManager, asker: Asker, intakes: readonly ChildIntake[], today: string): Promise<Before> {
  const { clubId } = asker;
  const [first] = intakes;
  if (!first) throw new Error('a child without a row');
  const { knownId, givenName, familyInitial, birthDate, leadSide } = first;
  const known = knownId === null ? null : await manager.findOneByOrFail(ChildEntity, { id: knownId, clubId });
  const turnsTo = intakes.find(({ fields }) => fields.includes('lead side'))?.leadSide;
  const before = known?.leadSide ?? null;
  const child = known
    ? await manager.save(Object.assign(known, { leadSide: turnsTo ?? known.leadSide }))
    : await manager.save(
        manager.create(ChildEntity, {
          clubId,
          givenName,
          familyInitial,
          birthDate,
          leadSide,
          household: { ...unknownHousehold, things: [] },
          archivedAt: null,
        }),
      );
  const enrolments = await manager.save(
    intakes.flatMap(({ groupId }) =>
      groupId === null ? [] : [manager.create(EnrolmentEntity, { clubId, childId: child.id, groupId, fromDay: today, toDay: null })],
    ),
  );
  const gradeIds = [...new Set(intakes.flatMap(({ gradeId }) => gradeId ?? []))];
  const awards = await manager.save(
    gradeIds.map((gradeId) =>
      manager.create(GradeAwardEntity, { clubId, childId: child.id, gradeId, awardedOn: today, awardedBy: asker.id }),
    ),
  );
  return {
    childId: child.id,
    isNew: !known,
    leadSide: before,
    enrolments: enrolments.map(({ id }) => id),
    awards: awards.map(({ id }) => id),
  };
}
