import type { GradeResponse, SyllabusResponse } from '@leiter/contract';
import type { Syllabus } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository } from 'typeorm';
import { GradeEntity } from './grade.entity.js';
import { ProgrammeEntity } from './programme.entity.js';
import { RequirementEntity } from './requirement.entity.js';
import { SyllabusEntity } from './syllabus.entity.js';

@Injectable()
export class SyllabusService {
  constructor(
    @InjectRepository(ProgrammeEntity) private readonly programmes: Repository<ProgrammeEntity>,
    @InjectRepository(SyllabusEntity) private readonly syllabuses: Repository<SyllabusEntity>,
    @InjectRepository(GradeEntity) private readonly grades: Repository<GradeEntity>,
    @InjectRepository(RequirementEntity) private readonly requirements: Repository<RequirementEntity>,
  ) {}

  /** The newest version of every programme's ladder, in four queries whatever their number. */
  async list(clubId: string): Promise<readonly SyllabusResponse[]> {
    const programmes = await this.programmes.find({ where: { clubId }, order: { name: 'ASC' } });
    const syllabuses = await this.syllabuses.find({ where: { clubId }, order: { version: 'DESC' } });
    const newest = programmes.flatMap((programme) => syllabuses.find((one) => one.programmeId === programme.id) ?? []);
    const grades = await this.grades.find({ where: { clubId, syllabusId: In(newest.map(({ id }) => id)) }, order: { position: 'ASC' } });
    const requirements = await this.requirements.find({
      where: { clubId, gradeId: In(grades.map(({ id }) => id)) },
      order: { position: 'ASC' },
    });
    return programmes.map((programme) => {
      const syllabus = newest.find((one) => one.programmeId === programme.id);
      return {
        programme: programme.slug,
        programmeName: programme.name,
        stretchingSchool: programme.stretchingSchool,
        startsAs: programme.startsAs,
        version: syllabus?.version ?? 0,
        grades: grades.filter((grade) => grade.syllabusId === syllabus?.id).map((grade) => gradeResponse(grade, requirements)),
      };
    });
  }

  async ladderOf(clubId: string, programme: string): Promise<SyllabusResponse | null> {
    return (await this.list(clubId)).find((one) => one.programme === programme) ?? null;
  }

  programmeBySlug(clubId: string, slug: string): Promise<ProgrammeEntity | null> {
    return this.programmes.findOneBy({ clubId, slug });
  }
}

function gradeResponse(grade: GradeEntity, requirements: readonly RequirementEntity[]): GradeResponse {
  return {
    id: grade.id,
    slug: grade.slug,
    name: grade.name,
    leastWeeksInGrade: grade.leastWeeksInGrade,
    leastClasses: grade.leastClasses,
    leastAgeYears: grade.leastAgeYears,
    requirements: requirements
      .filter((one) => one.gradeId === grade.id)
      .map((one) => ({ id: one.id, movement: one.movementSlug, stage: one.stage, criterion: one.criterion })),
  };
}

/** The ladder as core reckons with it. */
export function coreSyllabus(response: SyllabusResponse): Syllabus {
  return { programme: response.programme, version: response.version, grades: response.grades };
}
