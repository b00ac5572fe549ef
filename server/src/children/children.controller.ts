import {
  AddChildRequest,
  AwardGradeRequest,
  ChangeChildrenRequest,
  type ChangedChildren,
  ChangeChildRequest,
  MoveOverRequest,
  SaveHealthNotesRequest,
  TakeBackGradeRequest,
  SpreadsheetRequest,
  type ChildPageResponse,
  type ChildRecordResponse,
  type ChildResponse,
  type ChildrenImportResponse,
  type HealthNotes,
} from '@leiter/contract';
import type { Result } from '@leiter/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseBoolPipe,
  ParseUUIDPipe,
  Patch,
  Post,
  Put,
  Query,
  StreamableFile,
} from '@nestjs/common';
import { fieldRefused, ProblemException } from '../http/problem.js';
import { cellProblem } from '../http/spreadsheet.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { ChildrenImportService } from './children-import.service.js';
import { HealthNotesService } from './health-notes.service.js';
import { ChildrenService, type ChildRefusal } from './children.service.js';
import { GradesService } from './grades.service.js';
import { RecordPaperService } from './record-paper.service.js';

@Controller('children')
export class ChildrenController {
  constructor(
    private readonly children: ChildrenService,
    private readonly grades: GradesService,
    private readonly imports: ChildrenImportService,
    private readonly health: HealthNotesService,
    private readonly papers: RecordPaperService,
  ) {}

  @ForEverybody()
  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly ChildResponse[]> {
    return this.children.list(asker.clubId);
  }

  /** The children as a table for a spreadsheet. */
  @ForRoles('owner', 'instructor')
  @Get('table')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  table(@AskedBy() asker: Asker): Promise<string> {
    return this.imports.write(asker.clubId);
  }

  /** Takes in a list of children from a spreadsheet, all or none. With `dryRun=true` it only says what would be different. */
  @ForRoles('owner', 'instructor')
  @Post('table')
  @HttpCode(200)
  async import(
    @AskedBy() asker: Asker,
    @Query('dryRun', new ParseBoolPipe({ optional: true })) dryRun: boolean | undefined,
    @Body() body: SpreadsheetRequest,
  ): Promise<ChildrenImportResponse> {
    const taken = await this.imports.take(asker, body.text, { isDryRun: dryRun ?? false });
    if (taken.ok) return taken.value;
    throw cellProblem(taken.error);
  }

  @ForRoles('owner', 'instructor')
  @Delete('imports/:id')
  @HttpCode(204)
  async undo(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    const undone = await this.imports.undo(asker.clubId, id);
    if (!undone.ok)
      throw new ProblemException(
        409,
        `Something was noted meanwhile of ${String(undone.error.count)} of the children, so they all stay. Nothing was changed.`,
      );
  }

  /** Puts several children into a group, takes them out of one, archives them or puts them back. */
  @ForRoles('owner', 'instructor')
  @Post('several')
  @HttpCode(200)
  async changeSeveral(@AskedBy() asker: Asker, @Body() body: ChangeChildrenRequest): Promise<ChangedChildren> {
    return this.children.changeSeveral(asker, body);
  }

  /** A child with what it has earned, what was seen and where it stands. */
  @ForEverybody()
  @Get(':id')
  page(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<ChildPageResponse> {
    return this.children.page(asker, id);
  }

  /** Stores what the family told of its health; for the staff of its groups only. */
  @ForEverybody()
  @Put(':id/health-notes')
  async saveHealthNotes(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: SaveHealthNotesRequest,
  ): Promise<HealthNotes> {
    const saved = await this.health.save(asker, id, body);
    if (saved.ok) return saved.value;
    switch (saved.error.kind) {
      case 'not-of-its-staff':
        throw new ProblemException(403, 'Health notes are for the staff of the child’s groups.');
      case 'changed-meanwhile':
        throw new ProblemException(409, 'Somebody wrote a health note meanwhile. Look at it, then save again.', {
          current: saved.error.current,
        });
    }
  }

  /** Everything that is kept of a child, for the family that asks for it; that it was handed out is written down. */
  @ForRoles('owner', 'instructor')
  @Get(':id/record')
  async record(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<ChildRecordResponse> {
    const record = await this.children.record(asker, id);
    if (record.ok) return record.value;
    throw new ProblemException(403, 'A child’s record is handed out by who teaches it, or by the owner.');
  }

  /** The same to be read: a PDF. */
  @ForRoles('owner', 'instructor')
  @Get(':id/record/paper')
  async recordPaper(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<StreamableFile> {
    const pdf = await this.papers.recordOf(asker, await this.record(asker, id));
    return new StreamableFile(pdf, { type: 'application/pdf', disposition: 'attachment; filename="child-record.pdf"' });
  }

  /** Takes back a grade that was given by mistake. */
  @ForRoles('owner', 'instructor')
  @Post(':id/grades/:gradeId/take-back')
  @HttpCode(200)
  async takeBack(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Param('gradeId', ParseUUIDPipe) gradeId: string,
    @Body() body: TakeBackGradeRequest,
  ): Promise<ChildPageResponse> {
    const taken = await this.grades.takeBack(asker, id, gradeId, body.reason);
    if (taken.ok) return taken.value;
    throw new ProblemException(422, 'A higher grade was given since: take that one back first.');
  }

  @ForRoles('owner', 'instructor')
  @Post()
  async add(@AskedBy() asker: Asker, @Body() body: AddChildRequest): Promise<ChildResponse> {
    return answer(await this.children.add(asker, body));
  }

  @ForRoles('owner', 'instructor')
  @Patch(':id')
  async change(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: ChangeChildRequest): Promise<ChildResponse> {
    return answer(await this.children.change(asker, id, body));
  }

  @ForRoles('owner', 'instructor')
  @Post(':id/grades')
  async award(
    @AskedBy() asker: Asker,
    @Param('id', ParseUUIDPipe) id: string,
    @Body() body: AwardGradeRequest,
  ): Promise<ChildPageResponse> {
    const awarded = await this.grades.award(asker, id, body);
    if (awarded.ok) return awarded.value;
    switch (awarded.error.kind) {
      case 'no-such-day':
        throw fieldRefused('awardedOn', 'A grade is given on a day of the child’s life, today at the latest.');
      case 'before-the-last':
        throw fieldRefused('awardedOn', `The grade before was given on ${awarded.error.day}.`);
      case 'not-the-next-grade':
        throw new ProblemException(422, 'This is not the next grade of the child.');
      case 'not-earned':
        throw new ProblemException(422, `Not earned yet: ${String(awarded.error.missing)} still to be seen.`);
    }
  }

  @ForRoles('owner', 'instructor')
  @Post(':id/newest-ladder')
  @HttpCode(200)
  moveOver(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string, @Body() body: MoveOverRequest): Promise<ChildPageResponse> {
    return this.grades.moveOver(asker, id, body.programme);
  }

  @ForRoles('owner')
  @Delete(':id')
  @HttpCode(204)
  erase(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.children.erase(asker.clubId, id);
  }
}

function answer(result: Result<ChildResponse, ChildRefusal>): ChildResponse {
  if (result.ok) return result.value;
  switch (result.error.kind) {
    case 'group-unknown':
      throw fieldRefused('groupIds', 'Choose a group of this club.');
    case 'born-in-the-future':
      throw fieldRefused('birthDate', 'This day has not come yet.');
    case 'grade-unknown':
      throw fieldRefused('startingGradeId', 'Choose a grade of a ladder of the club.');
    case 'there-already':
      throw fieldRefused('givenName', 'This child is in the club already; look under “Show archived” as well.');
    case 'not-of-its-staff':
      throw new ProblemException(403, 'Another instructor teaches this child. Ask them or the owner to change its groups.', {
        errors: [{ field: 'groupIds', message: 'Ask who teaches this child, or the owner.' }],
      });
    case 'home-changed-meanwhile':
      throw new ProblemException(409, 'Somebody changed what the child has at home meanwhile. Look at it, then save again.', {
        current: result.error.current,
        version: result.error.version,
      });
  }
}
