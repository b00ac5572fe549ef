import { Module } from '@nestjs/common';
import { ChildrenModule } from '../children/children.module.js';
import { ClubModule } from '../club/club.module.js';
import { GroupsModule } from '../groups/groups.module.js';
import { PlansModule } from '../plans/plans.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { ClassesController } from './classes.controller.js';
import { ClassesService } from './classes.service.js';
import { TaughtClassesService } from './taught-classes.service.js';

@Module({
  imports: [ChildrenModule, ClubModule, GroupsModule, PlansModule, SyllabusModule],
  controllers: [ClassesController],
  providers: [TaughtClassesService, ClassesService],
  exports: [ClassesService],
})
export class ClassesModule {}
