import { accepted, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { lockFor } from '../database/locks.js';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { Turns } from '../work/turns.js';

export type ImportSubject = 'library' | 'syllabuses' | 'children' | 'plan';

/** What an import would do, and how it is done. */
export interface Intake<Told, Before> {
  /** What it says beforehand, line by line. */
  readonly told: Told;
  /** Stores it. @returns what undoing it needs; left out where nothing is different. */
  readonly store: ((manager: EntityManager) => Promise<Before>) | null;
}

/** What was before an import, and when it was taken in. */
export interface Undoable<Before extends object> {
  readonly before: Before;
  readonly importedAt: string;
}

/**
 * The way of every import: looked at first (dry run), taken in whole or not at all, undone. Imports of one club and subject come
 * one after the other, and each is read against what the one before left: the same one twice at once is done once.
 */
@Injectable()
export class ImportsService {
  /** One at a time in a process: who waits for its turn holds no connection meanwhile. */
  private readonly turns = new Turns(
    { atOnce: 1, waiting: 8 },
    'Other lists are being read in. Nothing was stored; try again in a moment.',
  );

  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** @param look reads what is there and says what would be different; asked within the transaction that stores it */
  run<Told extends object, Before, Refusal>(
    asker: Asker,
    subject: ImportSubject,
    { isDryRun }: { readonly isDryRun: boolean },
    look: (manager: EntityManager) => Promise<Result<Intake<Told, Before>, Refusal>>,
  ): Promise<Result<Told & { readonly importId: string | null }, Refusal>> {
    return this.turns.take(() =>
      this.source.transaction(async (manager) => {
        await lockFor(manager, 'import', `${subject} ${asker.clubId}`);
        const looked = await look(manager);
        if (!looked.ok) return looked;
        const { told, store } = looked.value;
        if (isDryRun || !store) return accepted({ ...told, importId: null });
        const before = await store(manager);
        const [kept] = await rows<{ readonly id: string }>(
          manager,
          'INSERT INTO import (club_id, subject, imported_by, before) VALUES ($1, $2, $3, $4) RETURNING id',
          [asker.clubId, subject, asker.id, JSON.stringify(before)],
        );
        return accepted({ ...told, importId: kept?.id ?? null });
      }),
    );
  }

  /** @param restore puts back what was before, or says why it stays; then nothing is changed */
  undo<Before extends object, Refusal>(
    clubId: string,
    subject: ImportSubject,
    id: string,
    restore: (manager: EntityManager, kept: Undoable<Before>) => Promise<Result<undefined, Refusal>>,
  ): Promise<Result<undefined, Refusal>> {
    return this.turns.take(() =>
      this.source.transaction(async (manager) => {
        await lockFor(manager, 'import', `${subject} ${clubId}`);
        const [found] = await rows<{ readonly before: Before; readonly imported_at: string }>(
          manager,
          'SELECT before, imported_at::text FROM import WHERE club_id = $1 AND subject = $2 AND id = $3 AND undone_at IS NULL FOR UPDATE',
          [clubId, subject, id],
        );
        if (!found) throw notFound('import');
        const restored = await restore(manager, { before: found.before, importedAt: found.imported_at });
        if (restored.ok) await manager.query('UPDATE import SET undone_at = now() WHERE id = $1', [id]);
        return restored;
      }),
    );
  }
}
