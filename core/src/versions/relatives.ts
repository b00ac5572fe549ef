import { movementsOfKind } from '../movement/by-kind.js';
import type { Library } from '../movement/library.js';
import type { MovementKind } from '../movement/kind.js';
import type { Movement } from '../movement/movement.js';
import type { Region } from '../movement/region.js';

/** What else there is for a movement in a library: found once, for all children and all plans. */
export interface Relatives {
  /** What is done instead and what comes before, and before that: the nearest first. */
  readonly easierThan: (movement: Movement) => readonly Movement[];
  /** Others of the same kind and use, no harder than it: they ready, stretch or load the same; the nearest first. */
  readonly standInsFor: (movement: Movement) => readonly Movement[];
}

const known = new WeakMap<Library, Relatives>();

export function relativesIn(library: Library): Relatives {
  const relatives = known.get(library) ?? {
    easierThan: askedOnce((movement) => easierRelatives(movement, library)),
    standInsFor: askedOnce((movement) => sameUse(movement, library)),
  };
  known.set(library, relatives);
  return relatives;
}

function askedOnce(ask: (movement: Movement) => readonly Movement[]): (movement: Movement) => readonly Movement[] {
  const answers = new WeakMap<Movement, readonly Movement[]>();
  return (movement) => {
    let answer = answers.get(movement);
    if (!answer) answers.set(movement, (answer = ask(movement)));
    return answer;
  };
}

/** How far from a movement its easier relatives are looked for. */
const furthestRelative = 4;

function easierRelatives(movement: Movement, library: Library): readonly Movement[] {
  const seen = new Set([movement.slug]);
  const found: Movement[] = [];
  let open: readonly Movement[] = [movement];
  for (let distance = 1; distance <= furthestRelative && open.length > 0; distance += 1) {
    const next: Movement[] = [];
    for (const { instead, prerequisites } of open)
      for (const slug of [...(instead === null ? [] : [instead]), ...prerequisites.map((one) => one.movement)]) {
        const relative = seen.has(slug) ? undefined : library.get(slug);
        seen.add(slug);
        if (relative) next.push(relative);
      }
    found.push(...next);
    open = next;
  }
  return found;
}

/** What stands in for a stretch, a warm-up or a game need not be a step towards it; for a skill it has to be. */
const learnt: ReadonlySet<MovementKind> = new Set(['skill', 'drill', 'combination']);

function sameUse(movement: Movement, library: Library): readonly Movement[] {
  if (learnt.has(movement.kind)) return [];
  const wanted = useOf(movement);
  const shared = (one: Movement): number => [...useOf(one)].filter((region) => wanted.has(region)).length;
  return movementsOfKind(library, movement.kind)
    .filter(
      (one) =>
        one.slug !== movement.slug &&
        one.effort <= movement.effort &&
        one.sections.some((section) => movement.sections.includes(section)) &&
        (one.programmes.length === 0 || one.programmes.some((programme) => movement.programmes.includes(programme))),
    )
    .map((one) => ({ one, shared: shared(one) }))
    .filter((found) => wanted.size === 0 || found.shared > 0)
    .sort((a, b) => b.shared - a.shared)
    .map(({ one }) => one);
}

const useOf = ({ prepares, lengthens, loads }: Movement): ReadonlySet<Region> =>
  new Set([...prepares, ...lengthens, ...loads.map(({ region }) => region)]);
