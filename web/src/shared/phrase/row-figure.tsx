import { figureMarkup, flattened, type View } from '@leiter/core';
import { palette } from '../palette';
import { isFarther, type Bodies } from './two-bodies';

const inks = { near: palette.ink, far: palette.far, thing: palette.soft, line: palette.primary, paper: palette.paper };
/** Who is not the child stands back in tone. */
const partnerInks = { ...inks, near: palette.wood, far: '#BFB59E' };
const fromFront: View = { azimuth: 0, elevation: 0 };
const fromSide: View = { azimuth: 90, elevation: 0 };
/** A child with lifted arms fits, in body lengths. */
const tall = 1.3;
/** Two who are two lengths of an arm apart fit into so many times that. */
const wide = 1.6;

/** The strokes of the bodies on one count of a phrase, as the camera sees them, or from the side where two stand behind each other. */
export function rowMarkup({ child, partner, isBestFromSide }: Bodies, at: number): string {
  const view = isBestFromSide ? fromSide : fromFront;
  const body = child.at(at);
  const across = flattened(body.pelvis, view)[0];
  const square = { scale: 100 / tall, base: 0 };
  if (!partner) return figureMarkup(body, null, view, { left: across - tall / 2, ...square }, inks);
  const other = partner.at(at);
  const left = (across + flattened(other.pelvis, view)[0] - tall * wide) / 2;
  const drawn = [
    figureMarkup(body, null, view, { left, ...square }, inks),
    figureMarkup(other, null, view, { left, ...square }, partnerInks),
  ];
  return (isFarther(body, other, view) ? drawn : drawn.toReversed()).join('');
}

/** The bodies on one count of a phrase: one in a square, two side by side. */
export function RowFigure({ markup, size, isTwo = false }: { readonly markup: string; readonly size: number; readonly isTwo?: boolean }) {
  const width = isTwo ? 100 * wide : 100;
  return (
    <svg width={(size * width) / 100} height={size} viewBox={`0 0 ${String(width)} 100`} aria-hidden="true" style={{ display: 'block' }}>
      <line x1="14" x2={width - 14} y1="93.6" y2="93.6" stroke={palette.line} strokeWidth="2" strokeLinecap="round" />
      <g dangerouslySetInnerHTML={{ __html: markup }} />
    </svg>
  );
}
