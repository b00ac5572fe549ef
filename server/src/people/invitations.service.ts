import { createHash, randomBytes } from 'node:crypto';
import type { AcceptInvitationRequest, InvitationResponse, InviteRequest, MadeInvitation } from '@leiter/contract';
import { accepted, refused, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from './asker.js';
import { hashPassword, passwordFaultOf, type PasswordFault } from './passwords.js';
import { PersonEntity } from './person.entity.js';

export interface InviteRefusal {
  readonly kind: 'email-taken';
}
export type AcceptRefusal =
  { readonly kind: 'over' } | { readonly kind: 'email-taken' } | { readonly kind: 'too-easy'; readonly fault: PasswordFault };

const days = 7;

interface InvitationRow {
  readonly id: string;
  readonly club_id: string;
  readonly club_name: string;
  readonly kind: 'join' | 'reset';
  readonly name: string;
  readonly email: string;
  readonly role: PersonEntity['role'];
  readonly person_id: string | null;
  readonly ends_at: Date;
}

/** Links by which somebody joins the club or sets a password anew: good once, for a week, and known only to who was given them. */
@Injectable()
export class InvitationsService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Invites somebody; the link is in the answer and nowhere else. */
  async invite(asker: Asker, { name, email, role }: InviteRequest): Promise<Result<MadeInvitation, InviteRefusal>> {
    const address = email.toLowerCase();
    const [taken] = await rows(this.source, 'SELECT 1 FROM person WHERE email = $1', [address]);
    if (taken) return refused({ kind: 'email-taken' });
    return accepted(await this.make(asker, { kind: 'join', name, email: address, role, personId: null }));
  }

  /** A link by which a person sets a new password. */
  async reset(asker: Asker, personId: string): Promise<MadeInvitation> {
    const person = await this.source.getRepository(PersonEntity).findOneBy({ id: personId, clubId: asker.clubId });
    if (!person || person.putAwayAt) throw notFound('person');
    return this.make(asker, { kind: 'reset', name: person.name, email: person.email, role: person.role, personId });
  }

  /** Invitations that can still be taken up. */
  async open(clubId: string): Promise<readonly InvitationResponse[]> {
    const found = await rows<InvitationRow>(
      this.source,
      `SELECT i.id, i.kind, i.name, i.email, i.role, i.ends_at FROM invitation i
       WHERE i.club_id = $1 AND i.used_at IS NULL AND i.ends_at > now() ORDER BY i.made_at DESC`,
      [clubId],
    );
    return found.map(invitationResponse);
  }

  async withdraw(clubId: string, id: string): Promise<void> {
    const gone = await rows(
      this.source,
      'WITH gone AS (DELETE FROM invitation WHERE club_id = $1 AND id = $2 RETURNING id) SELECT id FROM gone',
      [clubId, id],
    );
    if (gone.length === 0) throw notFound('invitation');
  }

  /** What the one who follows a link is told: whose club it is, and for whom the link is. */
  async look(token: string): Promise<(InvitationResponse & { readonly clubName: string }) | null> {
    const [row] = await rows<InvitationRow>(this.source, selectByToken, [hashOf(token)]);
    return row ? { ...invitationResponse(row), clubName: row.club_name } : null;
  }

  /** Takes an invitation up: the person joins, or has a new password and is signed out everywhere else. @returns the person's id */
  async accept(token: string, { name, password }: AcceptInvitationRequest): Promise<Result<string, AcceptRefusal>> {
    const [found] = await rows<InvitationRow>(this.source, selectByToken, [hashOf(token)]);
    if (!found) return refused({ kind: 'over' });
    const ownName = name ?? found.name;
    const fault = passwordFaultOf(password, [ownName, found.email, found.club_name]);
    if (fault) return refused({ kind: 'too-easy', fault });
    const passwordHash = await hashPassword(password);
    return this.source.transaction(async (manager) => {
      const [row] = await rows<InvitationRow>(manager, `${selectByToken} FOR UPDATE OF i`, [hashOf(token)]);
      if (!row) return refused({ kind: 'over' });
      await manager.query('UPDATE invitation SET used_at = now() WHERE id = $1', [row.id]);
      if (row.person_id !== null) {
        await manager.update(PersonEntity, { id: row.person_id }, { passwordHash });
        await manager.query('DELETE FROM session WHERE person_id = $1', [row.person_id]);
        return accepted(row.person_id);
      }
      if (await manager.existsBy(PersonEntity, { email: row.email })) return refused({ kind: 'email-taken' });
      const { id } = await manager.save(
        manager.create(PersonEntity, {
          clubId: row.club_id,
          name: ownName,
          email: row.email,
          role: row.role,
          passwordHash,
          putAwayAt: null,
        }),
      );
      return accepted(id);
    });
  }

  private async make(
    asker: Asker,
    about: Pick<InvitationRow, 'kind' | 'name' | 'email' | 'role'> & { readonly personId: string | null },
  ): Promise<MadeInvitation> {
    const token = randomBytes(32).toString('base64url');
    const row = await this.source.transaction(async (manager) => {
      // a newer link takes the place of an older one
      await manager.query('DELETE FROM invitation WHERE club_id = $1 AND email = $2 AND kind = $3 AND used_at IS NULL', [
        asker.clubId,
        about.email,
        about.kind,
      ]);
      const [made] = await rows<InvitationRow>(
        manager,
        `INSERT INTO invitation (club_id, kind, token_hash, name, email, role, person_id, made_by, ends_at)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, now() + make_interval(days => $9)) RETURNING id, kind, name, email, role, ends_at`,
        [asker.clubId, about.kind, hashOf(token), about.name, about.email, about.role, about.personId, asker.id, days],
      );
      if (!made) throw new Error('an invitation that was written is not there');
      return made;
    });
    return { ...invitationResponse(row), token };
  }
}

const selectByToken = `
  SELECT i.id, i.club_id, c.name AS club_name, i.kind, i.name, i.email, i.role, i.person_id, i.ends_at
  FROM invitation i JOIN club c ON c.id = i.club_id LEFT JOIN person p ON p.id = i.person_id
  WHERE i.token_hash = $1 AND i.used_at IS NULL AND i.ends_at > now() AND p.put_away_at IS NULL`;

function invitationResponse({ id, kind, name, email, role, ends_at: endsAt }: InvitationRow): InvitationResponse {
  return { id, kind, name, email, role, endsAt: endsAt.toISOString() };
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('base64url');
}
