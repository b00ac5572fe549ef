import { contrast, type Colour } from '@leiter/core';
import type { ClubLook } from '../club/look.service.js';

/** Leiter’s own, where a club has given none. */
export const paperInk: Colour = '#1d2b30';
export const paperGround: Colour = '#fcf8f0';
const ownColour: Colour = '#17525c';

/** Large text is read from this contrast on (WCAG 2.2, 1.4.3). */
const readable = 3;

export interface PaperColours {
  /** Rungs, lines, bands. */
  readonly main: Colour;
  /** A title: the main colour where it can be read on the paper, else ink. */
  readonly title: Colour;
  readonly second: Colour;
}

export function paperColours({ colour, secondColour }: Pick<ClubLook, 'colour' | 'secondColour'>): PaperColours {
  const main = colour ?? ownColour;
  return { main, title: contrast(main, paperGround) >= readable ? main : paperInk, second: secondColour ?? paperInk };
}
