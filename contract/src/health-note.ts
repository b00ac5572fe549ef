import { hazards, regions, type Hazard, type HealthNote, type Region } from '@leiter/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsObject, Max, Min, ValidateIf, ValidateNested } from 'class-validator';
import { DayField } from './day-field.js';
import { Line } from './text.js';

/** What a family told of a child's health, and what the child has to be spared for it. */
export class HealthNoteBody {
  @Line({ most: 300 })
  text!: string;

  @IsArray({ message: 'A list of body regions.' })
  @ArrayMaxSize(regions.length)
  @IsIn(regions, { each: true, message: 'Not a region of the body.' })
  regions!: Region[];

  @IsArray({ message: 'A list of what to spare.' })
  @ArrayMaxSize(hazards.length)
  @IsIn(hazards, { each: true, message: 'Not something a movement does.' })
  hazards!: Hazard[];

  /** The last day on which it counts; null as long as nobody takes it back. */
  @ValidateIf((_object: object, value: unknown) => value !== null)
  @DayField()
  untilDay!: string | null;
}

/** All notes of a child: what is not among them is gone. */
export class SaveHealthNotesRequest {
  /** The version that was changed; where somebody wrote meanwhile, nothing is stored. */
  @IsInt({ message: 'Which version was changed?' })
  @Min(1)
  @Max(2_000_000_000)
  version!: number;

  @IsArray({ message: 'A list of notes.' })
  @ArrayMaxSize(20, { message: 'At most 20 notes.' })
  @IsObject({ each: true, message: 'Each note is an object.' })
  @ValidateNested({ each: true })
  @Type(() => HealthNoteBody)
  notes!: HealthNoteBody[];
}

export interface HealthNotes {
  /** Grows with each change. */
  readonly version: number;
  readonly notes: readonly HealthNote[];
}
