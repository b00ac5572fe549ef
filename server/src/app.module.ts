import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CalendarFeedModule } from './calendar-feed/calendar-feed.module.js';
import { CertificatesModule } from './certificates/certificates.module.js';
import { ChildrenModule } from './children/children.module.js';
import { ClassesModule } from './classes/classes.module.js';
import { FoundingModule } from './club/founding.module.js';
import { dataSourceOptions } from './database/data-source.js';
import { DatabaseModule } from './database/database.module.js';
import { DemoModule } from './demo/demo.module.js';
import { GradingModule } from './grading/grading.module.js';
import { GroupsModule } from './groups/groups.module.js';
import { HealthController } from './http/health.controller.js';
import { ToldInterceptor } from './http/told.interceptor.js';
import { HomeModule } from './home/home.module.js';
import { ImportsModule } from './imports/imports.module.js';
import { LettersModule } from './letters/letters.module.js';
import { LibraryModule } from './library/library.module.js';
import { LiveModule } from './live/live.module.js';
import { PeopleModule } from './people/people.module.js';
import { SessionGuard } from './people/session.guard.js';
import { PlansModule } from './plans/plans.module.js';
import { PlanFilesModule } from './plan-files/plan-files.module.js';
import { RecordModule } from './record/record.module.js';
import { RemoteModule } from './remote/remote.module.js';
import { ReportsModule } from './reports/reports.module.js';
import { StaffModule } from './staff/staff.module.js';
import { SyllabusModule } from './syllabus/syllabus.module.js';
import { TidyModule } from './tidy/tidy.module.js';
import { TodayModule } from './today/today.module.js';
import { VoiceModule } from './voice/voice.module.js';
import { WorkModule } from './work/work.module.js';

@Module({})
export class AppModule {
  static on(databaseUrl: string): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...dataSourceOptions(databaseUrl), retryAttempts: 3, retryDelay: 1000, logging: false }),
        DatabaseModule,
        WorkModule,
        ImportsModule,
        StaffModule,
        LiveModule,
        PeopleModule,
        FoundingModule,
        LibraryModule,
        SyllabusModule,
        GroupsModule,
        ChildrenModule,
        ClassesModule,
        CalendarFeedModule,
        CertificatesModule,
        GradingModule,
        HomeModule,
        LettersModule,
        PlansModule,
        PlanFilesModule,
        RecordModule,
        RemoteModule,
        ReportsModule,
        TodayModule,
        VoiceModule,
        DemoModule,
        TidyModule,
      ],
      controllers: [HealthController],
      providers: [
        { provide: APP_GUARD, useClass: SessionGuard },
        { provide: APP_INTERCEPTOR, useClass: ToldInterceptor },
      ],
    };
  }
}
