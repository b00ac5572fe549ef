import type { FamilyContact, LetterResponse, LettersResponse, SendLetterRequest } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { fieldRefused, notFound, ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { StaffService } from '../staff/staff.service.js';
import { PostService } from './post.service.js';

const mostShown = 300;
/** More than a club writes in a day; what goes wrong does not fill the mailboxes of families. */
const mostADay = 1000;

export const addressesOf = (contacts: readonly FamilyContact[]): readonly string[] => [
  ...new Set(contacts.flatMap(({ email }) => email ?? [])),
];

/** Letters to families: sent where a mail server is set, caught where none is; kept, so that one sees what was written. */
@Injectable()
export class LettersService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly staff: StaffService,
    private readonly post: PostService,
  ) {}

  /**
   * Writes to the family of a child, at the addresses that are kept of it. The same id again is the same letter.
   * @throws 404, 403 for who is not of its staff, 422 where it has no address, 409 where the id is of another letter
   */
  async send(asker: Asker, id: string, { childId, kind, aboutId, language, subject, body }: SendLetterRequest): Promise<LetterResponse> {
    const { clubId } = asker;
    const [child] = await rows<{ contacts: readonly FamilyContact[] }>(
      this.source,
      'SELECT contacts FROM child WHERE club_id = $1 AND id = $2 AND archived_at IS NULL',
      [clubId, childId],
    );
    if (!child) throw notFound('child');
    if (asker.role !== 'owner' && !(await this.staff.isOfChild(asker, childId)))
      throw new ProblemException(403, 'Another instructor teaches this child.');
    const to = addressesOf(child.contacts);
    if (to.length === 0) throw fieldRefused('childId', 'No e-mail address of this family is kept. Copy the text, or add a contact.');
    await this.source.query(
      `INSERT INTO letter (id, club_id, child_id, kind, about_id, language, to_addresses, subject, body, written_by, state, done_at)
       SELECT $1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11::text, CASE WHEN $11 = 'caught' THEN now() END
       WHERE (SELECT count(*) FROM letter WHERE club_id = $2 AND written_at > now() - interval '1 day') < ${String(mostADay)}
       ON CONFLICT (id) DO NOTHING`,
      [id, clubId, childId, kind, aboutId ?? null, language, to, subject, body, asker.id, this.post.isSent ? 'waiting' : 'caught'],
    );
    const [kept] = await this.find(clubId, 'l.id = $2 AND l.child_id = $3', [id, childId]);
    if (!kept) throw new ProblemException(409, 'This letter is another one already, or a thousand were written today.');
    this.post.sendSoon();
    return kept;
  }

  /** The newest letters: all of the club for its owner, for others what they wrote. */
  async list(asker: Asker): Promise<LettersResponse> {
    const letters =
      asker.role === 'owner' ? await this.find(asker.clubId, 'true', []) : await this.find(asker.clubId, 'l.written_by = $2', [asker.id]);
    return { isSent: this.post.isSent, letters };
  }

  /** What was written about a class or a grading day. */
  async about(clubId: string, aboutId: string): Promise<readonly LetterResponse[]> {
    return this.find(clubId, 'l.about_id = $2', [aboutId]);
  }

  /** One that failed or may not have arrived is sent once more. */
  async again(asker: Asker, id: string): Promise<void> {
    const changed = await rows(
      this.source,
      `WITH again AS (UPDATE letter SET state = $4, tries = 0, why_not = NULL, done_at = NULL, next_try_at = now(), written_at = now()
         WHERE club_id = $1 AND id = $2 AND state IN ('failed', 'unsure') AND ($3::uuid IS NULL OR written_by = $3) RETURNING id) SELECT id FROM again`,
      [asker.clubId, id, asker.role === 'owner' ? null : asker.id, this.post.isSent ? 'waiting' : 'caught'],
    );
    if (changed.length === 0) throw notFound('letter that did not go out');
    this.post.sendSoon();
  }

  private async find(clubId: string, where: string, values: readonly unknown[]): Promise<readonly LetterResponse[]> {
    const found = await rows<Omit<LetterResponse, 'writtenAt'> & { readonly writtenAt: Date }>(
      this.source,
      `SELECT l.id, l.child_id AS "childId", c.given_name || ' ' || c.family_initial AS "childName", l.kind, l.about_id AS "aboutId", l.language,
              l.to_addresses AS to, l.subject, l.body, p.name AS "writtenBy", l.written_at AS "writtenAt",
              CASE l.state WHEN 'sending' THEN 'waiting' ELSE l.state END AS state, l.why_not AS "whyNot"
       FROM letter l JOIN child c ON c.id = l.child_id LEFT JOIN person p ON p.id = l.written_by
       WHERE l.club_id = $1 AND ${where} ORDER BY l.written_at DESC, l.id LIMIT ${String(mostShown)}`,
      [clubId, ...values],
    );
    return found.map(({ writtenAt, ...letter }) => ({ ...letter, writtenAt: writtenAt.toISOString() }));
  }
}
