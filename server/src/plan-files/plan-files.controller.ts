import { ImportPlanRequest, PreviewPlanRequest, type PlanImportResponse, type PlanPreviewResponse } from '@leiter/contract';
import { Body, Controller, Get, HttpCode, Param, ParseBoolPipe, ParseUUIDPipe, Post, Query, StreamableFile } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { AskedBy, ForRoles, type Asker } from '../people/session.guard.js';
import { planProblem } from '../plans/plans.controller.js';
import { PlanFileService } from './plan-file.service.js';
import { PlanPaperService } from './plan-paper.service.js';
import { PreviewService, type PreviewFault } from './preview.service.js';

const mostErrorsNamed = 200;

@Controller()
export class PlanFilesController {
  constructor(
    private readonly previews: PreviewService,
    private readonly files: PlanFileService,
    private readonly papers: PlanPaperService,
  ) {}

  /** Times, findings, versions and effort of a `leiter-plan/1`; nothing is stored. */
  @Post('class-plans/preview')
  @HttpCode(200)
  async preview(@AskedBy() asker: Asker, @Body() body: PreviewPlanRequest): Promise<PlanPreviewResponse> {
    const judged = await this.previews.preview(asker, body);
    if (judged.ok) return judged.value;
    throw faultsProblem('The plan cannot be judged.', judged.error);
  }

  /** The plan of a class as a `leiter-plan/1` file, with the movements it uses. */
  @Get('classes/:id/plan/export')
  export(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<object> {
    return this.files.export(asker.clubId, id);
  }

  /** The plan of a class on paper: the running order, then who does what and the safety talk. */
  @Get('classes/:id/plan/paper')
  async paper(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    const { pdf, name } = await this.papers.paper(asker, id);
    return new StreamableFile(pdf, { type: 'application/pdf', disposition: `inline; filename="${name}"` });
  }

  /** Puts the plan of a file into a class. With `dryRun=true` it only says what would come with it. */
  @ForRoles('owner', 'instructor')
  @Post('classes/:id/plan/import')
  @HttpCode(200)
  async import(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Query('dryRun', new ParseBoolPipe({ optional: true })) dryRun: boolean | undefined,
    @Body() body: ImportPlanRequest,
  ): Promise<PlanImportResponse> {
    const taken = await this.files.import(asker, id, body, { isDryRun: dryRun ?? false });
    if (taken.ok) return taken.value;
    if (taken.error.kind === 'faults') throw faultsProblem('Nothing was stored: the plan does not fit.', taken.error.faults);
    throw planProblem(taken.error);
  }
}

function faultsProblem(detail: string, faults: readonly PreviewFault[]): ProblemException {
  return new ProblemException(422, detail, { errors: faults.slice(0, mostErrorsNamed), errorCount: faults.length });
}
