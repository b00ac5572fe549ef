import { memo } from 'react';
import { t } from '@lingui/core/macro';
import type { PartnersWalk, PhraseRoom, Walk } from '@leiter/core';
import { palette } from '../../shared/palette';

const round = 0.35;
/** The tone of who is not the child, here as in the figures. */
const partnerInk = palette.wood;
const pixelsAMetre = 92;
/** What stands below it needs so much. */
const leastPixels = 190;

/** Where a phrase goes, from above: the camera is below; left feet are squares, right ones discs, the way of the body a line. */
export const FloorPath = memo(function FloorPath({
  walk,
  partner = null,
  room = null,
  mostPixels = 320,
}: {
  readonly walk: Walk;
  readonly partner?: Pick<PartnersWalk, 'stands' | 'together'> | null;
  readonly room?: PhraseRoom | null;
  readonly mostPixels?: number;
}) {
  const feet = [...walk.stands, ...(partner?.stands ?? [])].flatMap(({ left, right }) => [left, right]);
  const [leftX, rightX] = [Math.min(...feet.map(({ x }) => x)) - round, Math.max(...feet.map(({ x }) => x)) + round];
  const [farZ, nearZ] = [Math.min(...feet.map(({ z }) => z)) - round, Math.max(...feet.map(({ z }) => z)) + round];
  // the room lies so that most of the way is in it: its middle is that of the way
  const [midX, midZ] = [(leftX + rightX) / 2, (farZ + nearZ) / 2];
  const margin = room ? 0.08 : 0;
  const [minX, maxX] = [
    Math.min(leftX, midX - (room?.widthM ?? 0) / 2) - margin,
    Math.max(rightX, midX + (room?.widthM ?? 0) / 2) + margin,
  ];
  const [minZ, maxZ] = [
    Math.min(farZ, midZ - (room?.lengthM ?? 0) / 2) - margin,
    Math.max(nearZ, midZ + (room?.lengthM ?? 0) / 2) + margin,
  ];
  const scale = Math.min(pixelsAMetre, mostPixels / Math.max(maxX - minX, maxZ - minZ));
  const at = (x: number, z: number): readonly [number, number] => [(x - minX) * scale, (z - minZ) * scale];
  const middle = walk.stands.map(({ left, right }) => at((left.x + right.x) / 2, (left.z + right.z) / 2));
  const { lengthM, widthM } = walk.footprint;
  const size = `${widthM.toFixed(1)} × ${lengthM.toFixed(1)} m`;
  return (
    <figure style={{ margin: 0, width: Math.max(leastPixels, (maxX - minX) * scale), maxWidth: '100%' }}>
      <svg
        width={(maxX - minX) * scale}
        height={(maxZ - minZ) * scale}
        viewBox={`0 0 ${String((maxX - minX) * scale)} ${String((maxZ - minZ) * scale)}`}
        role="img"
        aria-label={t`The way over the floor, ${size}`}
        style={{ backgroundColor: palette.white, border: `1px solid ${palette.line}`, borderRadius: 6, maxWidth: '100%', height: 'auto' }}
      >
        {room && (
          <rect
            x={at(midX - room.widthM / 2, 0)[0]}
            y={at(0, midZ - room.lengthM / 2)[1]}
            width={room.widthM * scale}
            height={room.lengthM * scale}
            fill="none"
            stroke={palette.ink}
            strokeWidth="1.5"
            strokeDasharray="7 5"
          />
        )}
        <polyline
          points={middle.map((point) => point.join(',')).join(' ')}
          fill="none"
          stroke={palette.primary}
          strokeWidth="2"
          strokeLinejoin="round"
          opacity="0.6"
        />
        {partner && (
          <g aria-hidden="true">
            <polyline
              points={partner.stands.map(({ left, right }) => at((left.x + right.x) / 2, (left.z + right.z) / 2).join(',')).join(' ')}
              fill="none"
              stroke={partnerInk}
              strokeWidth="2"
              strokeDasharray="5 4"
            />
            {partner.stands.map(({ left, right }, index) =>
              [left, right].map((foot, side) => {
                const [x, y] = at(foot.x, foot.z);
                return (
                  <circle key={`${String(index)} ${String(side)}`} cx={x} cy={y} r="4" fill="none" stroke={partnerInk} strokeWidth="1.5" />
                );
              }),
            )}
          </g>
        )}
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
      <figcaption style={{ fontSize: 13, color: palette.soft }}>
        {t`from above, the camera is below · ${size} · it begins in the ring`}
        {partner && ` · ${t`dashed: the partner`}`}
      </figcaption>
    </figure>
  );
});
