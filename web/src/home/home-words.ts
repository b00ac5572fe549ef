import { plural, t } from '@lingui/core/macro';
import { tagOf } from '../shared/family/languages';
import { i18n } from '../shared/texts';

function parts(day: string, options: Intl.DateTimeFormatOptions): string {
  const format = new Intl.DateTimeFormat(tagOf(i18n.locale), { ...options, timeZone: 'UTC' });
  const at = new Date(`${day}T00:00:00Z`);
  // other languages write dots and words between them
  if (i18n.locale !== 'en') return format.format(at);
  return format
    .formatToParts(at)
    .filter(({ type }) => type !== 'literal')
    .map(({ value }) => value)
    .join(' ');
}

/** `Tue 24 Nov`. */
export const dayText = (day: string): string => parts(day, { weekday: 'short', day: 'numeric', month: 'short' });

/** `24 Nov 2025`. */
export const dateText = (day: string): string => parts(day, { day: 'numeric', month: 'short', year: 'numeric' });

/** "today", "tomorrow", "in 3 days". */
export function inDays(days: number): string {
  if (days <= 0) return t`today`;
  return days === 1 ? t`tomorrow` : plural(days, { one: 'in # day', other: 'in # days' });
}
