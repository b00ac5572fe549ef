import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { GradeEntity } from './grade.entity.js';
import { ProgrammeEntity } from './programme.entity.js';
import { RequirementEntity } from './requirement.entity.js';
import { SyllabusController } from './syllabus.controller.js';
import { SyllabusEntity } from './syllabus.entity.js';
import { SyllabusService } from './syllabus.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([ProgrammeEntity, SyllabusEntity, GradeEntity, RequirementEntity])],
  controllers: [SyllabusController],
  providers: [SyllabusService],
  exports: [SyllabusService],
})
export class SyllabusModule {}
