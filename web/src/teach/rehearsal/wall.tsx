import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { marks, type Mark } from '@leiter/core';
import { useEffect, useRef } from 'react';
import { palette } from '../../shared/palette';
import { Rungs } from '../../shared/rungs';
import { markWords } from '../../shared/words';
import type { OnWall } from './use-rehearsal';
import { framesOfRound, knownFrames, makeFrames, paint, type Frames } from './wall-frames';

/** A room by its floor: wall, floor, and the child in it. */
const rooms: Readonly<Record<OnWall['floor'], { readonly wall: string; readonly floor: string; readonly edge: string }>> = {
  carpet: { wall: '#D9D2C3', floor: '#9AA79B', edge: '#7F8B80' },
  wood: { wall: '#E4DCCB', floor: '#C39A6B', edge: '#A37E55' },
  mat: { wall: '#CFD6D6', floor: '#6E93A0', edge: '#587A86' },
};
const inks = { near: palette.ink, far: '#5F7074' } as const;
const size = { width: 240, height: 168 } as const;
/** At this distance a child fills most of its picture. */
const nearMetres = 2;

interface Props {
  readonly wall: readonly OnWall[];
  readonly chosen: string | null;
  readonly onChoose: (childId: string) => void;
  readonly onMark: (childId: string, mark: Mark) => void;
  /** False while nothing can be marked. */
  readonly canMark: boolean;
}

/** The group as a call would show it: small pictures in which each child does what it can, a moment late. */
export function Wall({ wall, chosen, onChoose, onMark, canMark }: Props) {
  const canvases = useRef(new Map<string, HTMLCanvasElement>());
  const latest = useRef(wall);
  useEffect(() => {
    latest.current = wall;
  });
  useEffect(() => {
    let frame = 0;
    const last = new Map<string, Frames>();
    const draw = (now: number): void => {
      frame = requestAnimationFrame(draw);
      // one that is new is drawn beforehand, one in a frame: the others go on meanwhile
      let isMade = false;
      for (const child of latest.current) {
        const ink = canvases.current.get(child.child)?.getContext('2d', { alpha: false });
        if (!ink) continue;
        let frames = knownFrames(child.variant);
        if (frames === undefined && !isMade) {
          frames = makeFrames(child.variant);
          isMade = true;
        }
        const shown = frames ?? last.get(child.child);
        if (frames) last.set(child.child, frames);
        paintPicture(ink, child, shown, now / 1000);
      }
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, []);
  const columns = wall.length <= 2 ? 1 : wall.length <= 6 ? 2 : wall.length <= 12 ? 3 : 4;
  return (
    <Box
      component="ul"
      aria-label={t`The group`}
      sx={{
        listStyle: 'none',
        m: 0,
        p: 1,
        display: 'grid',
        gridTemplateColumns: `repeat(${String(columns)}, 1fr)`,
        gap: 0.75,
        alignContent: 'start',
        overflowY: 'auto',
        minHeight: 0,
      }}
    >
      {wall.map((child) => (
        <Box component="li" key={child.child} sx={{ minWidth: 0, position: 'relative' }}>
          <Box
            component="button"
            type="button"
            aria-pressed={child.child === chosen}
            aria-label={child.label}
            onClick={() => {
              onChoose(child.child);
            }}
            sx={{
              display: 'block',
              position: 'relative',
              width: '100%',
              p: 0,
              border: `3px solid ${child.child === chosen ? palette.glow : 'transparent'}`,
              background: 'none',
              cursor: 'pointer',
              font: 'inherit',
            }}
          >
            <canvas
              ref={(canvas) => {
                if (canvas) canvases.current.set(child.child, canvas);
                else canvases.current.delete(child.child);
              }}
              width={size.width}
              height={size.height}
              style={{ display: 'block', width: '100%' }}
            />
            <Box
              component="span"
              sx={{
                position: 'absolute',
                left: 0,
                bottom: 0,
                px: 0.75,
                fontSize: 14,
                backgroundColor: 'rgba(18, 25, 28, 0.82)',
                color: palette.cream,
                display: 'flex',
                gap: 0.5,
                alignItems: 'center',
              }}
            >
              {child.given && <Rungs climbed={marks.indexOf(child.given.mark)} tone="night" height={14} />}
              {child.label}
            </Box>
          </Box>
          {child.child === chosen && canMark && (
            <Box
              sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, 1fr)', gap: '3px', position: 'absolute', top: 6, left: 6, right: 6 }}
            >
              {marks.map((mark, index) => (
                <Box
                  key={mark}
                  component="button"
                  type="button"
                  aria-label={t`${child.label}: ${markWords[mark]}`}
                  aria-pressed={child.given?.mark === mark}
                  onClick={() => {
                    onMark(child.child, mark);
                  }}
                  sx={{
                    border: `1px solid ${palette.soft}`,
                    background: child.given?.mark === mark ? palette.glow : 'rgba(18, 25, 28, 0.82)',
                    color: child.given?.mark === mark ? palette.night : palette.cream,
                    font: 'inherit',
                    fontSize: 13,
                    p: '3px 0',
                    cursor: 'pointer',
                  }}
                >
                  {`${String(index + 1)} ${markWords[mark]}`}
                </Box>
              ))}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}

function paintPicture(ink: CanvasRenderingContext2D, child: OnWall, frames: Frames | null | undefined, seconds: number): void {
  const { width, height } = size;
  const room = rooms[child.floor];
  const scale = (height * 0.74 * nearMetres) / child.distance;
  const cut = child.cut === 'knees' ? 0.3 : child.cut === 'feet' ? 0.1 : 0;
  const floor = child.cut === 'nothing' ? height * 0.94 - (child.distance - nearMetres) * 11 : height + scale * cut;
  const corner = Math.min(height * 0.78, floor - scale * 0.12);
  ink.fillStyle = room.wall;
  ink.fillRect(0, 0, width, corner);
  ink.fillStyle = room.floor;
  ink.fillRect(0, corner, width, height - corner);
  ink.fillStyle = room.edge;
  ink.fillRect(0, corner - 2, width, 3);
  if (child.doing === 'is-away' || !frames) return;
  const share = (((seconds - child.delaySeconds) / child.roundSeconds) % 1) + 1;
  const frame = frames[Math.floor((share % 1) * framesOfRound) % framesOfRound];
  if (frame) paint(ink, frame, inks, width / 2, floor, scale);
}
