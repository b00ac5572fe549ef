import {
  SaveSyllabusRequest,
  SpreadsheetRequest,
  SyllabusFile,
  type SavedSyllabusResponse,
  type SyllabusImportResponse,
  type SyllabusResponse,
} from '@leiter/contract';
import { syllabusFaultWords, syllabusFormat, type Result } from '@leiter/core';
import { Body, Controller, Delete, Get, Header, HttpCode, Param, ParseBoolPipe, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { cellProblem } from '../http/spreadsheet.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { SyllabusChangeService, type LadderFault } from './syllabus-change.service.js';
import { SyllabusTableService } from './syllabus-table.service.js';
import { SyllabusService, writtenLadder } from './syllabus.service.js';

@Controller('syllabuses')
export class SyllabusController {
  constructor(
    private readonly syllabuses: SyllabusService,
    private readonly changes: SyllabusChangeService,
    private readonly tables: SyllabusTableService,
  ) {}

  @ForEverybody()
  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly SyllabusResponse[]> {
    return this.syllabuses.list(asker.clubId);
  }

  /** The ladders of all programmes as a `leiter-syllabus/1` file: by slugs, without the ids of this club. */
  @ForEverybody()
  @Get('export')
  async export(@AskedBy() asker: Asker): Promise<object> {
    const ladders = await this.syllabuses.list(asker.clubId);
    return {
      format: syllabusFormat,
      syllabuses: ladders.map((ladder) => ({
        programme: ladder.programme,
        name: ladder.programmeName,
        stretchingSchool: ladder.stretchingSchool,
        startsAs: ladder.startsAs,
        grades: writtenLadder(ladder).grades.map(({ requirements, isPutAway, ...grade }) => ({
          ...grade,
          ...(isPutAway ? { isPutAway } : {}),
          requirements: requirements.map(({ movement, stage, criterion, isPutAway: isAway }) => ({
            movement,
            ...(stage === null ? {} : { stage }),
            criterion,
            ...(isAway ? { isPutAway: isAway } : {}),
          })),
        })),
      })),
    };
  }

  /** Takes in the ladders of a file, all or none. With `dryRun=true` it only says what would be different, line by line. */
  @ForRoles('owner', 'instructor')
  @Post('import')
  @HttpCode(200)
  async import(
    @AskedBy() asker: Asker,
    @Query('dryRun', new ParseBoolPipe({ optional: true })) dryRun: boolean | undefined,
    @Body() body: SyllabusFile,
  ): Promise<SyllabusImportResponse> {
    return takenIn(await this.changes.take(asker, body, { isDryRun: dryRun ?? false }));
  }

  /** Undoes an import: the ladders read again as before. */
  @ForRoles('owner', 'instructor')
  @Delete('imports/:id')
  @HttpCode(204)
  async undo(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    const undone = await this.changes.undo(asker.clubId, id);
    if (!undone.ok)
      throw new ProblemException(
        409,
        `The ladder of “${undone.error.programme}” ${undone.error.kind === 'in-use' ? 'is in use by now' : 'was changed again since'}, so it stays. Nothing was changed.`,
      );
  }

  /** Stores a whole ladder as its next version. */
  @ForRoles('owner', 'instructor')
  @Put(':programme')
  async save(
    @AskedBy() asker: Asker,
    @Param('programme') programme: string,
    @Body() body: SaveSyllabusRequest,
  ): Promise<SavedSyllabusResponse> {
    const saved = await this.changes.save(asker, programme, body);
    if (saved.ok) return saved.value;
    switch (saved.error.kind) {
      case 'changed-meanwhile':
        throw new ProblemException(409, 'Somebody changed this ladder meanwhile.', {
          current: await this.syllabuses.ladderOf(asker.clubId, programme),
        });
      case 'faults':
        throw faultsProblem(saved.error.faults);
    }
  }

  /** A ladder as a table for a spreadsheet, one requirement a row. */
  @ForEverybody()
  @Get(':programme/table')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  table(@AskedBy() asker: Asker, @Param('programme') programme: string): Promise<string> {
    return this.tables.write(asker.clubId, programme);
  }

  /** Takes in a ladder from a spreadsheet, all or nothing. */
  @ForRoles('owner', 'instructor')
  @Post(':programme/table')
  @HttpCode(200)
  async importTable(
    @AskedBy() asker: Asker,
    @Param('programme') programme: string,
    @Query('dryRun', new ParseBoolPipe({ optional: true })) dryRun: boolean | undefined,
    @Body() body: SpreadsheetRequest,
  ): Promise<SyllabusImportResponse> {
    const read = await this.tables.read(asker.clubId, programme, body.text);
    if (!read.ok) throw cellProblem(read.error);
    return takenIn(await this.changes.take(asker, { syllabuses: [read.value] }, { isDryRun: dryRun ?? false }));
  }
}

function takenIn(taken: Result<SyllabusImportResponse, readonly LadderFault[]>): SyllabusImportResponse {
  if (taken.ok) return taken.value;
  throw faultsProblem(taken.error);
}

function faultsProblem(faults: readonly LadderFault[]): ProblemException {
  return new ProblemException(422, 'Nothing was stored: some lines are not right.', {
    errors: faults.map((fault) => ({
      field: [fault.programme, fault.grade, fault.movement].filter((part) => part !== '').join('.'),
      message: syllabusFaultWords(fault),
    })),
  });
}
