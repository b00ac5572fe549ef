import type { ChildResponse } from '@leiter/contract';
import type { Household } from '@leiter/contract';
import type { ChildEntity } from './child.entity.js';

/** The highest grade of a child in one programme. */
export interface GradeRow {
  readonly child_id: string;
  readonly programme: string;
  readonly grade_id: string;
  readonly name: string;
}

export function childResponse(
  child: ChildEntity,
  enrolments: readonly { readonly child_id: string; readonly group_id: string }[],
  grades: readonly GradeRow[],
): ChildResponse {
  return {
    id: child.id,
    givenName: child.givenName,
    familyInitial: child.familyInitial,
    birthDate: child.birthDate,
    leadSide: child.leadSide,
    household: homeOf(child.household),
    householdVersion: child.householdVersion,
    isHomeKnown: child.homeKnown,
    archived: child.archivedAt !== null,
    familyLanguage: child.familyLanguage,
    groupIds: enrolments.filter((one) => one.child_id === child.id).map((one) => one.group_id),
    grades: grades
      .filter((one) => one.child_id === child.id)
      .map((one) => ({ programme: one.programme, gradeId: one.grade_id, gradeName: one.name })),
  };
}

/** The household of a child of which nothing is known: the careful side, until somebody says what is there. */
export const unknownHousehold: Household = {
  surface: 'tiles',
  clearLengthM: 2,
  clearWidthM: 1.5,
  things: [],
  adult: 'not-at-hand',
  partner: false,
  quietHours: null,
};

/** What a child has at home as it was stored; a row that is none is as if nothing was known, so that a page can show and mend it. */
export function homeOf(stored: unknown): Household {
  if (typeof stored !== 'object' || stored === null || Array.isArray(stored)) return unknownHousehold;
  const home: Household = Object.assign({}, unknownHousehold, stored);
  const isQuiet = typeof home.quietHours === 'object' && home.quietHours !== null && typeof home.quietHours.from === 'string';
  return Object.assign(home, { things: Array.isArray(home.things) ? home.things : [], quietHours: isQuiet ? home.quietHours : null });
}
