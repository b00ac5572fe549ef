import type { Requirement } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DateTime } from 'luxon';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { WorkersService } from '../work/workers.service.js';
import { certificatesDocument, type Certificate } from './certificate-paper.js';

/** More are not put into one file. */
const mostAtOnce = 500;

interface AwardRow {
  readonly club_name: string;
  readonly given_name: string;
  readonly family_initial: string;
  readonly grade_id: string;
  readonly grade_name: string;
  readonly programme_name: string;
  readonly awarded_on: string;
  readonly awarded_by: string | null;
  readonly rungs: number;
  readonly earned: number;
}

interface Paper {
  readonly pdf: Buffer;
  readonly name: string;
}

const dayWords = (day: string): string => DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('d LLLL yyyy');
const fileName = (...parts: readonly string[]): string =>
  `${parts
    .join(' ')
    .normalize('NFKD')
    .replaceAll(/[^A-Za-z0-9]+/g, '-')}.pdf`;

const selectAwards = `
  SELECT b.name AS club_name, c.given_name, c.family_initial, g.id AS grade_id, g.name AS grade_name, p.name AS programme_name, a.awarded_on,
         w.name AS awarded_by,
         (SELECT count(*)::int FROM grade o WHERE o.syllabus_id = g.syllabus_id AND NOT o.is_put_away) AS rungs,
         (SELECT count(*)::int FROM grade o WHERE o.syllabus_id = g.syllabus_id AND NOT o.is_put_away AND o.position <= g.position) AS earned
  FROM grade_award a JOIN child c ON c.id = a.child_id JOIN club b ON b.id = a.club_id JOIN grade g ON g.id = a.grade_id
  JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id LEFT JOIN person w ON w.id = a.awarded_by
  WHERE a.club_id = $1`;

/** Certificates on paper: of a grade for one child, of all grades that a group earned lately, and of having taken part in a class. */
@Injectable()
export class CertificatesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
    private readonly workers: WorkersService,
  ) {}

  async ofGrade(clubId: string, childId: string, gradeId: string): Promise<Paper> {
    const awards = await rows<AwardRow>(this.source, `${selectAwards} AND a.child_id = $2 AND a.grade_id = $3`, [clubId, childId, gradeId]);
    const [award] = awards;
    if (!award) throw notFound('grade of this child');
    return this.print(await this.certificates(clubId, awards), fileName(award.given_name, award.family_initial, award.grade_name));
  }

  /** @param since the first day on which the grade was given */
  async ofGroup(clubId: string, groupId: string, since: string): Promise<Paper> {
    const [group] = await rows<{ name: string; programme_id: string }>(
      this.source,
      'SELECT name, programme_id FROM teaching_group WHERE club_id = $1 AND id = $2',
      [clubId, groupId],
    );
    if (!group) throw notFound('group');
    const awards = await rows<AwardRow>(
      this.source,
      `${selectAwards} AND p.id = $2 AND a.awarded_on >= $3 AND c.archived_at IS NULL
         AND EXISTS (SELECT 1 FROM enrolment e WHERE e.child_id = c.id AND e.group_id = $4 AND e.to_day IS NULL)
       ORDER BY g.position, c.given_name COLLATE "und-x-icu", c.family_initial LIMIT ${String(mostAtOnce)}`,
      [clubId, group.programme_id, since, groupId],
    );
    if (awards.length === 0) throw notFound('grade of this group since then');
    return this.print(await this.certificates(clubId, awards), fileName('certificates', group.name, since));
  }

  async ofGrading(clubId: string, gradingId: string): Promise<Paper> {
    const awards = await rows<AwardRow>(
      this.source,
      `${selectAwards} AND EXISTS (SELECT 1 FROM grading_entry e WHERE e.club_id = $1 AND e.grading_id = $2 AND e.decision = 'granted'
         AND e.child_id = a.child_id AND e.grade_id = a.grade_id)
       ORDER BY g.position, c.given_name COLLATE "und-x-icu", c.family_initial LIMIT ${String(mostAtOnce)}`,
      [clubId, gradingId],
    );
    const [first] = awards;
    if (!first) throw notFound('grade that was given on this day');
    return this.print(await this.certificates(clubId, awards), fileName('certificates', first.awarded_on));
  }

  /** For everybody who was there. */
  async ofClass(clubId: string, classId: string): Promise<Paper> {
    const there = await rows<
      Pick<AwardRow, 'club_name' | 'given_name' | 'family_initial'> & {
        group_name: string;
        programme_name: string;
        day: string;
        taught_by: string | null;
      }
    >(
      this.source,
      `SELECT b.name AS club_name, c.given_name, c.family_initial, t.name AS group_name, p.name AS programme_name, s.day, w.name AS taught_by
       FROM class_session s JOIN attendance a ON a.class_id = s.id AND a.status IN ('present', 'late') JOIN child c ON c.id = a.child_id
       JOIN club b ON b.id = s.club_id JOIN teaching_group t ON t.id = s.group_id JOIN programme p ON p.id = t.programme_id
       LEFT JOIN person w ON w.id = coalesce(s.instructor_id, t.instructor_id)
       WHERE s.club_id = $1 AND s.id = $2 AND s.taught_at IS NOT NULL
       ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial`,
      [clubId, classId],
    );
    const [first] = there;
    if (!first) throw notFound('child that was there');
    const certificates = there.map((one): Certificate => ({
      clubName: one.club_name,
      childName: `${one.given_name} ${one.family_initial}`,
      says: 'took part in',
      title: one.group_name,
      about: `${one.programme_name}, ${dayWords(one.day)}`,
      shown: [],
      signedBy: one.taught_by,
      // nothing was climbed: an empty ladder
      ladder: { rungs: 7, earned: 0 },
    }));
    return this.print(certificates, fileName('took-part', first.group_name, first.day));
  }

  private async certificates(clubId: string, awards: readonly AwardRow[]): Promise<readonly Certificate[]> {
    const [library, asked] = await Promise.all([
      this.library.library(clubId),
      rows<{ grade_id: string; movement_slug: string } & Pick<Requirement, 'stage'>>(
        this.source,
        'SELECT grade_id, movement_slug, stage FROM requirement WHERE club_id = $1 AND grade_id = ANY($2) AND NOT is_put_away ORDER BY grade_id, position',
        [clubId, [...new Set(awards.map(({ grade_id }) => grade_id))]],
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
    return awards.map((award): Certificate => ({
      clubName: award.club_name,
      childName: `${award.given_name} ${award.family_initial}`,
      says: 'has earned the grade',
      title: award.grade_name,
      about: `${award.programme_name}, ${dayWords(award.awarded_on)}`,
      shown: asked.filter(({ grade_id }) => grade_id === award.grade_id).map(({ movement_slug, stage }) => nameOf(movement_slug, stage)),
      signedBy: award.awarded_by,
      ladder: { rungs: award.rungs, earned: award.earned },
    }));
  }

  private async print(certificates: readonly Certificate[], name: string): Promise<Paper> {
    return { pdf: Buffer.from(await this.workers.run('setPaper', { document: certificatesDocument(certificates) })), name };
  }
}
