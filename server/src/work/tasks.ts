import type { MessagePort } from 'node:worker_threads';
import type { FieldProblem } from '@leiter/contract';
import type { Hall, LibraryFault, LibraryIntake, Party, Result, Timetable } from '@leiter/core';

/** What the worker is asked, by task. */
export interface Tasks {
  /** Reads the text of a library file beside the entries that a club has. */
  readonly readLibraryFile: { readonly text: string; readonly current: readonly string[] };
  /** Sets a document of pdfmake; `told` hears how many of its pages are set, now and then. */
  readonly setPaper: { readonly document: object; readonly told?: { readonly port: MessagePort; readonly pages: number } };
  /** Reads a clip or picture and writes it anew, at another path. */
  readonly readClip: { readonly path: string; readonly to: string; readonly mostSeconds: number };
  /** Looks for the shortest timetable of a grading day, for so long. */
  readonly findTimetable: { readonly parties: readonly Party[]; readonly hall: Hall; readonly milliseconds: number };
}

export type LibraryFileFault =
  | { readonly kind: 'unreadable'; readonly words: string }
  | { readonly kind: 'fields'; readonly fields: readonly FieldProblem[] }
  | { readonly kind: 'entries'; readonly faults: readonly LibraryFault[] };

/** What a clip is, as it was written anew. */
export interface ReadClip {
  readonly kind: 'video' | 'picture';
  readonly mediaType: string;
  readonly width: number;
  readonly height: number;
  readonly seconds: number | null;
  readonly framesPerSecond: number | null;
}

/** Neither a picture nor a video; longer than is taken; of a kind that browsers do not show; cut off or broken. */
export type ClipFault = 'no-video' | 'too-long' | 'not-shown' | 'unreadable';

/** What it answers, by task. */
export interface Answers {
  readonly readLibraryFile: Result<LibraryIntake, LibraryFileFault>;
  readonly setPaper: Uint8Array;
  readonly readClip: Result<ReadClip, ClipFault>;
  readonly findTimetable: {
    readonly timetable: Timetable;
    /** In slots: no timetable at all is over earlier. */
    readonly noneBefore: number;
    /** True where it was shown that none without waiting is over earlier. */
    readonly isBest: boolean;
  };
}
