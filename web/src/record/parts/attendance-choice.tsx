import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Attendance, ExpectedChild } from '@leiter/contract';
import { useAttendance } from '../../queries/class.queries';

const attendanceWords: Readonly<Record<Attendance, string>> = { present: 'yes', late: 'late', absent: 'no', watched: 'watched' };

/** One after the other, and after the last nothing is said again. */
export function nextAttendance(current: Attendance | null): Attendance | null {
  const order = Object.keys(attendanceWords) as Attendance[]; // the keys of the record are its type
  return order[(current === null ? -1 : order.indexOf(current)) + 1] ?? null;
}

/** Whether a child was there, by one press. */
export function AttendanceChoice({
  classId,
  child,
  onChosen,
}: {
  readonly classId: string;
  readonly child: ExpectedChild;
  readonly onChosen: () => void;
}) {
  const attendance = useAttendance(classId);
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={child.attendance}
      aria-label={`Was ${child.name} there?`}
      onChange={(_event, status: Attendance | null) => {
        // pressed again it was a slip
        attendance.mutate({ childId: child.id, status });
        onChosen();
      }}
    >
      {(Object.keys(attendanceWords) as Attendance[]).map((status) => (
        <ToggleButton key={status} value={status} tabIndex={-1} sx={{ fontSize: 12.5, px: 0.9, py: 0.1 }}>
          {attendanceWords[status]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
