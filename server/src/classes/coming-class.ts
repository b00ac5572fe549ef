import type { ClassResponse, ComingClass, GroupResponse } from '@leiter/contract';
import { addDays, weekdayOf } from '@leiter/core';

/** The class of a group that comes next: the first of those on the calendar that is not over, or else its next slot. */
export function comingOf(group: GroupResponse, ahead: readonly ClassResponse[], today: string): ComingClass {
  const own = ahead.filter((session) => session.groupId === group.id);
  const next = own.find((session) => session.endedAt === null);
  if (next) return { group, day: next.day, startsAt: next.startsAt, class: next };
  const after = own.at(-1)?.day;
  const from = after === undefined ? today : addDays(after, 1);
  const day = addDays(from, (group.weekday - weekdayOf(from) + 7) % 7);
  return { group, day, startsAt: group.startsAt, class: null };
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
  };
}
