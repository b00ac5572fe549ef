import type { Day } from './unit.js';

const millisecondsPerDay = 86_400_000;

/** A day counted from 1970-01-01; the calendar is reckoned in UTC, so no zone and no summer time can shift it. */
function serialOf(day: Day): number {
  return Date.parse(`${day}T00:00:00Z`) / millisecondsPerDay;
}

/** @returns how many days `later` lies after `earlier`; negative when it lies before. */
export function daysBetween(earlier: Day, later: Day): number {
  return serialOf(later) - serialOf(earlier);
}

/** @returns the day `count` days after `day`; a negative count goes back. */
export function addDays(day: Day, count: number): Day {
  return new Date((serialOf(day) + count) * millisecondsPerDay).toISOString().slice(0, 10);
}

/** @returns 1 for Monday to 7 for Sunday (ISO 8601). */
export function weekdayOf(day: Day): number {
  return ((((serialOf(day) + 3) % 7) + 7) % 7) + 1;
}

/** @returns true for a day that exists in the calendar, written `YYYY-MM-DD`. */
export function isDay(text: string): text is Day {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(serialOf(text)) && addDays(text, 0) === text;
}

/** @returns completed years of life on `today`; a child born on 29 February turns a year older on 1 March of a common year. */
export function ageOn(birthDate: Day, today: Day): number {
  const years = Number(today.slice(0, 4)) - Number(birthDate.slice(0, 4));
  return today.slice(5) < birthDate.slice(5) ? years - 1 : years;
}
