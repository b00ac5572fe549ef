import type { FieldProblem } from '@leiter/contract';
import type { Hall, LibraryFault, LibraryIntake, Party, Result, Timetable } from '@leiter/core';

/** What the worker is asked, by task. */
export interface Tasks {
  /** Reads the text of a library file beside the entries that a club has. */
  readonly readLibraryFile: { readonly text: string; readonly current: readonly string[] };
  /** Sets a document of pdfmake. */
  readonly setPaper: { readonly document: object };
  /** Looks for the shortest timetable of a grading day, for so long. */
  readonly findTimetable: { readonly parties: readonly Party[]; readonly hall: Hall; readonly milliseconds: number };
}

export type LibraryFileFault =
  | { readonly kind: 'unreadable'; readonly words: string }
  | { readonly kind: 'fields'; readonly fields: readonly FieldProblem[] }
  | { readonly kind: 'entries'; readonly faults: readonly LibraryFault[] };

/** What it answers, by task. */
export interface Answers {
  readonly readLibraryFile: Result<LibraryIntake, LibraryFileFault>;
  readonly setPaper: Uint8Array;
  readonly findTimetable: {
    readonly timetable: Timetable;
    /** In slots: no timetable at all is over earlier. */
    readonly noneBefore: number;
    /** True where it was shown that none without waiting is over earlier. */
    readonly isBest: boolean;
  };
}
