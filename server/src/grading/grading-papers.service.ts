import type { Table } from '@leiter/core';
import { groupBy } from '@leiter/core';
import { Injectable } from '@nestjs/common';
import { ClubService } from '../club/club.service.js';
import { LibraryService } from '../library/library.service.js';
import { WorkersService } from '../work/workers.service.js';
import { GradingPageService } from './grading-page.service.js';
import { sheetsDocument } from './grading-sheets.js';

/** What a grading day has on paper, and what is ordered for it. */
@Injectable()
export class GradingPapersService {
  constructor(
    private readonly pages: GradingPageService,
    private readonly clubs: ClubService,
    private readonly library: LibraryService,
    private readonly workers: WorkersService,
  ) {}

  async sheets(clubId: string, id: string): Promise<Buffer> {
    const [page, club, library] = await Promise.all([this.pages.page(clubId, id), this.clubs.find(clubId), this.library.library(clubId)]);
    return Buffer.from(await this.workers.run('setPaper', { document: sheetsDocument(page, club.name, library) }));
  }

  /** How many of each grade and size, for those to whom it is given – or who come, as long as nothing is decided. */
  async order(clubId: string, id: string): Promise<Table> {
    const { children, grades, grading } = await this.pages.page(clubId, id);
    const wanted = children.filter(({ entry }) => entry && (grading.closedAt === null || entry.decision === 'granted'));
    const lines = groupBy(wanted, ({ gradeId, entry }) => JSON.stringify([gradeId, entry?.size ?? '']));
    return {
      head: ['grade', 'size', 'how many', 'for'],
      rows: grades.flatMap((grade) =>
        [...lines.values()]
          .filter(([first]) => first?.gradeId === grade.id)
          .toSorted(([a], [b]) => ((a?.entry?.size ?? '') < (b?.entry?.size ?? '') ? -1 : 1))
          .map((own) => [grade.name, own[0]?.entry?.size ?? '', String(own.length), own.map(({ name }) => name).join(', ')]),
      ),
    };
  }
}
