import {
  countLanguages,
  goWays,
  nameSources,
  stances,
  type CountLanguage,
  type GoWay,
  type NameSource,
  type Stance,
  type TeachingVoice,
} from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

const yesOrNo = { message: 'Yes or no.' };
/** As many different clips as are asked for at once; a class has about a hundred. */
export const mostClipsAtOnce = 60;

/** How the person who is signed in leads a class: what is said aloud, when the work begins, which side is shown. */
export class SaveVoiceRequest implements TeachingVoice {
  @IsBoolean(yesOrNo)
  counts!: boolean;

  @IsBoolean(yesOrNo)
  sides!: boolean;

  @IsBoolean(yesOrNo)
  cues!: boolean;

  @IsBoolean(yesOrNo)
  names!: boolean;

  @IsBoolean(yesOrNo)
  halves!: boolean;

  @IsIn(['up', 'down'], { message: 'One counts up or down.' })
  counting!: 'up' | 'down';

  @IsIn(countLanguages, { message: `Counted in ${countLanguages.join(', ')}.` })
  countLanguage!: CountLanguage;

  @IsIn(nameSources, { message: `Names are spoken by ${nameSources.join(' or ')}.` })
  nameSource!: NameSource;

  @IsNumber({}, { message: 'A number from 0 to 1.' })
  @Min(0, { message: 'A number from 0 to 1.' })
  @Max(1, { message: 'A number from 0 to 1.' })
  loudness!: number;

  @IsIn(goWays, { message: `The work begins ${goWays.join(' or ')}.` })
  go!: GoWay;

  @IsIn(stances, { message: `The leader stands ${stances.join(', ')}.` })
  stance!: Stance;
}

export class ClipBody {
  @IsString({ message: 'The words of a clip.' })
  @MaxLength(240, { message: 'At most 240 characters.' })
  @Matches(/^(?=.*[\p{L}\p{N}])[^\p{C}]+$/u, { message: 'Words, without line breaks.' })
  text!: string;

  @IsIn(countLanguages, { message: `Spoken in ${countLanguages.join(', ')}.` })
  language!: CountLanguage;

  @IsBoolean(yesOrNo)
  isQuick!: boolean;
}

/** Clips that a class needs; those that are not there yet are spoken. */
export class ClipsRequest {
  @IsArray({ message: 'A list of clips.' })
  @ArrayMaxSize(mostClipsAtOnce, { message: `At most ${String(mostClipsAtOnce)} clips at once.` })
  @IsObject({ each: true, message: 'Each is a clip.' })
  @ValidateNested({ each: true })
  @Type(() => ClipBody)
  clips!: ClipBody[];
}

/** Where the sound of each clip is, in the order in which they were asked for; null for what could not be spoken. */
export interface ClipsResponse {
  /** False where no voice is installed beside the server: what was spoken before is there all the same. */
  readonly isInstalled: boolean;
  readonly clips: readonly ({ readonly key: string; readonly seconds: number } | null)[];
}
