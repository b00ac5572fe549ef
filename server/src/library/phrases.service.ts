import type { PhraseResponse } from '@leiter/contract';
import { accepted, libraryIntake, openMovement, refused, writeMovement, type LibraryFault, type Movement, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';
import { LibraryService } from './library.service.js';

/** Why steps were not saved: somebody saved others meanwhile, or they are not right. */
export type PhraseRefusal =
  | { readonly kind: 'changed-since'; readonly current: PhraseResponse }
  | { readonly kind: 'faults'; readonly faults: readonly LibraryFault[] };

interface PhraseRow {
  readonly document: unknown;
  readonly phrase_version: number;
  readonly saved_by: string | null;
}

/** The steps of an entry as a document: saved on top of a version, told to whoever has them open. */
@Injectable()
export class PhrasesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
    private readonly live: LiveService,
  ) {}

  async find(clubId: string, slug: string): Promise<PhraseResponse> {
    return (await read(this.source.manager, clubId, slug)).stored;
  }

  async save(
    { clubId, id }: Asker,
    slug: string,
    { version, phrase }: { readonly version: number; readonly phrase: object | null },
  ): Promise<Result<PhraseResponse, PhraseRefusal>> {
    const library = await this.library.library(clubId);
    return this.source.transaction(async (manager) => {
      const { entry, stored } = await read(manager, clubId, slug, 'FOR UPDATE OF m');
      if (stored.version !== version) return refused({ kind: 'changed-since', current: stored });
      const { phrase: _before, ...rest } = entry;
      const intake = libraryIntake(library, [phrase ? { ...rest, phrase } : rest]);
      if (!intake.ok) return refused({ kind: 'faults', faults: intake.error });
      const [changed] = intake.value.movements;
      // the same steps again are no version
      if (!changed) return accepted(stored);
      await manager.query(
        `UPDATE movement SET document = $3, is_own = true, phrase_version = phrase_version + 1, phrase_saved_by = $4 WHERE club_id = $1 AND slug = $2`,
        [clubId, slug, JSON.stringify(writeMovement(changed)), id],
      );
      const saved = (await read(manager, clubId, slug)).stored;
      await this.live.emit(manager, clubId, { topic: 'phrase', movement: slug, version: saved.version, savedBy: saved.savedBy ?? '' });
      return accepted(saved);
    });
  }
}

/** @throws 404 for an entry that the club has not */
async function read(
  manager: EntityManager,
  clubId: string,
  slug: string,
  lock = '',
): Promise<{ readonly entry: Movement; readonly stored: PhraseResponse }> {
  const [row] = await rows<PhraseRow>(
    manager,
    `SELECT m.document, m.phrase_version, (SELECT p.name FROM person p WHERE p.id = m.phrase_saved_by) AS saved_by
     FROM movement m WHERE m.club_id = $1 AND m.slug = $2 ${lock}`,
    [clubId, slug],
  );
  if (!row) throw notFound('movement');
  const opened = openMovement(row.document);
  if (!opened.ok) throw notFound('movement');
  return {
    entry: opened.value,
    stored: { version: row.phrase_version, phrase: opened.value.phrase ?? null, savedBy: row.saved_by },
  };
}
