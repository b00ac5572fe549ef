import type { SyllabusFile } from '@leiter/contract';
import { accepted, readSyllabusTable, syllabusTable, type CellFault, type Result, type WrittenGrade } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { notFound } from '../http/problem.js';
import { readTable, writeTable } from '../http/spreadsheet.js';
import { LibraryService } from '../library/library.service.js';
import { SyllabusService, writtenLadder } from './syllabus.service.js';

/** A ladder as a table, one requirement a row. */
@Injectable()
export class SyllabusTableService {
  constructor(
    private readonly syllabuses: SyllabusService,
    private readonly library: LibraryService,
  ) {}

  async write(clubId: string, programme: string): Promise<string> {
    const ladder = await this.syllabuses.ladderOf(clubId, programme);
    if (!ladder) throw notFound('programme');
    return writeTable(syllabusTable(writtenLadder(ladder).grades.map(withoutNulls)));
  }

  /** @returns the ladder of a programme that is there, as a file would hold it. */
  async read(clubId: string, programme: string, text: string): Promise<Result<SyllabusFile['syllabuses'][number], readonly CellFault[]>> {
    const ladder = await this.syllabuses.ladderOf(clubId, programme);
    if (!ladder) throw notFound('programme');
    const read = readSyllabusTable(readTable(text), await this.library.reckoned(clubId), ladder.grades);
    if (!read.ok) return read;
    const { programmeName: name, stretchingSchool, startsAs } = ladder;
    // read field by field against the library, to the shape of the contract
    return accepted({
      programme,
      name,
      stretchingSchool,
      startsAs,
      grades: structuredClone(read.value) as SyllabusFile['syllabuses'][number]['grades'],
    });
  }
}

function withoutNulls(grade: ReturnType<typeof writtenLadder>['grades'][number]): WrittenGrade {
  return { ...grade, requirements: grade.requirements.map(({ stage, ...one }) => ({ ...one, ...(stage === null ? {} : { stage }) })) };
}
