import {
  helps,
  marks,
  observedSides,
  type Help,
  type Mark,
  type Measure,
  type Missing,
  type ObservedSide,
  type Station,
  type Side,
} from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { DayField } from './day-field.js';
import { slug } from './names.js';
import { MeasureFields } from './observation.js';
import { MayBeLeftOut } from './optional.js';
import type { GradeResponse } from './syllabus.js';
import { Line, TimeOfDay } from './text.js';

/** A grading day is planned: children of one programme show what their next grade asks. */
export class AddGradingRequest {
  @Matches(slug, { message: 'Choose a programme.' })
  programme!: string;

  @DayField()
  day!: string;

  @TimeOfDay()
  startsAt!: string;
}

/** Only what is to be changed. What the timetable rests on takes it away: it is made anew. */
export class ChangeGradingRequest {
  @MayBeLeftOut()
  @DayField()
  day?: string;

  @MayBeLeftOut()
  @TimeOfDay()
  startsAt?: string;

  @MayBeLeftOut()
  @IsInt({ message: 'Whole minutes.' })
  @Min(5, { message: 'A warm-up takes at least 5 minutes.' })
  @Max(30, { message: 'A warm-up takes at most 30 minutes.' })
  warmUpMinutes?: number;

  @MayBeLeftOut()
  @IsIn([3, 5, 10], { message: 'Steps of 3, 5 or 10 minutes.' })
  slotMinutes?: number;

  /** How many children of a grade are seen together at most. */
  @MayBeLeftOut()
  @IsInt({ message: 'How many?' })
  @Min(1, { message: 'At least one.' })
  @Max(4, { message: 'Nobody sees more than four at once.' })
  together?: number;

  /** How many examiners look at the same children. */
  @MayBeLeftOut()
  @IsIn([1, 2], { message: 'One or two.' })
  perVisit?: number;

  @MayBeLeftOut()
  @IsArray()
  @ArrayMinSize(1, { message: 'Somebody has to look.' })
  @ArrayMaxSize(6, { message: 'At most six.' })
  @ArrayUnique({ message: 'Nobody twice.' })
  @IsUUID('all', { each: true, message: 'Choose who looks.' })
  examinerIds?: string[];
}

/** A child comes to a grading day, for its next grade. */
export class EnterChildRequest {
  /** Of a belt or a badge to order, as the maker calls it; empty where nobody knows. */
  @Line({ least: 0, most: 40 })
  size!: string;
}

/** What an examiner saw of one requirement on one side; the id is made by the client, so that sending it twice stores it once. */
export class GradingMarkRequest {
  @IsUUID('all')
  childId!: string;

  @IsUUID('all')
  requirementId!: string;

  @IsIn(observedSides, { message: 'Which side?' })
  side!: ObservedSide;

  @IsIn(marks, { message: 'Not yet, with help, alone or clean.' })
  mark!: Mark;

  @IsOptional()
  @IsIn(helps)
  help!: Help | null;

  @IsObject()
  @ValidateNested()
  @Type(() => MeasureFields)
  measure!: MeasureFields;

  @IsArray()
  @ArrayMaxSize(10)
  @Matches(slug, { each: true, message: 'Not the name of a fault.' })
  faults!: string[];

  /** The examiners have talked about it: this one counts. */
  @IsBoolean({ message: 'Say yes or no.' })
  isSettled!: boolean;
}

export class GradingDecision {
  @IsUUID('all')
  childId!: string;

  @IsBoolean({ message: 'Say yes or no.' })
  isGranted!: boolean;

  /** Why it is decided otherwise than the marks say, or what to show again; may be empty. */
  @Line({ least: 0, most: 300 })
  reason!: string;
}

/** The grading is over: marks go into the record, and grades are given; all of it or nothing. */
export class CloseGradingRequest {
  @IsArray()
  @ArrayMaxSize(200)
  @ArrayUnique(({ childId }: GradingDecision) => childId, { message: 'A child is decided about once.' })
  @IsObject({ each: true, message: 'About which child?' })
  @ValidateNested({ each: true })
  @Type(() => GradingDecision)
  decisions!: GradingDecision[];
}

/** What was given on a grading day is taken back, with the marks. */
export class ReopenGradingRequest {
  @Line({ most: 300 })
  reason!: string;
}

export interface GradingResponse {
  readonly id: string;
  readonly programme: string;
  readonly day: string;
  readonly startsAt: string;
  readonly warmUpMinutes: number;
  readonly slotMinutes: number;
  readonly together: number;
  readonly perVisit: number;
  readonly examinerIds: readonly string[];
  readonly entered: number;
  readonly granted: number;
  readonly closedAt: string | null;
}

/** What keeps a child from a grade; a requirement by its id. */
export type MissingResponse =
  Exclude<Missing, { readonly kind: 'requirement' }> | { readonly kind: 'requirement'; readonly requirementId: string };

/** Whether a child may come, as it will be on that day. */
export type ReadinessResponse =
  | { readonly kind: 'earned' }
  | { readonly kind: 'on-the-day'; readonly open: readonly string[] }
  | { readonly kind: 'not-yet'; readonly missing: readonly MissingResponse[] };

/** A child of the programme, and what is known of it for this day. */
export interface GradingChild {
  readonly childId: string;
  readonly name: string;
  readonly ageYears: number;
  readonly leadSide: Side;
  readonly groupName: string | null;
  /** The grade it goes for; null at the top of the ladder. */
  readonly gradeId: string | null;
  readonly gradeName: string | null;
  /** By what was seen before; null at the top of the ladder. */
  readonly readiness: ReadinessResponse | null;
  readonly entry: GradingEntry | null;
}

export interface GradingEntry {
  readonly size: string;
  /** Its party in the timetable; null where it is not in it. */
  readonly party: number | null;
  readonly decision: 'granted' | 'not-yet' | null;
  readonly reason: string;
  /** What the record and the marks of this day say together. */
  readonly result: {
    readonly isEarned: boolean;
    readonly metCount: number;
    readonly missing: readonly MissingResponse[];
  };
}

export interface GradingMark {
  readonly id: string;
  readonly childId: string;
  readonly requirementId: string;
  readonly side: ObservedSide;
  readonly mark: Mark;
  readonly help: Help | null;
  readonly measure: Measure;
  readonly faults: readonly string[];
  readonly isSettled: boolean;
  readonly examinerId: string;
  readonly givenAt: string;
}

/** Minutes are counted from the time at which the day begins. */
export interface GradingTimetable {
  readonly parties: readonly {
    readonly id: number;
    readonly gradeId: string;
    readonly warmUpFrom: number;
    readonly from: number;
    readonly to: number;
  }[];
  readonly visits: readonly {
    readonly party: number;
    readonly station: Station;
    readonly from: number;
    readonly to: number;
    readonly examinerIds: readonly string[];
  }[];
  readonly endsAfter: number;
  /** No timetable at all could be over earlier than this. */
  readonly noneBefore: number;
  /** True where it was shown that none without waiting is over earlier. */
  readonly isBest: boolean;
}

export interface GradingPageResponse {
  readonly grading: GradingResponse;
  /** Everybody who may look. */
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly children: readonly GradingChild[];
  /** Every grade that somebody goes for. */
  readonly grades: readonly GradeResponse[];
  readonly timetable: GradingTimetable | null;
  readonly marks: readonly GradingMark[];
}

/** The answer to a grading that was closed. */
export interface ClosedGradingResponse {
  readonly page: GradingPageResponse;
  /** Children who left before it was closed: nothing was given to them. */
  readonly left: readonly string[];
}
