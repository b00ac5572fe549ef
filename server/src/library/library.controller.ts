import type { Movement } from '@leiter/core';
import { Controller, Get, Param } from '@nestjs/common';
import { AskedBy, type Asker } from '../people/session.guard.js';
import { LibraryService } from './library.service.js';

@Controller('library')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly Movement[]> {
    return this.library.list(asker.clubId);
  }

  @Get(':slug')
  find(@AskedBy() asker: Asker, @Param('slug') slug: string): Promise<Movement> {
    return this.library.find(asker.clubId, slug);
  }
}
