import type { HealthNotes, SaveHealthNotesRequest } from '@leiter/contract';
import { accepted, refused, sparesOn, type HealthNote, type Result, type Spares } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { StaffService } from '../staff/staff.service.js';

export type SaveNotesRefusal =
  { readonly kind: 'not-of-its-staff' } | { readonly kind: 'changed-meanwhile'; readonly current: HealthNotes };

/** A child that is in no group for so long is not taught any more: what was told for teaching it goes. */
const keptWithoutGroupDays = 84;

/**
 * What families told of their children's health. Only the staff of a child's groups sees it or what follows from it
 * (docs/decisions/0013); that it was written or handed out is written down.
 */
@Injectable()
export class HealthNotesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
    private readonly staff: StaffService,
  ) {}

  /** @returns the notes of a child, those left out whose last day is over; null where the one who asks is not of its staff. */
  async of(asker: Asker, childId: string): Promise<HealthNotes | null> {
    if (!(await this.staff.isOfChild(asker, childId))) return null;
    return this.current(this.source, asker.clubId, childId);
  }

  /** All notes that are kept of a child, for the family that asks for them; that they were handed out is written down. */
  async handOut(asker: Asker, childId: string): Promise<readonly HealthNote[]> {
    return this.source.transaction(async (manager) => {
      const [child] = await rows<{ readonly health_notes: readonly HealthNote[] }>(
        manager,
        'SELECT health_notes FROM child WHERE club_id = $1 AND id = $2',
        [asker.clubId, childId],
      );
      if (!child) throw notFound('child');
      await this.staff.log(manager, asker, [childId], { kind: 'record-handed-out' });
      return child.health_notes;
    });
  }

  /** Stores the notes of a child on top of the version that was read; what is not among them is gone. */
  async save(asker: Asker, childId: string, request: SaveHealthNotesRequest): Promise<Result<HealthNotes, SaveNotesRefusal>> {
    if (!(await this.staff.isOfChild(asker, childId))) {
      // another club's child is not there at all
      await this.current(this.source, asker.clubId, childId);
      return refused({ kind: 'not-of-its-staff' });
    }
    return this.source.transaction(async (manager) => {
      await manager.query('SELECT 1 FROM child WHERE club_id = $1 AND id = $2 FOR UPDATE', [asker.clubId, childId]);
      const current = await this.current(manager, asker.clubId, childId);
      if (current.version !== request.version) return refused({ kind: 'changed-meanwhile', current });
      await manager.query('UPDATE child SET health_notes = $3, health_version = health_version + 1 WHERE club_id = $1 AND id = $2', [
        asker.clubId,
        childId,
        JSON.stringify(request.notes),
      ]);
      await this.staff.log(manager, asker, [childId], { kind: 'health-written' });
      return accepted(await this.current(manager, asker.clubId, childId));
    });
  }

  /** What the children of a group have to be spared on a day, by child; empty for who is not of its staff. */
  async spares(asker: Asker, groupId: string, day: string, childIds: readonly string[]): Promise<ReadonlyMap<string, Spares>> {
    if (!(await this.staff.isOfGroups(asker, [groupId]))) return new Map();
    const found = await rows<{ readonly id: string; readonly health_notes: readonly HealthNote[] }>(
      this.source,
      `SELECT id, health_notes FROM child WHERE club_id = $1 AND id = ANY($2) AND health_notes <> '[]'`,
      [asker.clubId, childIds],
    );
    return new Map(
      found.flatMap(({ id, health_notes: notes }): readonly (readonly [string, Spares])[] => {
        const spares = sparesOn(notes, day);
        return spares ? [[id, spares]] : [];
      }),
    );
  }

  /** Takes away what is kept no longer: notes past their last day, and those of children who have been in no group for twelve weeks. */
  async tidy(manager: EntityManager): Promise<void> {
    await manager.query(
      `UPDATE child c SET health_notes = kept.notes, health_version = health_version + 1
       FROM (SELECT c.id, CASE
               WHEN EXISTS (SELECT 1 FROM enrolment e WHERE e.child_id = c.id AND (e.to_day IS NULL OR e.to_day > now()::date - $1::int)) THEN
                 (SELECT coalesce(jsonb_agg(n), '[]') FROM jsonb_array_elements(c.health_notes) n
                  WHERE n ->> 'untilDay' IS NULL OR (n ->> 'untilDay')::date >= (now() AT TIME ZONE b.time_zone)::date)
               ELSE '[]' END AS notes
             FROM child c JOIN club b ON b.id = c.club_id
             WHERE c.health_notes <> '[]' AND (c.archived_at IS NULL OR c.archived_at < now() - make_interval(days => $1))) kept
       WHERE kept.id = c.id AND kept.notes <> c.health_notes`,
      [keptWithoutGroupDays],
    );
  }

  private async current(source: DataSource | EntityManager, clubId: string, childId: string): Promise<HealthNotes> {
    const [child] = await rows<{ readonly health_notes: readonly HealthNote[]; readonly health_version: number }>(
      source,
      'SELECT health_notes, health_version FROM child WHERE club_id = $1 AND id = $2',
      [clubId, childId],
    );
    if (!child) throw notFound('child');
    const today = await this.clubs.today(clubId);
    return {
      version: child.health_version,
      notes: child.health_notes.filter(({ untilDay }) => untilDay === null || untilDay >= today),
    };
  }
}
