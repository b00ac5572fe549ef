import {
  AddGradingRequest,
  ChangeGradingRequest,
  CloseGradingRequest,
  EnterChildRequest,
  GradingMarkRequest,
  ReopenGradingRequest,
  type ClosedGradingResponse,
  type GradingMark,
  type GradingPageResponse,
  type GradingResponse,
} from '@leiter/contract';
import type { Result } from '@leiter/core';
import { Body, Controller, Delete, Get, Header, HttpCode, Param, ParseUUIDPipe, Patch, Post, Put, StreamableFile } from '@nestjs/common';
import { fieldRefused, ProblemException } from '../http/problem.js';
import { writeTable } from '../http/spreadsheet.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { GradingCloseService } from './grading-close.service.js';
import { GradingMarksService } from './grading-marks.service.js';
import { GradingPageService } from './grading-page.service.js';
import { GradingPapersService } from './grading-papers.service.js';
import { problemOfGrading, type AnyGradingRefusal } from './grading-problem.js';
import { GradingsService } from './gradings.service.js';
import { TimetablesService } from './timetables.service.js';

@Controller('gradings')
export class GradingsController {
  constructor(
    private readonly gradings: GradingsService,
    private readonly pages: GradingPageService,
    private readonly timetables: TimetablesService,
    private readonly marks: GradingMarksService,
    private readonly closing: GradingCloseService,
    private readonly papers: GradingPapersService,
  ) {}

  @ForEverybody()
  @Get()
  list(@AskedBy() { clubId }: Asker): Promise<readonly GradingResponse[]> {
    return this.gradings.list(clubId);
  }

  @ForRoles('owner', 'instructor')
  @Post()
  async add(@AskedBy() asker: Asker, @Body() body: AddGradingRequest): Promise<GradingPageResponse> {
    return valueOf(await this.gradings.add(asker, body));
  }

  @ForEverybody()
  @Get(':id')
  page(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<GradingPageResponse> {
    return this.pages.page(clubId, id);
  }

  @ForRoles('owner', 'instructor')
  @Patch(':id')
  async change(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: ChangeGradingRequest,
  ): Promise<GradingPageResponse> {
    return valueOf(await this.gradings.change(asker, id, body));
  }

  @ForRoles('owner', 'instructor')
  @Delete(':id')
  @HttpCode(204)
  async remove(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    valueOf(await this.gradings.remove(clubId, id));
  }

  @ForRoles('owner', 'instructor')
  @Put(':id/children/:childId')
  async enter(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('childId', ParseUUIDPipe) childId: string,
    @Body() { size }: EnterChildRequest,
  ): Promise<GradingPageResponse> {
    return valueOf(await this.gradings.enter(asker, id, childId, size));
  }

  @ForRoles('owner', 'instructor')
  @Delete(':id/children/:childId')
  async leave(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('childId', ParseUUIDPipe) childId: string,
  ): Promise<GradingPageResponse> {
    return valueOf(await this.gradings.leave(asker, id, childId));
  }

  /** Makes the timetable anew. */
  @ForRoles('owner', 'instructor')
  @Post(':id/timetable')
  @HttpCode(200)
  async timetable(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<GradingPageResponse> {
    return valueOf(await this.timetables.make(asker, id));
  }

  /** Who examines marks, whatever the role: an assistant may be the second one. */
  @ForEverybody()
  @Put(':id/marks/:markId')
  async mark(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('markId', ParseUUIDPipe) markId: string,
    @Body() body: GradingMarkRequest,
  ): Promise<GradingMark> {
    return valueOf(await this.marks.mark(asker, id, markId, body));
  }

  /** Puts the marks into the record and gives the grades. */
  @ForRoles('owner', 'instructor')
  @Post(':id/close')
  @HttpCode(200)
  async close(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { decisions }: CloseGradingRequest,
  ): Promise<ClosedGradingResponse> {
    return valueOf(await this.closing.close(asker, id, decisions));
  }

  @ForRoles('owner', 'instructor')
  @Post(':id/reopen')
  @HttpCode(200)
  async reopen(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() { reason }: ReopenGradingRequest,
  ): Promise<GradingPageResponse> {
    return valueOf(await this.closing.reopen(asker, id, reason));
  }

  /** The timetable and a mark sheet for every party, for paper. */
  @ForEverybody()
  @Get(':id/sheets')
  async sheets(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    const pdf = await this.papers.sheets(clubId, id);
    return new StreamableFile(pdf, { type: 'application/pdf', disposition: 'inline; filename="mark-sheets.pdf"' });
  }

  /** Belts or badges to order. */
  @ForRoles('owner', 'instructor')
  @Get(':id/order')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  async order(@AskedBy() { clubId }: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<string> {
    return writeTable(await this.papers.order(clubId, id));
  }
}

function valueOf<Value>(result: Result<Value, AnyGradingRefusal>): Value {
  if (result.ok) return result.value;
  const { error } = result;
  if (error.kind === 'reason-missing')
    throw fieldRefused(`decisions.${String(error.at)}.reason`, `Why is ${error.name} given the grade although not all of it was seen?`);
  const [status, words] = problemOfGrading(error);
  throw new ProblemException(status, words);
}
