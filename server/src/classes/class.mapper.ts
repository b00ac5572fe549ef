import type { ClassResponse, GroupResponse } from '@leiter/contract';

/** A class with its group; ends in WHERE … so that callers add theirs. */
export const selectClasses = `
  SELECT c.id, c.group_id, t.name AS group_name, p.slug AS programme, c.day, c.starts_at, c.length_minutes, c.instructor_id,
         c.taught_at, c.ended_at, c.stops_note, c.slot_day, c.cancelled_because, c.note, c.rehearsed_at, EXISTS (SELECT 1 FROM class_plan l WHERE l.class_id = c.id) AS has_plan
  FROM class_session c JOIN teaching_group t ON t.id = c.group_id JOIN programme p ON p.id = t.programme_id
  WHERE c.club_id = $1`;

export interface ClassRow {
  readonly id: string;
  readonly group_id: string;
  readonly group_name: string;
  readonly programme: string;
  readonly day: string;
  readonly starts_at: string;
  readonly length_minutes: number;
  readonly instructor_id: string | null;
  readonly taught_at: Date | null;
  readonly ended_at: Date | null;
  readonly stops_note: string | null;
  readonly has_plan: boolean;
  readonly slot_day: string | null;
  readonly cancelled_because: string | null;
  readonly note: string | null;
  readonly rehearsed_at: Date | null;
}

export function classResponse(row: ClassRow): ClassResponse {
  return {
    id: row.id,
    groupId: row.group_id,
    groupName: row.group_name,
    programme: row.programme,
    day: row.day,
    startsAt: row.starts_at.slice(0, 5),
    lengthMinutes: row.length_minutes,
    instructorId: row.instructor_id,
    taughtAt: row.taught_at?.toISOString() ?? null,
    endedAt: row.ended_at?.toISOString() ?? null,
    stopsNote: row.stops_note,
    hasPlan: row.has_plan,
    slotDay: row.slot_day,
    cancelledBecause: row.cancelled_because,
    note: row.note,
    rehearsedAt: row.rehearsed_at?.toISOString() ?? null,
  };
}

const nobodysId = '00000000-0000-0000-0000-000000000000';

/** The next slot of a group as a class, before it is on the calendar. */
export function notYetOnCalendar(group: GroupResponse, day: string): ClassResponse {
  return {
    id: nobodysId,
    groupId: group.id,
    groupName: group.name,
    programme: group.programme,
    day,
    startsAt: group.startsAt,
    lengthMinutes: group.lengthMinutes,
    instructorId: group.instructorId,
    taughtAt: null,
    endedAt: null,
    stopsNote: null,
    hasPlan: false,
    slotDay: null,
    cancelledBecause: null,
    note: null,
    rehearsedAt: null,
  };
}
