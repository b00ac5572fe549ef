import { ImportPlanRequest, PreviewPlanRequest, type PlanImportResponse, type PlanPreviewResponse } from '@leiter/contract';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseBoolPipe, ParseUUIDPipe, Post, Query, StreamableFile } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { planProblem } from '../plans/plans.controller.js';
import { PlanFileService, type UndoPlanRefusal } from './plan-file.service.js';
import { PlanPaperService } from './plan-paper.service.js';
import type { PreviewFault } from './brought-movements.js';
import { PreviewService } from './preview.service.js';

const mostErrorsNamed = 200;

@Controller()
export class PlanFilesController {
  constructor(
    private readonly previews: PreviewService,
    private readonly files: PlanFileService,
    private readonly papers: PlanPaperService,
  ) {}

  /** Times, findings, versions and effort of a `leiter-plan/1`; nothing is stored. */
  @ForEverybody()
  @Post('class-plans/preview')
  @HttpCode(200)
  async preview(@AskedBy() asker: Asker, @Body() body: PreviewPlanRequest): Promise<PlanPreviewResponse> {
    const judged = await this.previews.preview(asker, body);
    if (judged.ok) return judged.value;
    throw faultsProblem('The plan cannot be judged.', judged.error);
  }

  /** The plan of a class as a `leiter-plan/1` file, with the movements it uses. */
  @ForEverybody()
  @Get('classes/:id/plan/export')
  export(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<object> {
    return this.files.export(asker.clubId, id);
  }

  /** The plan of a class on paper: the running order, then who does what and the safety talk. */
  @ForEverybody()
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

  /** Undoes an import: the plan reads again as before. */
  @ForRoles('owner', 'instructor')
  @Delete('plan-imports/:id')
  @HttpCode(204)
  async undo(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    const undone = await this.files.undo(asker, id);
    if (!undone.ok) throw new ProblemException(409, undoWords(undone.error));
  }
}

function undoWords(error: UndoPlanRefusal): string {
  switch (error.kind) {
    case 'changed-since':
      return 'The plan was changed since. Nothing was changed.';
    case 'in-use':
      return `“${error.slug}” is in use by now. Nothing was changed.`;
  }
}

function faultsProblem(detail: string, faults: readonly PreviewFault[]): ProblemException {
  return new ProblemException(422, detail, { errors: faults.slice(0, mostErrorsNamed), errorCount: faults.length });
}
