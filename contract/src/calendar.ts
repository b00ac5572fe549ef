import { type Forecast, classLengths, type AgeBand, type Side } from '@leiter/core';
import { IsIn, IsUUID } from 'class-validator';
import type { ChildLogEntry } from './child-log.js';
import type { ClassResponse, ExpectedChild } from './class.js';
import { DayField } from './day-field.js';
import type { BoardRow, GroupResponse } from './group.js';
import { MayBeLeftOut } from './optional.js';
import { Line, TimeOfDay } from './text.js';

/** Puts a class of a group on a day. */
export class AddClassRequest {
  @IsUUID('all', { message: 'Choose a group.' })
  groupId!: string;

  @DayField()
  day!: string;

  /** For a class beside the slots; the group's own time where it is left out. */
  @MayBeLeftOut()
  @TimeOfDay()
  startsAt?: string;

  @MayBeLeftOut()
  @IsIn(classLengths, { message: `A class lasts ${classLengths.join(', ')} minutes.` })
  lengthMinutes?: number;
}

/** Days on which no group of the club has its slot. */
export class HolidayRequest {
  @Line({ most: 60 })
  name!: string;

  @DayField()
  fromDay!: string;

  @DayField()
  toDay!: string;
}

export interface HolidayResponse {
  readonly id: string;
  readonly name: string;
  readonly fromDay: string;
  readonly toDay: string;
  /** How many classes do not take place for it. */
  readonly cancelledCount: number;
}

/** A class that could be taught next by each group: put on the calendar already, or the next slot. */
export interface ComingClass {
  readonly group: GroupResponse;
  readonly day: string;
  readonly startsAt: string;
  readonly class: ClassResponse | null;
}

/** A line of the calendar, with what is known of it. */
export interface WeekEntry {
  readonly group: GroupResponse;
  readonly day: string;
  readonly startsAt: string;
  readonly lengthMinutes: number;
  readonly class: ClassResponse | null;
  /** The name of the holiday on which the slot falls. */
  readonly holiday: string | null;
  /** The day to which the class of this slot was moved. */
  readonly movedTo: string | null;
  /** Of the plan; none where there is none. */
  readonly itemCount: number;
  readonly focus: readonly string[];
  readonly expectedCount: number;
  /** Who told that it does not come, or was not there. */
  readonly away: readonly string[];
  /** Who was there: in time or late. */
  readonly presentCount: number;
  /** Of how many the roll says something. */
  readonly rollCount: number;
  /** How many of the children have a mark of this class. */
  readonly markedCount: number;
}

export interface WeekResponse {
  readonly fromDay: string;
  readonly toDay: string;
  readonly entries: readonly WeekEntry[];
  readonly holidays: readonly HolidayResponse[];
}

/** What the plan of a class comes to, as it stands now. */
export interface ClassOutlook {
  readonly classId: string;
  readonly totalSeconds: number;
  readonly stops: number;
  readonly cautions: number;
}

/** Somebody who has met all that the next grade asks, or nearly. */
export interface CloseToGrade {
  readonly childId: string;
  readonly name: string;
  readonly groupId: string;
  readonly groupName: string;
  readonly gradeName: string;
  readonly metCount: number;
  readonly ofCount: number;
  readonly isEarned: boolean;
  /** What would bring it: movements that are asked and not met, with the sides that are open. */
  readonly open: readonly { readonly movement: string; readonly sides: readonly Side[] }[];
  readonly forecast: Forecast | null;
}

export interface TodayResponse {
  readonly coming: readonly ComingClass[];
  /** Of the group whose class is next. */
  readonly next: {
    readonly coming: ComingClass;
    readonly children: readonly ExpectedChild[];
    readonly focus: readonly string[];
    readonly itemCount: number;
    readonly board: readonly BoardRow[];
    readonly ageBand: AgeBand;
  } | null;
  /** Today and the six days after it. */
  readonly entries: readonly WeekEntry[];
  /** Of all groups that one teaches, those who earned a grade first. */
  readonly close: readonly CloseToGrade[];
  /** Classes of the last two weeks that were taught, with a roll or marks to be finished. */
  readonly unfinished: readonly WeekEntry[];
  /** What hurt when it was practised at home, in the last two weeks, of the children that one teaches; the newest first. */
  readonly hurt: readonly { readonly childId: string; readonly childName: string; readonly movement: string; readonly day: string }[];
  /** Clips of children that one teaches, sent and not looked at yet, the oldest first. */
  readonly clips: readonly { readonly id: string; readonly childName: string; readonly movement: string; readonly day: string }[];
  /** What others changed in the last two weeks about who sees the children that one teaches. */
  readonly notices: readonly (ChildLogEntry & { readonly childId: string; readonly childName: string })[];
}
