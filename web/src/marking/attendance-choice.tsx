import { t } from '@lingui/core/macro';
import type { Attendance, ExpectedChild } from '@leiter/contract';
import { ChoiceBar } from '../shared/choice-bar';

export const attendanceWords: Readonly<Record<Attendance, string>> = {
  present: t`there`,
  late: t`late`,
  absent: t`away`,
  watched: t`watched`,
};
const choices = (Object.keys(attendanceWords) as Attendance[]) // the keys of the record are its type
  .map((value) => ({ value, words: attendanceWords[value] }));

/** One after the other, and after the last nothing is said again. */
export function nextAttendance(current: Attendance | null): Attendance | null {
  return choices[(current === null ? -1 : choices.findIndex(({ value }) => value === current)) + 1]?.value ?? null;
}

/** Whether a child was there, by one press; pressed again it was a slip. */
export function AttendanceChoice({
  child,
  onChosen,
  isByMouseOnly = false,
  isGrowing = false,
  isSmall = false,
}: {
  readonly child: ExpectedChild;
  readonly onChosen: (status: Attendance | null) => void;
  readonly isByMouseOnly?: boolean;
  readonly isGrowing?: boolean;
  readonly isSmall?: boolean;
}) {
  return (
    <ChoiceBar
      label={t`Was ${child.name} there?`}
      choices={choices}
      value={child.attendance}
      onChange={onChosen}
      isByMouseOnly={isByMouseOnly}
      isGrowing={isGrowing}
      isSmall={isSmall}
    />
  );
}
