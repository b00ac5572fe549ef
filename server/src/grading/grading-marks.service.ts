import { isDeepStrictEqual } from 'node:util';
import type { GradingMark, GradingMarkRequest } from '@leiter/contract';
import { accepted, refused, sidesAsked, type Criterion, type Result, type Side } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { gradingMarks } from './grading-mark-row.js';
import { lockGrading } from './grading-row.js';

export type GradingMarkRefusal =
  | { readonly kind: 'closed' }
  | { readonly kind: 'not-entered' }
  | { readonly kind: 'not-asked' }
  | { readonly kind: 'side-not-asked' }
  | { readonly kind: 'too-early' }
  | { readonly kind: 'fault-unknown'; readonly fault: string }
  | { readonly kind: 'id-used' };

/** What examiners see on a grading day: kept as each of them wrote it. */
@Injectable()
export class GradingMarksService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly library: LibraryService,
    private readonly live: LiveService,
  ) {}

  /** Stores a mark once: sent again it is the same one; with other content it is refused. */
  async mark(asker: Asker, gradingId: string, id: string, request: GradingMarkRequest): Promise<Result<GradingMark, GradingMarkRefusal>> {
    const { clubId } = asker;
    const today = await this.clubs.today(clubId);
    const library = await this.library.library(clubId);
    return this.source.transaction(async (manager): Promise<Result<GradingMark, GradingMarkRefusal>> => {
      const grading = await lockGrading(manager, clubId, gradingId);
      const [stored] = await gradingMarks(manager, gradingId, id);
      if (stored) return isDeepStrictEqual(facts(stored), facts(request)) ? accepted(stored) : refused({ kind: 'id-used' });
      if (grading.closed_at) return refused({ kind: 'closed' });
      if (today < grading.day) return refused({ kind: 'too-early' });
      const [asked] = await rows<{ movement_slug: string; criterion: Criterion | null; lead_side: Side }>(
        manager,
        `SELECT r.movement_slug, r.criterion, c.lead_side FROM grading_entry e JOIN child c ON c.id = e.child_id
         LEFT JOIN requirement r ON r.grade_id = e.grade_id AND r.id = $3 WHERE e.grading_id = $1 AND e.child_id = $2`,
        [gradingId, request.childId, request.requirementId],
      );
      if (!asked) return refused({ kind: 'not-entered' });
      if (!asked.criterion) return refused({ kind: 'not-asked' });
      const sides = sidesAsked(asked.criterion, asked.lead_side).map((side) => side ?? 'none');
      if (!sides.some((side) => side === request.side)) return refused({ kind: 'side-not-asked' });
      const faults = library.get(asked.movement_slug)?.faults ?? [];
      const unknown = request.faults.find((fault) => !faults.some(({ slug }) => slug === fault));
      if (unknown !== undefined) return refused({ kind: 'fault-unknown', fault: unknown });
      const written = await rows(
        manager,
        `INSERT INTO grading_mark (id, club_id, grading_id, child_id, requirement_id, side, mark, help, measure, faults, is_settled, examiner_id)
         VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) ON CONFLICT (id) DO NOTHING RETURNING id`,
        [
          id,
          clubId,
          gradingId,
          request.childId,
          request.requirementId,
          request.side,
          request.mark,
          request.help ?? null,
          JSON.stringify(request.measure),
          request.faults,
          request.isSettled,
          asker.id,
        ],
      );
      // of another grading day
      if (written.length === 0) return refused({ kind: 'id-used' });
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId });
      const [made] = await gradingMarks(manager, gradingId, id);
      if (!made) throw notFound('mark');
      return accepted(made);
    });
  }
}

function facts(one: GradingMark | GradingMarkRequest): readonly unknown[] {
  const { seconds, reps, correct, of } = one.measure;
  return [one.childId, one.requirementId, one.side, one.mark, one.help ?? null, seconds, reps, correct, of, [...one.faults], one.isSettled];
}
