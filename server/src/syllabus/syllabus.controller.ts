import type { SyllabusResponse } from '@leiter/contract';
import { Controller, Get } from '@nestjs/common';
import { AskedBy, type Asker } from '../people/session.guard.js';
import { SyllabusService } from './syllabus.service.js';

@Controller('syllabuses')
export class SyllabusController {
  constructor(private readonly syllabuses: SyllabusService) {}

  @Get()
  list(@AskedBy() asker: Asker): Promise<readonly SyllabusResponse[]> {
    return this.syllabuses.list(asker.clubId);
  }
}
