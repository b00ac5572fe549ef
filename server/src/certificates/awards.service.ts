import type { Requirement } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { LibraryService } from '../library/library.service.js';

/** A grade that a child was given, with all that is printed or signed of it. */
export interface Award {
  readonly id: string;
  readonly clubName: string;
  readonly givenName: string;
  readonly familyInitial: string;
  readonly gradeId: string;
  readonly gradeName: string;
  readonly programmeName: string;
  readonly awardedOn: string;
  readonly awardedBy: string | null;
  /** Of the ladder. */
  readonly rungs: number;
  readonly earned: number;
  /** What the grade asks in the version in which it was earned. */
  readonly shown: readonly string[];
}

const select = `
  SELECT a.id, b.name AS "clubName", c.given_name AS "givenName", c.family_initial AS "familyInitial", g.id AS "gradeId", g.name AS "gradeName",
         p.name AS "programmeName", a.awarded_on AS "awardedOn", w.name AS "awardedBy",
         (SELECT count(*)::int FROM grade o WHERE o.syllabus_id = g.syllabus_id AND NOT o.is_put_away) AS rungs,
         (SELECT count(*)::int FROM grade o WHERE o.syllabus_id = g.syllabus_id AND NOT o.is_put_away AND o.position <= g.position) AS earned
  FROM grade_award a JOIN child c ON c.id = a.child_id JOIN club b ON b.id = a.club_id JOIN grade g ON g.id = a.grade_id
  JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id LEFT JOIN person w ON w.id = a.awarded_by
  WHERE a.club_id = $1`;

/** More are not read at once. */
export const mostAwards = 500;

/** The grades that were given, as papers and badges tell of them. */
@Injectable()
export class AwardsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
  ) {}

  /**
   * @param where SQL on a (award), c (child), g (grade), p (programme); $1 is the club
   * @returns by grade, then by name
   */
  async where(clubId: string, where: string, values: readonly unknown[]): Promise<readonly Award[]> {
    const awards = await rows<Omit<Award, 'shown'>>(
      this.source,
      `${select} AND ${where} ORDER BY g.position, c.given_name COLLATE "und-x-icu", c.family_initial LIMIT ${String(mostAwards)}`,
      [clubId, ...values],
    );
    const shown = await this.shownFor(clubId, [...new Set(awards.map(({ gradeId }) => gradeId))]);
    return awards.map((award) => ({ ...award, shown: shown(award.gradeId) }));
  }

  /** What grades ask, in words, by grade. */
  async shownFor(clubId: string, gradeIds: readonly string[]): Promise<(gradeId: string) => readonly string[]> {
    const [library, asked] = await Promise.all([
      this.library.library(clubId),
      rows<{ grade_id: string; movement_slug: string } & Pick<Requirement, 'stage'>>(
        this.source,
        'SELECT grade_id, movement_slug, stage FROM requirement WHERE club_id = $1 AND grade_id = ANY($2) AND NOT is_put_away ORDER BY grade_id, position',
        [clubId, gradeIds],
      ),
    ]);
    const nameOf = (slug: string, stage: number | null): string => {
      const movement = library.get(slug);
      const name = movement?.name ?? slug;
      const part = stage === null ? undefined : movement?.stages[stage - 1]?.name;
      return part === undefined || part.toLowerCase() === name.toLowerCase()
        ? name
        : `${name}: ${part.charAt(0).toLowerCase()}${part.slice(1)}`;
    };
    return (gradeId) =>
      asked.filter(({ grade_id }) => grade_id === gradeId).map(({ movement_slug, stage }) => nameOf(movement_slug, stage));
  }
}
