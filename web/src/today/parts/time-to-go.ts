import { plural, t } from '@lingui/core/macro';
import { DateTime } from 'luxon';

/**
 * How long it is until a class, or where one is in it, in the words of somebody who gets ready.
 * @param day `YYYY-MM-DD` @param startsAt `HH:MM`, both of the club's zone
 * @returns "in 25 min", "in 3 h 10 min", "tomorrow", "in 4 days", "now, minute 12 of 45"; null once it is over
 */
export function timeToGo(
  { day, startsAt, lengthMinutes }: { readonly day: string; readonly startsAt: string; readonly lengthMinutes: number },
  timeZone: string,
  now: Date,
): string | null {
  const begins = DateTime.fromISO(`${day}T${startsAt}`, { zone: timeZone });
  const here = DateTime.fromJSDate(now, { zone: timeZone });
  const minutes = Math.ceil(begins.diff(here, 'minutes').minutes);
  if (minutes <= -lengthMinutes) return null;
  if (minutes <= 0) return t`now, minute ${1 - minutes} of ${lengthMinutes}`;
  const days = begins.startOf('day').diff(here.startOf('day'), 'days').days;
  if (days >= 2) return plural(Math.round(days), { one: 'in # day', other: 'in # days' });
  if (days >= 1 && minutes > 6 * 60) return t`tomorrow`;
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  return hours === 0 ? t`in ${rest} min` : rest === 0 ? t`in ${hours} h` : t`in ${hours} h ${rest} min`;
}
