import type { Familiarity, Item, Section } from '../class-plan/class-plan.js';
import { usualWay, type TeachingStyle, type Way } from '../class-plan/way.js';
import type { Movement } from '../movement/movement.js';
import { changesLevel, fetches, type Surroundings } from './surroundings.js';

/**
 * The way of an item: its own; else that of its section, or of the style. In a section of `follow`, what the group knows goes
 * straight on where nobody changes level or fetches anything, and what is new is explained – but not by who teaches everything along.
 * In a section of `teach`, a routine is only named.
 */
export function wayOf(
  item: Pick<Item, 'way' | 'build'>,
  section: Pick<Section, 'kind' | 'way'>,
  movement: Movement,
  {
    familiarity,
    before,
    style,
  }: { readonly familiarity: Familiarity; readonly before: Surroundings | null; readonly style: TeachingStyle },
): Way {
  if (item.way) return item.way;
  const way = section.way ?? usualWay(section.kind, style);
  if (way === 'teach') return familiarity === 'routine' ? 'follow' : 'teach';
  if (way !== 'follow') return way;
  if (familiarity === 'new') return style === 'along' && !section.way ? 'follow' : 'teach';
  return before && !item.build && !changesLevel(movement, before) && !fetches(movement, before) ? 'flow' : 'follow';
}
