import type { GradeResponse, SyllabusResponse } from '@leiter/contract';
import type { Criterion, Syllabus } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource, InjectRepository } from '@nestjs/typeorm';
import { DataSource, Repository } from 'typeorm';
import { rows } from '../database/rows.js';
import { ProgrammeEntity } from './programme.entity.js';

interface LadderRow {
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
  readonly requirement_id: string | null;
  readonly movement_slug: string;
  readonly stage: number | null;
  readonly criterion: Criterion;
}

/** One row per requirement of the newest version of each ladder, in its order. */
const selectLadders = `
  SELECT p.slug AS programme, p.name AS programme_name, p.stretching_school, p.starts_as, s.version,
         g.id AS grade_id, g.slug, g.name, g.least_weeks_in_grade, g.least_classes, g.least_age_years,
         r.id AS requirement_id, r.movement_slug, r.stage, r.criterion
  FROM programme p
  LEFT JOIN LATERAL (SELECT id, version FROM syllabus WHERE programme_id = p.id ORDER BY version DESC LIMIT 1) s ON true
  LEFT JOIN grade g ON g.syllabus_id = s.id
  LEFT JOIN requirement r ON r.grade_id = g.id
  WHERE p.club_id = $1 AND ($2::text IS NULL OR p.slug = $2)
  ORDER BY p.name, g.position, r.position`;

@Injectable()
export class SyllabusService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    @InjectRepository(ProgrammeEntity) private readonly programmes: Repository<ProgrammeEntity>,
  ) {}

  /** The newest version of every programme's ladder, in one query. */
  async list(clubId: string): Promise<readonly SyllabusResponse[]> {
    return laddersOf(await rows<LadderRow>(this.source, selectLadders, [clubId, null]));
  }

  async ladderOf(clubId: string, programme: string): Promise<SyllabusResponse | null> {
    return laddersOf(await rows<LadderRow>(this.source, selectLadders, [clubId, programme]))[0] ?? null;
  }

  programmeBySlug(clubId: string, slug: string): Promise<ProgrammeEntity | null> {
    return this.programmes.findOneBy({ clubId, slug });
  }
}

function laddersOf(found: readonly LadderRow[]): readonly SyllabusResponse[] {
  const programmes = [...new Set(found.map(({ programme }) => programme))];
  return programmes.map((programme) => {
    const own = found.filter((row) => row.programme === programme);
    const gradeIds = [...new Set(own.flatMap((row) => row.grade_id ?? []))];
    return {
      programme,
      programmeName: own[0]?.programme_name ?? '',
      stretchingSchool: own[0]?.stretching_school ?? 'dynamic-first',
      startsAs: own[0]?.starts_as ?? '',
      version: own[0]?.version ?? 0,
      grades: gradeIds.map((id) =>
        gradeOf(
          id,
          own.filter((row) => row.grade_id === id),
        ),
      ),
    };
  });
}

function gradeOf(id: string, own: readonly LadderRow[]): GradeResponse {
  const [first] = own;
  return {
    id,
    slug: first?.slug ?? '',
    name: first?.name ?? '',
    leastWeeksInGrade: first?.least_weeks_in_grade ?? 0,
    leastClasses: first?.least_classes ?? 0,
    leastAgeYears: first?.least_age_years ?? 0,
    requirements: own.flatMap((row) =>
      row.requirement_id === null
        ? []
        : [{ id: row.requirement_id, movement: row.movement_slug, stage: row.stage, criterion: row.criterion }],
    ),
  };
}

/** The ladder as core reckons with it. */
export function coreSyllabus(response: SyllabusResponse): Syllabus {
  return { programme: response.programme, version: response.version, grades: response.grades };
}
