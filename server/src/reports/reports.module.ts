import { Module } from '@nestjs/common';
import { ClubModule } from '../club/club.module.js';
import { LibraryModule } from '../library/library.module.js';
import { RecordModule } from '../record/record.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { ReportsController } from './reports.controller.js';
import { ReportsService } from './reports.service.js';

@Module({
  imports: [ClubModule, LibraryModule, RecordModule, SyllabusModule],
  controllers: [ReportsController],
  providers: [ReportsService],
})
export class ReportsModule {}
