import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { PeopleModule } from '../people/people.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { GroupEntity } from './group.entity.js';
import { GroupsController } from './groups.controller.js';
import { GroupsService } from './groups.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([GroupEntity]), PeopleModule, SyllabusModule],
  controllers: [GroupsController],
  providers: [GroupsService],
  exports: [GroupsService],
})
export class GroupsModule {}
