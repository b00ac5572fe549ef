import type { ChangeMovementRequest, MovementResponse } from '@leiter/contract';
import { libraryOf, type Library, type Movement } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { notFound } from '../http/problem.js';
import { MovementEntity } from './movement.entity.js';

/** Libraries of so many clubs are kept read. */
const mostKept = 20;

@Injectable()
export class LibraryService {
  private readonly libraries = new Map<string, { readonly stamp: string; readonly library: Library }>();

  constructor(@InjectRepository(MovementEntity) private readonly movements: Repository<MovementEntity>) {}

  /** Every entry with what the club did with it, by name. */
  async entries(clubId: string): Promise<readonly MovementResponse[]> {
    const rows = await this.movements.find({ where: { clubId }, order: { slug: 'ASC' } });
    return rows.map(movementResponse).sort((one, other) => one.name.localeCompare(other.name, 'en'));
  }

  async list(clubId: string): Promise<readonly Movement[]> {
    const rows = await this.movements.find({ where: { clubId }, order: { slug: 'ASC' } });
    return rows.map((row) => row.document).sort((one, other) => one.name.localeCompare(other.name, 'en'));
  }

  /** The library as core reckons with it; read anew only when an entry was written since. */
  async library(clubId: string): Promise<Library> {
    const stamp = await this.stamp(clubId);
    const kept = this.libraries.get(clubId);
    if (kept?.stamp === stamp) return kept.library;
    const library = libraryOf(await this.list(clubId));
    // the oldest goes: a Map keeps the order in which its keys came
    const [oldest] = this.libraries.keys();
    if (this.libraries.size >= mostKept && oldest !== undefined) this.libraries.delete(oldest);
    this.libraries.set(clubId, { stamp, library });
    return library;
  }

  /** Changes with every write to an entry of the club, whoever writes: PostgreSQL numbers the transaction of each row version. */
  private async stamp(clubId: string): Promise<string> {
    const [row]: readonly { readonly stamp: string | null }[] = await this.movements.query(
      `SELECT md5(string_agg(slug || ' ' || xmin || ' ' || ctid, ',' ORDER BY slug)) AS stamp FROM movement WHERE club_id = $1`,
      [clubId],
    );
    return row?.stamp ?? '';
  }

  async find(clubId: string, slug: string): Promise<MovementResponse> {
    const row = await this.movements.findOneBy({ clubId, slug });
    if (!row) throw notFound('movement');
    return movementResponse(row);
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
    const wanted = [...new Set(slugs)];
    if (wanted.length === 0) return [];
    const rows: readonly { slug: string }[] = await this.movements.query(
      'SELECT slug FROM movement WHERE club_id = $1 AND slug = ANY($2)',
      [clubId, wanted],
    );
    const known = new Set(rows.map((row) => row.slug));
    return wanted.filter((slug) => !known.has(slug));
  }
}

function movementResponse({ document, isOwn, isPutAway, ownCue }: MovementEntity): MovementResponse {
  return { ...document, isOwn, isPutAway, ownCue };
}
