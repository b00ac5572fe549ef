import { isDeepStrictEqual } from 'node:util';
import type { AddObservationRequest, ObservationResponse } from '@leiter/contract';
import { accepted, refused, withSegmentStages, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { observationColumns, observationOf, type ObservationRow } from './observation.mapper.js';

export type ObservationRefusal =
  | { readonly kind: 'id-used' }
  | { readonly kind: 'superseded-already' }
  | { readonly kind: 'superseded-unknown' }
  | { readonly kind: 'stage-unknown'; readonly stages: number }
  | { readonly kind: 'fault-unknown'; readonly fault: string }
  | { readonly kind: 'in-the-future' }
  | { readonly kind: 'before-birth' }
  | { readonly kind: 'not-in-class' }
  | { readonly kind: 'no-sides' };

@Injectable()
export class RecordService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly library: LibraryService,
    private readonly live: LiveService,
  ) {}

  /** Stores a mark once: the same id with the same content again is the same mark; with other content it is refused. */
  async add(asker: Asker, id: string, request: AddObservationRequest): Promise<Result<ObservationResponse, ObservationRefusal>> {
    const { clubId } = asker;
    const refusal = await this.refusalOf(clubId, request);
    if (refusal) return refused(refusal);
    return this.store(asker, id, request);
  }

  private store(asker: Asker, id: string, request: AddObservationRequest): Promise<Result<ObservationResponse, ObservationRefusal>> {
    const { clubId } = asker;
    return this.source.transaction(async (manager) => {
      const supersededRefusal = await this.supersedes(manager, clubId, id, request);
      if (supersededRefusal) return refused(supersededRefusal);
      const written = await rows(
        manager,
        // whatever is taken, not the id alone: sent again at the same moment, what is found first may be the id together with the child
        `INSERT INTO observation (id, club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, recorded_by, source, class_id, supersedes, is_withdrawal)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17) ON CONFLICT DO NOTHING RETURNING id`,
        [
          id,
          clubId,
          request.childId,
          request.movement,
          request.stage ?? null,
          request.side,
          request.mark,
          request.help ?? null,
          JSON.stringify(request.measure),
          request.faults,
          request.note,
          request.seenOn,
          asker.id,
          request.source,
          request.classId ?? null,
          request.supersedes ?? null,
          request.isWithdrawal ?? false,
        ],
      );
      const stored = await this.find(manager, clubId, id);
      // several corrections of one mark at once: the first has it
      if (!stored && request.supersedes) return refused({ kind: 'superseded-already' });
      if (!stored || !sameMark(stored, request)) return refused({ kind: 'id-used' });
      if (written.length > 0) await this.live.emit(manager, clubId, { topic: 'mark', mark: stored });
      return accepted(stored);
    });
  }

  private async refusalOf(clubId: string, request: AddObservationRequest): Promise<ObservationRefusal | null> {
    const movement = withSegmentStages(await this.library.find(clubId, request.movement));
    const [child] = await rows<{ birth_date: string }>(this.source, 'SELECT birth_date FROM child WHERE club_id = $1 AND id = $2', [
      clubId,
      request.childId,
    ]);
    if (!child) throw notFound('child');
    if (request.classId) {
      const [session] = await rows<{ comes: boolean }>(
        this.source,
        `SELECT EXISTS (SELECT 1 FROM enrolment e WHERE e.group_id = c.group_id AND e.child_id = $3)
             OR EXISTS (SELECT 1 FROM attendance a WHERE a.class_id = c.id AND a.child_id = $3) AS comes
         FROM class_session c WHERE c.club_id = $1 AND c.id = $2`,
        [clubId, request.classId, request.childId],
      );
      if (!session) throw notFound('class');
      if (!session.comes) return { kind: 'not-in-class' };
    }
    if (request.isWithdrawal && !request.supersedes) return { kind: 'superseded-unknown' };
    if (request.side !== 'none' && movement.sides === 'none') return { kind: 'no-sides' };
    if (request.seenOn < child.birth_date) return { kind: 'before-birth' };
    if (request.stage && request.stage > movement.stages.length) return { kind: 'stage-unknown', stages: movement.stages.length };
    const unknown = request.faults.find((fault) => !movement.faults.some(({ slug }) => slug === fault));
    if (unknown !== undefined) return { kind: 'fault-unknown', fault: unknown };
    return request.seenOn > (await this.clubs.today(clubId)) ? { kind: 'in-the-future' } : null;
  }

  /** A correction names a mark of the same child in the same movement that nothing else corrects yet. */
  private async supersedes(
    manager: EntityManager,
    clubId: string,
    id: string,
    request: AddObservationRequest,
  ): Promise<ObservationRefusal | null> {
    if (!request.supersedes) return null;
    const found = await rows<{ id: string; successor: string | null }>(
      manager,
      `SELECT o.id, s.id AS successor FROM observation o LEFT JOIN observation s ON s.supersedes = o.id
       WHERE o.club_id = $1 AND o.child_id = $2 AND o.id = $3 AND o.movement_slug = $4 FOR UPDATE OF o`,
      [clubId, request.childId, request.supersedes, request.movement],
    );
    if (!found[0]) return { kind: 'superseded-unknown' };
    const successor = found[0].successor;
    return successor !== null && successor !== id ? { kind: 'superseded-already' } : null;
  }

  private async find(manager: EntityManager, clubId: string, id: string): Promise<ObservationResponse | null> {
    const [row] = await rows<ObservationRow>(
      manager,
      `SELECT ${observationColumns} FROM observation o WHERE o.club_id = $1 AND o.id = $2`,
      [clubId, id],
    );
    return row ? observationOf(row) : null;
  }
}

function sameMark(stored: ObservationResponse, request: AddObservationRequest): boolean {
  const facts = (one: AddObservationRequest | ObservationResponse): readonly unknown[] => [
    one.childId,
    one.movement,
    one.stage ?? null,
    one.side,
    one.mark,
    one.help ?? null,
    [one.measure.seconds, one.measure.reps, one.measure.correct, one.measure.of],
    [...one.faults],
    one.note,
    one.seenOn,
    one.classId ?? null,
    one.supersedes ?? null,
    one.isWithdrawal ?? false,
  ];
  return isDeepStrictEqual(facts(stored), facts(request));
}
