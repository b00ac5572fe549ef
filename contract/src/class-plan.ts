import {
  checkIds,
  doseLimits,
  familiarities,
  itemSides,
  mostItems,
  sectionKinds,
  tierNames,
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
  ValidateNested,
  registerDecorator,
} from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { Line } from './text.js';
import { MayBeLeftOut } from './optional.js';

export const id = /^[A-Za-z0-9_-]{1,64}$/;
export const slug = /^[a-z0-9]+(-[a-z0-9]+)*$/;

function DoseField(name: DoseNumber, kind: 'whole' | 'fraction'): PropertyDecorator {
  const { least, most } = doseLimits[name];
  const message = `Between ${String(least)} and ${String(most)}.`;
  return applyDecorators(
    kind === 'whole' ? IsInt({ message: 'A whole number.' }) : IsNumber({}, { message: 'A number.' }),
    Min(least, { message }),
    Max(most, { message }),
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
}

export class PlanDocument {
  @IsArray()
  @ArrayMaxSize(40, { message: 'At most 40 sections.' })
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
