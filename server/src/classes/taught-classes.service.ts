import type { TaughtClass } from '@leiter/contract';
import { openPlan, type Visit } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { ClassesService } from './classes.service.js';

/** So many of the last classes are set beside a plan. */
const mostClasses = 8;

interface TaughtRow {
  readonly id: string;
  readonly day: string;
  readonly length_minutes: number;
  readonly document: unknown;
  readonly times: Readonly<Record<string, { readonly planned: number; readonly real: number }>> | null;
  readonly visits: readonly Visit[];
}

/** Classes that were taught: what was planned and what it took. */
@Injectable()
export class TaughtClassesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly classes: ClassesService,
  ) {}

  /** The last classes of the group of a class that were taught before it, the newest first; one query, however many. */
  async before(clubId: string, classId: string): Promise<readonly TaughtClass[]> {
    const session = await this.classes.find(clubId, classId);
    const found = await rows<TaughtRow>(
      this.source,
      `${selectTaught} AND c.group_id = $2 AND c.taught_at IS NOT NULL AND c.day < $3 ORDER BY c.day DESC LIMIT $4`,
      [clubId, session.groupId, session.day, mostClasses],
    );
    return found.flatMap(taughtClass);
  }

  /** One class; without any items where nothing was measured, or no plan is there. */
  async of(clubId: string, classId: string): Promise<TaughtClass> {
    const session = await this.classes.find(clubId, classId);
    const found = await rows<TaughtRow>(this.source, `${selectTaught} AND c.id = $2`, [clubId, classId]);
    return found.flatMap(taughtClass)[0] ?? { classId, day: session.day, lengthMinutes: session.lengthMinutes, items: [], visits: [] };
  }
}

const selectTaught = `
  SELECT c.id, to_char(c.day, 'YYYY-MM-DD') AS day, c.length_minutes, c.visits, l.document,
         (SELECT jsonb_object_agg(i.item_id, jsonb_build_object('planned', i.planned_seconds, 'real', i.real_seconds))
          FROM item_time i WHERE i.class_id = c.id) AS times
  FROM class_session c JOIN class_plan l ON l.class_id = c.id
  WHERE c.club_id = $1`;

/** @returns nothing for a plan that cannot be read */
function taughtClass({ id, day, length_minutes: lengthMinutes, document, times, visits }: TaughtRow): readonly TaughtClass[] {
  const plan = openPlan(document);
  if (!plan.ok) return [];
  const items = plan.value.sections.flatMap(({ kind, items }) =>
    items.flatMap(({ id: itemId, movement }) => {
      const time = times?.[itemId];
      return time ? [{ itemId, section: kind, movement, plannedSeconds: time.planned, realSeconds: time.real }] : [];
    }),
  );
  return [{ classId: id, day, lengthMinutes, items, visits }];
}
