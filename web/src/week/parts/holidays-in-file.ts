import { addDays, daysBetween, type Day } from '@leiter/core';
import ICAL from 'ical.js';

export interface FoundHoliday {
  readonly name: string;
  readonly fromDay: Day;
  readonly toDay: Day;
}

/** As far ahead as a class can be put on the calendar. */
const mostDaysAhead = 550;
const mostDaysLong = 120;
const mostFound = 200;
/** How often one day off is followed as it comes back, and all of a file together: one that is made to be endless ends. */
const [mostSteps, mostStepsInAll] = [500, 5000];
const mostLetters = 60;

/**
 * The days off in a calendar file (RFC 5545): its whole-day events that are not over, yearly ones as often as they come, none twice; in order.
 * @throws Error where it is no calendar file
 */
export function holidaysInFile(text: string, today: Day): readonly FoundHoliday[] {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  if (calendar.name !== 'vcalendar') throw new Error('no calendar');
  const last = addDays(today, mostDaysAhead);
  const found = new Map<string, FoundHoliday>();
  const take = (name: string, fromDay: Day, toDay: Day): void => {
    const isLong = daysBetween(fromDay, toDay) >= mostDaysLong;
    if (toDay < today || fromDay > last || toDay < fromDay || isLong || found.size >= mostFound) return;
    found.set([name, fromDay, toDay].join(' '), { name, fromDay, toDay });
  };
  let steps = 0;
  for (const component of calendar.getAllSubcomponents('vevent')) {
    const title = component.getFirstPropertyValue('summary');
    if (component.getFirstPropertyValue('dtstart') === null || typeof title !== 'string') continue;
    const event = new ICAL.Event(component);
    if (!event.startDate.isDate || component.getFirstPropertyValue('status') === 'CANCELLED') continue;
    const name = title.replaceAll(/\s+/g, ' ').trim().slice(0, mostLetters);
    if (name === '') continue;
    // the end of a whole day is the day after; without one it is that day alone
    const days = Math.max(1, daysBetween(dayOf(event.startDate), dayOf(event.endDate)));
    if (!event.isRecurring()) take(name, dayOf(event.startDate), addDays(dayOf(event.startDate), days - 1));
    else {
      const each = event.iterator();
      let next = each.next() as ICAL.Time | undefined;
      const end = Math.min(mostStepsInAll, steps + mostSteps);
      for (; next && steps < end && dayOf(next) <= last; next = each.next(), steps += 1)
        take(name, dayOf(next), addDays(dayOf(next), days - 1));
    }
  }
  return [...found.values()].toSorted((a, b) => (a.fromDay < b.fromDay ? -1 : 1));
}

const dayOf = (time: { readonly year: number; readonly month: number; readonly day: number }): Day =>
  [String(time.year).padStart(4, '0'), String(time.month).padStart(2, '0'), String(time.day).padStart(2, '0')].join('-');
