import type { SaveHealthNotesRequest } from '@leiter/contract';
import { accepted, refused, sparesOn, type HealthNote, type Result, type Spares } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/session.guard.js';

/**
 * What families told of their children's health. Only the staff of a child's groups sees it or what follows from it: who
 * teaches one of its groups or a class of it to come, and the assistants, who help in every group (docs/decisions/0013).
 */
@Injectable()
export class HealthNotesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
  ) {}

  /** @returns the notes of a child, those left out whose last day is over; null where the one who asks is not of its staff. */
  async of(asker: Asker, childId: string): Promise<readonly HealthNote[] | null> {
    const [child] = await rows<{ readonly health_notes: readonly HealthNote[]; readonly groups: readonly string[] | null }>(
      this.source,
      `SELECT c.health_notes, (SELECT array_agg(e.group_id) FROM enrolment e WHERE e.child_id = c.id AND e.to_day IS NULL) AS groups
       FROM child c WHERE c.club_id = $1 AND c.id = $2`,
      [asker.clubId, childId],
    );
    if (!child) throw notFound('child');
    if (!(await this.isStaffOf(asker, child.groups ?? []))) return null;
    const today = await this.clubs.today(asker.clubId);
    return child.health_notes.filter(({ untilDay }) => untilDay === null || untilDay >= today);
  }

  /** Stores the notes of a child; what is not among them is gone. */
  async save(asker: Asker, childId: string, request: SaveHealthNotesRequest): Promise<Result<readonly HealthNote[], 'not-of-its-staff'>> {
    if ((await this.of(asker, childId)) === null) return refused('not-of-its-staff');
    await this.source.query('UPDATE child SET health_notes = $3 WHERE club_id = $1 AND id = $2', [
      asker.clubId,
      childId,
      JSON.stringify(request.notes),
    ]);
    return accepted((await this.of(asker, childId)) ?? []);
  }

  /** What the children of a group have to be spared on a day, by child; empty for who is not of its staff. */
  async spares(asker: Asker, groupId: string, day: string, childIds: readonly string[]): Promise<ReadonlyMap<string, Spares>> {
    if (!(await this.isStaffOf(asker, [groupId]))) return new Map();
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

  private async isStaffOf(asker: Asker, groupIds: readonly string[]): Promise<boolean> {
    if (groupIds.length === 0) return false;
    if (asker.role === 'assistant') return true;
    const taught = await rows(
      this.source,
      `SELECT 1 FROM teaching_group t WHERE t.club_id = $1 AND t.id = ANY($2) AND (t.instructor_id IS NULL OR t.instructor_id = $3
         OR EXISTS (SELECT 1 FROM class_session c WHERE c.group_id = t.id AND c.instructor_id = $3 AND c.day >= $4)) LIMIT 1`,
      [asker.clubId, groupIds, asker.id, await this.clubs.today(asker.clubId)],
    );
    return taught.length > 0;
  }
}
