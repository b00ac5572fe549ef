import type { Readable } from 'node:stream';
import type { ClipQuery, ClipResponse, SentClip } from '@leiter/contract';
import { addDays, clipLimits, refused } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import type { HomeChild } from '../home/home-links.service.js';
import { notFound, ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { StaffService } from '../staff/staff.service.js';
import type { ClipFault } from '../work/tasks.js';
import { TookTooLong, WorkersService } from '../work/workers.service.js';
import { ClipFilesService, tooLarge } from './clip-files.service.js';

const faultWords: Readonly<Record<ClipFault, string>> = {
  'no-video':
    'This is no video or picture that can be shown, or it was cut off on its way. Send a film from the camera of a phone, or a JPEG or PNG.',
  'too-long': `A clip is at most ${String(clipLimits.seconds)} seconds long. Cut it on the phone, or film a shorter piece.`,
  'not-shown': 'Browsers cannot show this kind of video. Film it with the camera of a phone.',
  unreadable: 'This file is broken or was cut off. Send it once more.',
};

/** A connection that is lost is not seen at once: it may be sent again meanwhile. */
const mostTaking = 3;

/** A minute of film is read in a second or two. */
const mostReadingSeconds = 30;

/** What a sent clip is read by, of `v`. */
const sentColumns = `v.id, v.kind, v.movement_slug AS movement, v.stage, v.sent_at AS "sentAt", v.seen_at AS "seenAt"`;

type Sent = Omit<SentClip, 'sentAt' | 'seenAt' | 'endsOn'> & { readonly sentAt: Date; readonly seenAt: Date | null };

const sentClip = <Row extends Sent>({
  sentAt,
  seenAt,
  ...clip
}: Row): Omit<Row, 'sentAt' | 'seenAt'> & Pick<SentClip, 'sentAt' | 'seenAt' | 'endsOn'> => ({
  ...clip,
  sentAt: sentAt.toISOString(),
  seenAt: seenAt?.toISOString() ?? null,
  endsOn: addDays(sentAt.toISOString().slice(0, 10), clipLimits.days),
});

/** Clips and pictures that families send: taken only while the family allows it, seen by the staff of the child, erased by rule. */
@Injectable()
export class ClipsService {
  /** How many are being taken of a child by this process: few, so that a link in wrong hands fills no disk and keeps nobody waiting. */
  private readonly taking = new Map<string, number>();

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly files: ClipFilesService,
    private readonly workers: WorkersService,
    private readonly staff: StaffService,
  ) {}

  /**
   * Takes a clip. The same id again is the same clip.
   * @throws 403 where the family has not allowed clips, 404, 409, 413, 422 for what is none, 503 where there is no room
   */
  async take(
    { clubId, childId }: HomeChild,
    id: string,
    { movement, stage }: ClipQuery,
    file: Readable,
    length: number | null,
  ): Promise<void> {
    const [before] = await rows<{ child_id: string }>(this.source, 'SELECT child_id FROM clip WHERE id = $1', [id]);
    if (before?.child_id === childId) return;
    if (before) throw new ProblemException(409, 'This was sent already.');
    if (length !== null && length > clipLimits.bytes) throw tooLarge();
    await this.requireAllowed(clubId, childId, movement);
    const now = this.taking.get(childId) ?? 0;
    if (now >= mostTaking) throw new ProblemException(409, 'Other clips of this child are just on their way. Send this one after them.');
    this.taking.set(childId, now + 1);
    try {
      await this.receive({ clubId, childId }, id, { movement, stage: stage ?? null }, file);
    } finally {
      const left = (this.taking.get(childId) ?? 1) - 1;
      if (left > 0) this.taking.set(childId, left);
      else this.taking.delete(childId);
    }
  }

  private async receive(
    { clubId, childId }: HomeChild,
    id: string,
    { movement, stage }: { readonly movement: string; readonly stage: number | null },
    file: Readable,
  ): Promise<void> {
    const part = await this.files.receive(file);
    const made = `${this.files.pathOf(this.files.newName())}.new`;
    try {
      const task = { path: part, to: made, mostSeconds: clipLimits.seconds };
      const read = await this.workers.run('readClip', task, mostReadingSeconds).catch((error: unknown) => {
        if (error instanceof TookTooLong) return refused<ClipFault>('unreadable');
        throw error;
      });
      if (!read.ok) throw new ProblemException(422, faultWords[read.error]);
      await this.keep({ clubId, childId, id, movement, stage, made, read: read.value });
    } finally {
      await this.files.remove(part, made);
    }
  }

  /** Of a child, as its family sees them. */
  async sent(clubId: string, childId: string): Promise<readonly SentClip[]> {
    const found = await rows<Sent>(
      this.source,
      `SELECT ${sentColumns} FROM clip v WHERE v.club_id = $1 AND v.child_id = $2 ORDER BY v.sent_at DESC`,
      [clubId, childId],
    );
    return found.map(sentClip);
  }

  /** A family takes back what it sent. */
  async takeBack({ clubId, childId }: HomeChild, id: string): Promise<void> {
    await this.erase('v.club_id = $1 AND v.child_id = $2 AND v.id = $3', [clubId, childId, id], {
      why: 'taken back by the family',
      byId: null,
    });
  }

  /** All of a child, because its family does not allow clips any more. */
  async eraseOf({ clubId, childId }: HomeChild): Promise<void> {
    await this.erase('v.club_id = $1 AND v.child_id = $2', [clubId, childId], {
      why: 'the family does not allow clips any more',
      byId: null,
    });
  }

  /** Those of the children one is of the staff of, not looked at first; of one child where it is said. */
  async list(asker: Asker, childId: string | null): Promise<readonly ClipResponse[]> {
    if (childId !== null) {
      const [child] = await rows(this.source, 'SELECT 1 FROM child WHERE club_id = $1 AND id = $2', [asker.clubId, childId]);
      if (!child) throw notFound('child');
    }
    const found = await this.find(asker.clubId, '($2::uuid IS NULL OR v.child_id = $2)', [childId]);
    const own: ClipResponse[] = [];
    for (const clip of found) if (asker.role === 'owner' || (await this.staff.isOfChild(asker, clip.childId))) own.push(clip);
    return own;
  }

  /** Where the file of a clip lies. Who looks is written down, once a person and day. */
  async file(asker: Asker, id: string): Promise<{ readonly path: string; readonly mediaType: string }> {
    const [clip] = await rows<{ child_id: string; file_name: string; media_type: string }>(
      this.source,
      'SELECT child_id, file_name, media_type FROM clip WHERE club_id = $1 AND id = $2',
      [asker.clubId, id],
    );
    if (!clip || !(await this.maySee(asker, clip.child_id))) throw notFound('clip');
    await this.source.transaction(async (manager) => {
      await manager.query('UPDATE clip SET seen_at = now(), seen_by = $2 WHERE id = $1 AND seen_at IS NULL', [id, asker.id]);
      await this.staff.logLook(manager, asker, clip.child_id, 'clip-seen', { clip: id });
    });
    return { path: this.files.pathOf(clip.file_name), mediaType: clip.media_type };
  }

  /** Erased on demand by the staff of the child. */
  async remove(asker: Asker, id: string): Promise<void> {
    const [clip] = await rows<{ child_id: string }>(this.source, 'SELECT child_id FROM clip WHERE club_id = $1 AND id = $2', [
      asker.clubId,
      id,
    ]);
    if (!clip || !(await this.maySee(asker, clip.child_id))) throw notFound('clip');
    await this.erase('v.club_id = $1 AND v.id = $2', [asker.clubId, id], { why: 'by the club', byId: asker.id });
  }

  /** What is over by rule, and files of children that were erased. */
  async tidy(): Promise<void> {
    await this.erase(`v.sent_at < now() - make_interval(days => ${String(clipLimits.days)})`, [], {
      why: `after ${String(clipLimits.days)} days`,
      byId: null,
    });
    const named = await rows<{ file_name: string }>(this.source, 'SELECT file_name FROM clip', []);
    await this.files.sweep(new Set(named.map(({ file_name }) => file_name)));
  }

  private async maySee(asker: Asker, childId: string): Promise<boolean> {
    return asker.role === 'owner' || this.staff.isOfChild(asker, childId);
  }

  private async requireAllowed(clubId: string, childId: string, movement: string): Promise<void> {
    const [state] = await rows<{ is_allowed: boolean | null; kept: number; is_known: boolean }>(
      this.source,
      `SELECT (SELECT is_given FROM consent WHERE child_id = $2 AND kind = 'clips' ORDER BY id DESC LIMIT 1) AS is_allowed,
              (SELECT count(*)::int FROM clip WHERE child_id = $2) AS kept,
              EXISTS (SELECT 1 FROM movement WHERE club_id = $1 AND slug = $3) AS is_known`,
      [clubId, childId, movement],
    );
    if (!state?.is_allowed) throw new ProblemException(403, 'First allow that clips are kept to be looked at, under “What we allow”.');
    if (!state.is_known) throw notFound('movement');
    if (state.kept >= clipLimits.atOnce)
      throw new ProblemException(409, `There are ${String(clipLimits.atOnce)} clips already. Take one back, or wait until one is erased.`);
  }

  private async keep({
    clubId,
    childId,
    id,
    movement,
    stage,
    made,
    read,
  }: {
    readonly clubId: string;
    readonly childId: string;
    readonly id: string;
    readonly movement: string;
    readonly stage: number | null;
    readonly made: string;
    readonly read: {
      readonly kind: string;
      readonly mediaType: string;
      readonly width: number;
      readonly height: number;
      readonly seconds: number | null;
      readonly framesPerSecond: number | null;
    };
  }): Promise<void> {
    const name = this.files.newName();
    await this.files.place(made, name);
    try {
      await this.source.transaction(async (manager) => {
        const kept = await rows(
          manager,
          `INSERT INTO clip (id, club_id, child_id, movement_slug, stage, kind, file_name, media_type, bytes, seconds, frames_per_second, width, height)
           SELECT $1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13
           WHERE (SELECT is_given FROM consent WHERE child_id = $3 AND kind = 'clips' ORDER BY id DESC LIMIT 1)
           ON CONFLICT (id) DO NOTHING RETURNING id`,
          [
            id,
            clubId,
            childId,
            movement,
            stage,
            read.kind,
            name,
            read.mediaType,
            await this.files.sizeOf(this.files.pathOf(name)),
            read.seconds,
            read.framesPerSecond,
            read.width,
            read.height,
          ],
        );
        if (kept.length === 0) throw new ProblemException(409, 'This was sent already, or clips are not allowed any more.');
        await this.log(manager, clubId, childId, null, 'clip-sent', {});
      });
    } catch (error) {
      await this.files.remove(this.files.pathOf(name));
      throw error;
    }
  }

  private async find(clubId: string, where: string, values: readonly unknown[]): Promise<readonly ClipResponse[]> {
    const found = await rows<Sent & Omit<ClipResponse, keyof SentClip>>(
      this.source,
      `SELECT ${sentColumns}, v.child_id AS "childId", c.given_name || ' ' || c.family_initial AS "childName", c.lead_side AS "leadSide", v.seconds,
              v.frames_per_second AS "framesPerSecond", v.width, v.height, p.name AS "seenBy",
              coalesce((SELECT jsonb_agg(jsonb_build_object('id', o.id, 'mark', o.mark, 'side', o.side, 'note', o.note, 'by', w.name) ORDER BY o.recorded_at DESC)
                FROM observation o LEFT JOIN person w ON w.id = o.recorded_by
                WHERE o.child_id = v.child_id AND o.movement_slug = v.movement_slug AND o.source = 'clip' AND o.recorded_at >= v.sent_at AND NOT o.is_withdrawal
                  AND NOT EXISTS (SELECT 1 FROM observation n WHERE n.supersedes = o.id)), '[]') AS marks
       FROM clip v JOIN child c ON c.id = v.child_id AND c.archived_at IS NULL LEFT JOIN person p ON p.id = v.seen_by
       WHERE v.club_id = $1 AND ${where} ORDER BY v.seen_at IS NOT NULL, v.sent_at LIMIT 100`,
      [clubId, ...values],
    );
    return found.map(sentClip);
  }

  private async erase(
    where: string,
    values: readonly unknown[],
    { why, byId }: { readonly why: string; readonly byId: string | null },
  ): Promise<void> {
    const gone = await this.source.transaction(async (manager) => {
      const erased = await rows<{ file_name: string; club_id: string; child_id: string }>(
        manager,
        `WITH gone AS (DELETE FROM clip v WHERE ${where} RETURNING v.file_name, v.club_id, v.child_id) SELECT * FROM gone`,
        values,
      );
      for (const { club_id, child_id } of erased) await this.log(manager, club_id, child_id, byId, 'clip-erased', { why });
      return erased;
    });
    await this.files.remove(...gone.map(({ file_name }) => this.files.pathOf(file_name)));
  }

  private async log(
    manager: EntityManager,
    clubId: string,
    childId: string,
    byId: string | null,
    kind: 'clip-sent' | 'clip-erased',
    detail: Readonly<Record<string, string>>,
  ): Promise<void> {
    await manager.query('INSERT INTO child_log (club_id, child_id, by_id, kind, detail) VALUES ($1, $2, $3, $4, $5)', [
      clubId,
      childId,
      byId,
      kind,
      JSON.stringify(detail),
    ]);
  }
}
