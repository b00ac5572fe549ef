import type { AddGradingRequest, ChangeGradingRequest, GradingPageResponse, GradingResponse } from '@leiter/contract';
import { accepted, refused, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { SyllabusService } from '../syllabus/syllabus.service.js';
import { CandidatesService } from './candidates.service.js';
import { GradingPageService } from './grading-page.service.js';
import { entriesOf, gradingResponse, lockGrading, selectGradings, type GradingRow } from './grading-row.js';

export type GradingRefusal =
  | { readonly kind: 'closed' }
  | { readonly kind: 'day-is-over' }
  | { readonly kind: 'examiner-unknown' }
  | { readonly kind: 'too-few-examiners' }
  | { readonly kind: 'at-the-top' }
  | { readonly kind: 'has-marks' };

/** Grading days: planned, changed, and who comes to them. */
@Injectable()
export class GradingsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly syllabuses: SyllabusService,
    private readonly candidates: CandidatesService,
    private readonly pages: GradingPageService,
    private readonly live: LiveService,
  ) {}

  async list(clubId: string): Promise<readonly GradingResponse[]> {
    return (await rows<GradingRow>(this.source, `${selectGradings} ORDER BY d.day DESC, d.starts_at DESC, d.id`, [clubId])).map(
      gradingResponse,
    );
  }

  async add(asker: Asker, { programme, day, startsAt }: AddGradingRequest): Promise<Result<GradingPageResponse, GradingRefusal>> {
    const { clubId } = asker;
    const found = await this.syllabuses.programmeBySlug(clubId, programme);
    if (!found) throw notFound('programme');
    if (day < (await this.clubs.today(clubId))) return refused({ kind: 'day-is-over' });
    const [made] = await rows<{ id: string }>(
      this.source,
      'INSERT INTO grading_day (club_id, programme_id, day, starts_at, examiner_ids) VALUES ($1, $2, $3, $4, $5) RETURNING id',
      [clubId, found.id, day, startsAt, [asker.id]],
    );
    return accepted(await this.pages.page(clubId, made?.id ?? ''));
  }

  async change(asker: Asker, id: string, request: ChangeGradingRequest): Promise<Result<GradingPageResponse, GradingRefusal>> {
    const { clubId } = asker;
    if (request.day !== undefined && request.day < (await this.clubs.today(clubId))) return refused({ kind: 'day-is-over' });
    const changed = await this.source.transaction(async (manager): Promise<GradingRefusal | null> => {
      const row = await lockGrading(manager, clubId, id);
      if (row.closed_at) return { kind: 'closed' };
      const { examinerIds = row.examiner_ids, perVisit = row.per_visit } = request;
      if (!(await areOfClub(manager, clubId, examinerIds, row.examiner_ids))) return { kind: 'examiner-unknown' };
      if (examinerIds.length < perVisit) return { kind: 'too-few-examiners' };
      const rests = ['warmUpMinutes', 'slotMinutes', 'together', 'perVisit', 'examinerIds'] as const;
      const isAnew = rests.some((field) => request[field] !== undefined);
      await manager.query(
        `UPDATE grading_day SET day = coalesce($2, day), starts_at = coalesce($3, starts_at), warm_up_minutes = coalesce($4, warm_up_minutes),
           slot_minutes = coalesce($5, slot_minutes), together = coalesce($6, together), per_visit = $7, examiner_ids = $8,
           timetable = CASE WHEN $9 THEN NULL ELSE timetable END WHERE id = $1`,
        [
          id,
          request.day ?? null,
          request.startsAt ?? null,
          request.warmUpMinutes ?? null,
          request.slotMinutes ?? null,
          request.together ?? null,
          perVisit,
          examinerIds,
          isAnew,
        ],
      );
      if (isAnew) await manager.query('UPDATE grading_entry SET party = NULL WHERE grading_id = $1', [id]);
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId: id });
      return null;
    });
    return changed ? refused(changed) : accepted(await this.pages.page(clubId, id));
  }

  /** Takes a grading day away, as long as nothing was marked on it. */
  async remove(clubId: string, id: string): Promise<Result<undefined, GradingRefusal>> {
    return this.source.transaction(async (manager) => {
      const row = await lockGrading(manager, clubId, id);
      const [marked] = await rows(manager, 'SELECT 1 FROM grading_mark WHERE grading_id = $1 LIMIT 1', [id]);
      if (row.closed_at || marked) return refused({ kind: 'has-marks' });
      await manager.query('DELETE FROM grading_day WHERE id = $1', [id]);
      return accepted(undefined);
    });
  }

  /** Enters a child for its next grade, or changes what was written of it. */
  async enter(asker: Asker, id: string, childId: string, size: string): Promise<Result<GradingPageResponse, GradingRefusal>> {
    const { clubId } = asker;
    const entered = await this.source.transaction(async (manager): Promise<GradingRefusal | null> => {
      const row = await lockGrading(manager, clubId, id);
      const entries = await entriesOf(manager, id);
      // a size may be written down afterwards: belts are ordered when it is over
      if (entries.some(({ child_id }) => child_id === childId)) {
        await manager.query('UPDATE grading_entry SET size = $3 WHERE grading_id = $1 AND child_id = $2', [id, childId, size]);
      } else {
        if (row.closed_at) return { kind: 'closed' };
        const candidate = (await this.candidates.on(clubId, row.programme, row.day, new Map())).find((one) => one.childId === childId);
        if (!candidate) throw notFound('child in a group of this programme');
        if (!candidate.grade) return { kind: 'at-the-top' };
        await manager.query(
          'INSERT INTO grading_entry (grading_id, child_id, club_id, grade_id, size) VALUES ($1, $2, $3, $4, $5) ON CONFLICT DO NOTHING',
          [id, childId, clubId, candidate.grade.id, size],
        );
      }
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId: id });
      return null;
    });
    return entered ? refused(entered) : accepted(await this.pages.page(clubId, id));
  }

  /** Takes a child off again; once it has marks it stays. */
  async leave(asker: Asker, id: string, childId: string): Promise<Result<GradingPageResponse, GradingRefusal>> {
    const { clubId } = asker;
    const left = await this.source.transaction(async (manager): Promise<GradingRefusal | null> => {
      const row = await lockGrading(manager, clubId, id);
      if (row.closed_at) return { kind: 'closed' };
      const [marked] = await rows(manager, 'SELECT 1 FROM grading_mark WHERE grading_id = $1 AND child_id = $2 LIMIT 1', [id, childId]);
      if (marked) return { kind: 'has-marks' };
      await manager.query('DELETE FROM grading_entry WHERE grading_id = $1 AND child_id = $2', [id, childId]);
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId: id });
      return null;
    });
    return left ? refused(left) : accepted(await this.pages.page(clubId, id));
  }
}

/** Whether all work in the club; who looked before may have left meanwhile. */
async function areOfClub(manager: EntityManager, clubId: string, ids: readonly string[], before: readonly string[]): Promise<boolean> {
  const found = await rows<{ id: string }>(
    manager,
    'SELECT id FROM person WHERE club_id = $1 AND id = ANY($2) AND (put_away_at IS NULL OR id = ANY($3))',
    [clubId, ids, before],
  );
  return found.length === ids.length;
}
