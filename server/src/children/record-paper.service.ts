import type { ChildRecordResponse } from '@leiter/contract';
import { Injectable } from '@nestjs/common';
import { ClubService } from '../club/club.service.js';
import { LibraryService } from '../library/library.service.js';
import type { Asker } from '../people/asker.js';
import { WorkersService } from '../work/workers.service.js';
import { recordDocument } from './record-paper.js';

/** What is kept of a child on paper, for the family that asks for it. */
@Injectable()
export class RecordPaperService {
  constructor(
    private readonly clubs: ClubService,
    private readonly library: LibraryService,
    private readonly workers: WorkersService,
  ) {}

  async recordOf({ clubId }: Asker, record: ChildRecordResponse): Promise<Buffer> {
    const [club, today, library] = await Promise.all([this.clubs.find(clubId), this.clubs.today(clubId), this.library.library(clubId)]);
    const document = recordDocument(record, club.name, today, (slug) => library.get(slug)?.name ?? slug);
    return Buffer.from(await this.workers.run('setPaper', { document }));
  }
}
