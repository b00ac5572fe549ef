import {
  ChangeMovementRequest,
  LibraryFile,
  SaveMovementRequest,
  type LibraryImportResponse,
  type MovementResponse,
} from '@leiter/contract';
import { libraryFaultWords, libraryFormat, type LibraryFault, type Movement, type Result } from '@leiter/core';
import { Body, Controller, Delete, Get, HttpCode, Param, ParseBoolPipe, ParseUUIDPipe, Patch, Post, Put, Query } from '@nestjs/common';
import { ProblemException } from '../http/problem.js';
import { AskedBy, ForRoles, type Asker } from '../people/session.guard.js';
import { LibraryImportService } from './library-import.service.js';
import { LibraryService } from './library.service.js';

const mostErrorsNamed = 200;

@Controller('library')
export class LibraryController {
  constructor(
    private readonly library: LibraryService,
    private readonly imports: LibraryImportService,
  ) {}

  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly MovementResponse[]> {
    return this.library.entries(asker.clubId);
  }

  /** The whole library as a `leiter-library/1` file. */
  @Get('export')
  async export(@AskedBy() asker: Asker): Promise<{ readonly format: string; readonly movements: readonly Movement[] }> {
    return { format: libraryFormat, movements: await this.library.list(asker.clubId) };
  }

  /** Takes in a library, all or nothing. With `dryRun=true` it only says what would be added, changed and left. */
  @ForRoles('owner', 'instructor')
  @Post('import')
  @HttpCode(200)
  async import(
    @AskedBy() asker: Asker,
    @Query('dryRun', new ParseBoolPipe({ optional: true })) dryRun: boolean | undefined,
    @Body() body: LibraryFile,
  ): Promise<LibraryImportResponse> {
    return takenIn(await this.imports.take(asker, body.movements, { isDryRun: dryRun ?? false }));
  }

  /** Undoes an import: entries read again as before, added ones go. */
  @ForRoles('owner', 'instructor')
  @Delete('imports/:id')
  @HttpCode(204)
  async undo(@AskedBy() asker: Asker, @Param('id', ParseUUIDPipe) id: string): Promise<void> {
    const undone = await this.imports.undo(asker.clubId, id);
    if (!undone.ok)
      throw new ProblemException(
        409,
        `“${undone.error.slug}” ${undone.error.kind === 'in-use' ? 'is in use by now' : 'was changed again since'}, so it stays. Nothing was changed.`,
        { movement: undone.error.slug },
      );
  }

  @Get(':slug')
  find(@AskedBy() asker: Asker, @Param('slug') slug: string): Promise<MovementResponse> {
    return this.library.find(asker.clubId, slug);
  }

  /** Writes an entry anew, or a new one: from then on it is the club's own. */
  @ForRoles('owner', 'instructor')
  @Put(':slug')
  async save(@AskedBy() asker: Asker, @Param('slug') slug: string, @Body() body: SaveMovementRequest): Promise<MovementResponse> {
    takenIn(await this.imports.take(asker, [{ ...body.movement, slug }], { isDryRun: false }));
    return this.library.find(asker.clubId, slug);
  }

  @ForRoles('owner', 'instructor')
  @Patch(':slug')
  change(@AskedBy() asker: Asker, @Param('slug') slug: string, @Body() body: ChangeMovementRequest): Promise<MovementResponse> {
    return this.library.change(asker.clubId, slug, body);
  }
}

function takenIn(taken: Result<LibraryImportResponse, readonly LibraryFault[]>): LibraryImportResponse {
  if (taken.ok) return taken.value;
  throw new ProblemException(422, 'Nothing was stored: some entries are not right.', {
    errors: taken.error
      .slice(0, mostErrorsNamed)
      .map((fault) => ({ field: `${fault.entry}${fault.field === '' ? '' : `.${fault.field}`}`, message: libraryFaultWords(fault) })),
    errorCount: taken.error.length,
  });
}
