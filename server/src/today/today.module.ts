import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/classes.module.js';
import { ClubModule } from '../club/club.module.js';
import { PlansModule } from '../plans/plans.module.js';
import { RecordModule } from '../record/record.module.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

@Module({ imports: [ClassesModule, ClubModule, PlansModule, RecordModule], controllers: [TodayController], providers: [TodayService] })
export class TodayModule {}
