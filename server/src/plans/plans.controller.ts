import { SavePlanRequest, SaveTemplateRequest, type PlanVersion, type StoredPlan, type TemplateResponse } from '@leiter/contract';
import { mostItems } from '@leiter/core';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { fieldRefused, ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { PlansService, type SavePlanRefusal } from './plans.service.js';
import { TemplatesService } from './templates.service.js';

@Controller()
export class PlansController {
  constructor(
    private readonly plans: PlansService,
    private readonly templates: TemplatesService,
  ) {}

  @ForEverybody()
  @Get('plan-templates')
  list(@AskedBy() asker: Asker): Promise<readonly TemplateResponse[]> {
    return this.templates.list(asker.clubId);
  }

  /** Keeps a plan as a running order to start from. */
  @ForRoles('owner', 'instructor')
  @Post('plan-templates')
  async keep(@AskedBy() asker: Asker, @Body() body: SaveTemplateRequest): Promise<TemplateResponse> {
    const kept = await this.templates.keep(asker, body);
    if (kept.ok) return kept.value;
    switch (kept.error.kind) {
      case 'name-taken':
        throw fieldRefused('name', 'There is a template of this name.');
      case 'programme-unknown':
        throw fieldRefused('programme', 'There is no such programme.');
      case 'movements-unknown':
      case 'ids-twice':
      case 'circuits-wrong':
      case 'too-many-items':
        throw planProblem(kept.error);
    }
  }

  @ForRoles('owner', 'instructor')
  @Delete('plan-templates/:id')
  @HttpCode(204)
  remove(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.templates.remove(asker.clubId, id);
  }

  /** Asked by pages that show the plan, to see that somebody else changed it. */
  @ForEverybody()
  @Get('classes/:id/plan/version')
  version(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<PlanVersion> {
    return this.plans.version(asker.clubId, id);
  }

  @ForRoles('owner', 'instructor')
  @Put('classes/:id/plan')
  async save(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: SavePlanRequest): Promise<StoredPlan> {
    const saved = await this.plans.save(asker, id, body);
    if (saved.ok) return saved.value;
    throw planProblem(saved.error);
  }
}

/** Why a plan was not stored, as a problem. */
export function planProblem(error: SavePlanRefusal): ProblemException {
  switch (error.kind) {
    case 'changed-meanwhile':
      return new ProblemException(409, error.current ? 'Somebody saved this plan meanwhile.' : 'This class has no plan any more.', {
        current: error.current,
        yours: error.yours,
      });
    case 'movements-unknown':
      return new ProblemException(422, 'The plan names movements that the library does not have.', {
        errors: error.movements.map((movement) => ({ field: 'plan.sections', message: `There is no movement “${movement}”.` })),
      });
    case 'ids-twice':
      return new ProblemException(422, 'Two parts of the plan have the same id.');
    case 'circuits-wrong':
      return new ProblemException(
        422,
        'The stations of a circuit stand next to each other in one section, and the plan lists the circuit once.',
      );
    case 'too-many-items':
      return new ProblemException(422, `A plan takes at most ${String(mostItems)} items.`);
  }
}
