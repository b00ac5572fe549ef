import { randomBytes } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm, stat, statfs } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { clipLimits } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { root } from '../root.js';

/** Under this nothing more is taken: the database needs its room. */
const leastFreeBytes = 1024 ** 3;
const partEnding = '.part';
/** A file without a row that is older is nobody's any more. */
const forgottenMilliseconds = 60 * 60_000;

export const tooLarge = (): ProblemException =>
  new ProblemException(413, `A clip is at most ${String(clipLimits.bytes / 1024 / 1024)} MB. Film a shorter piece, or with less detail.`);

/** The folder outside of the database where clips lie, under random names. */
@Injectable()
export class ClipFilesService {
  private get folder(): string {
    return process.env['LEITER_FILES'] ?? join(root, '.leiter/files');
  }

  newName(): string {
    return randomBytes(20).toString('hex');
  }

  pathOf(name: string): string {
    return join(this.folder, name);
  }

  /**
   * Writes what comes to a file of its own, which is to be taken away again by {@link remove}.
   * @returns its path @throws 413 as soon as it is too much, 503 where the disk is full or cannot be written
   */
  async receive(stream: Readable): Promise<string> {
    await this.requireRoom();
    const path = `${this.pathOf(this.newName())}${partEnding}`;
    let bytes = 0;
    const counted = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        bytes += chunk.length;
        done(bytes > clipLimits.bytes ? tooLarge() : null, chunk);
      },
    });
    try {
      await pipeline(stream, counted, createWriteStream(path, { flags: 'wx', mode: 0o600 }));
      return path;
    } catch (error) {
      await rm(path, { force: true });
      if (error instanceof Error && 'code' in error && ['ENOSPC', 'EDQUOT', 'EACCES', 'EROFS'].includes(String(error.code)))
        throw new ProblemException(503, 'There is no room for clips at the moment. Nothing was kept; try again later.');
      throw error;
    }
  }

  /** Gives a file that was written in full its name. */
  async place(path: string, name: string): Promise<void> {
    await rename(path, this.pathOf(name));
  }

  async sizeOf(path: string): Promise<number> {
    return (await stat(path)).size;
  }

  /** Files that are gone already are no matter. */
  async remove(...paths: readonly string[]): Promise<void> {
    await Promise.all(paths.map((path) => rm(path, { force: true })));
  }

  /** Takes away files that no row names and that nobody is writing. */
  async sweep(named: ReadonlySet<string>): Promise<void> {
    const files = await readdir(this.folder).catch(() => []);
    for (const file of files) {
      if (named.has(file) || !/^[0-9a-f]{40}(\.part|\.new)?$/.test(file)) continue;
      const path = this.pathOf(file);
      const age = Date.now() - ((await stat(path).catch(() => null))?.mtimeMs ?? Date.now());
      if (age > forgottenMilliseconds) await this.remove(path);
    }
  }

  private async requireRoom(): Promise<void> {
    try {
      await mkdir(this.folder, { recursive: true, mode: 0o700 });
      const { bavail, bsize } = await statfs(this.folder);
      if (bavail * bsize >= leastFreeBytes) return;
    } catch {
      // answered below
    }
    throw new ProblemException(503, 'There is no room for clips at the moment. Nothing was kept; try again later.');
  }
}
