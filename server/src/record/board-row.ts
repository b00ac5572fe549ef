import { addDays, bestOf, isMet, weekdayOf, type ChildToForecast, type Grade, type Verdict, type Side } from '@leiter/core';
import type { BoardRow, GradeResponse, SyllabusResponse } from '@leiter/contract';
import type { Rung } from './rung.js';

export interface ChildRow {
  readonly id: string;
  readonly group_id: string;
  readonly given_name: string;
  readonly family_initial: string;
  readonly birth_date: string;
  readonly lead_side: Side;
  readonly last_seen: string | null;
  readonly unlooked: number;
}

/** A child of a group, and what is reckoned of it. */
export interface Climber {
  readonly child: ChildRow;
  readonly next: Grade | null;
  readonly rung: Rung | undefined;
  readonly verdict: Verdict | null;
  /** Null for who has no grade above. */
  readonly asked: ChildToForecast | null;
  /** How many marks it has: with another number it is forecast anew. */
  readonly marks: number;
}

/** What decides on which days classes are to come. */
export interface Ahead {
  readonly holidays: readonly { readonly from_day: string; readonly to_day: string }[];
  /** Groups whose class of today is over, begun or cancelled. */
  readonly taughtToday: ReadonlySet<string>;
}

/** So far ahead a grade is foreseen. */
const weeksAhead = 104;

/** The name of a grade in a column. A grade of an earlier version says so: another one of the same name may stand beside it. */
export function nameIn(ladder: SyllabusResponse, grade: GradeResponse, newest: SyllabusResponse): string {
  return ladder.version === newest.version ? grade.name : `${grade.name} (version ${String(ladder.version)})`;
}

/** Days on which a group will have a class: from today on, or from tomorrow where today's was taught. */
export function comingDays(weekday: number, from: string, holidays: Ahead['holidays']): readonly string[] {
  const first = addDays(from, (weekday - weekdayOf(from) + 7) % 7);
  return Array.from({ length: weeksAhead }, (_, week) => addDays(first, week * 7)).filter(
    (day) => !holidays.some(({ from_day, to_day }) => from_day <= day && day <= to_day),
  );
}

/** A child’s row of a board: where it stands in what its next grade asks, and when that will likely be there. */
export function boardRow({ child, next, rung, verdict }: Climber, forecast: BoardRow['forecast']): BoardRow {
  return {
    childId: child.id,
    name: `${child.given_name} ${child.family_initial}`,
    leadSide: child.lead_side,
    earnedGrade: rung?.earned.at(-1)?.name ?? null,
    nextGradeId: next?.id ?? null,
    nextGradeName: next?.name ?? null,
    metCount: verdict?.metCount ?? 0,
    isEarned: verdict?.earned ?? false,
    lastSeenOn: child.last_seen,
    unlookedClasses: child.unlooked,
    forecast: verdict?.earned ? null : forecast,
    cells: (verdict?.standings ?? []).map((standing) => ({
      requirementId: standing.requirement.id,
      standing: standing.name,
      bestMark: standing.sides.map(({ bestMark }) => bestMark).find((mark) => mark !== null) ?? null,
      sidesOpen: isMet(standing)
        ? []
        : standing.sides.flatMap(({ side, name }) => (side && name !== 'met' && name !== 'fading' ? [side] : [])),
      sides: standing.sides.map(({ side, name, times, days, evidence }) => ({
        side,
        name,
        times,
        days,
        best: bestOf(evidence, standing.requirement.criterion),
      })),
      unseenForDays: standing.unseenForDays,
    })),
  };
}
