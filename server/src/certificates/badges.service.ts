import type { BadgeResponse } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { exportJWK, generateKeyPair, importJWK, SignJWT, type JWK } from 'jose';
import { DataSource } from 'typeorm';
import { LookService } from '../club/look.service.js';
import { rows } from '../database/rows.js';
import { notFound, ProblemException } from '../http/problem.js';
import { AwardsService, type Award } from './awards.service.js';
import { achievementOf, badgeAddresses, badgeCredential, issuerProfile } from './badge-credential.js';
import { badgePicture } from './badge-picture.js';

interface BadgeRow {
  readonly club_id: string;
  readonly club_name: string;
  readonly award_id: string | null;
  readonly is_allowed: boolean;
}

/** The last word of the family on badges, of the child of an award `a`. */
const isAllowed = `coalesce((SELECT o.is_given FROM consent o WHERE o.child_id = a.child_id AND o.kind = 'badges' ORDER BY o.id DESC LIMIT 1), false)`;

/**
 * Badges that others can verify: who gave which grade when is told to whoever has the address of one; the name of the child, and the
 * signed badge itself, only as long as the family allows it. A grade that is taken back, and a child that was erased, end it by
 * themselves: no row of a badge names a child.
 */
@Injectable()
export class BadgesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly awards: AwardsService,
    private readonly looks: LookService,
  ) {}

  /** The ids under which awards can be verified, by award; made where there was none. */
  async idsOf(clubId: string, awardIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
    await this.source.query(
      `INSERT INTO badge (club_id, award_id) SELECT club_id, id FROM grade_award WHERE club_id = $1 AND id = ANY($2) ON CONFLICT (award_id) DO NOTHING`,
      [clubId, awardIds],
    );
    const found = await rows<{ id: string; award_id: string }>(
      this.source,
      'SELECT id, award_id FROM badge WHERE club_id = $1 AND award_id = ANY($2)',
      [clubId, awardIds],
    );
    return new Map(found.map(({ id, award_id }) => [award_id, id]));
  }

  async about(id: string): Promise<BadgeResponse> {
    const badge = await this.find(id);
    const award = badge.award_id === null ? undefined : await this.award(badge.club_id, badge.award_id);
    return {
      clubName: badge.club_name,
      isHeld: award !== undefined,
      grade: award
        ? {
            name: award.gradeName,
            programmeName: award.programmeName,
            awardedOn: award.awardedOn,
            childName: badge.is_allowed ? `${award.givenName} ${award.familyInitial}` : null,
            shown: award.shown,
          }
        : null,
      isSigned: award !== undefined && badge.is_allowed,
    };
  }

  /** The badge as a signed token (VC-JWT, Ed25519). @throws 404 where the family does not allow it, 410 where the grade was taken back */
  async credential(id: string, origin: string): Promise<string> {
    return (await this.signed(id, origin)).credential;
  }

  /** The badge as a picture with the signed token in it (SVG). */
  async picture(id: string, origin: string): Promise<string> {
    const { award, credential, clubId } = await this.signed(id, origin);
    return badgePicture(award, await this.looks.look(clubId), credential);
  }

  async ofGrade(clubId: string, childId: string, gradeId: string): Promise<string> {
    const [award] = await rows<{ id: string; is_allowed: boolean }>(
      this.source,
      `SELECT a.id, ${isAllowed} AS is_allowed FROM grade_award a WHERE a.club_id = $1 AND a.child_id = $2 AND a.grade_id = $3`,
      [clubId, childId, gradeId],
    );
    if (!award) throw notFound('grade of this child');
    if (!award.is_allowed) throw new ProblemException(403, 'The family has not allowed badges that others can verify.');
    const id = (await this.idsOf(clubId, [award.id])).get(award.id);
    if (id === undefined) throw notFound('badge');
    return id;
  }

  async issuer(clubId: string, origin: string): Promise<object> {
    const { name, addresses } = await this.club(clubId, origin);
    return { '@context': ['https://purl.imsglobal.org/spec/ob/v3p0/context-3.0.3.json'], ...issuerProfile(name, addresses) };
  }

  /** The public key of a club as a JSON Web Key. */
  async publicKey(clubId: string, origin: string): Promise<JWK> {
    const { addresses } = await this.club(clubId, origin);
    return { ...(await this.keys(clubId)).public_key, kid: addresses.key, alg: 'EdDSA', use: 'sig' };
  }

  async achievement(clubId: string, gradeId: string, origin: string): Promise<object> {
    const { name, addresses } = await this.club(clubId, origin);
    const [grade] = await rows<{ name: string; programme: string }>(
      this.source,
      `SELECT g.name, p.name AS programme FROM grade g JOIN syllabus s ON s.id = g.syllabus_id JOIN programme p ON p.id = s.programme_id
       WHERE g.club_id = $1 AND g.id = $2`,
      [clubId, gradeId],
    );
    if (!grade) throw notFound('grade');
    const shown = await this.awards.shownFor(clubId, [gradeId]);
    return {
      '@context': ['https://purl.imsglobal.org/spec/ob/v3p0/context-3.0.3.json'],
      ...achievementOf(
        { gradeName: grade.name, programmeName: grade.programme, clubName: name, shown: shown(gradeId) },
        `${addresses.issuer}/achievements/${gradeId}`,
      ),
    };
  }

  /** Signed badges that are valid no more (1EdTech Revocation List Status Method 1.0): taken back, erased, or no longer allowed. */
  async revoked(clubId: string, origin: string): Promise<object> {
    const { addresses } = await this.club(clubId, origin);
    const ended = await rows<{ id: string; is_held: boolean }>(
      this.source,
      `SELECT b.id, a.id IS NOT NULL AS is_held FROM badge b LEFT JOIN grade_award a ON a.id = b.award_id
       WHERE b.club_id = $1 AND b.signed_at IS NOT NULL AND (a.id IS NULL OR NOT ${isAllowed}) ORDER BY b.id`,
      [clubId],
    );
    return {
      id: addresses.revoked,
      issuer: addresses.issuer,
      revokedCredential: ended.map(({ id, is_held }) => ({
        id: `${origin}/api/badges/${id}/credential`,
        revoked: true,
        revocationReason: is_held ? 'The family does not allow it any more.' : 'The grade is not held any more.',
      })),
    };
  }

  private async club(clubId: string, origin: string): Promise<{ name: string; addresses: ReturnType<typeof badgeAddresses> }> {
    const [club] = await rows<{ name: string; has_crest: boolean }>(
      this.source,
      'SELECT b.name, EXISTS (SELECT 1 FROM club_crest c WHERE c.club_id = b.id) AS has_crest FROM club b WHERE b.id = $1',
      [clubId],
    );
    if (!club) throw notFound('club');
    return { name: club.name, addresses: badgeAddresses(origin, { id: '', clubId, gradeId: '', hasCrest: club.has_crest }) };
  }

  private async find(id: string): Promise<BadgeRow> {
    const [badge] = await rows<BadgeRow>(
      this.source,
      `SELECT b.club_id, l.name AS club_name, b.award_id, ${isAllowed} AS is_allowed
       FROM badge b JOIN club l ON l.id = b.club_id LEFT JOIN grade_award a ON a.id = b.award_id WHERE b.id = $1`,
      [id],
    );
    if (!badge) throw notFound('badge or certificate');
    return badge;
  }

  private async award(clubId: string, awardId: string): Promise<Award | undefined> {
    return (await this.awards.where(clubId, 'a.id = $2', [awardId]))[0];
  }

  private async signed(
    id: string,
    origin: string,
  ): Promise<{ readonly award: Award; readonly credential: string; readonly clubId: string }> {
    const { club_id: clubId, award_id: awardId, is_allowed } = await this.find(id);
    const award = awardId === null ? undefined : await this.award(clubId, awardId);
    if (!award) throw new ProblemException(410, 'This badge was taken back: the grade is not held any more.');
    if (!is_allowed) throw notFound('badge');
    const hasCrest = (await this.looks.about(clubId)).crestPath !== null;
    const addresses = badgeAddresses(origin, { id, clubId, gradeId: award.gradeId, hasCrest });
    const { private_key } = await this.keys(clubId);
    const credential = await new SignJWT({ ...badgeCredential(award, addresses, id) })
      .setProtectedHeader({ alg: 'EdDSA', typ: 'JWT', kid: addresses.key })
      .setIssuer(addresses.issuer)
      .setJti(addresses.credential)
      .setSubject(`urn:uuid:${id}`)
      .setNotBefore(new Date(`${award.awardedOn}T00:00:00Z`))
      .sign(await importJWK(private_key, 'EdDSA'));
    await this.source.query('UPDATE badge SET signed_at = now() WHERE id = $1 AND signed_at IS NULL', [id]);
    return { award, credential, clubId };
  }

  /** The keys of a club, made when they are first asked for; two processes at once agree on one pair. */
  private async keys(clubId: string): Promise<{ readonly private_key: JWK; readonly public_key: JWK }> {
    const select = 'SELECT private_key, public_key FROM club_key WHERE club_id = $1';
    const [found] = await rows<{ private_key: JWK; public_key: JWK }>(this.source, select, [clubId]);
    if (found) return found;
    const made = await generateKeyPair('EdDSA', { crv: 'Ed25519', extractable: true });
    await this.source.query(
      'INSERT INTO club_key (club_id, private_key, public_key) VALUES ($1, $2, $3) ON CONFLICT (club_id) DO NOTHING',
      [clubId, JSON.stringify(await exportJWK(made.privateKey)), JSON.stringify(await exportJWK(made.publicKey))],
    );
    const [kept] = await rows<{ private_key: JWK; public_key: JWK }>(this.source, select, [clubId]);
    if (!kept) throw notFound('club');
    return kept;
  }
}
