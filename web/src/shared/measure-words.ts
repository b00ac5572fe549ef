import { t } from '@lingui/core/macro';
import type { MeasuredLine, ObservedSide } from '@leiter/core';

/** `12.5 s`, `20 in a row`, `75 %`. */
export function measureWords(value: number, measuredIn: MeasuredLine['measuredIn']): string {
  if (measuredIn === 'seconds') return t`${String(Math.round(value * 10) / 10)} s`;
  return measuredIn === 'reps' ? t`${String(value)} in a row` : t`${String(Math.round(value * 100))} %`;
}

/** The side of a mark; nothing for a movement without sides. */
export const observedSideWords: Readonly<Record<ObservedSide, string>> = { left: t`left`, right: t`right`, both: t`both`, none: '' };
