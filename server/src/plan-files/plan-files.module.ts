import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/classes.module.js';
import { ClubModule } from '../club/club.module.js';
import { LibraryModule } from '../library/library.module.js';
import { PlansModule } from '../plans/plans.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { PlanFileService } from './plan-file.service.js';
import { PlanFilesController } from './plan-files.controller.js';
import { PlanPaperService } from './plan-paper.service.js';
import { PreviewService } from './preview.service.js';

/** Plans that come from outside and go out: judged, taken in, given out as a file and on paper. */
@Module({
  imports: [ClassesModule, ClubModule, LibraryModule, PlansModule, SyllabusModule],
  controllers: [PlanFilesController],
  providers: [PreviewService, PlanFileService, PlanPaperService],
})
export class PlanFilesModule {}
