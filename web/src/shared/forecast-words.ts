import { t } from '@lingui/core/macro';
import { addDays, type Day, type Forecast } from '@leiter/core';

const monthOf = (day: Day, style: 'long' | 'short', today: Day): string => {
  const isFar = day.slice(0, 4) !== today.slice(0, 4) && day > addDays(today, 300);
  return new Date(day).toLocaleDateString('en-GB', { month: style, timeZone: 'UTC', ...(isFar ? { year: 'numeric' } : {}) });
};

/** `early March`, `mid-February`: nobody is promised a day. */
function partOf(day: Day, today: Day): string {
  const month = monthOf(day, 'long', today);
  const nth = Number(day.slice(8));
  return nth <= 10 ? t`early ${month}` : nth <= 20 ? t`mid-${month}` : t`late ${month}`;
}

/** When a grade will likely be earned, in words: parts of months while it is near, months when it is far. */
export function forecastWords(forecast: Forecast, today: Day): string {
  if (forecast.kind === 'too-little') return t`too little seen to say when`;
  if (forecast.kind === 'far') return t`not within two years at this pace`;
  const isNear = forecast.to <= addDays(today, 120);
  const say = (day: Day): string => (isNear ? partOf(day, today) : monthOf(day, 'long', today));
  const [from, to] = [say(forecast.from), say(forecast.to)];
  return from === to ? t`likely in ${from}` : t`likely between ${from} and ${to}`;
}

/** The same for a column: `Feb – Apr`. */
export function forecastShort(forecast: Forecast, today: Day): string {
  if (forecast.kind === 'too-little') return t`too little seen`;
  if (forecast.kind === 'far') return t`beyond two years`;
  const [from, to] = [monthOf(forecast.from, 'short', today), monthOf(forecast.to, 'short', today)];
  return from === to ? from : `${from} – ${to}`;
}
