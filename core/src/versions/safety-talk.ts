import type { Library } from '../movement/library.js';
import type { Surface } from '../movement/movement.js';
import type { Timeline } from '../timing/timeline.js';
import type { ChildInClass } from './child-in-class.js';
import { homeListOf } from './home-list.js';
import type { Version } from './version.js';

const slippery: ReadonlySet<Surface> = new Set(['wood', 'tiles']);

/**
 * The safety and space talk, made from the plan (safety.md): what this class needs, and nothing else. Of the children only
 * their floors are looked at; no name is in it.
 */
export function safetyTalkOf(
  timeline: Timeline,
  versions: readonly Version[],
  children: readonly ChildInClass[],
  library: Library,
): readonly string[] {
  const items = timeline.items.map(({ item }) => item);
  const lists = children.map((child) => homeListOf(child, versions, library, items));
  const movements = timeline.items.map(({ movement }) => movement);
  const floors = movements.map(({ needs: { footprint } }) => footprint);
  // what the one clears who needs most; as the library says it where nobody is expected yet
  const [length, width] =
    lists.length > 0
      ? [Math.max(...lists.map(({ lengthM }) => lengthM)), Math.max(...lists.map(({ widthM }) => widthM))]
      : [
          Math.max(0, ...floors.map(({ lengthM, widthM }) => Math.max(lengthM, widthM))),
          Math.max(0, ...floors.map(({ lengthM, widthM }) => Math.min(lengthM, widthM))),
        ];
  const jumps = movements.some(
    ({ hazards, view }) => hazards.includes('hard-landing') || hazards.includes('soft-landing') || view?.framing === 'jump',
  );
  const surfaces = new Set(children.flatMap(({ home }) => home?.surface ?? []));
  const things = [...new Set([...movements.flatMap(({ needs }) => needs.equipment), ...items.flatMap(({ build }) => build?.what ?? [])])];
  const adults = lists.filter(({ adult }) => adult !== 'none').length;
  return [
    [...surfaces].some((surface) => slippery.has(surface)) ? 'Bare feet on wood and tiles: socks slip.' : 'Bare feet.',
    ...(surfaces.has('concrete') ? ['Shoes on concrete.'] : []),
    `Clear ${length.toFixed(1)} × ${width.toFixed(1)} m. Arms out, turn round: nothing to touch. One leg out to each side.`,
    ...(jumps ? ['Look up: no lamp, no beam above you.'] : []),
    'Pets and little ones out of the way.',
    'Water beside you.',
    adults > 0 ? 'Tell an adult that we begin; today some of you need one close by.' : 'Tell an adult that we begin.',
    ...(things.length > 0 ? [`Fetch now: ${things.join(', ')}.`] : []),
    'Stop when it hurts, and tell me.',
    'Is anybody hurt or ill today? Tell me before we begin.',
  ];
}
