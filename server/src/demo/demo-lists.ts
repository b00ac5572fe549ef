import type { Household } from '@leiter/contract';
import type { ClassLength, Side } from '@leiter/core';
import { contentFile } from '../library/shipped-content.js';

/** How a child of the demo comes along in the term. */
export type Course = 'improves' | 'stalls' | 'fades' | 'new' | 'ready' | 'one-side';

export interface DemoChild {
  readonly givenName: string;
  readonly familyInitial: string;
  readonly ageYears: number;
  readonly leadSide: Side;
  readonly home: string;
  readonly group: string;
  /** The grade earned before the term; null for none. */
  readonly grade: string | null;
  readonly course: Course;
  readonly joinsInWeek?: number;
  readonly stopsAfterWeek?: number;
  readonly movedFrom?: string;
}

/** The written lists that the demo club is made from: content/demo. */
export interface DemoLists {
  readonly club: string;
  readonly groups: readonly {
    readonly name: string;
    readonly programme: string;
    readonly weekday: number;
    readonly startsAt: string;
    readonly lengthMinutes: ClassLength;
  }[];
  readonly homes: Readonly<Record<string, Household & { readonly about: string }>>;
  readonly children: readonly DemoChild[];
}

export function demoLists(): DemoLists {
  return contentFile('demo/sail-loft.json') as DemoLists; // our own file, checked in a test
}
