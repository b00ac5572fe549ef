import { groupBy } from '../values/group-by.js';
import type { MovementKind } from './kind.js';
import type { Library } from './library.js';
import type { Movement } from './movement.js';

const indexes = new WeakMap<Library, ReadonlyMap<MovementKind, readonly Movement[]>>();

/** The movements of a kind, in the order of the library; sorted out once for each library, which never changes. */
export function movementsOfKind(library: Library, kind: MovementKind): readonly Movement[] {
  const known = indexes.get(library) ?? groupBy(library.values(), (movement) => movement.kind);
  indexes.set(library, known);
  return known.get(kind) ?? [];
}
