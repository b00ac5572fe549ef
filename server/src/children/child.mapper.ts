import type { ChildResponse } from '@leiter/contract';
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
    household: child.household,
    archived: child.archivedAt !== null,
    groupIds: enrolments.filter((one) => one.child_id === child.id).map((one) => one.group_id),
    grades: grades
      .filter((one) => one.child_id === child.id)
      .map((one) => ({ programme: one.programme, gradeId: one.grade_id, gradeName: one.name })),
  };
}
