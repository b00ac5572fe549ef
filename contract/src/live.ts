import { IsBoolean, IsUUID, Matches, ValidateIf } from 'class-validator';
import type { Attendance } from './class.js';
import type { ObservationResponse } from './observation.js';
import { id, notAnId } from './names.js';
import type { PressRequest } from './remote.js';

/** What open pages are told of, as it happens. */
export const topics = [
  'plan',
  'mark',
  'attendance',
  'class',
  'calendar',
  'ladder',
  'phrase',
  'grading',
  'checks',
  'presence',
  'press',
] as const;
export type Topic = (typeof topics)[number];

/** Who has a class open, in which tab, and what is looked at. */
export interface Presence {
  readonly tab: string;
  readonly classId: string;
  readonly person: { readonly id: string; readonly name: string };
  /** The item that is chosen; null for none. */
  readonly itemId: string | null;
}

/** One thing that happened in the club; those that are kept carry an id, by which a reader goes on where it was. */
export type LiveEvent =
  | { readonly topic: 'plan'; readonly classId: string; readonly version: number; readonly savedBy: string }
  | { readonly topic: 'mark'; readonly mark: ObservationResponse }
  | { readonly topic: 'attendance'; readonly classId: string; readonly childId: string; readonly status: Attendance | null }
  | { readonly topic: 'class'; readonly classId: string }
  | { readonly topic: 'calendar' }
  | { readonly topic: 'ladder'; readonly programme: string; readonly version: number; readonly savedBy: string }
  | { readonly topic: 'phrase'; readonly movement: string; readonly version: number; readonly savedBy: string }
  | { readonly topic: 'grading'; readonly gradingId: string }
  | { readonly topic: 'checks' }
  | { readonly topic: 'presence'; readonly classId: string; readonly here: readonly Presence[] }
  /** Pressed beside the device that teaches a class; the tab that teaches does it, once. */
  | ({ readonly topic: 'press'; readonly classId: string } & Readonly<PressRequest>);

/** Says that a person has a class open in a tab, again every few seconds, and once when it is left. */
export class PresenceRequest {
  @IsUUID('all', { message: 'Which tab?' })
  tab!: string;

  @ValidateIf((_object: object, value: unknown) => value !== null)
  @Matches(id, { message: notAnId })
  itemId!: string | null;

  @IsBoolean({ message: 'Still here?' })
  isHere!: boolean;
}
