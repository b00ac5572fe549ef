import {
  helps,
  marks,
  observationSources,
  observedSides,
  type Help,
  type Mark,
  type Observation,
  type ObservationSource,
  type ObservedSide,
} from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
  registerDecorator,
} from 'class-validator';
import { DayField } from './day-field.js';
import { Line } from './text.js';
import { MayBeLeftOut } from './optional.js';
import { notAMovement, slug } from './names.js';

/** A number that is at most what another field says. */
function NotMoreThan(other: 'of'): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name: 'notMoreThan',
      target: target.constructor,
      propertyName: String(property),
      options: { message: 'There cannot be more right ones than there were.' },
      validator: {
        validate: (value: unknown, context) => {
          const measured: object = context?.object ?? {};
          const most: unknown = Reflect.get(measured, other);
          return typeof most !== 'number' || (typeof value === 'number' && value <= most);
        },
      },
    });
  };
}

export class MeasureFields {
  @MayBeLeftOut()
  @IsNumber()
  @Min(0)
  @Max(3600)
  seconds?: number;

  @MayBeLeftOut()
  @IsInt()
  @Min(0)
  @Max(1000)
  reps?: number;

  @ValidateIf(({ of }: MeasureFields, value: unknown) => value !== undefined || of !== undefined)
  @IsInt({ message: 'How many were right?' })
  @Min(0, { message: 'How many were right?' })
  @Max(100, { message: 'At most 100.' })
  @NotMoreThan('of')
  correct?: number;

  @ValidateIf(({ correct }: MeasureFields, value: unknown) => value !== undefined || correct !== undefined)
  @IsInt({ message: 'Out of how many?' })
  @Min(1, { message: 'Out of how many?' })
  @Max(100, { message: 'At most 100.' })
  of?: number;
}

/** One mark; the id is made by the client, so that sending it twice stores it once. */
export class AddObservationRequest {
  @IsUUID('all')
  childId!: string;

  @Matches(slug, { message: notAMovement })
  movement!: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(20)
  stage!: number | null;

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

  @Line({ least: 0, most: 500 })
  note!: string;

  @DayField()
  seenOn!: string;

  @IsIn(observationSources)
  source!: ObservationSource;

  @IsOptional()
  @IsUUID('all')
  classId!: string | null;

  @IsOptional()
  @IsUUID('all')
  supersedes!: string | null;

  /** The mark that is superseded is taken back: nothing takes its place. */
  @MayBeLeftOut()
  @IsBoolean({ message: 'Say yes or no.' })
  isWithdrawal?: boolean;
}

export interface ObservationResponse extends Observation {
  readonly recordedBy: string | null;
}
