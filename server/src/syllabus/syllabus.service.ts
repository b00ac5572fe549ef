import type { GradeResponse, SyllabusResponse } from '@leiter/contract';
import { groupBy, type Criterion, type LadderVersion, type Syllabus } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import { DataSource, Repository, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { ProgrammeEntity } from './programme.entity.js';

interface LadderRow {
  readonly syllabus_id: string | null;
  readonly programme: string;
  readonly programme_name: string;
  readonly stretching_school: SyllabusResponse['stretchingSchool'];
  readonly starts_as: string;
  readonly version: number | null;
  readonly grade_id: string | null;
  readonly slug: string;
  readonly name: string;
  readonly least_weeks_in_grade: number;
  readonly least_classes: number;
  readonly least_age_years: number;
  readonly is_put_away: boolean;
  readonly requirement_id: string | null;
  readonly movement_slug: string;
  readonly stage: number | null;
  readonly criterion: Criterion;
  readonly is_requirement_put_away: boolean;
}

/** The ladders of one programme that are climbed now: the newest version, and those on which some finish the grade they began. */
export interface Climbed {
  readonly newest: SyllabusResponse;
  readonly ladderOf: (childId: string) => SyllabusResponse;
}

const ladderColumns = `
  SELECT p.slug AS programme, p.name AS programme_name, p.stretching_school, p.starts_as, s.id AS syllabus_id, s.version,
         g.id AS grade_id, g.slug, g.name, g.least_weeks_in_grade, g.least_classes, g.least_age_years, g.is_put_away,
         r.id AS requirement_id, r.movement_slug, r.stage, r.criterion, r.is_put_away AS is_requirement_put_away
  FROM programme p`;

/** One row per requirement of the newest version of each ladder, and of those that are still climbed where `$3` asks for them. */
const selectLadders = `${ladderColumns}
  LEFT JOIN syllabus s ON s.programme_id = p.id AND (
    s.version = (SELECT max(version) FROM syllabus WHERE programme_id = p.id)
    OR ($3 AND s.id IN (SELECT syllabus_id FROM ladder_pin WHERE programme_id = p.id)))
  LEFT JOIN grade g ON g.syllabus_id = s.id
  LEFT JOIN requirement r ON r.grade_id = g.id
  WHERE p.club_id = $1 AND ($2::text IS NULL OR p.slug = $2)
  ORDER BY p.name, s.version DESC, g.position, r.position`;

@Injectable()
export class SyllabusService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    @InjectRepository(ProgrammeEntity) private readonly programmes: Repository<ProgrammeEntity>,
  ) {}

  /** The newest version of every programme's ladder, in one query. */
  async list(clubId: string, source: DataSource | EntityManager = this.source): Promise<readonly SyllabusResponse[]> {
    return laddersOf(await rows<LadderRow>(source, selectLadders, [clubId, null, false])).map(({ ladder }) => ladder);
  }

  async ladderOf(clubId: string, programme: string): Promise<SyllabusResponse | null> {
    return laddersOf(await rows<LadderRow>(this.source, selectLadders, [clubId, programme, false]))[0]?.ladder ?? null;
  }

  /** Which version each child climbs; two queries. */
  async climbed(clubId: string, programme: string): Promise<Climbed | null> {
    const [found, pins] = await Promise.all([
      rows<LadderRow>(this.source, selectLadders, [clubId, programme, true]),
      rows<{ child_id: string; syllabus_id: string }>(
        this.source,
        `SELECT i.child_id, i.syllabus_id FROM ladder_pin i JOIN programme p ON p.id = i.programme_id WHERE i.club_id = $1 AND p.slug = $2`,
        [clubId, programme],
      ),
    ]);
    const ladders = laddersOf(found);
    const newest = ladders[0]?.ladder;
    if (!newest) return null;
    const byId = new Map(ladders.map(({ id, ladder }) => [id, ladder]));
    const byChild = new Map(pins.map((pin) => [pin.child_id, byId.get(pin.syllabus_id)]));
    return { newest, ladderOf: (childId) => byChild.get(childId) ?? newest };
  }

  /** Grades of whatever version, by their ids. */
  async gradesById(clubId: string, ids: readonly string[]): Promise<ReadonlyMap<string, GradeResponse>> {
    const found = await rows<LadderRow>(
      this.source,
      `${ladderColumns} JOIN syllabus s ON s.programme_id = p.id JOIN grade g ON g.syllabus_id = s.id LEFT JOIN requirement r ON r.grade_id = g.id
       WHERE p.club_id = $1 AND g.id = ANY($2) ORDER BY s.version DESC, g.position, r.position`,
      [clubId, ids],
    );
    return new Map(laddersOf(found).flatMap(({ ladder }) => ladder.grades.map((grade) => [grade.id, grade] as const)));
  }

  programmeBySlug(clubId: string, slug: string): Promise<ProgrammeEntity | null> {
    return this.programmes.findOneBy({ clubId, slug });
  }
}

/** The ladders of the rows, the newest version of a programme first. */
function laddersOf(found: readonly LadderRow[]): readonly { readonly id: string; readonly ladder: SyllabusResponse }[] {
  const keyOf = (row: LadderRow): string => row.syllabus_id ?? row.programme;
  return [...groupBy(found, keyOf)].map(([id, own]) => {
    const [first] = own;
    return {
      id,
      ladder: {
        programme: first?.programme ?? '',
        programmeName: first?.programme_name ?? '',
        stretchingSchool: first?.stretching_school ?? 'dynamic-first',
        startsAs: first?.starts_as ?? '',
        version: first?.version ?? 0,
        grades: [
          ...groupBy(
            own.filter(({ grade_id }) => grade_id !== null),
            (row) => row.grade_id ?? '',
          ),
        ].map(([gradeId, asked]) => gradeOf(gradeId, asked)),
      },
    };
  });
}

function gradeOf(id: string, own: readonly LadderRow[]): GradeResponse {
  const [first] = own;
  const requirementsOf = (rows: readonly LadderRow[]): GradeResponse['requirements'] =>
    rows.flatMap((row) =>
      row.requirement_id === null
        ? []
        : [{ id: row.requirement_id, movement: row.movement_slug, stage: row.stage, criterion: row.criterion }],
    );
  return {
    id,
    slug: first?.slug ?? '',
    name: first?.name ?? '',
    leastWeeksInGrade: first?.least_weeks_in_grade ?? 0,
    leastClasses: first?.least_classes ?? 0,
    leastAgeYears: first?.least_age_years ?? 0,
    isPutAway: first?.is_put_away ?? false,
    requirements: requirementsOf(own.filter((row) => !row.is_requirement_put_away)),
    putAwayRequirements: requirementsOf(own.filter((row) => row.is_requirement_put_away)),
  };
}

/** The ladder as core reckons with it. */
export function coreSyllabus(response: SyllabusResponse): Syllabus {
  return { programme: response.programme, version: response.version, grades: response.grades };
}

/** The ladder as a version of it is written: with what was put away, by slugs, without the ids of the club. */
export function writtenLadder(response: SyllabusResponse): LadderVersion {
  return {
    grades: response.grades.map(({ id: _id, requirements, putAwayRequirements, ...grade }) => ({
      ...grade,
      requirements: [
        ...requirements.map(({ id: _own, ...requirement }) => ({ ...requirement, isPutAway: false })),
        ...putAwayRequirements.map(({ id: _own, ...requirement }) => ({ ...requirement, isPutAway: true })),
      ],
    })),
  };
}
