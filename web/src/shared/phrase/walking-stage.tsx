import { extentOf, figureMarkup, flattened, walk, walkOfPartner, type Phrase, type View } from '@leiter/core';
import { useEffect, useMemo, useRef } from 'react';
import { palette } from '../palette';
import { bodiesOf, isFarther } from './two-bodies';

export const stageViews = {
  front: { azimuth: 0, elevation: 9 },
  back: { azimuth: 180, elevation: 9 },
  side: { azimuth: 86, elevation: 9 },
} as const satisfies Readonly<Record<string, View>>;
export type StageView = keyof typeof stageViews;

const inks = {
  day: { near: palette.ink, far: palette.far, thing: palette.soft, line: palette.primary, paper: palette.paper, floor: '#E6E1D3' },
  night: {
    near: palette.cream,
    far: palette.nightFar,
    thing: palette.nightThing,
    line: palette.primary,
    paper: palette.night,
    floor: '#26363B',
  },
} as const;
/** Who is not the child stands back in tone. */
const partnerInks = {
  day: { ...inks.day, near: palette.wood, far: '#BFB59E' },
  night: { ...inks.night, near: '#B39B6B', far: '#6E6350' },
} as const;
/** A grown-up of whom the steps are, in metres: the figure is in body lengths. */
const bodyM = 1.7;
/** Sampled so often between two counts to know how much room it takes. */
const samples = 2;

interface Props {
  readonly phrase: Phrase;
  /** Where in the phrase it is, asked in each frame; null while nothing is played. */
  readonly countNow: () => number | null;
  /** The count that is shown while nothing is played. */
  readonly count: number;
  readonly view: StageView;
  readonly width: number;
  readonly height: number;
  readonly tone?: keyof typeof inks;
  readonly label: string;
}

/** The body that walks a phrase over its floor, and the partner’s beside it, moving while it is played: drawn at once into the picture, sixty times a second. */
export function WalkingStage({ phrase, countNow, count, view, width, height, tone = 'day', label }: Props) {
  const strokes = useRef<SVGGElement>(null);
  const bodies = useMemo(() => bodiesOf(phrase), [phrase]);
  const from = stageViews[view];
  const colours = inks[tone];
  const { room, floor } = useMemo(() => {
    const { child, partner } = bodies;
    const moments = Array.from({ length: Math.ceil(child.counts) * samples + 2 }, (_, index) => index / samples - 1).flatMap((count) =>
      partner ? [child.at(count), partner.at(count)] : [child.at(count)],
    );
    const { left, right, top, bottom } = extentOf(moments, from);
    const own = walk(phrase);
    const stands = [...own.stands, ...(walkOfPartner(phrase, own)?.stands ?? [])];
    const spots = stands.flatMap((stand) => [stand.left, stand.right]);
    const [minX, maxX] = [Math.min(...spots.map(({ x }) => x)) - 0.2, Math.max(...spots.map(({ x }) => x)) + 0.2];
    const [minZ, maxZ] = [Math.min(...spots.map(({ z }) => z)) - 0.2, Math.max(...spots.map(({ z }) => z)) + 0.2];
    const corners = (
      [
        [minX, minZ],
        [maxX, minZ],
        [maxX, maxZ],
        [minX, maxZ],
      ] as const
    ).map(([x, z]) => flattened([x / bodyM, 0, z / bodyM], from));
    const [low, far] = [Math.min(bottom, ...corners.map(([, up]) => up)), Math.max(right, ...corners.map(([across]) => across))];
    const near = Math.min(left, ...corners.map(([across]) => across));
    const scale = Math.min((100 * width) / height / (far - near + 0.08), 92 / (top - low + 0.04));
    return {
      room: { left: (near + far) / 2 - (100 * width) / height / scale / 2, scale, base: low },
      floor: corners,
    };
  }, [bodies, phrase, from, width, height]);
  useEffect(() => {
    let frame = 0;
    let shown: number | null = null;
    const draw = (): void => {
      const now = countNow() ?? count;
      // what stands still is drawn once
      if (now !== shown && strokes.current) {
        shown = now;
        const body = bodies.child.at(now);
        const other = bodies.partner?.at(now);
        const drawn = [figureMarkup(body, null, from, room, colours)];
        if (other) drawn.push(figureMarkup(other, null, from, room, partnerInks[tone]));
        strokes.current.innerHTML = (other && !isFarther(body, other, from) ? drawn.toReversed() : drawn).join('');
      }
      frame = requestAnimationFrame(draw);
    };
    draw();
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [bodies, countNow, count, from, room, colours, tone]);
  const at = ([across, up]: readonly [number, number]): string =>
    `${((across - room.left) * room.scale).toFixed(2)},${(93 - (up - room.base) * room.scale).toFixed(2)}`;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${String((100 * width) / height)} 100`}
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <polygon points={floor.map(at).join(' ')} fill={colours.floor} />
      <g ref={strokes} />
    </svg>
  );
}
