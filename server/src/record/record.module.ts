import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { GroupsModule } from '../groups/groups.module.js';
import { LibraryModule } from '../library/library.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { BestsService } from './bests.service.js';
import { LadderService } from './ladder.service.js';
import { RecordController } from './record.controller.js';
import { RecordService } from './record.service.js';

@Module({
  imports: [ClubModule, GroupsModule, LibraryModule, SyllabusModule],
  controllers: [RecordController],
  providers: [BestsService, RecordService, LadderService],
  exports: [LadderService],
})
export class RecordModule {}
