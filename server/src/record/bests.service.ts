import type { GroupBestsResponse } from '@leiter/contract';
import { groupBy, measuredLines } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { GroupsService } from '../groups/groups.service.js';
import { observationColumns, observationOf, type ObservationRow } from './observation.mapper.js';

/** What was measured of a group, child by child. */
@Injectable()
export class BestsService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly groups: GroupsService,
  ) {}

  async ofGroup(clubId: string, groupId: string): Promise<GroupBestsResponse> {
    const [group, children] = await Promise.all([
      this.groups.find(clubId, groupId),
      rows<{ id: string; name: string }>(
        this.source,
        `SELECT c.id, c.given_name || ' ' || c.family_initial AS name FROM child c JOIN enrolment e ON e.child_id = c.id AND e.to_day IS NULL
         WHERE c.club_id = $1 AND e.group_id = $2 AND c.archived_at IS NULL ORDER BY c.given_name COLLATE "und-x-icu", c.family_initial`,
        [clubId, groupId],
      ),
    ]);
    // a mark that supersedes one that was measured may not be measured itself: all marks of what was ever measured
    const observations = await rows<ObservationRow>(
      this.source,
      `SELECT ${observationColumns} FROM observation o WHERE o.club_id = $1 AND o.child_id = ANY($2) AND EXISTS (
         SELECT 1 FROM observation m WHERE m.child_id = o.child_id AND m.movement_slug = o.movement_slug AND m.measure <> '{}')`,
      [clubId, children.map(({ id }) => id)],
    );
    const byChild = groupBy(observations.map(observationOf), ({ childId }) => childId);
    return {
      group,
      lines: children.flatMap(({ id, name }) =>
        measuredLines(byChild.get(id) ?? []).map((line) => ({ ...line, childId: id, childName: name })),
      ),
    };
  }
}
