import type { Seconds } from './unit.js';

/** Seconds as minutes and seconds, `4:05`; rounded to the second, hours from 60 minutes on, a minus sign before a negative length. */
export function clockText(seconds: Seconds): string {
  const whole = Math.round(Math.abs(seconds));
  const rest = String(whole % 60).padStart(2, '0');
  const minutes = Math.floor(whole / 60);
  const sign = seconds < 0 && whole > 0 ? '−' : '';
  return minutes < 60
    ? `${sign}${String(minutes)}:${rest}`
    : `${sign}${String(Math.floor(minutes / 60))}:${String(minutes % 60).padStart(2, '0')}:${rest}`;
}

/** The time of day `seconds` after a start given as `HH:MM`; past midnight it begins again at 00:00. Seconds are dropped, as on a clock. */
export function timeOfDay(start: string, seconds: Seconds): string {
  const [hours = 0, minutes = 0] = start.split(':').map(Number);
  const total = Math.floor(hours * 60 + minutes + seconds / 60 + 1e-9);
  const inDay = ((total % 1440) + 1440) % 1440;
  return `${String(Math.floor(inDay / 60)).padStart(2, '0')}:${String(inDay % 60).padStart(2, '0')}`;
}
