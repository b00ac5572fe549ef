import { surfaces, type Surface } from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsString,
  Length,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { TimeOfDay } from './text.js';

export const adultPlaces = ['in-the-room', 'in-the-next-room', 'not-at-hand'] as const;
export type AdultPlace = (typeof adultPlaces)[number];

export class QuietHours {
  @TimeOfDay()
  from!: string;

  @TimeOfDay()
  to!: string;
}

/** What a child has at home. */
export class Household {
  @IsIn(surfaces, { message: 'Choose what the child stands on.' })
  surface!: Surface;

  @IsNumber({}, { message: 'Metres as a number.' })
  @Min(0.5, { message: 'At least half a metre.' })
  @Max(50, { message: 'At most 50 metres.' })
  clearLengthM!: number;

  @IsNumber({}, { message: 'Metres as a number.' })
  @Min(0.5, { message: 'At least half a metre.' })
  @Max(50, { message: 'At most 50 metres.' })
  clearWidthM!: number;

  @IsArray({ message: 'A list of things.' })
  @ArrayMaxSize(30, { message: 'At most 30 things.' })
  @IsString({ each: true, message: 'Each thing is a word.' })
  @Length(1, 40, { each: true, message: 'Each thing has 1 to 40 characters.' })
  things!: string[];

  @IsIn(adultPlaces, { message: 'Choose where the adult is.' })
  adult!: AdultPlace;

  @IsBoolean({ message: 'Say yes or no.' })
  partner!: boolean;

  /** When the house has to be quiet; null when it never has to. */
  @ValidateIf((_object: object, value: unknown) => value !== null)
  @IsObject({ message: 'From when to when has it to be quiet?' })
  @ValidateNested()
  @Type(() => QuietHours)
  quietHours!: QuietHours | null;
}
