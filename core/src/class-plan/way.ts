import type { SectionKind } from '../movement/section-kind.js';

/**
 * How an item is taught, which decides its length more than anything that is done (model.md): `flow` goes straight on and is named
 * while moving; `follow` is named, and everybody joins in; `teach` is shown and explained, then done; `watch` is done once by the
 * instructor while all look, then together.
 */
export const ways = ['flow', 'follow', 'teach', 'watch'] as const;
export type Way = (typeof ways)[number];

/** How an instructor teaches a class as a whole: everything along with the children, as it comes, or explained first. */
export const teachingStyles = ['along', 'as-it-comes', 'watch-then-do'] as const;
export type TeachingStyle = (typeof teachingStyles)[number];

/** In which way a section is taught where nobody says otherwise (model.md). */
export const usualWays = {
  opening: 'follow',
  safety: 'follow',
  'warm-up': 'follow',
  mobilise: 'follow',
  basics: 'teach',
  drills: 'teach',
  skill: 'teach',
  strength: 'follow',
  combination: 'teach',
  'cool-down': 'follow',
  closing: 'follow',
} as const satisfies Readonly<Record<SectionKind, Way>>;

/** What opens and closes a class is led along by everybody. */
const ledAlong: ReadonlySet<SectionKind> = new Set(['opening', 'closing']);

/** The way of a section in a style, where the plan does not say one. */
export function usualWay(kind: SectionKind, style: TeachingStyle): Way {
  switch (style) {
    case 'along':
      return 'follow';
    case 'as-it-comes':
      return usualWays[kind];
    case 'watch-then-do':
      return ledAlong.has(kind) ? 'follow' : 'teach';
  }
}
