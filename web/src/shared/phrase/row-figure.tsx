import { figureMarkup, type View, type WalkingFigure } from '@leiter/core';
import { palette } from '../palette';

const inks = { near: palette.ink, far: '#93A3A6', thing: palette.soft, line: palette.primary, paper: palette.paper };
const view: View = { azimuth: 0, elevation: 0 };
/** A child with lifted arms fits, in body lengths. */
const tall = 1.3;

/** The strokes of the body on one count of a phrase, as the camera sees it, for `RowFigure`. */
export function rowMarkup(figure: WalkingFigure, at: number): string {
  const body = figure.at(at);
  return figureMarkup(body, null, view, { left: body.pelvis[0] - tall / 2, scale: 100 / tall, base: 0 }, inks);
}

/** The body on one count of a phrase. */
export function RowFigure({ markup, size }: { readonly markup: string; readonly size: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 100 100" aria-hidden="true" style={{ display: 'block' }}>
      <line x1="14" x2="86" y1="93.6" y2="93.6" stroke={palette.line} strokeWidth="2" strokeLinecap="round" />
      <g dangerouslySetInnerHTML={{ __html: markup }} />
    </svg>
  );
}
