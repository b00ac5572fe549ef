import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DateTime } from 'luxon';
import { DataSource } from 'typeorm';
import { LookService } from '../club/look.service.js';
import { rows } from '../database/rows.js';
import { notFound, ProblemException } from '../http/problem.js';
import { WorkersService } from '../work/workers.service.js';
import { AwardsService, type Award } from './awards.service.js';
import { BadgesService } from './badges.service.js';
import { certificatesDocument, type Certificate } from './certificate-paper.js';

/** Certificates that are one file, and its name. */
export interface Batch {
  readonly certificates: readonly Certificate[];
  readonly name: string;
}

const dayWords = (day: string): string => DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('d LLLL yyyy');
const fileName = (...parts: readonly string[]): string =>
  `${parts
    .join(' ')
    .normalize('NFKD')
    .replaceAll(/[^A-Za-z0-9]+/g, '-')}.pdf`;

/** Certificates on paper: of a grade for one child, of all grades that a group earned lately, and of having taken part in a class. */
@Injectable()
export class CertificatesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly awards: AwardsService,
    private readonly badges: BadgesService,
    private readonly looks: LookService,
    private readonly workers: WorkersService,
  ) {}

  /** @param origin what the address begins with at which it can be verified */
  async ofGrade(clubId: string, childId: string, gradeId: string, origin: string): Promise<Batch> {
    const awards = await this.awards.where(clubId, 'a.child_id = $2 AND a.grade_id = $3', [childId, gradeId]);
    const [award] = awards;
    if (!award) throw notFound('grade of this child');
    return this.certificatesOf(clubId, awards, origin, fileName(award.givenName, award.familyInitial, award.gradeName));
  }

  /** @param since the first day on which the grade was given */
  async ofGroup(clubId: string, groupId: string, since: string, origin: string): Promise<Batch> {
    const [group] = await rows<{ name: string; programme_id: string }>(
      this.source,
      'SELECT name, programme_id FROM teaching_group WHERE club_id = $1 AND id = $2',
      [clubId, groupId],
    );
    if (!group) throw notFound('group');
    const awards = await this.awards.where(
      clubId,
      `p.id = $2 AND a.awarded_on >= $3 AND c.archived_at IS NULL
         AND EXISTS (SELECT 1 FROM enrolment e WHERE e.child_id = c.id AND e.group_id = $4 AND e.to_day IS NULL)`,
      [group.programme_id, since, groupId],
    );
    if (awards.length === 0) throw new ProblemException(404, 'Nobody of this group was given a grade since then.');
    return this.certificatesOf(clubId, awards, origin, fileName('certificates', group.name, since));
  }

  async ofGrading(clubId: string, gradingId: string, origin: string): Promise<Batch> {
    const awards = await this.awards.where(
      clubId,
      `EXISTS (SELECT 1 FROM grading_entry e WHERE e.club_id = $1 AND e.grading_id = $2 AND e.decision = 'granted'
         AND e.child_id = a.child_id AND e.grade_id = a.grade_id)`,
      [gradingId],
    );
    const [first] = awards;
    if (!first) throw notFound('grade that was given on this day');
    return this.certificatesOf(clubId, awards, origin, fileName('certificates', first.awardedOn));
  }

  /** For everybody who was there. */
  async ofClass(clubId: string, classId: string): Promise<Batch> {
    const there = await rows<{
      readonly club_name: string;
      readonly given_name: string;
      readonly family_initial: string;
      readonly group_name: string;
      readonly programme_name: string;
      readonly day: string;
      readonly taught_by: string | null;
    }>(
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
      verifiedAt: null,
    }));
    return { certificates, name: fileName('took-part', first.group_name, first.day) };
  }

  private async certificatesOf(clubId: string, awards: readonly Award[], origin: string, name: string): Promise<Batch> {
    const ids = await this.badges.idsOf(
      clubId,
      awards.map(({ id }) => id),
    );
    const certificates = awards.map(
      ({ id, clubName, givenName, familyInitial, gradeName, programmeName, awardedOn, awardedBy, rungs, earned, shown }): Certificate => ({
        clubName,
        childName: `${givenName} ${familyInitial}`,
        says: 'has earned the grade',
        title: gradeName,
        about: `${programmeName}, ${dayWords(awardedOn)}`,
        shown,
        signedBy: awardedBy,
        ladder: { rungs, earned },
        verifiedAt: `${origin}/verify/${ids.get(id) ?? ''}`,
      }),
    );
    return { certificates, name };
  }

  /** @param onPages told now and then how many are set @param signal ends it when nobody waits any more @returns a PDF */
  async print(clubId: string, { certificates }: Batch, onPages: (set: number) => void, signal?: AbortSignal): Promise<Buffer> {
    const document = certificatesDocument(certificates, await this.looks.look(clubId));
    return this.workers.setPaper(document, certificates.length, { onPages, signal });
  }
}
