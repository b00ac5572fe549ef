import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LibraryModule } from '../library/library.module.js';
import { ProgrammeEntity } from './programme.entity.js';
import { SyllabusChangeService } from './syllabus-change.service.js';
import { SyllabusController } from './syllabus.controller.js';
import { SyllabusTableService } from './syllabus-table.service.js';
import { SyllabusService } from './syllabus.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([ProgrammeEntity]), LibraryModule],
  controllers: [SyllabusController],
  providers: [SyllabusService, SyllabusChangeService, SyllabusTableService],
  exports: [SyllabusService],
})
export class SyllabusModule {}
