import type { LiveEvent, Presence, PresenceRequest } from '@leiter/contract';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { lockFor } from '../database/locks.js';
import { NoticesService } from '../database/notices.service.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';

/** Who reads what happens in a club. */
export interface Reader {
  readonly clubId: string;
  /** The id of the last event that was read. */
  last: number;
  /** An event that is kept has an id; who is here has none. */
  readonly tell: (event: LiveEvent, id: number | null) => void;
}

/** Somebody of whom nothing was heard for so long has gone. */
const awaySeconds = 40;

/**
 * What happens in a club, told to every page that is open, whichever server process it is at. An event is written in the
 * transaction that does what it tells of, and PostgreSQL tells every process of it as that is committed.
 */
@Injectable()
export class LiveService implements OnApplicationShutdown {
  private readonly readers = new Map<string, Set<Reader>>();
  private readonly reading = new Map<string, Promise<void>>();
  private readonly wanted = new Set<string>();

  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly notices: NoticesService,
  ) {
    notices.on('leiter_event', {
      told: (payload) => {
        this.read(payload.split(' ')[1] ?? '');
      },
      missed: () => {
        for (const clubId of this.readers.keys()) this.read(clubId);
      },
    });
    notices.on('leiter_presence', {
      told: (payload) => {
        const [clubId = '', classId = ''] = payload.split(' ');
        if (this.readers.has(clubId)) void this.tellWhoIsHere(clubId, classId).catch(() => undefined);
      },
      missed: () => undefined,
    });
  }

  onApplicationShutdown(): void {
    this.readers.clear();
  }

  /**
   * Writes events as the last thing of a transaction. Events of a club are written one after the other, so that a reader who
   * has seen one has seen all before it.
   */
  async emit(manager: EntityManager, clubId: string, ...events: readonly LiveEvent[]): Promise<void> {
    if (events.length === 0) return;
    await lockFor(manager, 'event', clubId);
    await manager.query(
      `INSERT INTO event (club_id, topic, data) SELECT $1, e.topic, e.data
       FROM unnest($2::text[], $3::jsonb[]) WITH ORDINALITY AS e (topic, data, place) ORDER BY e.place`,
      [clubId, events.map(({ topic }) => topic), events.map(({ topic: _topic, ...data }) => JSON.stringify(data))],
    );
  }

  /** @returns the id of the newest event of a club, and whether all after `since` are still kept. */
  async position(clubId: string, since: number | null): Promise<{ readonly newest: number; readonly isWhole: boolean }> {
    const [row] = await rows<{ readonly newest: string; readonly has_since: boolean }>(
      this.source,
      `SELECT coalesce(max(id), 0) AS newest, coalesce(bool_or(id = $2), false) AS has_since FROM event WHERE club_id = $1`,
      [clubId, since ?? 0],
    );
    const newest = Number(row?.newest ?? 0);
    return { newest, isWhole: since === null || since === newest || (row?.has_since ?? false) };
  }

  /** Tells a reader everything after its last, and from then on what happens. @returns what ends it */
  add(reader: Reader): () => void {
    const own = this.readers.get(reader.clubId) ?? new Set();
    own.add(reader);
    this.readers.set(reader.clubId, own);
    this.read(reader.clubId);
    return () => {
      own.delete(reader);
      if (own.size === 0) this.readers.delete(reader.clubId);
    };
  }

  /** Notes that a person has a class open, or has left it. */
  async note(asker: Asker, classId: string, { tab, itemId, isHere }: PresenceRequest): Promise<void> {
    const [session] = await rows(this.source, 'SELECT 1 FROM class_session WHERE club_id = $1 AND id = $2', [asker.clubId, classId]);
    if (!session) throw notFound('class');
    const sql = isHere
      ? `INSERT INTO presence (tab, club_id, class_id, person_id, item_id) VALUES ($1, $2, $3, $4, $5)
         ON CONFLICT (tab) DO UPDATE SET class_id = EXCLUDED.class_id, item_id = EXCLUDED.item_id, seen_at = now()
           WHERE presence.person_id = EXCLUDED.person_id`
      : 'DELETE FROM presence WHERE tab = $1 AND club_id = $2 AND class_id = $3 AND person_id = $4 AND ($5::text IS NULL OR true)';
    await this.source.query(sql, [tab, asker.clubId, classId, asker.id, itemId]);
    await this.source.query(`SELECT pg_notify('leiter_presence', $1)`, [`${asker.clubId} ${classId}`]);
  }

  async whoIsHere(clubId: string, classId: string): Promise<readonly Presence[]> {
    const found = await rows<{ readonly tab: string; readonly id: string; readonly name: string; readonly item_id: string | null }>(
      this.source,
      `SELECT h.tab, p.id, p.name, h.item_id FROM presence h JOIN person p ON p.id = h.person_id
       WHERE h.club_id = $1 AND h.class_id = $2 AND h.seen_at > now() - make_interval(secs => $3) ORDER BY p.name, h.tab`,
      [clubId, classId, awaySeconds],
    );
    return found.map(({ tab, id, name, item_id: itemId }) => ({ tab, classId, person: { id, name }, itemId }));
  }

  /** Tells the open pages of a club at this process something that is not kept. */
  tell(clubId: string, event: LiveEvent): void {
    for (const reader of this.readers.get(clubId) ?? []) reader.tell(event, null);
  }

  private async tellWhoIsHere(clubId: string, classId: string): Promise<void> {
    const here = await this.whoIsHere(clubId, classId);
    this.tell(clubId, { topic: 'presence', classId, here });
  }

  /** Reads what is new for a club; told again while it reads, it reads once more. */
  private read(clubId: string): void {
    if (!this.readers.has(clubId)) return;
    this.wanted.add(clubId);
    if (this.reading.has(clubId)) return;
    const run = async (): Promise<void> => {
      while (this.wanted.delete(clubId)) await this.readOnce(clubId);
    };
    // where the database is away, the line of notices says when it is back
    const running = run()
      .catch(() => undefined)
      .finally(() => this.reading.delete(clubId));
    this.reading.set(clubId, running);
  }

  private async readOnce(clubId: string): Promise<void> {
    const readers = [...(this.readers.get(clubId) ?? [])];
    if (readers.length === 0) return;
    const from = Math.min(...readers.map(({ last }) => last));
    const found = await rows<{ readonly id: string; readonly topic: LiveEvent['topic']; readonly data: object }>(
      this.source,
      'SELECT id, topic, data FROM event WHERE club_id = $1 AND id > $2 ORDER BY id LIMIT 1000',
      [clubId, from],
    );
    for (const row of found) {
      const id = Number(row.id);
      const event = { topic: row.topic, ...row.data } as LiveEvent; // written by `emit` alone
      for (const reader of readers)
        if (id > reader.last) {
          reader.last = id;
          reader.tell(event, id);
        }
    }
    if (found.length === 1000) this.wanted.add(clubId);
  }
}
