import type { Criterion, LadderLine, Mark, StretchingSchool } from '@leiter/core';
import { marks } from '@leiter/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsObject, Matches, Max, Min, ValidateNested } from 'class-validator';
import { MayBeLeftOut } from './optional.js';
import { Line } from './text.js';

const slugRule = /^[a-z0-9]+(-[a-z0-9]+)*$/;
const slugWords = 'Small letters, digits and single hyphens.';

/** A whole number in a range. */
function Count({ least, most }: { readonly least: number; readonly most: number }): PropertyDecorator {
  const message = `A whole number from ${String(least)} to ${String(most)}.`;
  return (target, key) => {
    for (const rule of [IsInt({ message }), Min(least, { message }), Max(most, { message })]) rule(target, key);
  };
}

export class CorrectOf {
  @Count({ least: 1, most: 100 })
  correct!: number;

  @Count({ least: 1, most: 100 })
  of!: number;
}

/** When a requirement counts as met; what is left out has its default: alone, no sides, twice on two days within 26 weeks. */
export class WrittenCriterion {
  @MayBeLeftOut()
  @IsIn(marks, { message: 'A mark: not-yet, with-help, alone or clean.' })
  leastMark?: Mark;

  @MayBeLeftOut()
  @IsIn(['none', 'both', 'lead'], { message: 'Sides: none, both or lead.' })
  sides?: 'none' | 'both' | 'lead';

  @MayBeLeftOut()
  @Count({ least: 1, most: 600 })
  leastSeconds?: number;

  @MayBeLeftOut()
  @Count({ least: 1, most: 200 })
  leastReps?: number;

  @MayBeLeftOut()
  @IsObject({ message: 'Correct out of how many?' })
  @ValidateNested()
  @Type(() => CorrectOf)
  leastCorrect?: CorrectOf;

  /** Slugs of the movement's faults that keep a mark from being clean. */
  @MayBeLeftOut()
  @IsArray({ message: 'A list of faults.' })
  @ArrayMaxSize(20, { message: 'At most 20 faults.' })
  @Matches(slugRule, { each: true, message: slugWords })
  faults?: string[];

  @MayBeLeftOut()
  @Count({ least: 1, most: 20 })
  times?: number;

  @MayBeLeftOut()
  @Count({ least: 1, most: 20 })
  days?: number;

  @MayBeLeftOut()
  @Count({ least: 1, most: 104 })
  withinWeeks?: number;
}

export class WrittenRequirement {
  /** The slug of the movement that shows it. */
  @Matches(slugRule, { message: slugWords })
  movement!: string;

  /** The step of the skill that is asked, counted from 1; left out for the whole movement. */
  @MayBeLeftOut()
  @Count({ least: 1, most: 20 })
  stage?: number;

  @IsObject({ message: 'When does it count as met?' })
  @ValidateNested()
  @Type(() => WrittenCriterion)
  criterion!: WrittenCriterion;

  @MayBeLeftOut()
  @IsBoolean({ message: 'Say yes or no.' })
  isPutAway?: boolean;
}

export class WrittenGrade {
  /** By this a grade is known in every version; it stays when the name changes. */
  @Matches(slugRule, { message: slugWords })
  slug!: string;

  @Line({ most: 60 })
  name!: string;

  @Count({ least: 0, most: 200 })
  leastWeeksInGrade!: number;

  @Count({ least: 0, most: 200 })
  leastClasses!: number;

  @Count({ least: 0, most: 18 })
  leastAgeYears!: number;

  @MayBeLeftOut()
  @IsBoolean({ message: 'Say yes or no.' })
  isPutAway?: boolean;

  @IsArray({ message: 'A list of requirements.' })
  @ArrayMaxSize(60, { message: 'At most 60 requirements.' })
  @IsObject({ each: true, message: 'Not a part of a ladder.' })
  @ValidateNested({ each: true })
  @Type(() => WrittenRequirement)
  requirements!: WrittenRequirement[];
}

/** The whole ladder as it should be from now on: stored as a new version where something is different. */
export class SaveSyllabusRequest {
  /** The version that was changed; a newer one is never written over. */
  @Count({ least: 0, most: 1_000_000 })
  version!: number;

  @IsArray({ message: 'A list of grades, the lowest first.' })
  @ArrayMaxSize(60, { message: 'At most 60 grades.' })
  @IsObject({ each: true, message: 'Not a part of a ladder.' })
  @ValidateNested({ each: true })
  @Type(() => WrittenGrade)
  grades!: WrittenGrade[];
}

export class SyllabusEntry {
  /** The slug of the programme; one that the club does not have yet is made. */
  @Matches(slugRule, { message: slugWords })
  programme!: string;

  @Line({ most: 60 })
  name!: string;

  @IsIn(['early-static', 'dynamic-first'], { message: 'early-static or dynamic-first.' })
  stretchingSchool!: 'early-static' | 'dynamic-first';

  /** What a child is called that has no grade yet. */
  @Line({ most: 60 })
  startsAs!: string;

  @IsArray({ message: 'A list of grades, the lowest first.' })
  @ArrayMaxSize(60, { message: 'At most 60 grades.' })
  @IsObject({ each: true, message: 'Not a part of a ladder.' })
  @ValidateNested({ each: true })
  @Type(() => WrittenGrade)
  grades!: WrittenGrade[];
}

/** A `leiter-syllabus/1` file: the ladders of one or more programmes. */
export class SyllabusFile {
  @IsIn(['leiter-syllabus/1'], { message: 'This is not a leiter-syllabus/1 file.' })
  format!: 'leiter-syllabus/1';

  @IsArray({ message: 'A list of syllabuses.' })
  @ArrayMaxSize(20, { message: 'At most 20 syllabuses.' })
  @IsObject({ each: true, message: 'Not a part of a ladder.' })
  @ValidateNested({ each: true })
  @Type(() => SyllabusEntry)
  syllabuses!: SyllabusEntry[];
}

export interface RequirementResponse {
  readonly id: string;
  readonly movement: string;
  readonly stage: number | null;
  readonly criterion: Criterion;
}

export interface GradeResponse {
  readonly id: string;
  readonly slug: string;
  readonly name: string;
  readonly leastWeeksInGrade: number;
  readonly leastClasses: number;
  readonly leastAgeYears: number;
  readonly isPutAway: boolean;
  /** What is asked today. */
  readonly requirements: readonly RequirementResponse[];
  readonly putAwayRequirements: readonly RequirementResponse[];
}

export interface SyllabusResponse {
  readonly programme: string;
  readonly programmeName: string;
  readonly stretchingSchool: StretchingSchool;
  /** What a child is called that has no grade yet. */
  readonly startsAs: string;
  readonly version: number;
  /** Lowest first, with those put away at their places. */
  readonly grades: readonly GradeResponse[];
}

export interface SavedSyllabusResponse {
  readonly syllabus: SyllabusResponse;
  /** Empty where nothing was different: then there is no new version. */
  readonly lines: readonly LadderLine[];
  /** Children who finish the grade they began on the version before. */
  readonly finishingOnEarlier: number;
}

/** What taking in a syllabus file would do, or did: by programme, line by line. */
export interface SyllabusImportResponse {
  readonly programmes: readonly {
    readonly programme: string;
    readonly name: string;
    readonly isNew: boolean;
    /** Of the programme itself: its name, its school of stretching, what a beginner is called. */
    readonly fields: readonly string[];
    readonly lines: readonly LadderLine[];
  }[];
  /** Null as long as nothing was stored; with it, the import can be undone. */
  readonly importId: string | null;
}
