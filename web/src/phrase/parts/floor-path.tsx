import { t } from '@lingui/core/macro';
import type { Walk } from '@leiter/core';
import { palette } from '../../shared/palette';

const round = 0.35;
const pixelsAMetre = 92;
const mostPixels = 420;

/** Where a phrase goes, from above: the camera is below; left feet are squares, right ones discs, the way of the body a line. */
export function FloorPath({ walk }: { readonly walk: Walk }) {
  const feet = walk.stands.flatMap(({ left, right }) => [left, right]);
  const [minX, maxX] = [Math.min(...feet.map(({ x }) => x)) - round, Math.max(...feet.map(({ x }) => x)) + round];
  const [minZ, maxZ] = [Math.min(...feet.map(({ z }) => z)) - round, Math.max(...feet.map(({ z }) => z)) + round];
  const scale = Math.min(pixelsAMetre, mostPixels / Math.max(maxX - minX, maxZ - minZ));
  const at = (x: number, z: number): readonly [number, number] => [(x - minX) * scale, (z - minZ) * scale];
  const middle = walk.stands.map(({ left, right }) => at((left.x + right.x) / 2, (left.z + right.z) / 2));
  const { lengthM, widthM } = walk.footprint;
  const size = `${widthM.toFixed(1)} × ${lengthM.toFixed(1)} m`;
  return (
    <figure style={{ margin: 0 }}>
      <svg
        width={(maxX - minX) * scale}
        height={(maxZ - minZ) * scale}
        role="img"
        aria-label={t`The way over the floor, ${size}`}
        style={{ backgroundColor: '#FFFFFF', border: `1px solid ${palette.line}`, borderRadius: 6, maxWidth: '100%' }}
      >
        <polyline
          points={middle.map((point) => point.join(',')).join(' ')}
          fill="none"
          stroke={palette.primary}
          strokeWidth="2"
          strokeLinejoin="round"
          opacity="0.6"
        />
        {walk.stands.map(({ left, right, facing, weight }, index) => {
          const [lx, ly] = at(left.x, left.z);
          const [rx, ry] = at(right.x, right.z);
          const share = 0.35 + (0.65 * index) / Math.max(1, walk.stands.length - 1);
          return (
            <g key={index} opacity={share}>
              {weight !== 'right' && (
                <rect
                  x={lx - 5}
                  y={ly - 8}
                  width="10"
                  height="16"
                  rx="2.5"
                  fill={palette.primary}
                  transform={`rotate(${String(-facing)} ${String(lx)} ${String(ly)})`}
                />
              )}
              {weight !== 'left' && (
                <ellipse
                  cx={rx}
                  cy={ry}
                  rx="5.5"
                  ry="9"
                  fill={palette.caution}
                  transform={`rotate(${String(-facing)} ${String(rx)} ${String(ry)})`}
                />
              )}
            </g>
          );
        })}
        {middle[0] && (
          <circle cx={middle[0][0]} cy={middle[0][1]} r="9" fill="none" stroke={palette.ink} strokeWidth="1.5" strokeDasharray="3 3" />
        )}
      </svg>
      <figcaption
        style={{ fontSize: 13, color: palette.soft }}
      >{t`from above, the camera is below · ${size} · it begins in the ring`}</figcaption>
    </figure>
  );
}
