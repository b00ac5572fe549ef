import { surfaces, teachingStyles, type Surface, type TeachingRoom, type TeachingStyle, type TeachingVoice } from '@leiter/core';
import { Type } from 'class-transformer';
import {
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { PersonResponse } from './person.js';

/** How the person who is signed in teaches: what is explained first, and what is led along. */
export class SaveStyleRequest {
  @IsIn(teachingStyles, { message: `The style is ${teachingStyles.join(', ')}.` })
  style!: TeachingStyle;
}

export class SignInRequest {
  @IsString({ message: 'Write your e-mail address.' })
  @MinLength(1, { message: 'Write your e-mail address.' })
  @MaxLength(254, { message: 'This is too long for an e-mail address.' })
  email!: string;

  @IsString({ message: 'Write your password.' })
  @MinLength(1, { message: 'Write your password.' })
  @MaxLength(200, { message: 'This is too long for a password.' })
  password!: string;
}

/** A length in metres. */
function Metres({ least, most }: { readonly least: number; readonly most: number }): PropertyDecorator {
  const message = `Between ${String(least)} and ${String(most)} metres.`;
  return (target, key) => {
    for (const rule of [IsNumber({}, { message }), Min(least, { message }), Max(most, { message })]) rule(target, key);
  };
}

export class TeachingRoomBody {
  @IsOptional()
  @IsIn(surfaces, { message: `The floor is one of ${surfaces.join(', ')}.` })
  surface?: Surface;

  @Metres({ least: 1, most: 30 })
  clearLengthM!: number;

  @Metres({ least: 1, most: 30 })
  clearWidthM!: number;

  @Metres({ least: 0.5, most: 15 })
  cameraDistanceM!: number;

  @Metres({ least: 0, most: 3 })
  cameraHeightM!: number;

  @IsNumber({}, { message: 'Degrees as a number.' })
  @Min(30, { message: 'At least 30 degrees.' })
  @Max(150, { message: 'At most 150 degrees.' })
  viewAngleDegrees!: number;
}

/** Where the one who is signed in teaches; null to say nothing of it any more. */
export class SaveRoomRequest {
  @ValidateIf((_object: object, value: unknown) => value !== null)
  @IsObject({ message: 'A room, or null.' })
  @ValidateNested()
  @Type(() => TeachingRoomBody)
  room!: TeachingRoomBody | null;
}

/** Who is signed in. */
export interface SessionResponse {
  readonly person: PersonResponse;
  readonly club: { readonly name: string; readonly isDemo: boolean; readonly timeZone: string };
  /** Where the person teaches; null as long as nobody said. */
  readonly room: TeachingRoom | null;
  /** How the person usually teaches. */
  readonly style: TeachingStyle;
  /** How the person leads a class: what is said aloud, and how. */
  readonly voice: TeachingVoice;
  /** The day it is for the club. */
  readonly today: string;
}

/** What a visitor who is not signed in is told: whether a club is still to be made, and whom the demo offers. */
export interface WelcomeResponse {
  readonly needsClub: boolean;
  readonly demoPeople: readonly { readonly name: string; readonly email: string; readonly does: string }[];
  readonly demoPassword: string | null;
}
