import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { LibraryModule } from '../library/library.module.js';
import { PeopleModule } from '../people/people.module.js';
import { RecordModule } from '../record/record.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { CandidatesService } from './candidates.service.js';
import { GradingCloseService } from './grading-close.service.js';
import { GradingMarksService } from './grading-marks.service.js';
import { GradingPageService } from './grading-page.service.js';
import { GradingPapersService } from './grading-papers.service.js';
import { GradingsController } from './gradings.controller.js';
import { GradingsService } from './gradings.service.js';
import { TimetablesService } from './timetables.service.js';

/** Grading days, from the timetable to the grade. */
@Module({
  imports: [ClubModule, LibraryModule, PeopleModule, RecordModule, SyllabusModule],
  controllers: [GradingsController],
  providers: [
    CandidatesService,
    GradingCloseService,
    GradingMarksService,
    GradingPageService,
    GradingPapersService,
    GradingsService,
    TimetablesService,
  ],
  exports: [GradingPageService],
})
export class GradingModule {}
