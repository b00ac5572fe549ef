import { differingFields } from '../differing-fields.js';
import type { Library } from './library.js';
import type { Movement } from './movement.js';
import type { MovementSlug } from '../unit.js';

/** What taking in a library would do to the one that is there. */
export interface LibraryChanges {
  readonly added: readonly MovementSlug[];
  /** Entries that are there already and would read differently, with the fields in which they do. */
  readonly changed: readonly { readonly slug: MovementSlug; readonly fields: readonly string[] }[];
  /** Entries that are the same already. */
  readonly same: readonly MovementSlug[];
}

/** Compares entries by what they say, whatever the order of their fields. Entries that the incoming ones do not name stay. */
export function libraryChanges(current: Library, incoming: Iterable<Movement>): LibraryChanges {
  const added: MovementSlug[] = [];
  const changed: { readonly slug: MovementSlug; readonly fields: readonly string[] }[] = [];
  const same: MovementSlug[] = [];
  for (const movement of incoming) {
    const before = current.get(movement.slug);
    if (!before) {
      added.push(movement.slug);
      continue;
    }
    const fields = differingFields(before, movement);
    if (fields.length > 0) changed.push({ slug: movement.slug, fields });
    else same.push(movement.slug);
  }
  return { added, changed, same };
}
