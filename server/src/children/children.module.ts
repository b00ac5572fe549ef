import { Module } from '@nestjs/common';
import { ClipsModule } from '../clips/clips.module.js';
import { ClubModule } from '../club/club.module.js';
import { GroupsModule } from '../groups/groups.module.js';
import { LibraryModule } from '../library/library.module.js';
import { RecordModule } from '../record/record.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { ChildrenImportService } from './children-import.service.js';
import { ChildrenController } from './children.controller.js';
import { ChildrenService } from './children.service.js';
import { GradesService } from './grades.service.js';
import { HealthNotesService } from './health-notes.service.js';
import { RecordPaperService } from './record-paper.service.js';

@Module({
  imports: [ClipsModule, ClubModule, GroupsModule, LibraryModule, RecordModule, SyllabusModule],
  controllers: [ChildrenController],
  providers: [ChildrenService, GradesService, ChildrenImportService, HealthNotesService, RecordPaperService],
  exports: [HealthNotesService],
})
export class ChildrenModule {}
