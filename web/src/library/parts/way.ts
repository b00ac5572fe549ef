import type { Library, Mark, Movement } from '@leiter/core';

/** A step on the way to a movement, or from it. */
export interface WayStep {
  readonly slug: string;
  /** Below zero: so many steps before the movement; above: after. */
  readonly distance: number;
}

export interface WayLink {
  readonly from: string;
  readonly to: string;
  /** How well the first has to stand before the second; null where it only leads there. */
  readonly mark: Mark | null;
}

export interface Way {
  readonly steps: readonly WayStep[];
  readonly links: readonly WayLink[];
}

const stepsBefore = 3;
const stepsAfter = 2;
const mostSteps = 28;

/** What leads to a movement, up to three steps back, and where it leads, up to two on: the near ones first where there are many. */
export function wayOf(movement: Movement, library: Library): Way {
  const before = walk(movement.slug, stepsBefore, (slug) => library.get(slug)?.prerequisites.map((one) => one.movement) ?? []);
  const after = walk(movement.slug, stepsAfter, (slug) => library.get(slug)?.leadsTo ?? []);
  const steps = [
    { slug: movement.slug, distance: 0 },
    ...[...before].map(([slug, distance]) => ({ slug, distance: -distance })),
    ...[...after].map(([slug, distance]) => ({ slug, distance })),
  ]
    .filter(({ slug }) => library.has(slug))
    .sort((one, other) => Math.abs(one.distance) - Math.abs(other.distance))
    .slice(0, mostSteps);
  const shown = new Set(steps.map(({ slug }) => slug));
  const links = new Map<string, WayLink>();
  for (const slug of shown) {
    const one = library.get(slug);
    for (const { movement: first, mark } of one?.prerequisites ?? [])
      if (shown.has(first)) links.set(`${first} ${slug}`, { from: first, to: slug, mark });
    for (const next of one?.leadsTo ?? [])
      if (shown.has(next) && !links.has(`${slug} ${next}`)) links.set(`${slug} ${next}`, { from: slug, to: next, mark: null });
  }
  return { steps, links: [...links.values()] };
}

function walk(start: string, most: number, nextOf: (slug: string) => readonly string[]): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  let open: readonly string[] = [start];
  for (let distance = 1; distance <= most; distance += 1) {
    const reached = [...new Set(open.flatMap(nextOf))].filter((slug) => slug !== start && !found.has(slug));
    for (const slug of reached) found.set(slug, distance);
    open = reached;
  }
  return found;
}
