import { isDeepStrictEqual } from 'node:util';
import type { PlanConflict, PlanVersion, SavePlanRequest, StoredPlan } from '@leiter/contract';
import { accepted, circuitFaultsIn, mostItems, placedItems, refused, type ClassPlan, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import type { Asker } from '../people/session.guard.js';

export type SavePlanRefusal =
  | ({ readonly kind: 'changed-meanwhile' } & PlanConflict)
  | { readonly kind: 'movements-unknown'; readonly movements: readonly string[] }
  | { readonly kind: 'ids-twice' }
  | { readonly kind: 'circuits-wrong' }
  | { readonly kind: 'too-many-items' };

interface PlanRow {
  readonly version: number;
  readonly document: ClassPlan;
  readonly saved_at: Date;
  readonly saved_by: string | null;
}

@Injectable()
export class PlansService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
  ) {}

  find(clubId: string, classId: string): Promise<StoredPlan | null> {
    return this.findIn(this.source, clubId, classId);
  }

  /** Who saved the plan of a class last; version 0 where it has none. */
  async version(clubId: string, classId: string): Promise<PlanVersion> {
    const [row] = await rows<{ readonly version: number; readonly saved_by: string | null }>(
      this.source,
      `SELECT coalesce(l.version, 0) AS version, p.name AS saved_by FROM class_session c LEFT JOIN class_plan l ON l.class_id = c.id
       LEFT JOIN person p ON p.id = l.saved_by WHERE c.club_id = $1 AND c.id = $2`,
      [clubId, classId],
    );
    if (!row) throw notFound('class');
    return { version: row.version, savedBy: row.saved_by };
  }

  /**
   * Stores the plan of a class as the next version. A save on an old version is refused with both versions, unless what
   * is stored is the very same plan: then the first try had arrived and only its answer was lost.
   */
  async save(asker: Asker, classId: string, request: SavePlanRequest): Promise<Result<StoredPlan, SavePlanRefusal>> {
    const { clubId } = asker;
    const [session] = await rows(this.source, 'SELECT id FROM class_session WHERE club_id = $1 AND id = $2', [clubId, classId]);
    if (!session) throw notFound('class');
    const plan = planOf(request);
    const items = placedItems(plan);
    if (items.length > mostItems) return refused({ kind: 'too-many-items' });
    const ids = [...items.map(({ item }) => item.id), ...plan.sections.map(({ id }) => id)];
    if (new Set(ids).size < ids.length) return refused({ kind: 'ids-twice' });
    if (circuitFaultsIn(plan).length > 0) return refused({ kind: 'circuits-wrong' });
    const unknown = await this.library.missing(clubId, [...items.map(({ item }) => item.movement), ...plan.focus]);
    if (unknown.length > 0) return refused({ kind: 'movements-unknown', movements: unknown });
    return this.source.transaction(async (manager) => {
      const isStored = await this.store(manager, asker, classId, request.version, plan);
      const current = await this.findIn(manager, clubId, classId);
      if (!current) throw notFound('class');
      if (isStored || isDeepStrictEqual(current.plan, plan)) return accepted(current);
      return refused({ kind: 'changed-meanwhile', current, yours: plan });
    });
  }

  /** @returns false when the version given is not the one stored. */
  private async store(manager: EntityManager, asker: Asker, classId: string, version: number, plan: ClassPlan): Promise<boolean> {
    const document = JSON.stringify(plan);
    // the statement answers with a row only when it wrote one
    const sql =
      version === 0
        ? `WITH written AS (INSERT INTO class_plan (class_id, club_id, version, document, saved_by) VALUES ($1, $2, 1, $3, $4)
             ON CONFLICT (class_id) DO NOTHING RETURNING version) SELECT version FROM written`
        : `WITH written AS (UPDATE class_plan SET version = version + 1, document = $3, saved_by = $4, saved_at = now()
             WHERE class_id = $1 AND club_id = $2 AND version = $5 RETURNING version) SELECT version FROM written`;
    const written = await rows(manager, sql, [classId, asker.clubId, document, asker.id, ...(version === 0 ? [] : [version])]);
    return written.length > 0;
  }

  private async findIn(source: DataSource | EntityManager, clubId: string, classId: string): Promise<StoredPlan | null> {
    const [row] = await rows<PlanRow>(
      source,
      `SELECT l.version, l.document, l.saved_at, p.name AS saved_by FROM class_plan l LEFT JOIN person p ON p.id = l.saved_by
       WHERE l.club_id = $1 AND l.class_id = $2`,
      [clubId, classId],
    );
    return row ? { version: row.version, plan: row.document, savedAt: row.saved_at.toISOString(), savedBy: row.saved_by } : null;
  }
}

/** The document as core knows it: plain values, without the classes that validated it. */
function planOf(request: SavePlanRequest): ClassPlan {
  return JSON.parse(JSON.stringify(request.plan)) as ClassPlan; // validated field by field by its contract class
}
