import { palette } from '../../shared/palette';
import { isUnseen, type WallChild } from './wall';

const width = 64;
const height = 118;
const floor = 112;
const top = 26;
const left = 14;
const right = 50;

/**
 * Where a child stands, as a ladder at the wall: rungs it has climbed are heavy, the next one fills from the left, a small figure stands
 * on the highest. Of whom nothing was seen for long, rails and figure are broken lines: nobody knows.
 */
export function SmallLadder({ one }: { readonly one: WallChild }) {
  const { rungs, climbed, met, of, isEarned } = one;
  const step = (floor - top) / Math.max(1, rungs);
  const y = (rung: number): number => floor - step * rung;
  const isFaint = isUnseen(one);
  const dash = isFaint ? { strokeDasharray: '3 3' } : {};
  const stand = climbed === 0 ? floor : y(climbed);
  const share = of === 0 ? 0 : met / of;
  return (
    <svg viewBox={`0 0 ${String(width)} ${String(height)}`} aria-hidden="true" style={{ width, height, display: 'block', flexShrink: 0 }}>
      <line x1="2" x2={width - 2} y1={floor + 2} y2={floor + 2} stroke={palette.line} strokeWidth="2" />
      <g stroke={palette.ink} strokeWidth="3" strokeLinecap="round" {...dash}>
        <line x1={left} x2={left} y1={top - 12} y2={floor} />
        <line x1={right} x2={right} y1={top - 12} y2={floor} />
      </g>
      {Array.from({ length: rungs }, (_, index) => {
        const rung = index + 1;
        const isNext = rung === climbed + 1;
        return (
          <g key={rung}>
            <line
              x1={left + 2}
              x2={right - 2}
              y1={y(rung)}
              y2={y(rung)}
              stroke={rung <= climbed ? palette.ink : '#CFC6B2'}
              strokeWidth={rung <= climbed ? 4.5 : isNext ? 4.5 : 2}
            />
            {isNext && share > 0 && (
              <line
                x1={left + 2}
                x2={left + 2 + (right - left - 4) * share}
                y1={y(rung)}
                y2={y(rung)}
                stroke={palette.primary}
                strokeWidth={isEarned ? 7 : 4.5}
              />
            )}
          </g>
        );
      })}
      <g
        transform={`translate(${String((left + right) / 2)} ${String(stand - 2)})`}
        stroke={palette.primary}
        strokeWidth="3"
        strokeLinecap="round"
        fill={isFaint ? palette.paper : palette.primary}
        {...(isFaint ? { strokeDasharray: '2 3' } : {})}
      >
        <path d="M-3.5 0 0 -9 3.5 0M0 -9V-16" fill="none" />
        <path d={isEarned ? 'M-6 -22 0 -15 6 -22' : 'M-5 -11 0 -15 5 -11'} fill="none" />
        <circle cx="0" cy="-20.5" r="3.2" strokeWidth="1.5" />
      </g>
    </svg>
  );
}
