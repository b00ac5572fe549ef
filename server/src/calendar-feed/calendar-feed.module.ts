import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/classes.module.js';
import { ClubModule } from '../club/club.module.js';
import { HomeModule } from '../home/home.module.js';
import { LibraryModule } from '../library/library.module.js';
import { CalendarFeedController } from './calendar-feed.controller.js';
import { CalendarFeedService } from './calendar-feed.service.js';
import { CalendarLinksService } from './calendar-links.service.js';

@Module({
  imports: [ClassesModule, ClubModule, HomeModule, LibraryModule],
  controllers: [CalendarFeedController],
  providers: [CalendarFeedService, CalendarLinksService],
})
export class CalendarFeedModule {}
