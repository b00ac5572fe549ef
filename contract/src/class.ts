import {
  classLengths,
  ways,
  type ClassPlan,
  type ClubRules,
  type Exposure,
  type KnownMark,
  type LearnedPace,
  type SectionKind,
  type Spares,
  type TeachingRoom,
  type TeachingStyle,
  type Visit,
  type Way,
  type Side,
} from '@leiter/core';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsISO8601,
  IsNumber,
  IsObject,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { DayField } from './day-field.js';
import type { ObservationResponse } from './observation.js';
import type { Household } from './household.js';
import { MayBeLeftOut } from './optional.js';
import type { SyllabusResponse } from './syllabus.js';
import { Line, TimeOfDay } from './text.js';
import { id, notAnId } from './names.js';

export const attendances = ['present', 'late', 'absent', 'watched'] as const;
/** `absent` given before the class is a told absence; `watched` means the recording was seen. */
export type Attendance = (typeof attendances)[number];

export class AttendanceRequest {
  @IsIn(attendances, { message: 'Present, late, absent or watched.' })
  status!: Attendance;
}

/** The same of several children at once; null where nothing is known any more. */
export class RollRequest {
  @IsArray()
  @ArrayMaxSize(200)
  @IsUUID('all', { each: true, message: 'Which children?' })
  childIds!: string[];

  @ValidateIf((_object: object, value: unknown) => value !== null)
  @IsIn(attendances, { message: 'Present, late, absent or watched.' })
  status!: Attendance | null;
}

/** Seconds of up to ten hours, to the hundredth: nobody measures finer, and smaller numbers cannot be stored. */
function SecondsField(): PropertyDecorator {
  return applyDecorators(
    Transform(({ value }: { value: unknown }) => (typeof value === 'number' ? Math.round(value * 100) / 100 : value)),
    IsNumber({}, { message: 'Seconds as a number.' }),
    Min(0, { message: 'Not less than nothing.' }),
    Max(36_000, { message: 'At most ten hours.' }),
  );
}

/** What is known of a class: whether it was taught, when it is, what is to be kept of it. */
export class ChangeClassRequest {
  @MayBeLeftOut()
  @IsIn(['started', 'ended', 'not-at-all'])
  teaching?: 'started' | 'ended' | 'not-at-all';

  /** When teaching really began or ended, where it is told later: not in the future, and at most a week ago. */
  @MayBeLeftOut()
  @IsISO8601({ strict: true }, { message: 'A moment is written 2026-01-05T16:30:00Z.' })
  at?: string;

  /** How long the class was really taught, sent as it ends: a try of a minute is no class. */
  @MayBeLeftOut()
  @SecondsField()
  taughtSeconds?: number;

  /** How the stops that the checks found were dealt with, in the words of the one who teaches. */
  @MayBeLeftOut()
  @Line({ most: 500 })
  stopsNote?: string;

  /** What is to be kept of the class: what went well, what next time wants. */
  @MayBeLeftOut()
  @Line({ least: 0, most: 2000 })
  note?: string;

  /** Moves a class that is still to be taught. */
  @MayBeLeftOut()
  @DayField()
  day?: string;

  @MayBeLeftOut()
  @TimeOfDay()
  startsAt?: string;

  @MayBeLeftOut()
  @IsIn(classLengths, { message: `A class lasts ${classLengths.join(', ')} minutes.` })
  lengthMinutes?: number;

  /** Why it does not take place; null where it takes place after all. */
  @ValidateIf((_object: object, value: unknown) => value !== undefined && value !== null)
  @Line({ most: 200 })
  cancelledBecause?: string | null;
}

/** Whom a name in a call stands for. */
export class CallNameBody {
  @Line({ most: 80 })
  name!: string;

  @IsArray()
  @ArrayMaxSize(5)
  @IsUUID('all', { each: true, message: 'Which children?' })
  childIds!: string[];
}

/** What was answered about names in a call: kept for the next time. */
export class CallNamesRequest {
  @IsArray()
  @ArrayMaxSize(60)
  @IsObject({ each: true, message: 'Not a name.' })
  @ValidateNested({ each: true })
  @Type(() => CallNameBody)
  names!: CallNameBody[];
}

/** Explaining and work of one item, as reckoned without any pace and as they really were. */
export class MeasuredBody {
  @IsIn(ways, { message: `The way is ${ways.join(', ')}.` })
  way!: Way;

  @IsBoolean({ message: 'true or false.' })
  isClockBound!: boolean;

  @SecondsField()
  plannedExplainSeconds!: number;

  @SecondsField()
  realExplainSeconds!: number;

  @SecondsField()
  plannedWorkSeconds!: number;

  @SecondsField()
  realWorkSeconds!: number;
}

export class ItemTime {
  @Matches(id, { message: notAnId })
  itemId!: string;

  @SecondsField()
  plannedSeconds!: number;

  @SecondsField()
  realSeconds!: number;

  /** What the pace is learned from; left out where the item was skipped or left early. */
  @MayBeLeftOut()
  @IsObject({ message: 'What was measured?' })
  @ValidateNested()
  @Type(() => MeasuredBody)
  measured?: MeasuredBody;
}

/** One stay at an item, on the clock of the class that was held. */
export class VisitBody {
  @Matches(id, { message: notAnId })
  item!: string;

  @SecondsField()
  beginsSecond!: number;

  @SecondsField()
  seconds!: number;
}

/** How long the items of a class really took; sent again, the later one counts. */
export class ItemTimesRequest {
  @IsArray()
  @ArrayMaxSize(200)
  @IsObject({ each: true, message: 'Not a time of an item.' })
  @ValidateNested({ each: true })
  @Type(() => ItemTime)
  times!: ItemTime[];

  /** What was done one after the other; left out where nobody knows. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(500)
  @IsObject({ each: true, message: 'Not a stay at an item.' })
  @ValidateNested({ each: true })
  @Type(() => VisitBody)
  visits?: VisitBody[];
}

export interface ClassResponse {
  readonly id: string;
  readonly groupId: string;
  readonly groupName: string;
  readonly programme: string;
  readonly day: string;
  readonly startsAt: string;
  readonly lengthMinutes: number;
  readonly instructorId: string | null;
  readonly taughtAt: string | null;
  readonly endedAt: string | null;
  readonly stopsNote: string | null;
  readonly hasPlan: boolean;
  /** The day of the slot that it stands for, where it was moved. */
  readonly slotDay: string | null;
  /** Why it does not take place; null where it does. */
  readonly cancelledBecause: string | null;
  readonly note: string | null;
  /** When it was tried last, shorter than a third of it. */
  readonly rehearsedAt: string | null;
}

export interface ExpectedChild {
  readonly id: string;
  readonly name: string;
  readonly birthDate: string;
  readonly ageYears: number;
  readonly leadSide: Side;
  readonly gradeName: string | null;
  readonly attendance: Attendance | null;
  /** Slugs of the grades it has earned in the programme of the class. */
  readonly earned: readonly string[];
  readonly home: Household;
  /** False where nobody has told: then the careful side is reckoned with. */
  readonly isHomeKnown: boolean;
  /** The best of the last three marks, by movement and stage. */
  readonly marks: readonly KnownMark[];
  /** What it has to be spared; only for the staff of the group, and only where there is something. */
  readonly spares?: Spares;
}

export interface StoredPlan {
  readonly version: number;
  readonly plan: ClassPlan;
  readonly savedAt: string;
  readonly savedBy: string | null;
}

/** All that planning, teaching and marking one class needs. */
export interface ClassPageResponse {
  readonly class: ClassResponse;
  readonly children: readonly ExpectedChild[];
  /** Null when nobody has planned it yet. */
  readonly stored: StoredPlan | null;
  readonly exposures: readonly (Exposure & { readonly movement: string })[];
  /** What classes taught say of the instructor, with what it rests on. */
  readonly pace: LearnedPace;
  /** How the instructor usually teaches. */
  readonly style: TeachingStyle;
  readonly observations: readonly ObservationResponse[];
  /** Where its instructor teaches; null as long as nobody said. */
  readonly room: TeachingRoom | null;
  /** The newest ladder of the programme; null where it has none. */
  readonly syllabus: SyllabusResponse | null;
  /** Whom names in a call stand for, as somebody has said before. */
  readonly callNames: readonly Readonly<Pick<CallNameBody, 'name' | 'childIds'>>[];
  /** What the club holds otherwise than usual of the checks; not there in a page that an older Leiter kept on the device. */
  readonly rules?: ClubRules;
}

/** One item of a class that was taught: as it was planned, and as long as it really took. */
export interface TaughtItem {
  readonly itemId: string;
  readonly section: SectionKind;
  readonly movement: string;
  readonly plannedSeconds: number;
  readonly realSeconds: number;
}

/** A class that was taught before, with what its items took; those of which no time was kept are left out. */
export interface TaughtClass {
  readonly classId: string;
  readonly day: string;
  readonly lengthMinutes: number;
  readonly items: readonly TaughtItem[];
  /** What was done one after the other, as often as it was; empty where nobody knows. */
  readonly visits: readonly Visit[];
}

/** Which version of a plan is stored, and by whom. */
export interface PlanVersion {
  readonly version: number;
  readonly savedBy: string | null;
}

/** Answer of a save on an old version: both are at hand, nothing is lost. */
export interface PlanConflict {
  /** Null where the plan is not there any more. */
  readonly current: StoredPlan | null;
  readonly yours: ClassPlan;
}
