import { IsString, MaxLength } from 'class-validator';

/** The text of a CSV file as a spreadsheet writes it. */
export class SpreadsheetRequest {
  @IsString({ message: 'The text of the file is missing.' })
  @MaxLength(400_000, { message: 'The file is too large: at most 400,000 characters.' })
  text!: string;
}

/** What taking in a list of children would do, or did; by the row of the spreadsheet, the head being row 1. */
export interface ChildrenImportResponse {
  readonly lines: readonly {
    readonly row: number;
    readonly name: string;
    readonly what: 'added' | 'changed' | 'same';
    /** Which of its fields change. */
    readonly fields: readonly string[];
  }[];
  /** Null as long as nothing was stored; with it, the import can be undone. */
  readonly importId: string | null;
}
