import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { ChangeMovementRequest, MovementResponse } from '@leiter/contract';
import { libraryOf, libraryWithRows, openMovement, type Library, type Movement } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { Kept } from '../database/kept.js';
import { NoticesService } from '../database/notices.service.js';
import { OfVersion } from '../database/of-version.js';
import { notFound } from '../http/problem.js';
import { MovementEntity } from './movement.entity.js';

const keptMilliseconds = 600_000;
const [brotli, gzipped] = [promisify(brotliCompress), promisify(gzip)];

/** The library as it is answered, in the encodings that browsers take: an array in JSON, each entry on a line of its own. */
export interface LibraryBody {
  readonly etag: string;
  readonly count: number;
  readonly plain: Buffer;
  readonly gzip: Buffer;
  readonly br: Buffer;
}

@Injectable()
export class LibraryService {
  private readonly versions: Kept<string>;
  private readonly libraries = new OfVersion<Library>();
  private readonly withRows = new OfVersion<Library>();
  private readonly bodies = new OfVersion<LibraryBody>();

  constructor(
    @InjectRepository(MovementEntity) private readonly movements: Repository<MovementEntity>,
    notices: NoticesService,
  ) {
    this.versions = new Kept(notices, 'leiter_library', { most: 1000, milliseconds: keptMilliseconds });
  }

  /** Every entry with what the club did with it, by name, ready to be sent; made once a version. */
  async body(clubId: string): Promise<LibraryBody> {
    const version = await this.version(clubId);
    return this.bodies.of(clubId, version, async () => {
      const found = await this.movements.find({ where: { clubId }, order: { slug: 'ASC' } });
      const entries = found.flatMap((row) => movementResponse(row) ?? []).sort((one, other) => one.name.localeCompare(other.name, 'en'));
      // who reads it can begin with the first lines
      const plain = Buffer.from(`[\n${entries.map((entry) => JSON.stringify(entry)).join(',\n')}\n]`);
      const quality = { params: { [constants.BROTLI_PARAM_QUALITY]: 5 } };
      const [br, gzip] = await Promise.all([brotli(plain, quality), gzipped(plain, { level: 6 })]);
      return { etag: `"${clubId.slice(0, 8)}-${version}"`, count: entries.length, plain, gzip, br };
    });
  }

  async list(clubId: string): Promise<readonly Movement[]> {
    const found = await this.movements.find({ where: { clubId }, order: { slug: 'ASC' } });
    return readableMovements(found).toSorted((one, other) => one.name.localeCompare(other.name, 'en'));
  }

  /** The library as core reckons with it; read anew only when an entry was written since. */
  async library(clubId: string): Promise<Library> {
    return this.libraries.of(clubId, await this.version(clubId), async () => libraryOf(await this.list(clubId)));
  }

  /** The library with what the rows of phrases ask of a body, for who reckons with it. */
  async reckoned(clubId: string): Promise<Library> {
    return this.withRows.of(clubId, await this.version(clubId), async () => libraryWithRows(await this.library(clubId)));
  }

  /** Grows with every write to an entry of the club, whichever process writes; asked of the database unless it is sure to be told. */
  private version(clubId: string): Promise<string> {
    return this.versions.of(clubId, async () => {
      const [row]: readonly { readonly library_version: string }[] = await this.movements.query(
        'SELECT library_version FROM club WHERE id = $1',
        [clubId],
      );
      return row?.library_version ?? '0';
    });
  }

  async find(clubId: string, slug: string): Promise<MovementResponse> {
    const row = await this.movements.findOneBy({ clubId, slug });
    const movement = row && movementResponse(row);
    if (!movement) throw notFound('movement');
    return movement;
  }

  /** What the club does with an entry, whoever wrote it: putting it away, or saying a cue of its own. */
  async change(clubId: string, slug: string, { isPutAway, ownCue }: ChangeMovementRequest): Promise<MovementResponse> {
    await this.find(clubId, slug);
    const said = ownCue === undefined ? {} : { ownCue: ownCue === '' ? null : ownCue };
    const changed = { ...(isPutAway === undefined ? {} : { isPutAway }), ...said };
    if (Object.keys(changed).length > 0) await this.movements.update({ clubId, slug }, changed);
    return this.find(clubId, slug);
  }

  /** @returns those of the slugs that this club's library does not have. */
  async missing(clubId: string, slugs: readonly string[]): Promise<readonly string[]> {
    const library = await this.library(clubId);
    return [...new Set(slugs)].filter((slug) => !library.has(slug));
  }
}

/** The entries of rows; one that cannot be read is left out, so that it does not take the others along. */
export function readableMovements(rows: readonly { readonly document: unknown }[]): readonly Movement[] {
  return rows.flatMap(({ document }) => {
    const movement = openMovement(document);
    return movement.ok ? [movement.value] : [];
  });
}

function movementResponse({ document, isOwn, isPutAway, ownCue }: MovementEntity): MovementResponse | null {
  const movement = openMovement(document);
  return movement.ok ? { ...movement.value, isOwn, isPutAway, ownCue } : null;
}
