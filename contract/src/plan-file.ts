import {
  itemSides,
  marks,
  mostItems,
  mostSections,
  sectionKinds,
  tierNames,
  type CheckId,
  type Dose,
  type ItemSides,
  type Mark,
  type PlanEdit,
  type SectionKind,
  type Severity,
  type TeachingStyle,
  type TierName,
  type TimeParts,
  type Way,
} from '@leiter/core';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
  registerDecorator,
} from 'class-validator';
import { CircuitsField, ItemSaid, MusicField, StyleField, WayField, type CircuitBody, type TrackBody } from './class-plan.js';
import { DoseOfAnyKind } from './dose.js';
import { HomeTaskField, StoryField, type HomeTaskBody } from './led.js';
import { DayField } from './day-field.js';
import { Household } from './household.js';
import { MayBeLeftOut } from './optional.js';
import { Line, TimeOfDay } from './text.js';
import { id, notAMovement, notAnId, slug } from './names.js';

/** One line of a running order in a file; what is left out is as a coach would first write it. */
export class PlanFileItem extends ItemSaid {
  /** Made where it is left out: `item-1`, `item-2`, in order. */
  @MayBeLeftOut()
  @Matches(id, { message: notAnId })
  id?: string;

  @Matches(slug, { message: notAMovement })
  movement!: string;

  /** The entry of the movement, for a club that does not have it; its fields are those of leiter-library/1. */
  @MayBeLeftOut()
  @IsObject({ message: 'An entry as leiter-library/1 writes it.' })
  movementInline?: object;

  @MayBeLeftOut()
  @DoseOfAnyKind()
  dose?: Dose;

  @MayBeLeftOut()
  @IsIn(itemSides, { message: `The sides can be ${itemSides.join(', ')}.` })
  sides?: ItemSides;

  @MayBeLeftOut()
  @IsArray()
  @ArrayMinSize(1, { message: 'At least one version is in use.' })
  @ArrayMaxSize(3)
  @ArrayUnique({ message: 'Each version once.' })
  @IsIn(tierNames, { each: true, message: 'A version is easier, core or harder.' })
  tiers?: TierName[];
}

export class PlanFileSection {
  @IsIn(sectionKinds, { message: `A section is ${sectionKinds.join(', ')}.` })
  kind!: SectionKind;

  @IsArray({ message: 'A list of items.' })
  @ArrayMaxSize(mostItems, { message: `At most ${String(mostItems)} items.` })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => PlanFileItem)
  items!: PlanFileItem[];

  @MusicField()
  music?: TrackBody;

  /** How it is taught; left out, as usual. */
  @WayField()
  way?: Way;
}

/** A `leiter-plan/1` file: a running order with the movements it uses. */
export class PlanFile {
  @IsIn(['leiter-plan/1'], { message: 'This is not a leiter-plan/1 file.' })
  format!: 'leiter-plan/1';

  /** The slug of the programme it is written for. */
  @Matches(slug, { message: 'The slug of a programme.' })
  programme!: string;

  @IsInt({ message: 'Whole minutes.' })
  @Min(5, { message: 'At least 5 minutes.' })
  @Max(240, { message: 'At most 240 minutes.' })
  lengthMinutes!: number;

  @MayBeLeftOut()
  @TimeOfDay()
  startsAt?: string;

  @IsArray({ message: 'A list of sections.' })
  @ArrayMaxSize(mostSections, { message: `At most ${String(mostSections)} sections.` })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => PlanFileSection)
  sections!: PlanFileSection[];

  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(20, { message: 'At most 20 movements in focus.' })
  @Matches(slug, { each: true, message: notAMovement })
  focus?: string[];

  @CircuitsField()
  circuits?: CircuitBody[];

  /** How the class is taught; left out, as whoever teaches it usually does. */
  @StyleField()
  style?: TeachingStyle;

  /** What it is about for the children. */
  @StoryField()
  story?: string;

  /** What they do at home until the next class. */
  @HomeTaskField()
  homeTask?: HomeTaskBody;

  /** The entries of the movements it uses, as leiter-library/1 writes them. */
  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(mostItems, { message: `At most ${String(mostItems)} movements.` })
  @IsObject({ each: true, message: 'Each movement is an object.' })
  movements?: object[];
}

/** What a child did lately of a movement, or of one of its stages. */
export interface PreviewMark {
  readonly movement: string;
  readonly stage?: number | null;
  readonly mark: Mark;
}

/** An object from movement to mark says the same as a list of both. */
function listOfMarks(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.entries(value).map(([movement, mark]) => ({ movement, mark: mark as unknown }));
}

function isPreviewMark(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return false;
  const { movement, stage, mark, ...more } = value as Readonly<Record<string, unknown>>;
  return (
    Object.keys(more).length === 0 &&
    typeof movement === 'string' &&
    slug.test(movement) &&
    marks.some((one) => one === mark) &&
    (stage === undefined || stage === null || (Number.isInteger(stage) && Number(stage) >= 1 && Number(stage) <= 20))
  );
}

/** Movements and marks of a child. Checked in one go: a group has thousands of them, and an object for each took longer than judging. */
function MarksOfAChild(): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name: 'marksOfAChild',
      target: target.constructor,
      propertyName: String(property),
      options: {
        // asked as well where the rule before it has refused
        message: ({ value }) =>
          Array.isArray(value)
            ? `The ${String(value.findIndex((one) => !isPreviewMark(one)) + 1)}. is not a movement with not-yet, with-help, alone or clean.`
            : 'A list of movement and mark.',
      },
      validator: { validate: (value: unknown) => Array.isArray(value) && value.every(isPreviewMark) },
    });
  };
}

/** A child that a plan is judged for; nothing of it is stored. */
export class PreviewChild {
  @Matches(id, { message: notAnId })
  id!: string;

  @DayField()
  birthDate!: string;

  /** The slug of the grade it has earned; null or left out for none. */
  @ValidateIf((_object: object, value: unknown) => value !== null && value !== undefined)
  @Line({ most: 60 })
  grade?: string | null;

  @MayBeLeftOut()
  @IsIn(['left', 'right'], { message: 'left or right.' })
  leadSide?: 'left' | 'right';

  /** Null or left out where nothing is known: then the home bars nothing. */
  @ValidateIf((_object: object, value: unknown) => value !== null && value !== undefined)
  @IsObject({ message: 'What does the child have at home?' })
  @ValidateNested()
  @Type(() => Household)
  household?: Household | null;

  /** What it did lately, by movement and stage; also as an object from movement to mark. */
  @MayBeLeftOut()
  @Transform(({ obj }: { readonly obj: { readonly standings?: unknown } }) => listOfMarks(obj.standings))
  @IsArray({ message: 'A list of movement and mark.' })
  @ArrayMaxSize(1000, { message: 'At most 1000 marks.' })
  @MarksOfAChild()
  standings?: PreviewMark[];
}

export class PreviewInstructor {
  /** False to reckon without what classes taught say of the pace. */
  @MayBeLeftOut()
  @IsBoolean({ message: 'true or false.' })
  learnedPace?: boolean;

  /** How the instructor teaches, where the plan does not say it; left out, as the instructor of the group does. */
  @StyleField()
  style?: TeachingStyle;
}

export class PreviewPlanRequest {
  @IsObject({ message: 'A leiter-plan/1 file.' })
  @ValidateNested()
  @Type(() => PlanFile)
  plan!: PlanFile;

  /** A group of the club: its children, what they have met, and its instructor's pace. */
  @MayBeLeftOut()
  @IsUUID('all', { message: 'Choose a group.' })
  groupId?: string;

  /** Instead of those of the group. */
  @MayBeLeftOut()
  @IsArray({ message: 'A list of children.' })
  @ArrayMaxSize(300, { message: 'At most 300 children.' })
  @IsObject({ each: true, message: 'Each child is an object.' })
  @ValidateNested({ each: true })
  @Type(() => PreviewChild)
  children?: PreviewChild[];

  @MayBeLeftOut()
  @IsObject({ message: 'The instructor is an object.' })
  @ValidateNested()
  @Type(() => PreviewInstructor)
  instructor?: PreviewInstructor;
}

/** Puts the running order of a file into a class; movements that the club does not have come with it. */
export class ImportPlanRequest {
  /** The version that is replaced; 0 for a class without a plan. */
  @IsInt()
  @Min(0)
  @Max(2_000_000_000)
  version!: number;

  @IsObject({ message: 'A leiter-plan/1 file.' })
  @ValidateNested()
  @Type(() => PlanFile)
  file!: PlanFile;
}

export interface PlanPreviewResponse {
  readonly timing: {
    readonly totalSeconds: number;
    /** Between these seconds lie four of five classes. */
    readonly span: { readonly leastSeconds: number; readonly mostSeconds: number };
    /** The longest piece in one in which nobody moves, the safety talk aside. */
    readonly longestTalkSeconds: number;
    readonly movingShare: number;
    readonly levelChanges: number;
    readonly reframings: number;
    readonly sections: readonly { readonly kind: SectionKind; readonly seconds: number }[];
    readonly items: readonly {
      readonly id: string;
      readonly startSecond: number;
      readonly seconds: number;
      readonly way: Way;
      readonly parts: TimeParts;
    }[];
  };
  readonly findings: readonly {
    readonly check: CheckId;
    readonly severity: Severity;
    readonly itemIds: readonly string[];
    readonly childIds: readonly string[];
    readonly message: string;
    readonly mend: readonly PlanEdit[] | null;
  }[];
  readonly versions: readonly {
    readonly itemId: string;
    readonly childId: string;
    readonly tier: TierName | 'instead' | null;
    readonly movement: string;
    readonly reason: string;
  }[];
  /** Effort from 0 to 4, smoothed over a minute, every 10 seconds. */
  readonly effort: readonly number[];
}

/** What putting a file into a class brought: the movements that came with it, and the stored plan. */
export interface PlanImportResponse {
  readonly addedMovements: readonly string[];
  readonly version: number;
  /** Null as long as nothing was stored; with it, the import can be undone. */
  readonly importId: string | null;
}
