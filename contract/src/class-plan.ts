import {
  checkIds,
  circuitLimits,
  doseLimits,
  familiarities,
  itemSides,
  mostItems,
  mostSections,
  sectionKinds,
  tierNames,
  trackLimits,
  type CheckId,
  type DoseNumber,
  type Familiarity,
  type ItemSides,
  type SectionKind,
  type TierName,
} from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
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
import { Line } from './text.js';
import { MayBeLeftOut } from './optional.js';

export const id = /^[A-Za-z0-9_-]{1,64}$/;
export const slug = /^[a-z0-9]+(-[a-z0-9]+)*$/;

function Within({ least, most }: { readonly least: number; readonly most: number }): PropertyDecorator {
  const message = `Between ${String(least)} and ${String(most)}.`;
  return applyDecorators(Min(least, { message }), Max(most, { message }));
}

function DoseField(name: DoseNumber, kind: 'whole' | 'fraction'): PropertyDecorator {
  return applyDecorators(
    kind === 'whole' ? IsInt({ message: 'A whole number.' }) : IsNumber({}, { message: 'A number.' }),
    Within(doseLimits[name]),
  );
}

export class RepsDose {
  kind!: 'reps';
  @DoseField('sets', 'whole') sets!: number;
  @DoseField('reps', 'whole') reps!: number;
  @DoseField('secondsPerRep', 'fraction') secondsPerRep!: number;
  @DoseField('restSeconds', 'fraction') restSeconds!: number;
}

export class HoldDose {
  kind!: 'hold';
  @DoseField('sets', 'whole') sets!: number;
  @DoseField('holdSeconds', 'fraction') holdSeconds!: number;
  @DoseField('restSeconds', 'fraction') restSeconds!: number;
}

export class TimedDose {
  kind!: 'timed';
  @DoseField('seconds', 'fraction') seconds!: number;
}

export class CountsDose {
  kind!: 'counts';
  @DoseField('eights', 'whole') eights!: number;
  @DoseField('bpm', 'fraction') bpm!: number;
  @DoseField('repeats', 'whole') repeats!: number;
  @DoseField('countIn', 'whole') countIn!: number;
}

for (const dose of [RepsDose, HoldDose, TimedDose, CountsDose]) IsIn(['reps', 'hold', 'timed', 'counts'])(dose.prototype, 'kind');

/** Stands for a dose whose kind is none of the four: it is refused with a sentence, not with a crash. */
class UnknownDose {
  @IsIn(['reps', 'hold', 'timed', 'counts'], { message: 'A dose is reps, hold, timed or counts.' })
  kind!: never;
}

/** A dose of one of the four kinds, with the numbers of its kind. */
export function DoseOfAnyKind(): PropertyDecorator {
  return applyDecorators(
    ValidateNested({ message: 'How much is to be done?' }),
    Type(() => UnknownDose, {
      discriminator: {
        property: 'kind',
        subTypes: [
          { name: 'reps', value: RepsDose },
          { name: 'hold', value: HoldDose },
          { name: 'timed', value: TimedDose },
          { name: 'counts', value: CountsDose },
        ],
      },
      keepDiscriminatorProperty: true,
    }),
    IsObject({ message: 'This is missing.' }),
  );
}

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
  @Matches(id, { message: 'Not an id.' })
  id!: string;

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

export class PlanItem {
  @Matches(id, { message: 'Not an id.' })
  id!: string;

  @Matches(slug, { message: 'Not the name of a movement.' })
  movement!: string;

  @DoseOfAnyKind()
  dose!: RepsDose | HoldDose | TimedDose | CountsDose;

  @IsIn(itemSides, { message: 'Which sides?' })
  sides!: ItemSides;

  @IsArray()
  @ArrayMinSize(1, { message: 'At least one version is in use.' })
  @ArrayMaxSize(3)
  @IsIn(tierNames, { each: true, message: 'A version is easier, core or harder.' })
  tiers!: TierName[];

  @MayBeLeftOut()
  @IsIn(familiarities)
  familiarity?: Familiarity;

  @MayBeLeftOut()
  @Line({ least: 0, most: 200 })
  cue?: string;

  @MayBeLeftOut()
  @Line({ least: 0, most: 1000 })
  note?: string;

  @MayBeLeftOut()
  @IsObject({ message: 'Children by id, each with easier, core or harder.' })
  @TiersByHand()
  tierByHand?: Record<string, TierName>;

  @MayBeLeftOut()
  @Matches(id, { message: 'Not an id.' })
  circuit?: string;

  @MusicField()
  music?: TrackBody;
}

export class AcceptedFindingBody {
  @IsIn(checkIds, { message: 'Not a check.' })
  check!: CheckId;

  @IsArray()
  @ArrayMaxSize(mostItems)
  @Matches(id, { each: true, message: 'Not an id.' })
  itemIds!: string[];

  @Line({ most: 300 })
  reason!: string;
}

export class PlanSection {
  @Matches(id, { message: 'Not an id.' })
  id!: string;

  @IsIn(sectionKinds, { message: 'Not a part of a class.' })
  kind!: SectionKind;

  @IsArray()
  @ArrayMaxSize(mostItems, { message: `At most ${String(mostItems)} items.` })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => PlanItem)
  items!: PlanItem[];

  @MusicField()
  music?: TrackBody;
}

export class PlanDocument {
  @IsArray()
  @ArrayMaxSize(mostSections, { message: `At most ${String(mostSections)} sections.` })
  @IsObject({ each: true, message: 'Not a part of a plan.' })
  @ValidateNested({ each: true })
  @Type(() => PlanSection)
  sections!: PlanSection[];

  @IsArray()
  @ArrayMaxSize(20, { message: 'At most 20 movements in focus.' })
  @Matches(slug, { each: true, message: 'Not the name of a movement.' })
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
