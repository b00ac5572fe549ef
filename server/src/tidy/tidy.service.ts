import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { HealthNotesService } from '../children/health-notes.service.js';
import { ClipsService } from '../clips/clips.service.js';
import { locks } from '../database/locks.js';
import { rows } from '../database/rows.js';
import { withoutLinks } from '../letters/post.service.js';

const everyMilliseconds = 10 * 60_000;

/** Takes away what is kept no longer; of several server processes one does it. */
@Injectable()
export class TidyService implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly logger = new Logger('tidy');
  private timer: NodeJS.Timeout | undefined;

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly health: HealthNotesService,
    private readonly clips: ClipsService,
  ) {}

  onApplicationBootstrap(): void {
    this.timer = setInterval(() => {
      this.tidy().catch(() => {
        this.logger.warn('Tidying did not work this time; it is tried again in ten minutes.');
      });
    }, everyMilliseconds);
    this.timer.unref();
  }

  onApplicationShutdown(): void {
    clearInterval(this.timer);
  }

  async tidy(): Promise<void> {
    await this.source.transaction(async (manager) => {
      const [lock] = await rows<{ readonly ours: boolean }>(manager, 'SELECT pg_try_advisory_xact_lock($1, 0) AS ours', [locks.tidy]);
      if (!lock?.ours) return;
      // a page that was away for longer reads everything anew
      await manager.query(`DELETE FROM event WHERE at < now() - interval '2 hours'`);
      await manager.query(`DELETE FROM presence WHERE seen_at < now() - interval '10 minutes'`);
      await manager.query(`DELETE FROM sign_in_try WHERE at < now() - interval '10 minutes'`);
      await manager.query(`DELETE FROM home_try WHERE at < now() - interval '1 hour'`);
      await manager.query(
        `DELETE FROM letter WHERE written_at < now() - interval '180 days' AND state IN ('sent', 'caught', 'failed', 'unsure')`,
      );
      // a letter that was caught is read in the mailbox within a day
      await manager.query(
        `UPDATE letter SET body = ${withoutLinks} WHERE state IN ('caught', 'failed', 'unsure') AND written_at < now() - interval '1 day' AND body ~ '#[A-Za-z0-9_-]{43}'`,
      );
      await manager.query(`DELETE FROM invitation WHERE ends_at < now() - interval '30 days'`);
      await manager.query(`DELETE FROM stage WHERE told_at < now() - interval '12 hours'`);
      await manager.query(`DELETE FROM remote_link WHERE made_at < now() - interval '12 hours'`);
      await this.health.tidy(manager);
    });
    await this.clips.tidy();
  }
}
