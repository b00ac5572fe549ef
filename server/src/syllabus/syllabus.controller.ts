import type { SyllabusResponse } from '@leiter/contract';
import { syllabusFormat } from '@leiter/core';
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

  /** The ladders of all programmes as a `leiter-syllabus/1` file: by slugs, without the ids of this club. */
  @Get('export')
  async export(@AskedBy() asker: Asker): Promise<object> {
    const ladders = await this.syllabuses.list(asker.clubId);
    return {
      format: syllabusFormat,
      syllabuses: ladders.map(({ programme, programmeName, stretchingSchool, startsAs, grades }) => ({
        programme,
        name: programmeName,
        stretchingSchool,
        startsAs,
        grades: grades.map(({ id: _id, requirements, ...grade }) => ({
          ...grade,
          requirements: requirements.map(({ movement, stage, criterion }) => ({
            movement,
            ...(stage === null ? {} : { stage }),
            criterion,
          })),
        })),
      })),
    };
  }
}
