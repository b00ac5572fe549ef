import {
  bodies,
  figureAt,
  figureMarkup,
  levelElevation,
  motionOf,
  roomAt,
  roomFor,
  viewOf,
  type AgeBand,
  type FigureRoom,
  type Motion,
  type Movement,
  type SolvedFigure,
  type View,
} from '@leiter/core';
import { memo, useContext, useEffect, useMemo, useState } from 'react';
import { FigureAge } from './figure-age';
import { palette } from './palette';

type Tone = 'day' | 'night';

const colours: Readonly<
  Record<Tone, { readonly near: string; readonly far: string; readonly floor: string; readonly thing: string; readonly paper: string }>
> = {
  day: { near: palette.ink, far: palette.far, floor: palette.line, thing: palette.edge, paper: palette.paper },
  night: { near: palette.cream, far: palette.nightFar, floor: palette.nightLine, thing: palette.nightThing, paper: palette.night },
};

/** Pictures from this size on move, where motion is not unwanted. */
const leastMovingPixels = 120;
interface Props {
  readonly movement: (Pick<Movement, 'figure' | 'view' | 'plainMeaning'> & Partial<Pick<Movement, 'dose'>>) | undefined;
  readonly size: number;
  readonly tone?: Tone;
  /** The colour behind it, where it is not the paper. */
  readonly behind?: string;
  /** True where the words beside it say the same: it is left out for who does not see it. */
  readonly isDecoration?: boolean;
  /** Where it stands in a larger drawing, which has its own floor. */
  readonly place?: { readonly x: number; readonly y: number };
  /** From where it is seen, where that is not as its entry says. */
  readonly from?: View;
}

/** A movement as a drawn child, made from joint angles: still where it is small, moving at the movement's tempo where it is large. */
export const Figure = memo(function Figure({ movement, size, tone = 'day', behind, isDecoration = true, place, from }: Props) {
  const age = useContext(FigureAge);
  const motion = useMemo(() => motionNamed(movement?.figure ?? [], age), [movement?.figure, age]);
  const view = from ?? viewOf(movement?.view?.facing ?? 'front');
  const isMoving = size >= leastMovingPixels && (motion?.isMoving ?? false);
  const body = useMovingBody(motion, isMoving, isMoving && motion ? roundSeconds(movement?.dose, motion) : 0);
  const room = useMemo(() => (motion ? roomFor(motion, view, isMoving ? 'moving' : 'still') : null), [motion, view, isMoving]);
  const colour = { ...colours[tone], ...(behind === undefined ? {} : { paper: behind }) };
  const words = isDecoration ? ({ 'aria-hidden': true } as const) : ({ role: 'img', 'aria-label': movement?.plainMeaning ?? '' } as const);
  return (
    <svg width={size} height={size} viewBox="0 0 100 100" {...place} {...words} style={{ flexShrink: 0, display: 'block' }}>
      {!place && view.elevation <= levelElevation && (
        <line x1="4" x2="96" y1="93.6" y2="93.6" stroke={colour.floor} strokeWidth={Math.max(1.2, 130 / size)} strokeLinecap="round" />
      )}
      {/* strokes as markup, made of our own numbers: a tenth of the cost of an element each, in lists of hundreds */}
      {body && motion && room && <g dangerouslySetInnerHTML={{ __html: strokes({ body, motion, view, room, colour }) }} />}
    </svg>
  );
});

const motions = new Map<string, Motion | null>();
const motionKeys = new WeakMap<Motion, string>();

/** The motion of poses by name, worked out once: a list scrolled up and down shows the same ones again and again. */
function motionNamed(names: readonly string[], age: AgeBand): Motion | null {
  const key = [age, ...names].join();
  const known = motions.get(key);
  if (known !== undefined) return known;
  const motion = motionOf(names, bodies[age]);
  motions.set(key, motion);
  if (motion) motionKeys.set(motion, key);
  return motion;
}

interface Drawing {
  readonly body: SolvedFigure;
  readonly motion: Motion;
  readonly view: View;
  readonly room: FigureRoom;
  readonly colour: (typeof colours)[Tone];
}

const stills = new Map<string, string>();
const mostStills = 2000;

/** The strokes of a figure as SVG; those of poses that stand still are kept. */
function strokes(drawing: Drawing): string {
  const { body, motion, view, room, colour } = drawing;
  if (body !== motion.stillFigure) return drawn(drawing);
  const key = [motionKeys.get(motion), view.azimuth, view.elevation, room.left, room.scale, colour.near, colour.paper].join();
  const known = stills.get(key) ?? drawn(drawing);
  // one that is turned is seen from everywhere
  if (stills.size >= mostStills) stills.clear();
  stills.set(key, known);
  return known;
}

function drawn({ body, motion, view, room, colour }: Drawing): string {
  return figureMarkup(body, motion, view, roomAt(room, body, view), { ...colour, line: palette.primary });
}

/** One round takes about as long as one repetition; a hold moves slowly into its shape. */
function roundSeconds(dose: Movement['dose'] | undefined, motion: Motion): number {
  const own = dose?.['7-9'] ?? dose?.['10-13'] ?? dose?.['4-6'];
  // there, where it goes there and back
  const steps = (motion.steps * (motion.poses.length - 1)) / motion.path.length;
  const wanted = own?.kind === 'reps' ? own.secondsPerRep : own?.kind === 'counts' ? (4 * 60) / own.bpm : steps * 2.2;
  return Math.max(steps * 0.9, Math.min(steps * 3, wanted));
}

function useMovingBody(motion: Motion | null, isMoving: boolean, seconds: number): SolvedFigure | null {
  const [body, setBody] = useState<SolvedFigure | null>(null);
  useEffect(() => {
    if (!isMoving || !motion || window.matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    let frame = 0;
    let begun: number | null = null;
    const draw = (now: number): void => {
      begun ??= now;
      setBody(figureAt(motion, (now - begun) / 1000 / seconds));
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
      setBody(null);
    };
  }, [motion, isMoving, seconds]);
  return body ?? motion?.stillFigure ?? null;
}
