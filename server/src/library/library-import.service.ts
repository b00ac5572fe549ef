import type { LibraryImportResponse } from '@leiter/contract';
import {
  accepted,
  libraryIntake,
  libraryOf,
  readLibrary,
  refused,
  writeMovement,
  type LibraryFault,
  type LibraryIntake,
  type Movement,
  type Result,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { ImportsService, type Intake, type Undoable } from '../imports/imports.service.js';
import type { Asker } from '../people/asker.js';
import { readableMovements } from './library.service.js';
import type { LibraryFileFault } from '../work/tasks.js';
import { WorkersService } from '../work/workers.service.js';
import { LiveService } from '../live/live.service.js';

/** An entry as it was before an import; null for one that was not there. */
export interface EntryBefore {
  readonly slug: string;
  readonly document: unknown;
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
    private readonly imports: ImportsService,
    private readonly workers: WorkersService,
    private readonly live: LiveService,
  ) {}

  /** Takes in the text of a library file, or of a phrase of an entry that is there, all or none; it is read beside, so that nobody waits for it. */
  takeFile(
    asker: Asker,
    text: string,
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<LibraryImportResponse, LibraryFileFault>> {
    return this.imports.run(asker, 'library', { isDryRun }, async (manager) => {
      const current = await rows<{ readonly document: string }>(
        manager,
        'SELECT document::text AS document FROM movement WHERE club_id = $1',
        [asker.clubId],
      );
      const read = await this.workers.run('readLibraryFile', { text, current: current.map(({ document }) => document) });
      return read.ok ? accepted(this.intakeOf(asker.clubId, read.value)) : read;
    });
  }

  /** Takes in a few entries, all or none; what they refer to may be among them or in the club's library. */
  take(
    asker: Asker,
    entries: readonly object[],
    { isDryRun }: { readonly isDryRun: boolean },
  ): Promise<Result<LibraryImportResponse, readonly LibraryFault[]>> {
    return this.imports.run(asker, 'library', { isDryRun }, async (manager) => {
      const intake = libraryIntake(libraryOf(await movementsOf(manager, asker.clubId)), entries);
      return intake.ok ? accepted(this.intakeOf(asker.clubId, intake.value)) : intake;
    });
  }

  /** Puts back what was there before an import; nothing is done where something has been built on it meanwhile. */
  undo(clubId: string, id: string): Promise<Result<undefined, UndoRefusal>> {
    return this.imports.undo<readonly EntryBefore[], UndoRefusal>(clubId, 'library', id, async (manager, kept) => {
      const refusal = await refusalOfUndo(manager, clubId, kept);
      if (refusal) return refused(refusal);
      await this.tellingSteps(
        manager,
        clubId,
        kept.before.map(({ slug }) => slug),
        () => restoreEntries(manager, clubId, kept.before),
      );
      return accepted(undefined);
    });
  }

  private intakeOf(
    clubId: string,
    { changes, care, movements }: LibraryIntake,
  ): Intake<LibraryIntake['changes'] & LibraryIntake['care'], readonly EntryBefore[]> {
    const store = (manager: EntityManager): Promise<readonly EntryBefore[]> =>
      this.tellingSteps(
        manager,
        clubId,
        movements.map(({ slug }) => slug),
        () => storeEntries(manager, clubId, movements),
      );
    return { told: { ...changes, ...care }, store: movements.length === 0 ? null : store };
  }

  /** Whoever has the steps of an entry open is told where they are others afterwards. */
  private async tellingSteps<Done>(
    manager: EntityManager,
    clubId: string,
    slugs: readonly string[],
    write: () => Promise<Done>,
  ): Promise<Done> {
    const before = await versionsOfSteps(manager, clubId, slugs);
    const done = await write();
    const after = await versionsOfSteps(manager, clubId, slugs);
    const changed = [...after].filter(([slug, version]) => before.has(slug) && before.get(slug) !== version);
    await this.live.emit(
      manager,
      clubId,
      ...changed.map(([movement, version]) => ({ topic: 'phrase', movement, version, savedBy: '' }) as const),
    );
    return done;
  }
}

async function versionsOfSteps(manager: EntityManager, clubId: string, slugs: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const found = await rows<{ readonly slug: string; readonly phrase_version: number }>(
    manager,
    'SELECT slug, phrase_version FROM movement WHERE club_id = $1 AND slug = ANY($2) ORDER BY slug',
    [clubId, slugs],
  );
  return new Map(found.map(({ slug, phrase_version }) => [slug, phrase_version]));
}

async function movementsOf(manager: EntityManager, clubId: string): Promise<readonly Movement[]> {
  const found = await rows<{ readonly document: unknown }>(manager, 'SELECT document FROM movement WHERE club_id = $1 ORDER BY slug', [
    clubId,
  ]);
  return readableMovements(found);
}

/** Writes entries as the club's own. @returns what was there before */
export async function storeEntries(
  manager: EntityManager,
  clubId: string,
  movements: readonly Movement[],
): Promise<readonly EntryBefore[]> {
  const slugs = movements.map(({ slug }) => slug);
  const there = await rows<{ slug: string; document: unknown; is_own: boolean }>(
    manager,
    'SELECT slug, document, is_own FROM movement WHERE club_id = $1 AND slug = ANY($2) ORDER BY slug FOR UPDATE',
    [clubId, slugs],
  );
  const bySlug = new Map(there.map((row) => [row.slug, row]));
  await manager.query(
    `INSERT INTO movement (club_id, slug, document, is_own) SELECT $1, t.slug, t.document, true FROM unnest($2::text[], $3::jsonb[]) AS t (slug, document)
     ON CONFLICT (club_id, slug) DO UPDATE SET document = EXCLUDED.document, is_own = true`,
    [clubId, slugs, movements.map((movement) => JSON.stringify(writeMovement(movement)))],
  );
  return slugs.map((slug): EntryBefore => {
    const row = bySlug.get(slug);
    return { slug, document: row?.document ?? null, isOwn: row?.is_own ?? false };
  });
}

export async function restoreEntries(manager: EntityManager, clubId: string, before: readonly EntryBefore[]): Promise<void> {
  const added = before.filter(({ document }) => document === null).map(({ slug }) => slug);
  await manager.query('DELETE FROM movement WHERE club_id = $1 AND slug = ANY($2)', [clubId, added]);
  const changed = before.filter(({ document }) => document !== null);
  await manager.query(
    `UPDATE movement m SET document = t.document, is_own = t.is_own
     FROM unnest($2::text[], $3::jsonb[], $4::boolean[]) AS t (slug, document, is_own) WHERE m.club_id = $1 AND m.slug = t.slug`,
    [clubId, changed.map(({ slug }) => slug), changed.map(({ document }) => JSON.stringify(document)), changed.map(({ isOwn }) => isOwn)],
  );
}

export async function refusalOfUndo(
  manager: EntityManager,
  clubId: string,
  { before, importedAt }: Undoable<readonly EntryBefore[]>,
): Promise<UndoRefusal | null> {
  const slugs = before.map(({ slug }) => slug);
  const [later] = await rows<{ slug: string }>(
    manager,
    `SELECT b ->> 'slug' AS slug FROM import i,
       jsonb_array_elements(CASE WHEN i.subject = 'plan' THEN i.before -> 'entries' ELSE i.before END) b
     WHERE i.club_id = $1 AND i.subject IN ('library', 'plan') AND i.imported_at > $2::timestamptz AND i.undone_at IS NULL AND b ->> 'slug' = ANY($3) LIMIT 1`,
    [clubId, importedAt, slugs],
  );
  if (later) return { kind: 'changed-since', slug: later.slug };
  const added = before.filter(({ document }) => document === null).map(({ slug }) => slug);
  const [used] = await rows<{ slug: string }>(manager, usedMovements, [clubId, added]);
  if (used) return { kind: 'in-use', slug: used.slug };
  // another entry of the club may have come to name one that would go
  const gone = new Set(slugs);
  const kept = (await movementsOf(manager, clubId)).filter(({ slug }) => !gone.has(slug));
  const restored = readLibrary([...kept, ...readableMovements(before.filter(({ document }) => document !== null))]);
  const named = restored.ok ? undefined : restored.error.find(({ found }) => gone.has(found));
  return named ? { kind: 'in-use', slug: named.found } : null;
}

/** Those of the slugs that a mark, a requirement, a taught item, a plan or a template of the club speaks of. */
const usedMovements = `
  WITH document AS (
    SELECT document FROM class_plan WHERE club_id = $1 UNION ALL SELECT document FROM plan_template WHERE club_id = $1),
  used AS (
    SELECT movement_slug AS slug FROM observation WHERE club_id = $1
    UNION SELECT movement_slug FROM requirement WHERE club_id = $1
    UNION SELECT movement_slug FROM item_time WHERE club_id = $1
    UNION SELECT i ->> 'movement' FROM document d, jsonb_array_elements(d.document -> 'sections') s, jsonb_array_elements(s -> 'items') i
    UNION SELECT f FROM document d, jsonb_array_elements_text(d.document -> 'focus') f)
  SELECT slug FROM used WHERE slug = ANY($2) LIMIT 1`;
