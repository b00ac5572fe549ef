import { Injectable, Logger, type OnApplicationShutdown, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import pg from 'pg';
import { DataSource } from 'typeorm';

const channels = [
  'leiter_event',
  'leiter_library',
  'leiter_person',
  'leiter_session',
  'leiter_presence',
  'leiter_stage',
  'leiter_press',
] as const;
/** What the database tells every server process (triggers of the migration sound-ground, and services that notify). */
export type NoticeChannel = (typeof channels)[number];

interface Listener {
  readonly told: (payload: string) => void;
  /** The line was lost or is there again: what was told meanwhile is not known. */
  readonly missed: () => void;
}

const longestPauseMilliseconds = 2000;
/** A line that is dead without saying so is found by asking this often. */
const pulseMilliseconds = 5000;
export const pulse = 'SELECT 1';

/**
 * One connection a process on which PostgreSQL tells what changed (LISTEN). What a process keeps in its memory is believed only
 * while this line is there, so that another process is never missed.
 */
@Injectable()
export class NoticesService implements OnModuleInit, OnApplicationShutdown {
  private readonly logger = new Logger('notices');
  private readonly listeners = new Map<NoticeChannel, Set<Listener>>(channels.map((channel) => [channel, new Set()]));
  private client: pg.Client | null = null;
  private asked: Promise<void> | null = null;
  private askedNext: Promise<void> | null = null;
  private isOver = false;
  private pauseMilliseconds = 100;
  private timer: NodeJS.Timeout | undefined;
  private pulseTimer: NodeJS.Timeout | undefined;

  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Whether what is kept in memory may be believed. */
  get isListening(): boolean {
    return this.client !== null;
  }

  on(channel: NoticeChannel, listener: Listener): () => void {
    const own = this.listeners.get(channel);
    own?.add(listener);
    return () => {
      own?.delete(listener);
    };
  }

  /**
   * Waits until all is told that was committed before: PostgreSQL sends what waits for a connection before it answers it. So this
   * process never answers with what a request just answered has changed.
   */
  allTold(): Promise<void> {
    if (!this.asked && !this.askedNext) return this.ask();
    // what is asked already may have left before: one question more will do for all who come meanwhile
    this.askedNext ??= (this.asked ?? Promise.resolve()).then(() => {
      this.askedNext = null;
      return this.ask();
    });
    return this.askedNext;
  }

  private ask(): Promise<void> {
    const { client } = this;
    if (!client) return Promise.resolve();
    this.asked = client
      .query(pulse)
      .then(
        () => undefined,
        () => {
          this.lost(client);
        },
      )
      .finally(() => (this.asked = null));
    return this.asked;
  }

  async onModuleInit(): Promise<void> {
    await this.listen();
    this.pulseTimer = setInterval(() => {
      void this.allTold();
    }, pulseMilliseconds);
    this.pulseTimer.unref();
  }

  async onApplicationShutdown(): Promise<void> {
    this.isOver = true;
    clearTimeout(this.timer);
    clearInterval(this.pulseTimer);
    const { client } = this;
    this.client = null;
    await client?.end().catch(() => undefined);
  }

  private async listen(): Promise<void> {
    const { options } = this.source;
    if (!('url' in options) || this.isOver) return;
    const client = new pg.Client({
      connectionString: options.url,
      keepAlive: true,
      connectionTimeoutMillis: 3000,
      query_timeout: 3000,
      application_name: 'leiter notices',
    });
    client.on('error', () => {
      this.lost(client);
    });
    client.on('end', () => {
      this.lost(client);
    });
    client.on('notification', ({ channel, payload }) => {
      // only channels of ours are listened to
      for (const { told } of this.listeners.get(channel as NoticeChannel) ?? []) told(payload ?? '');
    });
    try {
      await client.connect();
      for (const channel of channels) await client.query(`LISTEN ${channel}`);
      this.client = client;
      this.pauseMilliseconds = 100;
      this.tellMissed();
    } catch {
      await client.end().catch(() => undefined);
      this.again();
    }
  }

  private lost(client: pg.Client): void {
    if (this.client !== client) return;
    this.client = null;
    client.end().catch(() => undefined);
    if (this.isOver) return;
    this.logger.warn('The line on which the database tells what changed was lost; trying again.');
    this.tellMissed();
    this.again();
  }

  private tellMissed(): void {
    for (const own of this.listeners.values()) for (const { missed } of own) missed();
  }

  private again(): void {
    if (this.isOver) return;
    this.timer = setTimeout(() => void this.listen(), this.pauseMilliseconds);
    this.pauseMilliseconds = Math.min(longestPauseMilliseconds, this.pauseMilliseconds * 2);
  }
}
