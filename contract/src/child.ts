import type { Mark, Side } from '@leiter/core';
import type { Consent, Practice } from './home.js';
import type { ChildLogEntry } from './child-log.js';
import type { HealthNotes } from './health-note.js';
import type { Attendance } from './class.js';
import type { SyllabusResponse } from './syllabus.js';
import type { ObservationResponse } from './observation.js';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsUUID,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { DayField } from './day-field.js';
import { FamilyContact } from './family-contact.js';
import { Household } from './household.js';
import { familyLanguages, type FamilyLanguage, type LetterResponse } from './letter.js';
import { Line } from './text.js';
import { MayBeLeftOut } from './optional.js';

export class AddChildRequest {
  @Line({ most: 60 })
  givenName!: string;

  @Line({ most: 3 })
  familyInitial!: string;

  @DayField()
  birthDate!: string;

  @IsIn(['left', 'right'], { message: 'Choose the side the child prefers.' })
  leadSide!: 'left' | 'right';

  /** Left out where nobody has told what it has at home: it is reckoned carefully until then. */
  @MayBeLeftOut()
  @IsObject({ message: 'What does the child have at home?' })
  @ValidateNested()
  @Type(() => Household)
  household?: Household;

  /** What it has earned elsewhere or before: the grade from which it goes on. */
  @MayBeLeftOut()
  @IsUUID('all', { message: 'Choose a grade.' })
  startingGradeId?: string;

  /** The groups the child belongs to from today on. */
  @IsArray()
  @ArrayMaxSize(20)
  @IsUUID('all', { each: true, message: 'Choose a group.' })
  groupIds!: string[];
}

/** Only what is to be changed. */
export class ChangeChildRequest {
  @MayBeLeftOut()
  @Line({ most: 60 })
  givenName?: string;

  @MayBeLeftOut()
  @Line({ most: 3 })
  familyInitial?: string;

  @MayBeLeftOut()
  @DayField()
  birthDate?: string;

  @MayBeLeftOut()
  @IsIn(['left', 'right'], { message: 'Choose the side the child prefers.' })
  leadSide?: 'left' | 'right';

  @MayBeLeftOut()
  @IsObject({ message: 'What does the child have at home?' })
  @ValidateNested()
  @Type(() => Household)
  household?: Household;

  /** The version of the home that was changed; where somebody changed it meanwhile, nothing is stored. */
  @ValidateIf(({ household }: ChangeChildRequest, value: unknown) => household !== undefined || value !== undefined)
  @IsInt({ message: 'Which version of the home was changed?' })
  @Min(1)
  @Max(2_000_000_000)
  householdVersion?: number;

  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(20)
  @IsUUID('all', { each: true, message: 'Choose a group.' })
  groupIds?: string[];

  @MayBeLeftOut()
  @IsBoolean()
  archived?: boolean;

  /** Whom one writes to about it; for the staff of its groups and the owner. */
  @MayBeLeftOut()
  @IsArray({ message: 'A list of contacts.' })
  @ArrayMaxSize(4, { message: 'At most four.' })
  @IsObject({ each: true, message: 'Not a contact.' })
  @ValidateNested({ each: true })
  @Type(() => FamilyContact)
  contacts?: FamilyContact[];

  /** In which its family is written to. */
  @MayBeLeftOut()
  @IsIn(familyLanguages, { message: 'English, German or French.' })
  familyLanguage?: FamilyLanguage;
}

/** The same for several children at once. */
export class ChangeChildrenRequest {
  @IsArray({ message: 'Which children?' })
  @ArrayMinSize(1, { message: 'Which children?' })
  @ArrayMaxSize(200, { message: 'At most 200 at once.' })
  @IsUUID('all', { each: true, message: 'Which children?' })
  childIds!: string[];

  @MayBeLeftOut()
  @IsUUID('all', { message: 'Choose a group.' })
  joinGroupId?: string;

  @MayBeLeftOut()
  @IsUUID('all', { message: 'Choose a group.' })
  leaveGroupId?: string;

  @MayBeLeftOut()
  @IsBoolean()
  archived?: boolean;
}

/** Of whom it was done, and of whom not, with the reason. */
export interface ChangedChildren {
  readonly changed: readonly string[];
  readonly refused: readonly { readonly childId: string; readonly why: string }[];
}

/** Moves a child that finishes a grade on an earlier version over to the newest. */
export class MoveOverRequest {
  @Line({ most: 60 })
  programme!: string;
}

/** Why a grade that was given is taken back. */
export class TakeBackGradeRequest {
  @Line({ most: 300 })
  reason!: string;
}

export class AwardGradeRequest {
  @IsUUID('all', { message: 'Choose a grade.' })
  gradeId!: string;

  /** The day of the award; today where it is left out. */
  @MayBeLeftOut()
  @DayField()
  awardedOn?: string;

  /** Why it is given although not all of it was seen here: earned elsewhere, or seen on a day without marks. */
  @MayBeLeftOut()
  @Line({ most: 300 })
  reason?: string;
}

export interface ChildResponse {
  readonly id: string;
  readonly givenName: string;
  readonly familyInitial: string;
  readonly birthDate: string;
  readonly leadSide: Side;
  readonly household: Household;
  /** Grows with each change of the home. */
  readonly householdVersion: number;
  /** False where nobody has told what it has at home: then the careful side is reckoned with. */
  readonly isHomeKnown: boolean;
  readonly archived: boolean;
  /** In which its family is written to; null where nobody said. */
  readonly familyLanguage: FamilyLanguage | null;
  readonly groupIds: readonly string[];
  /** The grade earned per programme; a programme that is not in it has none yet. */
  readonly grades: readonly { readonly programme: string; readonly gradeId: string; readonly gradeName: string }[];
}

/** One programme of a child: what it earned and what it is reckoned with. */
export interface ChildLadder {
  readonly programme: string;
  /** The version of the ladder that the child climbs. */
  readonly syllabus: SyllabusResponse;
  /** The version that is the newest; another one than it climbs while it finishes a grade that was changed since it began. */
  readonly newestVersion: number;
  /** In the order in which they were given. */
  readonly earned: readonly {
    readonly grade: { readonly id: string; readonly slug: string; readonly name: string };
    readonly awardedOn: string;
  }[];
  readonly inGradeSince: string;
  readonly classesSince: number;
}

export interface ChildPageResponse {
  readonly child: ChildResponse;
  /** Null for who is not of the staff of its groups. */
  readonly health: HealthNotes | null;
  /** Who changed who sees the child, and who wrote or read its health notes; the newest first, for its staff and the owner. */
  readonly log: readonly ChildLogEntry[];
  /** Whom one writes to about it; null for who is neither of its staff nor the owner. */
  readonly contacts: readonly FamilyContact[] | null;
  readonly ladders: readonly ChildLadder[];
  readonly observations: readonly ObservationResponse[];
  readonly attendance: readonly {
    readonly classId: string;
    readonly day: string;
    readonly groupName: string;
    readonly status: Attendance;
  }[];
}

/** All that is kept of a child, for the family that asks for it. */
export interface ChildRecordResponse extends Omit<ChildPageResponse, 'health'> {
  /** Those that are over as well, as long as they are kept. */
  readonly healthNotes: readonly HealthNotes['notes'][number][];
  readonly enrolments: readonly { readonly groupName: string; readonly fromDay: string; readonly toDay: string | null }[];
  /** All that was noted of practice at home, and every word on what the family allows, the newest first. */
  readonly practice: readonly Practice[];
  readonly consents: readonly Consent[];
  /** What was written to the family from here, the newest first. */
  readonly letters: readonly Pick<LetterResponse, 'writtenAt' | 'subject' | 'body' | 'to' | 'state'>[];
  /** Grading days to which it was entered, with what examiners wrote. */
  readonly gradings: readonly {
    readonly day: string;
    readonly gradeName: string;
    readonly size: string;
    readonly decision: 'granted' | 'not-yet' | null;
    readonly reason: string;
    readonly marks: readonly { readonly movement: string; readonly side: string; readonly mark: Mark; readonly examiner: string | null }[];
  }[];
}
