import {
  ChangeMovementRequest,
  SaveMovementRequest,
  SavePhraseRequest,
  type LibraryImportResponse,
  type MovementResponse,
  type PhraseResponse,
} from '@leiter/contract';
import { libraryFaultWords, libraryFormat, type LibraryFault, type Movement, type Result } from '@leiter/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  ParseBoolPipe,
  ParseUUIDPipe,
  Patch,
  Post,
  Put,
  Query,
  Req,
  Res,
} from '@nestjs/common';
import { ApiBody } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { ProblemException } from '../http/problem.js';
import { fieldsProblem } from '../http/validation.js';
import type { Asker } from '../people/asker.js';
import { AskedBy, ForEverybody, ForRoles } from '../people/session.guard.js';
import { LibraryImportService } from './library-import.service.js';
import { LibraryService } from './library.service.js';
import { PhrasesService } from './phrases.service.js';

const mostErrorsNamed = 200;

@Controller('library')
export class LibraryController {
  constructor(
    private readonly library: LibraryService,
    private readonly imports: LibraryImportService,
    private readonly phrases: PhrasesService,
  ) {}

  /** Every entry, each on a line of its own, and how many in `Leiter-Count`; a browser that has this version is told so, and nothing is sent. */
  @ForEverybody()
  @Get()
  async list(@AskedBy() asker: Asker, @Req() request: Request, @Res() response: Response): Promise<void> {
    const { etag, count, plain, gzip, br } = await this.library.body(asker.clubId);
    response.set({
      ETag: etag,
      'Cache-Control': 'private, no-cache',
      Vary: 'Accept-Encoding',
      'Leiter-Count': String(count),
      'Content-Type': 'application/json; charset=utf-8',
    });
    if (request.headers['if-none-match'] === etag) {
      response.status(304).end();
      return;
    }
    const encoding = request.acceptsEncodings('br', 'gzip', 'identity');
    if (encoding === 'br' || encoding === 'gzip') response.set('Content-Encoding', encoding);
    response.end(encoding === 'br' ? br : encoding === 'gzip' ? gzip : plain);
  }

  /** The whole library as a `leiter-library/1` file. */
  @ForEverybody()
  @Get('export')
  async export(@AskedBy() asker: Asker): Promise<{ readonly format: string; readonly movements: readonly Movement[] }> {
    return { format: libraryFormat, movements: await this.library.list(asker.clubId) };
  }

  /** Takes in a library, all or nothing. With `dryRun=true` it only says what would be added, changed and left. */
  @ForRoles('owner', 'instructor')
  @Post('import')
  @HttpCode(200)
  @ApiBody({ schema: { $ref: '#/components/schemas/LibraryFile' } })
  async import(
    @AskedBy() asker: Asker,
    @Query('dryRun', new ParseBoolPipe({ optional: true })) dryRun: boolean | undefined,
    @Req() request: Request,
  ): Promise<LibraryImportResponse> {
    const text: unknown = request.body;
    const taken = await this.imports.takeFile(asker, typeof text === 'string' ? text : '', { isDryRun: dryRun ?? false });
    if (taken.ok) return taken.value;
    switch (taken.error.kind) {
      case 'unreadable':
        throw new ProblemException(400, taken.error.words);
      case 'fields':
        throw fieldsProblem(taken.error.fields);
      case 'entries':
        throw entriesProblem(taken.error.faults);
    }
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

  @ForEverybody()
  @Get(':slug')
  find(@AskedBy() asker: Asker, @Param('slug') slug: string): Promise<MovementResponse> {
    return this.library.find(asker.clubId, slug);
  }

  /** Writes an entry anew, or a new one: from then on it is the club's own. Steps that it has are saved by themselves, and stay. */
  @ForRoles('owner', 'instructor')
  @Put(':slug')
  async save(@AskedBy() asker: Asker, @Param('slug') slug: string, @Body() body: SaveMovementRequest): Promise<MovementResponse> {
    const { phrase, ...rest } = body.movement as { readonly phrase?: unknown }; // looked at field by field when it is taken in
    const steps = (await this.library.library(asker.clubId)).get(slug)?.phrase ?? phrase;
    const entry = { ...rest, slug, ...(steps === undefined ? {} : { phrase: steps }) };
    takenIn(await this.imports.take(asker, [entry], { isDryRun: false }));
    return this.library.find(asker.clubId, slug);
  }

  @ForEverybody()
  @Get(':slug/phrase')
  phrase(@AskedBy() { clubId }: Asker, @Param('slug') slug: string): Promise<PhraseResponse> {
    return this.phrases.find(clubId, slug);
  }

  /** Saves the steps of an entry on top of the version that was changed; 409 with what is stored where there is another by now. */
  @ForRoles('owner', 'instructor')
  @Put(':slug/phrase')
  async savePhrase(@AskedBy() asker: Asker, @Param('slug') slug: string, @Body() body: SavePhraseRequest): Promise<PhraseResponse> {
    const saved = await this.phrases.save(asker, slug, body);
    if (saved.ok) return saved.value;
    if (saved.error.kind === 'faults') throw entriesProblem(saved.error.faults);
    throw new ProblemException(409, 'Somebody saved other steps meanwhile.', { current: saved.error.current });
  }

  @ForRoles('owner', 'instructor')
  @Patch(':slug')
  change(@AskedBy() asker: Asker, @Param('slug') slug: string, @Body() body: ChangeMovementRequest): Promise<MovementResponse> {
    return this.library.change(asker.clubId, slug, body);
  }
}

function takenIn(taken: Result<LibraryImportResponse, readonly LibraryFault[]>): LibraryImportResponse {
  if (taken.ok) return taken.value;
  throw entriesProblem(taken.error);
}

function entriesProblem(faults: readonly LibraryFault[]): ProblemException {
  return new ProblemException(422, 'Nothing was stored: some entries are not right.', {
    errors: faults
      .slice(0, mostErrorsNamed)
      .map((fault) => ({ field: `${fault.entry}${fault.field === '' ? '' : `.${fault.field}`}`, message: libraryFaultWords(fault) })),
    errorCount: faults.length,
  });
}
