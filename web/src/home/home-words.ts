import { plural, t } from '@lingui/core/macro';

const parts = (day: string, options: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' })
    .formatToParts(new Date(`${day}T00:00:00Z`))
    .filter(({ type }) => type !== 'literal')
    .map(({ value }) => value)
    .join(' ');

/** `Tue 24 Nov`. */
export const dayText = (day: string): string => parts(day, { weekday: 'short', day: 'numeric', month: 'short' });

/** `24 Nov 2025`. */
export const dateText = (day: string): string => parts(day, { day: 'numeric', month: 'short', year: 'numeric' });

/** "today", "tomorrow", "in 3 days". */
export function inDays(days: number): string {
  if (days <= 0) return t`today`;
  return days === 1 ? t`tomorrow` : plural(days, { one: 'in # day', other: 'in # days' });
}
