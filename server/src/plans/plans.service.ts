import { isDeepStrictEqual } from 'node:util';
import type { PlanConflict, PlanDocument, PlanVersion, SavePlanRequest, StoredPlan } from '@leiter/contract';
import {
  accepted,
  circuitFaultsIn,
  documentFaultWords,
  mostItems,
  openPlan,
  placedItems,
  refused,
  writePlan,
  type ClassPlan,
  type Result,
} from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound, ProblemException } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { LiveService } from '../live/live.service.js';
import type { Asker } from '../people/asker.js';

export type SavePlanRefusal =
  | ({ readonly kind: 'changed-meanwhile' } & PlanConflict)
  | { readonly kind: 'movements-unknown'; readonly movements: readonly string[] }
  | { readonly kind: 'ids-twice' }
  | { readonly kind: 'circuits-wrong' }
  | { readonly kind: 'too-many-items' };

interface PlanRow {
  readonly version: number;
  readonly document: unknown;
  readonly saved_at: Date;
  readonly saved_by: string | null;
}

@Injectable()
export class PlansService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
    private readonly live: LiveService,
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
    const plan = planOf(request.plan);
    const refusal = await this.refusalOf(asker.clubId, plan);
    if (refusal) return refused(refusal);
    return this.source.transaction((manager) => this.saveIn(manager, asker, classId, { version: request.version, plan }));
  }

  /** Like `save`, as a part of a transaction and for a plan that was looked at. Nothing is written where it is refused. */
  async saveIn(
    manager: EntityManager,
    asker: Asker,
    classId: string,
    { version, plan }: { readonly version: number; readonly plan: ClassPlan },
  ): Promise<Result<StoredPlan, SavePlanRefusal>> {
    const { clubId } = asker;
    const [session] = await rows(manager, 'SELECT id FROM class_session WHERE club_id = $1 AND id = $2', [clubId, classId]);
    if (!session) throw notFound('class');
    const isStored = await this.store(manager, asker, classId, version, plan);
    const current = await this.findIn(manager, clubId, classId);
    if (isStored && current) {
      await this.live.emit(manager, clubId, { topic: 'plan', classId, version: current.version, savedBy: current.savedBy ?? '' });
      return accepted(current);
    }
    if (current && isDeepStrictEqual(current.plan, plan)) return accepted(current);
    return refused({ kind: 'changed-meanwhile', current, yours: plan });
  }

  /** Takes the plan of a class away. @returns false where another version is stored by now */
  async removeIn(manager: EntityManager, asker: Asker, classId: string, version: number): Promise<boolean> {
    const gone = await rows(
      manager,
      'WITH gone AS (DELETE FROM class_plan WHERE club_id = $1 AND class_id = $2 AND version = $3 RETURNING class_id) SELECT class_id FROM gone',
      [asker.clubId, classId, version],
    );
    if (gone.length > 0) await this.live.emit(manager, asker.clubId, { topic: 'plan', classId, version: 0, savedBy: '' });
    return gone.length > 0;
  }

  /** What keeps a plan from being stored, whichever class it is for. */
  async refusalOf(clubId: string, plan: ClassPlan): Promise<Exclude<SavePlanRefusal, { readonly kind: 'changed-meanwhile' }> | null> {
    const items = placedItems(plan);
    if (items.length > mostItems) return { kind: 'too-many-items' };
    const ids = [...items.map(({ item }) => item.id), ...plan.sections.map(({ id }) => id)];
    if (new Set(ids).size < ids.length) return { kind: 'ids-twice' };
    if (circuitFaultsIn(plan).length > 0) return { kind: 'circuits-wrong' };
    const unknown = await this.library.missing(clubId, [...items.map(({ item }) => item.movement), ...plan.focus]);
    return unknown.length > 0 ? { kind: 'movements-unknown', movements: unknown } : null;
  }

  /** @returns false when the version given is not the one stored. */
  private async store(manager: EntityManager, asker: Asker, classId: string, version: number, plan: ClassPlan): Promise<boolean> {
    const document = JSON.stringify(writePlan(plan));
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
    if (!row) return null;
    const plan = openPlan(row.document);
    if (!plan.ok) throw new ProblemException(422, documentFaultWords('plan of this class', plan.error));
    return { version: row.version, plan: plan.value, savedAt: row.saved_at.toISOString(), savedBy: row.saved_by };
  }
}

/** The document as core knows it: plain values, without the classes that validated it. */
export function planOf(document: PlanDocument): ClassPlan {
  const { v: _version, ...plan } = JSON.parse(JSON.stringify(document)) as PlanDocument; // validated field by field by its contract class
  return plan;
}
