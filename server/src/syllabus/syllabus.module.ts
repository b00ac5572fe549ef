import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ProgrammeEntity } from './programme.entity.js';
import { SyllabusController } from './syllabus.controller.js';
import { SyllabusService } from './syllabus.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([ProgrammeEntity])],
  controllers: [SyllabusController],
  providers: [SyllabusService],
  exports: [SyllabusService],
})
export class SyllabusModule {}
