import type { SaveTemplateRequest, TemplateResponse } from '@leiter/contract';
import { accepted, openTemplate, refused, slugOf, templateOf, writeTemplate, type Result } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import { shippedTemplates } from '../library/shipped-content.js';
import type { Asker } from '../people/asker.js';
import { planOf, PlansService, type SavePlanRefusal } from './plans.service.js';

export type TemplateRefusal =
  | { readonly kind: 'name-taken' }
  | { readonly kind: 'programme-unknown' }
  | Exclude<SavePlanRefusal, { readonly kind: 'changed-meanwhile' }>;

/** Running orders to start from: those that ship, and those that the club keeps. */
@Injectable()
export class TemplatesService {
  constructor(
    @InjectDataSource() private readonly source: DataSource,
    private readonly plans: PlansService,
  ) {}

  async list(clubId: string): Promise<readonly TemplateResponse[]> {
    const own = await rows<{ id: string; document: unknown }>(
      this.source,
      'SELECT id, document FROM plan_template WHERE club_id = $1 ORDER BY lower(name)',
      [clubId],
    );
    return [...own.flatMap(({ id, document }) => ownTemplate(id, document)), ...shippedTemplates().map((one) => ({ ...one, ownId: null }))];
  }

  async keep(asker: Asker, request: SaveTemplateRequest): Promise<Result<TemplateResponse, TemplateRefusal>> {
    const { clubId } = asker;
    const plan = planOf(request.plan);
    const refusal = await this.plans.refusalOf(clubId, plan);
    if (refusal) return refused(refusal);
    const { name, programme, lengthMinutes, ageBand } = request;
    const [known] = await rows(this.source, 'SELECT 1 FROM programme WHERE club_id = $1 AND slug = $2', [clubId, programme]);
    if (!known) return refused({ kind: 'programme-unknown' });
    const template = templateOf(plan, { slug: `own-${slugOf(name)}`, name, programme, lengthMinutes, ageBand });
    const [stored] = await rows<{ id: string }>(
      this.source,
      `INSERT INTO plan_template (club_id, name, document, made_by) VALUES ($1, $2, $3, $4)
       ON CONFLICT (club_id, lower(name)) DO NOTHING RETURNING id`,
      [clubId, name, JSON.stringify(writeTemplate(template)), asker.id],
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

/** One that cannot be read is not offered; the others are. */
function ownTemplate(ownId: string, document: unknown): readonly TemplateResponse[] {
  const template = openTemplate(document);
  return template.ok ? [{ ...template.value, ownId }] : [];
}
