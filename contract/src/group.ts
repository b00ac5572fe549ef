import { classLengths, type Forecast, type Mark, type MeasuredLine, type StandingName, type Side } from '@leiter/core';
import { IsBoolean, IsIn, IsInt, IsOptional, IsUUID, Max, Min } from 'class-validator';
import type { RequirementResponse } from './syllabus.js';
import { Line, TimeOfDay } from './text.js';
import { MayBeLeftOut } from './optional.js';

export class AddGroupRequest {
  @Line({ most: 60 })
  name!: string;

  @Line({ most: 60 })
  programme!: string;

  /** 1 Monday to 7 Sunday. */
  @IsInt({ message: 'Choose a day of the week.' })
  @Min(1)
  @Max(7)
  weekday!: number;

  @TimeOfDay()
  startsAt!: string;

  @IsIn(classLengths, { message: `A class lasts ${classLengths.join(', ')} minutes.` })
  lengthMinutes!: number;

  @IsOptional()
  @IsUUID('all', { message: 'Choose who teaches the group.' })
  instructorId!: string | null;
}

/** Only what is to be changed. */
export class ChangeGroupRequest {
  @MayBeLeftOut()
  @Line({ most: 60 })
  name?: string;

  @MayBeLeftOut()
  @IsInt({ message: 'Choose a day of the week.' })
  @Min(1)
  @Max(7)
  weekday?: number;

  @MayBeLeftOut()
  @TimeOfDay()
  startsAt?: string;

  @MayBeLeftOut()
  @IsIn(classLengths, { message: `A class lasts ${classLengths.join(', ')} minutes.` })
  lengthMinutes?: number;

  @IsOptional()
  @IsUUID('all', { message: 'Choose who teaches the group.' })
  instructorId?: string | null;

  @MayBeLeftOut()
  @IsBoolean()
  archived?: boolean;
}

export interface GroupResponse {
  readonly id: string;
  readonly name: string;
  readonly programme: string;
  readonly weekday: number;
  readonly startsAt: string;
  readonly lengthMinutes: number;
  readonly instructorId: string | null;
  readonly archived: boolean;
  readonly childCount: number;
  /** The first day on which it can have a class. */
  readonly since: string;
}

/** Children × the requirements of the grade that each works towards. */
/** What was measured of the children of a group, a line each of a movement and side. */
export interface GroupBestsResponse {
  readonly group: GroupResponse;
  readonly lines: readonly (MeasuredLine & { readonly childId: string; readonly childName: string })[];
}

export interface GroupBoardResponse {
  readonly group: GroupResponse;
  /** Every requirement that at least one of the children works on, by grade. */
  readonly columns: readonly {
    readonly gradeId: string;
    readonly gradeName: string;
    readonly requirements: readonly RequirementResponse[];
  }[];
  readonly rows: readonly BoardRow[];
}

export interface BoardRow {
  readonly childId: string;
  readonly name: string;
  readonly leadSide: Side;
  readonly earnedGrade: string | null;
  /** Null at the top of the ladder. */
  readonly nextGradeId: string | null;
  readonly nextGradeName: string | null;
  readonly metCount: number;
  readonly isEarned: boolean;
  readonly lastSeenOn: string | null;
  /** Classes of the group that it came to before today, since it was last looked at in this group. */
  readonly unlookedClasses: number;
  /** When the next grade will likely be earned; null where it is earned already, or none is above. */
  readonly forecast: Forecast | null;
  /** One per requirement of the next grade, in its order. */
  readonly cells: readonly BoardCell[];
}

export interface BoardCell {
  readonly requirementId: string;
  readonly standing: StandingName;
  readonly bestMark: Mark | null;
  /** The sides that are not met yet, where sides are asked. */
  readonly sidesOpen: readonly Side[];
  /** Where each side that is asked stands; how often and on how many days it was met; the best that was measured of what is asked, and when first. */
  readonly sides: readonly {
    readonly side: Side | null;
    readonly name: StandingName;
    readonly times: number;
    readonly days: number;
    readonly best: { readonly value: number; readonly day: string } | null;
  }[];
  readonly unseenForDays: number | null;
}
