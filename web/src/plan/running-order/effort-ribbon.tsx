import { t } from '@lingui/core/macro';
import { effortWord, type EffortCurve } from '@leiter/core';
import { effortColours, palette } from '../../shared/palette';
import type { Ruler } from '../editing/ruler';

const width = 54;

/** Effort along the ladder, on the same time axis: as wide as it is hard. */
export function EffortRibbon({ curve, ruler }: { readonly curve: EffortCurve; readonly ruler: Ruler }) {
  if (curve.values.length < 2) return null;
  const xOf = (effort: number): number => 3 + (effort / 4) * (width - 6);
  const points = curve.values.map((value, index) => `${xOf(value).toFixed(1)},${ruler.yOf(index * curve.stepSeconds).toFixed(1)}`);
  const highest = Math.max(...curve.values);
  const peakAt = curve.values.indexOf(highest) * curve.stepSeconds;
  const word = effortWord(Math.round(highest) as 0 | 1 | 2 | 3 | 4); // effort lies between 0 and 4
  return (
    <svg
      width={width}
      height={ruler.height}
      role="img"
      aria-label={t`Effort rises to ${word} at minute ${Math.round(peakAt / 60)}`}
      style={{ display: 'block' }}
    >
      <defs>
        <linearGradient id="effort-ribbon" x1="0" x2={width} y1="0" y2="0" gradientUnits="userSpaceOnUse">
          {effortColours.map((colour, index) => (
            <stop key={colour} offset={`${String(index * 25)}%`} stopColor={colour} />
          ))}
        </linearGradient>
      </defs>
      <polygon
        points={`3,0 ${points.join(' ')} 3,${ruler.height.toFixed(1)}`}
        fill="url(#effort-ribbon)"
        stroke={palette.ink}
        strokeWidth="1"
        strokeLinejoin="round"
      />
    </svg>
  );
}
