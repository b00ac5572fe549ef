import {
  checkIds,
  circuitKinds,
  circuitLimits,
  familiarities,
  itemSides,
  mostItems,
  mostSections,
  sectionKinds,
  talkLimits,
  teachingStyles,
  tierNames,
  trackLimits,
  ways,
  type CheckId,
  type CircuitKind,
  type Dose,
  type Familiarity,
  type ItemSides,
  type Leader,
  type LeaderStance,
  type SectionKind,
  type TeachingStyle,
  type TierName,
  type Way,
} from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
  registerDecorator,
} from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { DoseOfAnyKind } from './dose.js';
import {
  BuildField,
  CallsField,
  ChoiceField,
  HelperField,
  HomeTaskField,
  LeaderField,
  StandsField,
  StoryField,
  type BuildBody,
  type CallsBody,
  type HelperBody,
  type HomeTaskBody,
} from './led.js';
import { id, notAMovement, notAnId, slug } from './names.js';
import { Line } from './text.js';
import { MayBeLeftOut } from './optional.js';
import { PartsField, PhrasePartsBody } from './phrase-parts.js';
import { Within } from './within.js';

/** Children by id, each with the version that was set for it. */
export function TiersByHand(): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name: 'tiersByHand',
      target: target.constructor,
      propertyName: String(property),
      options: { message: 'Children by id, each with easier, core or harder.' },
      validator: {
        validate: (value: unknown) =>
          typeof value === 'object' &&
          value !== null &&
          !Array.isArray(value) &&
          Object.keys(value).length <= 200 &&
          Object.entries(value).every(([child, tier]) => id.test(child) && tierNames.some((name) => name === tier)),
      },
    });
  };
}

/** Stations that are done several times, one after the other; items name it by its id. */
export class CircuitBody {
  @Matches(id, { message: notAnId })
  id!: string;

  /** Left out for a circuit. */
  @MayBeLeftOut()
  @IsIn(circuitKinds, { message: `A block is a ${circuitKinds.join(', ')}.` })
  kind?: CircuitKind;

  @IsInt({ message: 'A whole number of rounds.' })
  @Within(circuitLimits.rounds)
  rounds!: number;

  @IsNumber({}, { message: 'Seconds of rest.' })
  @Within(circuitLimits.restSeconds)
  restSeconds!: number;
}

/** A piece of music that a section or an item is fitted to. */
export class TrackBody {
  @Line({ least: 0, most: 120 })
  name!: string;

  @IsNumber({}, { message: 'How long is it, in seconds?' })
  @Within(trackLimits.seconds)
  seconds!: number;

  /** Beats a minute; null where nobody counts to it. */
  @ValidateIf((_object: object, value: unknown) => value !== null)
  @IsNumber({}, { message: 'Beats a minute, or null.' })
  @Within(trackLimits.bpm)
  bpm!: number | null;
}

/** Music that may be left out. */
export function MusicField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsObject({ message: 'A track: name, seconds and bpm.' }),
    ValidateNested(),
    Type(() => TrackBody),
  );
}

/** How something is taught; left out where that is as usual. */
export function WayField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), IsIn(ways, { message: `The way is ${ways.join(', ')}.` }));
}

/** How a whole class is taught; left out where that is as the instructor usually does. */
export function StyleField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), IsIn(teachingStyles, { message: `The style is ${teachingStyles.join(', ')}.` }));
}

/** Seconds of explaining that may be left out. */
export function ExplainField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), IsNumber({}, { message: 'How many seconds?' }), Within(talkLimits.explainSeconds));
}

/** Yes or no; left out it is no. */
export function YesNoField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), IsBoolean({ message: 'true or false.' }));
}

/** Circuits that may be left out. */
export function CircuitsField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsArray({ message: 'A list of circuits.' }),
    ArrayMaxSize(mostItems, { message: `At most ${String(mostItems)} circuits.` }),
    IsObject({ each: true, message: 'Each circuit is an object.' }),
    ValidateNested({ each: true }),
    Type(() => CircuitBody),
  );
}

/** What an item of a plan and one of a file say alike; each may be left out. */
export class ItemSaid {
  @MayBeLeftOut()
  @IsIn(familiarities, { message: `The group knows it as ${familiarities.join(', ')}.` })
  familiarity?: Familiarity;

  @MayBeLeftOut()
  @Line({ least: 0, most: 200 })
  cue?: string;

  @MayBeLeftOut()
  @Line({ least: 0, most: 1000 })
  note?: string;

  /** The circuit it is a station of; the stations of one stand next to each other in one section. */
  @MayBeLeftOut()
  @Matches(id, { message: notAnId })
  circuit?: string;

  @MusicField()
  music?: TrackBody;

  /** How it is taught; left out, as its section is. */
  @WayField()
  way?: Way;

  /** How long it is explained, where that is known. */
  @ExplainField()
  explainSeconds?: number;

  @BuildField()
  build?: BuildBody;

  @YesNoField()
  isCameraMoved?: boolean;

  @YesNoField()
  takesTurns?: boolean;

  @LeaderField()
  leader?: Leader;

  @StandsField()
  stands?: LeaderStance;

  @HelperField()
  helper?: HelperBody;

  @CallsField()
  calls?: CallsBody;

  @ChoiceField()
  choice?: string[];

  @YesNoField()
  areEyesClosed?: boolean;

  /** They stand still when the music does. */
  @YesNoField()
  stopsWithMusic?: boolean;

  /** Which segments of its phrase are built up. */
  @PartsField()
  parts?: PhrasePartsBody;
}

export class PlanItem extends ItemSaid {
  @Matches(id, { message: notAnId })
  id!: string;

  @Matches(slug, { message: notAMovement })
  movement!: string;

  @DoseOfAnyKind()
  dose!: Dose;

  @IsIn(itemSides, { message: `The sides can be ${itemSides.join(', ')}.` })
  sides!: ItemSides;

  @IsArray()
  @ArrayMinSize(1, { message: 'At least one version is in use.' })
  @ArrayMaxSize(3)
  @IsIn(tierNames, { each: true, message: 'A version is easier, core or harder.' })
  tiers!: TierName[];

  @MayBeLeftOut()
  @IsObject({ message: 'Children by id, each with easier, core or harder.' })
  @TiersByHand()
  tierByHand?: Record<string, TierName>;
}

export class AcceptedFindingBody {
  @IsIn(checkIds, { message: `A check is ${checkIds.join(', ')}.` })
  check!: CheckId;

  @IsArray()
  @ArrayMaxSize(mostItems)
  @Matches(id, { each: true, message: notAnId })
  itemIds!: string[];

  @Line({ most: 300 })
  reason!: string;
}

export class PlanSection {
  @Matches(id, { message: notAnId })
  id!: string;

  @IsIn(sectionKinds, { message: `A section is ${sectionKinds.join(', ')}.` })
  kind!: SectionKind;

  @IsArray()
  @ArrayMaxSize(mostItems, { message: `At most ${String(mostItems)} items.` })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => PlanItem)
  items!: PlanItem[];

  @MusicField()
  music?: TrackBody;

  @WayField()
  way?: Way;
}

/** A class plan as it is stored and sent. */
export class PlanDocument {
  /** The version of the document's shape; left out by Leiters that wrote none. */
  @MayBeLeftOut()
  @IsIn([1], { message: 'This was written by a newer Leiter.' })
  v?: 1;

  @IsArray()
  @ArrayMaxSize(mostSections, { message: `At most ${String(mostSections)} sections.` })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => PlanSection)
  sections!: PlanSection[];

  @IsArray()
  @ArrayMaxSize(20, { message: 'At most 20 movements in focus.' })
  @Matches(slug, { each: true, message: notAMovement })
  focus!: string[];

  @MayBeLeftOut()
  @IsArray()
  @ArrayMaxSize(200, { message: 'At most 200.' })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => AcceptedFindingBody)
  accepted?: AcceptedFindingBody[];

  @CircuitsField()
  circuits?: CircuitBody[];

  @StyleField()
  style?: TeachingStyle;

  @StoryField()
  story?: string;

  @HomeTaskField()
  homeTask?: HomeTaskBody;
}

export class SavePlanRequest {
  /** The version this change was made on; 0 for the first save. */
  @IsInt()
  @Min(0)
  @Max(2_000_000_000)
  version!: number;

  @ValidateNested()
  @Type(() => PlanDocument)
  @IsObject({ message: 'This is missing.' })
  plan!: PlanDocument;
}
