import type { CallNamesRequest, ClassPageResponse } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';

/** Whom the names in a call stand for, once somebody has said so. */
@Injectable()
export class CallNamesService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  of(clubId: string, groupId: string): Promise<ClassPageResponse['callNames']> {
    return rows(
      this.source,
      `SELECT name, array_agg(child_id ORDER BY child_id) AS "childIds" FROM call_name
       WHERE club_id = $1 AND group_id = $2 GROUP BY name ORDER BY name`,
      [clubId, groupId],
    );
  }

  /** Keeps answers for a group; told again, the later one holds. Children of another club are nobody. */
  async keep(clubId: string, groupId: string, { names }: CallNamesRequest): Promise<void> {
    const pairs = names.flatMap(({ name, childIds }) => childIds.map((childId) => ({ name, childId })));
    await this.source.transaction(async (manager) => {
      await manager.query('DELETE FROM call_name WHERE club_id = $1 AND group_id = $2 AND name = ANY($3)', [
        clubId,
        groupId,
        names.map(({ name }) => name),
      ]);
      await manager.query(
        `INSERT INTO call_name (club_id, group_id, name, child_id)
         SELECT $1, $2, p.name, c.id FROM unnest($3::text[], $4::uuid[]) AS p (name, child_id)
         JOIN child c ON c.id = p.child_id AND c.club_id = $1 ON CONFLICT DO NOTHING`,
        [clubId, groupId, pairs.map(({ name }) => name), pairs.map(({ childId }) => childId)],
      );
    });
  }
}
