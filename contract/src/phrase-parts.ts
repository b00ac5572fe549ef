import { mostSegments } from '@leiter/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsInt, IsObject, Max, Min, ValidateNested } from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { MayBeLeftOut } from './optional.js';

const segmentNumbers = 'Numbers of segments, from 0.';

/** Segments of a phrase by their place, counted from 0: those that are new, and those that the group has. */
export class PhrasePartsBody {
  @IsArray({ message: segmentNumbers })
  @ArrayMaxSize(mostSegments, { message: `At most ${String(mostSegments)} segments.` })
  @IsInt({ each: true, message: segmentNumbers })
  @Min(0, { each: true, message: segmentNumbers })
  @Max(mostSegments - 1, { each: true, message: segmentNumbers })
  new!: number[];

  @IsArray({ message: segmentNumbers })
  @ArrayMaxSize(mostSegments, { message: `At most ${String(mostSegments)} segments.` })
  @IsInt({ each: true, message: segmentNumbers })
  @Min(0, { each: true, message: segmentNumbers })
  @Max(mostSegments - 1, { each: true, message: segmentNumbers })
  known!: number[];
}

/** Segments that may be left out. */
export function PartsField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsObject({ message: 'Segments: new and known.' }),
    ValidateNested(),
    Type(() => PhrasePartsBody),
  );
}
