import type { ChildLogEntry } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { ClubService } from '../club/club.service.js';
import { rows } from '../database/rows.js';
import type { Asker } from '../people/asker.js';

/**
 * Who is of the staff of a child: who teaches one of its groups or a class of it to come, and the assistants, who help in every
 * group (docs/decisions/0013). What changes it is written down and goes with the child.
 */
@Injectable()
export class StaffService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly clubs: ClubService,
  ) {}

  async isOfChild(asker: Asker, childId: string): Promise<boolean> {
    return this.isOfGroups(asker, await this.groupsOf(asker.clubId, childId));
  }

  async isOfGroups(asker: Asker, groupIds: readonly string[]): Promise<boolean> {
    if (groupIds.length === 0) return false;
    if (asker.role === 'assistant') return true;
    const taught = await rows(
      this.source,
      `SELECT 1 FROM teaching_group t WHERE t.club_id = $1 AND t.id = ANY($2) AND (t.instructor_id = $3
         OR EXISTS (SELECT 1 FROM class_session c WHERE c.group_id = t.id AND c.instructor_id = $3 AND c.day >= $4)) LIMIT 1`,
      [asker.clubId, groupIds, asker.id, await this.clubs.today(asker.clubId)],
    );
    return taught.length > 0;
  }

  /**
   * Whether somebody may change the groups of a child: the owner, its staff, and for a child that is in no group and of whose
   * health nothing was told anybody who teaches. Else one could become its staff by putting it into a group of one's own.
   */
  async mayMove(asker: Asker, childId: string): Promise<boolean> {
    if (asker.role === 'owner') return true;
    const groups = await this.groupsOf(asker.clubId, childId);
    if (groups.length > 0) return this.isOfGroups(asker, groups);
    const [told] = await rows(this.source, `SELECT 1 FROM child WHERE club_id = $1 AND id = $2 AND health_notes <> '[]'`, [
      asker.clubId,
      childId,
    ]);
    return told === undefined;
  }

  /** Writes down something that was done about who sees a child, or with its health notes. */
  async log(
    manager: EntityManager,
    asker: Asker,
    childIds: readonly string[],
    { kind, detail = {} }: { readonly kind: ChildLogEntry['kind']; readonly detail?: ChildLogEntry['detail'] },
  ): Promise<void> {
    await manager.query(
      `INSERT INTO child_log (club_id, child_id, by_id, kind, detail) SELECT $1, id, $2, $3, $4 FROM unnest($5::uuid[]) AS id`,
      [asker.clubId, asker.id, kind, JSON.stringify(detail), childIds],
    );
  }

  /** Writes down that somebody looked, once a person, thing and day. */
  async logLook(
    manager: EntityManager | DataSource,
    asker: Asker,
    childId: string,
    kind: 'health-seen' | 'clip-seen',
    detail: ChildLogEntry['detail'] = {},
  ): Promise<void> {
    await manager.query(
      `INSERT INTO child_log (club_id, child_id, by_id, kind, detail) SELECT $1, $2, $3, $4, $5::jsonb
       WHERE NOT EXISTS (SELECT 1 FROM child_log WHERE child_id = $2 AND by_id = $3 AND kind = $4 AND detail = $5::jsonb AND at > now() - interval '1 day')`,
      [asker.clubId, childId, asker.id, kind, JSON.stringify(detail)],
    );
  }

  async logOf(clubId: string, childId: string): Promise<readonly ChildLogEntry[]> {
    const found = await rows<Omit<ChildLogEntry, 'at'> & { readonly at: Date }>(
      this.source,
      `SELECT l.at, p.name AS by, l.kind, l.detail FROM child_log l LEFT JOIN person p ON p.id = l.by_id
       WHERE l.club_id = $1 AND l.child_id = $2 ORDER BY l.at DESC, l.id DESC LIMIT 200`,
      [clubId, childId],
    );
    return found.map(({ at, ...entry }) => ({ ...entry, at: at.toISOString() }));
  }

  private async groupsOf(clubId: string, childId: string): Promise<readonly string[]> {
    const found = await rows<{ readonly group_id: string }>(
      this.source,
      'SELECT group_id FROM enrolment WHERE club_id = $1 AND child_id = $2 AND to_day IS NULL',
      [clubId, childId],
    );
    return found.map(({ group_id: id }) => id);
  }
}
