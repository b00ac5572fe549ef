import pg from 'pg';
import type { DataSourceOptions } from 'typeorm';
import { AttendanceEntity } from '../classes/attendance.entity.js';
import { ClassSessionEntity } from '../classes/class-session.entity.js';
import { ItemTimeEntity } from '../classes/item-time.entity.js';
import { ChildEntity } from '../children/child.entity.js';
import { EnrolmentEntity } from '../children/enrolment.entity.js';
import { GradeAwardEntity } from '../children/grade-award.entity.js';
import { ClubEntity } from '../club/club.entity.js';
import { GroupEntity } from '../groups/group.entity.js';
import { MovementEntity } from '../library/movement.entity.js';
import { PersonEntity } from '../people/person.entity.js';
import { ClassPlanEntity } from '../plans/class-plan.entity.js';
import { ObservationEntity } from '../record/observation.entity.js';
import { GradeEntity } from '../syllabus/grade.entity.js';
import { ProgrammeEntity } from '../syllabus/programme.entity.js';
import { RequirementEntity } from '../syllabus/requirement.entity.js';
import { SyllabusEntity } from '../syllabus/syllabus.entity.js';
import { LadderVersions1764200000000 } from './migrations/1764200000000-ladder-versions.js';
import { TeachingRoom1764300000000 } from './migrations/1764300000000-teaching-room.js';
import { OwnMovements1764100000000 } from './migrations/1764100000000-own-movements.js';
import { ClubTemplates1764400000000 } from './migrations/1764400000000-club-templates.js';
import { HealthNotes1764500000000 } from './migrations/1764500000000-health-notes.js';
import { SoundGround1764600000000 } from './migrations/1764600000000-sound-ground.js';
import { Families1765000000000 } from './migrations/1765000000000-families.js';
import { Voice1765100000000 } from './migrations/1765100000000-voice.js';
import { Visits1765200000000 } from './migrations/1765200000000-visits.js';
import { CallNames1765400000000 } from './migrations/1765400000000-call-names.js';
import { CalendarFeed1765500000000 } from './migrations/1765500000000-calendar-feed.js';
import { GradingDays1765600000000 } from './migrations/1765600000000-grading-days.js';
import { Home1765700000000 } from './migrations/1765700000000-home.js';
import { Badges1765800000000 } from './migrations/1765800000000-badges.js';
import { Letters1765900000000 } from './migrations/1765900000000-letters.js';
import { Clips1766000000000 } from './migrations/1766000000000-clips.js';
import { CalendarsOfFamilies1766100000000 } from './migrations/1766100000000-calendars-of-families.js';
import { LettersToTheReady1766200000000 } from './migrations/1766200000000-letters-to-the-ready.js';
import { PhrasesAsDocuments1766300000000 } from './migrations/1766300000000-phrases-as-documents.js';
import { RulesOfChecks1766400000000 } from './migrations/1766400000000-rules-of-checks.js';
import { Remote1765300000000 } from './migrations/1765300000000-remote.js';
import { TheCalendar1764900000000 } from './migrations/1764900000000-the-calendar.js';
import { TwentyMinutes1764800000000 } from './migrations/1764800000000-twenty-minutes.js';
import { WaysOfTeaching1764700000000 } from './migrations/1764700000000-ways-of-teaching.js';
import { FirstSlice1764000000000 } from './migrations/1764000000000-first-slice.js';

// a day is a day: the driver would make it a moment in the machine's zone
pg.types.setTypeParser(pg.types.builtins.DATE, (day) => day);

/** How to reach the database; the schema changes by migration only. */
export function dataSourceOptions(url: string): DataSourceOptions {
  return {
    type: 'postgres',
    url,
    entities: [
      AttendanceEntity,
      ChildEntity,
      ClassPlanEntity,
      ClassSessionEntity,
      ClubEntity,
      EnrolmentEntity,
      GradeAwardEntity,
      GradeEntity,
      GroupEntity,
      ItemTimeEntity,
      MovementEntity,
      ObservationEntity,
      PersonEntity,
      ProgrammeEntity,
      RequirementEntity,
      SyllabusEntity,
    ],
    migrations: [
      FirstSlice1764000000000,
      OwnMovements1764100000000,
      LadderVersions1764200000000,
      TeachingRoom1764300000000,
      ClubTemplates1764400000000,
      HealthNotes1764500000000,
      SoundGround1764600000000,
      WaysOfTeaching1764700000000,
      TwentyMinutes1764800000000,
      TheCalendar1764900000000,
      Families1765000000000,
      Voice1765100000000,
      Visits1765200000000,
      Remote1765300000000,
      CallNames1765400000000,
      CalendarFeed1765500000000,
      GradingDays1765600000000,
      Home1765700000000,
      Badges1765800000000,
      Letters1765900000000,
      Clips1766000000000,
      CalendarsOfFamilies1766100000000,
      LettersToTheReady1766200000000,
      PhrasesAsDocuments1766300000000,
      RulesOfChecks1766400000000,
    ],
    // run by `prepare`, by one process at a time
    migrationsRun: false,
    synchronize: false,
    installExtensions: false,
    extra: { max: 10, connectionTimeoutMillis: 3000, options: '-c statement_timeout=15000' },
  };
}
