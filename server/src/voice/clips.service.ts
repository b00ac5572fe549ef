import { createHash } from 'node:crypto';
import type { ClipBody, ClipsResponse } from '@leiter/contract';
import { Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound, ProblemException } from '../http/problem.js';
import { NoVoice, speak, voiceVersion } from './speaker.js';
import { secondsOf, writeSound } from './sound.js';

/** More new clips than dozens of classes need: whoever asks for more fills the disk. */
const mostNewAnHour = 2000;
const hourMilliseconds = 3_600_000;

interface KeptClip {
  readonly key: string;
  readonly seconds: number;
}

const keyOf = ({ text, language, isQuick }: ClipBody): string =>
  createHash('sha256')
    .update(JSON.stringify([voiceVersion, language, isQuick, text]))
    .digest('hex');

/** The clips of all classes: each text is spoken once, in a language and a pace, and kept. */
@Injectable()
export class ClipsService {
  private readonly logger = new Logger(ClipsService.name);
  private readonly made = new Map<string, { hour: number; count: number }>();
  /** One after the other: a server has other things to do. */
  private queue: Promise<unknown> = Promise.resolve();

  constructor(@InjectDataSource() private readonly source: DataSource) {}

  async ready(askerId: string, wanted: readonly ClipBody[]): Promise<ClipsResponse> {
    const keys = wanted.map(keyOf);
    const kept = new Map((await this.kept(keys)).map((clip) => [clip.key, clip]));
    let isInstalled = true;
    for (const [index, clip] of wanted.entries()) {
      const key = keys[index] ?? '';
      if (kept.has(key) || !isInstalled) continue;
      this.countNew(askerId);
      try {
        const turn = this.queue.then(() => this.make(key, clip));
        this.queue = turn.catch(() => undefined);
        kept.set(key, await turn);
      } catch (error) {
        if (error instanceof NoVoice) isInstalled = false;
        else this.logger.warn(`A clip could not be spoken: ${String(error)}`);
      }
    }
    return { isInstalled, clips: keys.map((key) => kept.get(key) ?? null) };
  }

  /** The sound of a clip, as a WAV file. */
  async sound(key: string): Promise<Buffer> {
    const [found] = await rows<{ sound: Buffer }>(this.source, 'SELECT sound FROM voice_clip WHERE key = $1', [key]);
    if (!found) throw notFound('clip');
    return found.sound;
  }

  private kept(keys: readonly string[]): Promise<readonly KeptClip[]> {
    return rows<KeptClip>(this.source, 'SELECT key, seconds FROM voice_clip WHERE key = ANY($1)', [keys]);
  }

  private async make(key: string, { text, language, isQuick }: ClipBody): Promise<KeptClip> {
    const sound = await speak(text, language, isQuick);
    const seconds = secondsOf(sound);
    await this.source.query(
      `INSERT INTO voice_clip (key, text, language, is_quick, seconds, sound) VALUES ($1, $2, $3, $4, $5, $6) ON CONFLICT DO NOTHING`,
      [key, text, language, isQuick, seconds, writeSound(sound)],
    );
    return { key, seconds };
  }

  private countNew(askerId: string): void {
    const hour = Math.floor(Date.now() / hourMilliseconds);
    const before = this.made.get(askerId);
    const count = before?.hour === hour ? before.count + 1 : 1;
    if (count > mostNewAnHour)
      throw new ProblemException(429, 'So many new words were spoken for you within an hour; the next can be in an hour.');
    this.made.set(askerId, { hour, count });
  }
}
