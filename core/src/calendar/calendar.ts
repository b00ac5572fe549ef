import { addDays, daysBetween, weekdayOf } from '../values/day.js';
import type { Day } from '../values/unit.js';

/** A group as the calendar knows it: its slot each week, from a day on. */
export interface WeeklySlot {
  readonly id: string;
  /** 1 Monday to 7 Sunday. */
  readonly weekday: number;
  /** `HH:MM`. */
  readonly startsAt: string;
  /** The first day on which it can have a class. */
  readonly since: Day;
  /** A group that is put away has no slots. */
  readonly archived: boolean;
}

/** A class that is on the calendar. */
export interface DatedClass {
  readonly groupId: string;
  readonly day: Day;
  readonly startsAt: string;
  /** The day of the slot that it stands for, where it was moved to another day; null for a slot's own day and for one beside them. */
  readonly slotDay: Day | null;
  /** Why it does not take place; null where it does. */
  readonly cancelledBecause: string | null;
  /** Whether it is over. */
  readonly endedAt: string | null;
}

/** Days on which no group has its slot, both included. */
export interface Holiday {
  readonly name: string;
  readonly fromDay: Day;
  readonly toDay: Day;
}

/** One line of the calendar: a class, a slot that is no class yet, a slot that falls on a holiday, or one that was moved away. */
export interface CalendarEntry<Group, Class> {
  readonly group: Group;
  readonly day: Day;
  readonly startsAt: string;
  /** Null where nothing was put down for this slot. */
  readonly class: Class | null;
  /** The holiday on which the slot falls; null for a class that takes place all the same. */
  readonly holiday: Holiday | null;
  /** Where the class of this slot went; null where it stands here. */
  readonly movedTo: Day | null;
}

/**
 * The calendar from one day to another, both included, in the order of time: what is put down, and the weekly slots that nothing stands
 * for yet. A slot has one class at most: the one on its day, or the one that was moved away from it.
 * @param classes those on the days, and those that stand for a slot on them
 */
export function entriesBetween<Group extends WeeklySlot, Class extends DatedClass>(
  {
    groups,
    classes,
    holidays,
  }: { readonly groups: readonly Group[]; readonly classes: readonly Class[]; readonly holidays: readonly Holiday[] },
  from: Day,
  to: Day,
): readonly CalendarEntry<Group, Class>[] {
  const entries: CalendarEntry<Group, Class>[] = [];
  for (const group of groups) {
    const own = classes.filter(({ groupId }) => groupId === group.id);
    for (const one of own)
      if (one.day >= from && one.day <= to)
        entries.push({ group, day: one.day, startsAt: one.startsAt, class: one, holiday: null, movedTo: null });
    if (group.archived) continue;
    const begin = group.since > from ? group.since : from;
    for (let day = addDays(begin, (group.weekday - weekdayOf(begin) + 7) % 7); day <= to; day = addDays(day, 7)) {
      if (own.some((one) => one.day === day)) continue;
      const moved = own.find(({ slotDay }) => slotDay === day);
      const holiday = holidays.find(({ fromDay, toDay }) => day >= fromDay && day <= toDay) ?? null;
      entries.push({ group, day, startsAt: group.startsAt, class: null, holiday: moved ? null : holiday, movedTo: moved?.day ?? null });
    }
  }
  return entries.toSorted((a, b) => daysBetween(b.day, a.day) || (a.startsAt < b.startsAt ? -1 : a.startsAt > b.startsAt ? 1 : 0));
}

/** Whether it is still to be taught: a class that takes place and is not over, or a slot that is free for one. */
export function isToCome<Group, Class extends DatedClass>({ class: session, holiday, movedTo }: CalendarEntry<Group, Class>): boolean {
  return session ? session.cancelledBecause === null && session.endedAt === null : holiday === null && movedTo === null;
}
