import type { ClubRules, RuleValue } from '@leiter/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsInt, IsNumber, IsObject, ValidateNested } from 'class-validator';
import { MayBeLeftOut } from './optional.js';
import { Line } from './text.js';
import { Within } from './within.js';

/** Whether a check is made in the club. */
export class TurnCheckRequest {
  @IsBoolean({ message: 'On or off?' })
  isOn!: boolean;

  /** Why not; a stop is not turned off without a reason. */
  @MayBeLeftOut()
  @Line({ least: 0, most: 300 })
  reason?: string;
}

/** What holds up to an age, that one included. */
export class AgeStepBody {
  @IsInt({ message: 'An age in whole years.' })
  @Within({ least: 1, most: 99 })
  upToYears!: number;

  @IsNumber({}, { message: 'This is no number.' })
  limit!: number;
}

/** A number of a check as the club holds it: one value, or one for each age; which of the two follows from the number. */
export class CheckNumberRequest {
  @MayBeLeftOut()
  @IsNumber({}, { message: 'This is no number.' })
  value?: number;

  /** From young to old; the last, up to 99, is for all who are older. */
  @MayBeLeftOut()
  @IsArray({ message: 'A step for each age.' })
  @ArrayMinSize(1, { message: 'At least one step.' })
  @ArrayMaxSize(6, { message: 'At most six steps.' })
  @IsObject({ each: true, message: 'Each step is an object.' })
  @ValidateNested({ each: true })
  @Type(() => AgeStepBody)
  steps?: AgeStepBody[];
}

/** Something that was changed of the checks, by whom and when. */
export interface CheckChange {
  /** A check or a number of one, by its name. */
  readonly rule: string;
  /** `usual` where a number went back to what is usual. */
  readonly to: 'on' | 'off' | 'usual' | RuleValue;
  readonly reason: string;
  /** Empty where nobody knows any more. */
  readonly by: string;
  readonly at: string;
}

/** What the club holds otherwise than usual of the checks on a plan, and how it came to that. */
export interface ClubChecksResponse {
  readonly rules: ClubRules;
  /** The newest first, at most a hundred. */
  readonly changes: readonly CheckChange[];
}
