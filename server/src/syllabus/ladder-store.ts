import type { SyllabusResponse } from '@leiter/contract';
import { differingFields, gradeAbove, type Grade, type LadderVersion } from '@leiter/core';
import type { EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { GradeEntity } from './grade.entity.js';
import { RequirementEntity } from './requirement.entity.js';
import { SyllabusEntity } from './syllabus.entity.js';
import { coreSyllabus } from './syllabus.service.js';

/** Where a version of a ladder belongs, and who made it; nobody for one that ships. */
export interface LadderPlace {
  readonly clubId: string;
  readonly programmeId: string;
  readonly version: number;
  readonly madeBy: string | null;
}

/** Stores a version of a ladder; earlier ones stay as they are. @returns its id */
export async function storeLadder(
  manager: EntityManager,
  { clubId, programmeId, version, madeBy }: LadderPlace,
  ladder: LadderVersion,
): Promise<string> {
  const syllabus = await manager.save(manager.create(SyllabusEntity, { clubId, programmeId, version, madeBy }));
  const grades = await manager.save(
    ladder.grades.map(({ requirements: _asked, ...grade }, position) =>
      manager.create(GradeEntity, { clubId, syllabusId: syllabus.id, position, ...grade }),
    ),
  );
  await manager.save(
    ladder.grades.flatMap((grade, index) =>
      grade.requirements.map(({ movement, stage, criterion, isPutAway }, position) =>
        manager.create(RequirementEntity, {
          clubId,
          gradeId: grades[index]?.id ?? '',
          position,
          movementSlug: movement,
          stage,
          criterion,
          isPutAway,
        }),
      ),
    ),
  );
  return syllabus.id;
}

/**
 * Lets children who began a grade finish it as they began it: those whose next grade asks for something else on the new
 * ladder stay on the old one. Children who stand between two grades that both versions have climb the new one at once.
 * @returns how many stay
 */
export async function keepClimbers(
  manager: EntityManager,
  place: { readonly clubId: string; readonly programmeId: string; readonly syllabusId: string },
  before: SyllabusResponse,
  after: LadderVersion,
): Promise<number> {
  const climbers = await rows<{ child_id: string; earned: readonly string[] }>(
    manager,
    `SELECT e.child_id, array(
       SELECT g.slug FROM grade_award a JOIN grade g ON g.id = a.grade_id JOIN syllabus s ON s.id = g.syllabus_id
       WHERE a.child_id = e.child_id AND s.programme_id = $2) AS earned
     FROM enrolment e JOIN teaching_group t ON t.id = e.group_id
     WHERE e.club_id = $1 AND t.programme_id = $2
       AND NOT EXISTS (SELECT 1 FROM ladder_pin i WHERE i.child_id = e.child_id AND i.programme_id = $2)
     GROUP BY e.child_id`,
    [place.clubId, place.programmeId],
  );
  const old = coreSyllabus(before);
  const staying = climbers.filter(({ earned }) => {
    const next = gradeAbove(old, earned);
    return next !== null && isDifferent(next, gradeOn(after, earned));
  });
  await manager.query(
    `INSERT INTO ladder_pin (club_id, child_id, programme_id, syllabus_id) SELECT $1, child_id, $2, $3 FROM unnest($4::uuid[]) AS child_id`,
    [place.clubId, place.programmeId, place.syllabusId, staying.map(({ child_id }) => child_id)],
  );
  return staying.length;
}

type Asked = Pick<Grade, 'slug' | 'leastWeeksInGrade' | 'leastClasses' | 'leastAgeYears'> & {
  readonly requirements: readonly Pick<Grade['requirements'][number], 'movement' | 'stage' | 'criterion'>[];
};

function gradeOn(ladder: LadderVersion, earned: readonly string[]): Asked | null {
  const grades = ladder.grades.map((grade) => ({
    ...grade,
    id: grade.slug,
    requirements: grade.requirements.filter(({ isPutAway }) => !isPutAway).map((one) => ({ ...one, id: one.movement })),
  }));
  return gradeAbove({ programme: '', version: 0, grades }, earned);
}

/** Whether two grades ask for something else; a new name or another order asks for the same. */
function isDifferent(one: Asked, other: Asked | null): boolean {
  return other === null || differingFields(asked(one), asked(other)).length > 0;
}

function asked({ slug, leastWeeksInGrade, leastClasses, leastAgeYears, requirements }: Asked): object {
  const wanted = requirements.map(({ movement, stage, criterion }) => [`${movement} ${String(stage ?? 0)}`, criterion] as const);
  return { slug, leastWeeksInGrade, leastClasses, leastAgeYears, requirements: Object.fromEntries(wanted) };
}
