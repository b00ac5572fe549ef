import { SavePlanRequest, type StoredPlan } from '@leiter/contract';
import { mostItems, type PlanTemplate } from '@leiter/core';
import { Body, Controller, Get, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { AskedBy, ForRoles, type Asker } from '../people/session.guard.js';
import { PlansService, type SavePlanRefusal } from './plans.service.js';

@Controller()
export class PlansController {
  constructor(private readonly plans: PlansService) {}

  @Get('plan-templates')
  templates(): readonly PlanTemplate[] {
    return this.plans.templates();
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
      return new ProblemException(409, 'Somebody saved this plan meanwhile.', { current: error.current, yours: error.yours });
    case 'movements-unknown':
      return new ProblemException(422, 'The plan names movements that the library does not have.', {
        errors: error.movements.map((movement) => ({ field: 'plan.sections', message: `There is no movement “${movement}”.` })),
      });
    case 'ids-twice':
      return new ProblemException(422, 'Two parts of the plan have the same id.');
    case 'too-many-items':
      return new ProblemException(422, `A plan takes at most ${String(mostItems)} items.`);
  }
}
