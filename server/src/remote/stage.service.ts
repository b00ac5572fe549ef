import type { PressRequest, StageRequest, StageView } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { NoticesService } from '../database/notices.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';

/** A class that is taught, for whom it may concern. */
export interface OneClass {
  readonly clubId: string;
  readonly classId: string;
}

/** What the device that teaches shows and what is pressed beside it, told to whichever server process it concerns. */
@Injectable()
export class StageService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly notices: NoticesService,
    live: LiveService,
  ) {
    notices.on('leiter_press', {
      told: (payload) => {
        const { clubId, ...press } = JSON.parse(payload) as OneClass & PressRequest; // written by `press` alone
        live.tell(clubId, { topic: 'press', ...press });
      },
      missed: () => undefined,
    });
  }

  /** Notes what is shown; whoever looks is told. @throws 404 for a class that is not there or over */
  async show({ clubId, classId }: OneClass, state: StageRequest): Promise<void> {
    const noted = await rows(
      this.source,
      `WITH noted AS (
         INSERT INTO stage (class_id, club_id, state)
           SELECT id, club_id, $3 FROM class_session WHERE club_id = $1 AND id = $2 AND ended_at IS NULL
         ON CONFLICT (class_id) DO UPDATE SET state = EXCLUDED.state, told_at = now() RETURNING class_id)
       SELECT pg_notify('leiter_stage', class_id::text) FROM noted`,
      [clubId, classId, JSON.stringify(state)],
    );
    if (noted.length === 0) throw notFound('class that is taught');
  }

  /** @throws 404 for a class that is not there */
  async view({ clubId, classId }: OneClass): Promise<StageView> {
    const [found] = await rows<{ readonly name: string; readonly state: StageRequest | null }>(
      this.source,
      `SELECT g.name, s.state FROM class_session c JOIN teaching_group g ON g.id = c.group_id
       LEFT JOIN stage s ON s.class_id = c.id AND c.ended_at IS NULL WHERE c.club_id = $1 AND c.id = $2`,
      [clubId, classId],
    );
    if (!found) throw notFound('class');
    return { groupName: found.name, stage: found.state };
  }

  /** Hands a press to the device that teaches. @throws 404 for a class that nobody teaches */
  async press({ clubId, classId }: OneClass, { id, tab, press, childId, mark }: PressRequest): Promise<void> {
    const payload = JSON.stringify({ clubId, classId, id, tab, press, childId, mark });
    const told = await rows(this.source, `SELECT pg_notify('leiter_press', $3) FROM stage WHERE club_id = $1 AND class_id = $2`, [
      clubId,
      classId,
      payload,
    ]);
    if (told.length === 0) throw notFound('class that is taught');
  }

  /** @returns what ends it */
  onShown(classId: string, shown: () => void): () => void {
    return this.notices.on('leiter_stage', {
      told: (payload) => {
        if (payload === classId) shown();
      },
      missed: shown,
    });
  }
}
