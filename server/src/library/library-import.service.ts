import type { LibraryImportResponse } from '@leiter/contract';
import { accepted, libraryChanges, readLibrary, refused, type LibraryFault, type Movement, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/session.guard.js';
import { LibraryService } from './library.service.js';

/** An entry as it was before an import; null for one that was not there. */
interface Before {
  readonly slug: string;
  readonly document: Movement | null;
  readonly isOwn: boolean;
}

/** Why an import stays: what it brought is used by now, or an entry was changed again after it. */
export interface UndoRefusal {
  readonly kind: 'in-use' | 'changed-since';
  readonly slug: string;
}

@Injectable()
export class LibraryImportService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
  ) {}

  /** Takes in entries, all or none; what they refer to may be in the file or in the club's library. */
  async take(
    asker: Asker,
    entries: readonly object[],
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<LibraryImportResponse, readonly LibraryFault[]>> {
    // what is wrong in the file itself is told before the library is read; what it names may be in the library
    const alone = readLibrary(entries);
    const own = alone.ok ? [] : alone.error.filter(({ kind }) => kind !== 'dangling');
    if (own.length > 0) return refused(own);
    const current = await this.library.library(asker.clubId);
    const named = new Set(entries.map((entry) => ('slug' in entry ? entry.slug : undefined)));
    const others = [...current.values()].filter(({ slug }) => !named.has(slug));
    // the others come first: a name that is there already is the fault of the entry that takes it again
    const whole = readLibrary([...others, ...entries]);
    if (!whole.ok) return refused(whole.error);
    const incoming = [...whole.value.values()].filter(({ slug }) => named.has(slug));
    const changes = libraryChanges(current, incoming);
    if (isDryRun) return accepted({ ...changes, importId: null });
    const touched = new Set<string>([...changes.added, ...changes.changed.map(({ slug }) => slug)]);
    const importId = await this.source.transaction((manager) =>
      this.store(
        manager,
        asker,
        incoming.filter(({ slug }) => touched.has(slug)),
      ),
    );
    return accepted({ ...changes, importId });
  }

  private async store(manager: EntityManager, asker: Asker, movements: readonly Movement[]): Promise<string | null> {
    if (movements.length === 0) return null;
    const slugs = movements.map(({ slug }) => slug);
    const there = await rows<{ slug: string; document: Movement; is_own: boolean }>(
      manager,
      'SELECT slug, document, is_own FROM movement WHERE club_id = $1 AND slug = ANY($2) FOR UPDATE',
      [asker.clubId, slugs],
    );
    const bySlug = new Map(there.map((row) => [row.slug, row]));
    const before = slugs.map((slug): Before => {
      const row = bySlug.get(slug);
      return { slug, document: row?.document ?? null, isOwn: row?.is_own ?? false };
    });
    await manager.query(
      `INSERT INTO movement (club_id, slug, document, is_own) SELECT $1, t.slug, t.document, true FROM unnest($2::text[], $3::jsonb[]) AS t (slug, document)
       ON CONFLICT (club_id, slug) DO UPDATE SET document = EXCLUDED.document, is_own = true`,
      [asker.clubId, slugs, movements.map((movement) => JSON.stringify(movement))],
    );
    const [stored] = await rows<{ id: string }>(
      manager,
      'INSERT INTO library_import (club_id, imported_by, before) VALUES ($1, $2, $3) RETURNING id',
      [asker.clubId, asker.id, JSON.stringify(before)],
    );
    return stored?.id ?? null;
  }

  /** Puts back what was there before an import; nothing is done where something has been built on it meanwhile. */
  async undo(clubId: string, id: string): Promise<Result<undefined, UndoRefusal>> {
    return this.source.transaction(async (manager) => {
      const [found] = await rows<{ before: readonly Before[] }>(
        manager,
        'SELECT before FROM library_import WHERE club_id = $1 AND id = $2 AND undone_at IS NULL FOR UPDATE',
        [clubId, id],
      );
      if (!found) throw notFound('import');
      const refusal = await this.refusalOfUndo(manager, clubId, id, found.before);
      if (refusal) return refused(refusal);
      const added = found.before.filter(({ document }) => document === null).map(({ slug }) => slug);
      await manager.query('DELETE FROM movement WHERE club_id = $1 AND slug = ANY($2)', [clubId, added]);
      const changed = found.before.filter(({ document }) => document !== null);
      await manager.query(
        `UPDATE movement m SET document = t.document, is_own = t.is_own
         FROM unnest($2::text[], $3::jsonb[], $4::boolean[]) AS t (slug, document, is_own) WHERE m.club_id = $1 AND m.slug = t.slug`,
        [
          clubId,
          changed.map(({ slug }) => slug),
          changed.map(({ document }) => JSON.stringify(document)),
          changed.map(({ isOwn }) => isOwn),
        ],
      );
      await manager.query('UPDATE library_import SET undone_at = now() WHERE id = $1', [id]);
      return accepted(undefined);
    });
  }

  private async refusalOfUndo(manager: EntityManager, clubId: string, id: string, before: readonly Before[]): Promise<UndoRefusal | null> {
    const slugs = before.map(({ slug }) => slug);
    const [later] = await rows<{ slug: string }>(
      manager,
      `SELECT b ->> 'slug' AS slug FROM library_import i, jsonb_array_elements(i.before) b
       WHERE i.club_id = $1 AND i.imported_at > (SELECT imported_at FROM library_import WHERE id = $2) AND i.undone_at IS NULL AND b ->> 'slug' = ANY($3) LIMIT 1`,
      [clubId, id, slugs],
    );
    if (later) return { kind: 'changed-since', slug: later.slug };
    const added = before.filter(({ document }) => document === null).map(({ slug }) => slug);
    const [used] = await rows<{ slug: string }>(manager, usedMovements, [clubId, added]);
    if (used) return { kind: 'in-use', slug: used.slug };
    // another entry of the club may have come to name one that would go
    const gone = new Set(slugs);
    const kept = (await this.library.list(clubId)).filter(({ slug }) => !gone.has(slug));
    const restored = readLibrary([...kept, ...before.flatMap(({ document }) => document ?? [])]);
    return restored.ok ? null : { kind: 'in-use', slug: restored.error[0]?.found ?? '' };
  }
}

/** Those of the slugs that a mark, a requirement, a taught item or a plan speaks of. */
const usedMovements = `
  WITH used AS (
    SELECT movement_slug AS slug FROM observation WHERE club_id = $1
    UNION SELECT movement_slug FROM requirement WHERE club_id = $1
    UNION SELECT movement_slug FROM item_time WHERE club_id = $1
    UNION SELECT i ->> 'movement' FROM class_plan l, jsonb_array_elements(l.document -> 'sections') s, jsonb_array_elements(s -> 'items') i
          WHERE l.club_id = $1
    UNION SELECT f FROM class_plan l, jsonb_array_elements_text(l.document -> 'focus') f WHERE l.club_id = $1)
  SELECT slug FROM used WHERE slug = ANY($2) LIMIT 1`;
