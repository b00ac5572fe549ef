import type { HolidayRequest, HolidayResponse } from '@leiter/contract';
import { daysBetween } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { fieldRefused, notFound } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';

const mostDays = 120;

const selectHolidays = `
  SELECT h.id, h.name, h.from_day AS "fromDay", h.to_day AS "toDay",
         (SELECT count(*)::int FROM class_session c WHERE c.cancelled_by_holiday = h.id) AS "cancelledCount"
  FROM holiday h WHERE h.club_id = $1`;

/** Days on which a club does not teach. Classes that stand on them are cancelled with them, and come back when they are taken away. */
@Injectable()
export class HolidaysService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly live: LiveService,
  ) {}

  list(clubId: string): Promise<readonly HolidayResponse[]> {
    return rows<HolidayResponse>(this.source, `${selectHolidays} ORDER BY h.from_day, h.name`, [clubId]);
  }

  async add(clubId: string, { name, fromDay, toDay }: HolidayRequest): Promise<HolidayResponse> {
    const length = daysBetween(fromDay, toDay);
    if (length < 0) throw fieldRefused('toDay', 'It ends before it begins.');
    if (length >= mostDays) throw fieldRefused('toDay', `A holiday has at most ${String(mostDays)} days.`);
    return this.source.transaction(async (manager) => {
      const [made] = await rows<{ id: string }>(
        manager,
        'INSERT INTO holiday (club_id, name, from_day, to_day) VALUES ($1, $2, $3, $4) RETURNING id',
        [clubId, name, fromDay, toDay],
      );
      const id = made?.id ?? '';
      await manager.query(
        `UPDATE class_session SET cancelled_because = $3, cancelled_by_holiday = $2
         WHERE club_id = $1 AND day BETWEEN $4 AND $5 AND taught_at IS NULL AND cancelled_because IS NULL`,
        [clubId, id, name, fromDay, toDay],
      );
      await this.tell(manager, clubId);
      const [holiday] = await rows<HolidayResponse>(manager, `${selectHolidays} AND h.id = $2`, [clubId, id]);
      if (!holiday) throw notFound('holiday');
      return holiday;
    });
  }

  /** Takes it away: what was cancelled for it takes place again. */
  async remove(clubId: string, id: string): Promise<void> {
    await this.source.transaction(async (manager) => {
      await manager.query(
        'UPDATE class_session SET cancelled_because = NULL, cancelled_by_holiday = NULL WHERE club_id = $1 AND cancelled_by_holiday = $2',
        [clubId, id],
      );
      const gone = await rows(
        manager,
        'WITH gone AS (DELETE FROM holiday WHERE club_id = $1 AND id = $2 RETURNING id) SELECT id FROM gone',
        [clubId, id],
      );
      if (gone.length === 0) throw notFound('holiday');
      await this.tell(manager, clubId);
    });
  }

  private tell(manager: EntityManager, clubId: string): Promise<void> {
    return this.live.emit(manager, clubId, { topic: 'calendar' });
  }
}
