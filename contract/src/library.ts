import type { LibraryCare, LibraryChanges, Movement, WrittenPhrase } from '@leiter/core';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsObject, Min, ValidateIf } from 'class-validator';
import { MayBeLeftOut } from './optional.js';
import { Line } from './text.js';

/** A `leiter-library/1` file: what is in its entries is checked one by one, with the library of the club around them. */
export class LibraryFile {
  @IsIn(['leiter-library/1'], { message: 'This is not a leiter-library/1 file.' })
  format!: 'leiter-library/1';

  @IsArray({ message: 'A list of movements.' })
  @ArrayMaxSize(5000, { message: 'At most 5,000 movements.' })
  @IsObject({ each: true, message: 'Each movement is an object.' })
  movements!: object[];
}

/** What an import would do, or did. */
export interface LibraryImportResponse extends LibraryChanges, LibraryCare {
  /** Null as long as nothing was stored; with it, the import can be undone. */
  readonly importId: string | null;
}

/** One entry as the club wants it; it is checked with the library of the club around it. */
export class SaveMovementRequest {
  @IsObject({ message: 'This is missing.' })
  movement!: object;
}

/** The steps of an entry, on top of a version of them; null takes them away. They are checked as those of a file are. */
export class SavePhraseRequest {
  @IsInt({ message: 'Which version?' })
  @Min(0, { message: 'Which version?' })
  version!: number;

  @ValidateIf((_object: object, value: unknown) => value !== null)
  @IsObject({ message: 'The steps are missing.' })
  phrase!: object | null;
}

/** The steps of an entry as they are stored. */
export interface PhraseResponse {
  /** 0 for steps that nobody wrote anew since they were there. */
  readonly version: number;
  readonly phrase: WrittenPhrase | null;
  /** Who saved them here; null where they came with the entry. */
  readonly savedBy: string | null;
}

/** What a club does with an entry without writing it anew; only what is to be changed. */
export class ChangeMovementRequest {
  @MayBeLeftOut()
  @IsBoolean({ message: 'Say yes or no.' })
  isPutAway?: boolean;

  /** What this club says to the children; empty to say what the entry says. */
  @MayBeLeftOut()
  @Line({ least: 0, most: 60 })
  ownCue?: string;
}

export interface MovementResponse extends Movement {
  /** Written or changed by the club. */
  readonly isOwn: boolean;
  /** Not offered any more; plans and marks that speak of it still do. */
  readonly isPutAway: boolean;
  /** What this club says to the children, before the cues of the entry; null where it says nothing of its own. */
  readonly ownCue: string | null;
}
