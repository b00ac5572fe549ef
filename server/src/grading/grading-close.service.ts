import type { ClosedGradingResponse, GradingDecision, GradingPageResponse } from '@leiter/contract';
import { accepted, refused, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { climbNewest, insertAward } from '../children/grade-award.js';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { observationColumns, observationOf, type ObservationRow } from '../record/observation.mapper.js';
import { StaffService } from '../staff/staff.service.js';
import { GradingPageService, type Judged } from './grading-page.service.js';
import { entriesOf, findGrading, lockGrading, type GradingRow } from './grading-row.js';

export type CloseRefusal =
  | { readonly kind: 'too-early' }
  | { readonly kind: 'not-entered' }
  | { readonly kind: 'reason-missing'; readonly at: number; readonly name: string }
  | { readonly kind: 'changed-meanwhile' };
export type ReopenRefusal = { readonly kind: 'not-closed' } | { readonly kind: 'climbed-since'; readonly names: readonly string[] };

/** What a grading day comes to: marks into the record and grades given, as one act, and that act taken back. */
@Injectable()
export class GradingCloseService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly pages: GradingPageService,
    private readonly staff: StaffService,
    private readonly live: LiveService,
  ) {}

  /**
   * Closes a grading day. Every mark that counts becomes one of the child’s record; grades are given to whom it was decided; whom the
   * marks do not show ready gets it with a reason alone. Closed twice it is closed once. Children who left meanwhile are told.
   */
  async close(asker: Asker, id: string, decisions: readonly GradingDecision[]): Promise<Result<ClosedGradingResponse, CloseRefusal>> {
    const { clubId } = asker;
    const today = await this.clubs.today(clubId);
    const row = await findGrading(this.source, clubId, id);
    if (row.closed_at) return accepted({ page: await this.pages.page(clubId, id), left: [] });
    if (today < row.day) return refused({ kind: 'too-early' });
    const { judged, marks } = await this.pages.judge(clubId, row);
    const isGone = await this.goneOf(clubId, judged);
    const decided: { readonly one: Judged; readonly decision: GradingDecision }[] = [];
    for (const [at, decision] of decisions.entries()) {
      const one = judged.find(({ candidate }) => candidate.childId === decision.childId);
      if (!one) {
        // it was erased meanwhile, or taken off: another page decided about it
        return refused({ kind: 'not-entered' });
      }
      if (isGone.has(decision.childId)) continue;
      if (decision.isGranted && !one.verdict.earned && decision.reason === '')
        return refused({ kind: 'reason-missing', at, name: one.candidate.name });
      decided.push({ one, decision });
    }
    const done = await this.source.transaction(async (manager): Promise<'done' | 'done-before' | 'changed'> => {
      const now = await lockGrading(manager, clubId, id);
      if (now.closed_at) return 'done-before';
      const [count] = await rows<{ marks: number }>(manager, 'SELECT count(*)::int AS marks FROM grading_mark WHERE grading_id = $1', [id]);
      const still = await entriesOf(manager, id);
      const isSame =
        still.length === judged.length && judged.every(({ entry }) => still.some(({ child_id }) => child_id === entry.child_id));
      if (count?.marks !== marks.length || now.day !== row.day || !isSame) return 'changed';
      for (const one of judged) await this.record(manager, asker, one);
      for (const { one, decision } of decided) await this.decide(manager, asker, row, one, decision);
      await manager.query('UPDATE grading_day SET closed_at = now() WHERE id = $1', [id]);
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId: id });
      return 'done';
    });
    if (done === 'changed') return refused({ kind: 'changed-meanwhile' });
    const left =
      done === 'done' ? judged.filter(({ candidate }) => isGone.has(candidate.childId)).map(({ candidate }) => candidate.name) : [];
    return accepted({ page: await this.pages.page(clubId, id), left });
  }

  /** Takes a closed grading day back: its grades and its marks, with the reason; what examiners wrote stays. */
  async reopen(asker: Asker, id: string, reason: string): Promise<Result<GradingPageResponse, ReopenRefusal>> {
    const { clubId } = asker;
    const refusal = await this.source.transaction(async (manager): Promise<ReopenRefusal | null> => {
      const row = await lockGrading(manager, clubId, id);
      if (!row.closed_at) return { kind: 'not-closed' };
      const climbed = await rows<{ name: string }>(
        manager,
        `SELECT c.given_name || ' ' || c.family_initial AS name FROM grading_entry e JOIN grade g ON g.id = e.grade_id JOIN syllabus s ON s.id = g.syllabus_id
         JOIN child c ON c.id = e.child_id
         WHERE e.grading_id = $1 AND e.is_given_here AND EXISTS (
           SELECT 1 FROM grade_award a JOIN grade o ON o.id = a.grade_id JOIN syllabus t ON t.id = o.syllabus_id
           WHERE a.child_id = e.child_id AND t.programme_id = s.programme_id AND a.grade_id <> e.grade_id AND a.awarded_on >= $2 AND o.position > g.position)
         ORDER BY 1`,
        [id, row.day],
      );
      if (climbed.length > 0) return { kind: 'climbed-since', names: climbed.map(({ name }) => name) };
      const given = await rows<{ child_id: string; grade: string }>(
        manager,
        `SELECT e.child_id, g.name AS grade FROM grading_entry e JOIN grade g ON g.id = e.grade_id WHERE e.grading_id = $1 AND e.is_given_here`,
        [id],
      );
      await manager.query(
        `DELETE FROM grade_award a USING grading_entry e WHERE e.grading_id = $1 AND e.is_given_here AND a.child_id = e.child_id AND a.grade_id = e.grade_id`,
        [id],
      );
      for (const { child_id, grade } of given)
        await this.staff.log(manager, asker, [child_id], { kind: 'grade-taken-back', detail: { grade, reason } });
      await this.withdraw(manager, asker, id);
      await manager.query(`UPDATE grading_entry SET decision = NULL, reason = '', is_given_here = false WHERE grading_id = $1`, [id]);
      await manager.query('UPDATE grading_day SET closed_at = NULL WHERE id = $1', [id]);
      await this.live.emit(manager, clubId, { topic: 'grading', gradingId: id });
      return null;
    });
    return refusal ? refused(refusal) : accepted(await this.pages.page(clubId, id));
  }

  /** Who was put away meanwhile; who was erased is not entered any more. */
  private async goneOf(clubId: string, judged: readonly Judged[]): Promise<ReadonlySet<string>> {
    const found = await rows<{ id: string }>(
      this.source,
      'SELECT id FROM child WHERE club_id = $1 AND id = ANY($2) AND archived_at IS NOT NULL',
      [clubId, judged.map(({ candidate }) => candidate.childId)],
    );
    return new Set(found.map(({ id }) => id));
  }

  /** The marks that count become marks of the record, each once. */
  private async record(manager: EntityManager, { clubId }: Asker, { shown }: Judged): Promise<void> {
    for (const { counts, observation } of shown) {
      const [made] = await rows<ObservationRow>(
        manager,
        `INSERT INTO observation AS o (id, club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, recorded_by, source)
         VALUES (gen_random_uuid(), $1, $2, $3, $4, $5, $6, $7, $8, $9, '', $10, $11, 'grading') RETURNING ${observationColumns}`,
        [
          clubId,
          counts.childId,
          observation.movement,
          observation.stage,
          counts.side,
          counts.mark,
          counts.help,
          JSON.stringify(counts.measure),
          counts.faults,
          observation.seenOn,
          counts.examinerId,
        ],
      );
      if (!made) continue;
      await manager.query('UPDATE grading_mark SET observation_id = $2 WHERE id = $1', [counts.id, made.id]);
      await this.live.emit(manager, clubId, { topic: 'mark', mark: observationOf(made) });
    }
  }

  private async decide(manager: EntityManager, asker: Asker, row: GradingRow, one: Judged, decision: GradingDecision): Promise<void> {
    const { candidate, entry, verdict } = one;
    const { childId, grade } = candidate;
    const award = { childId, gradeId: entry.grade_id, awardedOn: row.day };
    const isGivenHere = decision.isGranted && (await insertAward(manager, asker, award));
    await manager.query('UPDATE grading_entry SET decision = $3, reason = $4, is_given_here = $5 WHERE grading_id = $1 AND child_id = $2', [
      row.id,
      childId,
      decision.isGranted ? 'granted' : 'not-yet',
      decision.reason,
      isGivenHere,
    ]);
    if (!isGivenHere) return;
    await climbNewest(manager, asker.clubId, childId, row.programme);
    if (!verdict.earned)
      await this.staff.log(manager, asker, [childId], {
        kind: 'grade-given',
        detail: { grade: grade?.name ?? '', reason: decision.reason },
      });
  }

  /** Marks of the record that were made of those of this day are taken back, as any mark is. */
  private async withdraw(manager: EntityManager, asker: Asker, id: string): Promise<void> {
    const taken = await rows<ObservationRow>(
      manager,
      `INSERT INTO observation AS o (id, club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, recorded_by, source, supersedes, is_withdrawal)
       SELECT gen_random_uuid(), b.club_id, b.child_id, b.movement_slug, b.stage, b.side, b.mark, b.help, b.measure, b.faults, '', b.seen_on, $2, b.source, b.id, true
       FROM grading_mark m JOIN observation b ON b.id = m.observation_id
       WHERE m.grading_id = $1 AND NOT EXISTS (SELECT 1 FROM observation s WHERE s.supersedes = b.id) RETURNING ${observationColumns}`,
      [id, asker.id],
    );
    for (const row of taken) await this.live.emit(manager, asker.clubId, { topic: 'mark', mark: observationOf(row) });
    await manager.query('UPDATE grading_mark SET observation_id = NULL WHERE grading_id = $1', [id]);
  }
}
