import type { SaveTemplateRequest, TemplateResponse } from '@leiter/contract';
import { accepted, placedItems, refused, slugOf, templateOf, type ClassPlan, type PlanTemplate, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { shippedTemplates } from '../library/shipped-content.js';
import type { Asker } from '../people/session.guard.js';

export type TemplateRefusal =
  { readonly kind: 'name-taken' } | { readonly kind: 'movements-unknown'; readonly movements: readonly string[] };

/** Running orders to start from: those that ship, and those that the club keeps. */
@Injectable()
export class TemplatesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly library: LibraryService,
  ) {}

  async list(clubId: string): Promise<readonly TemplateResponse[]> {
    const own = await rows<{ id: string; document: PlanTemplate }>(
      this.source,
      'SELECT id, document FROM plan_template WHERE club_id = $1 ORDER BY lower(name)',
      [clubId],
    );
    return [...own.map(({ id, document }) => ({ ...document, ownId: id })), ...shippedTemplates().map((one) => ({ ...one, ownId: null }))];
  }

  async keep(asker: Asker, request: SaveTemplateRequest): Promise<Result<TemplateResponse, TemplateRefusal>> {
    const { clubId } = asker;
    // validated field by field by its contract class
    const plan = JSON.parse(JSON.stringify(request.plan)) as ClassPlan;
    const unknown = await this.library.missing(clubId, [...placedItems(plan).map(({ item }) => item.movement), ...plan.focus]);
    if (unknown.length > 0) return refused({ kind: 'movements-unknown', movements: unknown });
    const { name, programme, lengthMinutes, ageBand } = request;
    const template = templateOf(plan, { slug: `own-${slugOf(name)}`, name, programme, lengthMinutes, ageBand });
    const [stored] = await rows<{ id: string }>(
      this.source,
      `INSERT INTO plan_template (club_id, name, document, made_by) VALUES ($1, $2, $3, $4)
       ON CONFLICT (club_id, lower(name)) DO NOTHING RETURNING id`,
      [clubId, name, JSON.stringify(template), asker.id],
    );
    return stored ? accepted({ ...template, ownId: stored.id }) : refused({ kind: 'name-taken' });
  }

  async remove(clubId: string, id: string): Promise<void> {
    const gone = await rows<{ id: string }>(
      this.source,
      'WITH gone AS (DELETE FROM plan_template WHERE club_id = $1 AND id = $2 RETURNING id) SELECT id FROM gone',
      [clubId, id],
    );
    if (gone.length === 0) throw notFound('template');
  }
}
