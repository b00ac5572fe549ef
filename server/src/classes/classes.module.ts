import { Module } from '@nestjs/common';
import { ChildrenModule } from '../children/children.module.js';
import { ClubModule } from '../club/club.module.js';
import { GroupsModule } from '../groups/groups.module.js';
import { PlansModule } from '../plans/plans.module.js';
import { SyllabusModule } from '../syllabus/syllabus.module.js';
import { LibraryModule } from '../library/library.module.js';
import { CallNamesService } from './call-names.service.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';
import { ClassesController } from './classes.controller.js';
import { ClassesService } from './classes.service.js';
import { HolidaysService } from './holidays.service.js';
import { OutlookService } from './outlook.service.js';
import { TaughtClassesService } from './taught-classes.service.js';

@Module({
  imports: [ChildrenModule, ClubModule, GroupsModule, LibraryModule, PlansModule, SyllabusModule],
  controllers: [CalendarController, ClassesController],
  providers: [CallNamesService, CalendarService, ClassesService, HolidaysService, OutlookService, TaughtClassesService],
  exports: [CalendarService, ClassesService],
})
export class ClassesModule {}
