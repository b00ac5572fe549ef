import { differingFields } from '../values/differing-fields.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { Library } from './library.js';
import { unsaidIn, unsignable, unsignableWords, type Unsaid } from './careful.js';
import type { LibraryFault } from './library-fault.js';
import type { Fields } from './library-shapes.js';
import { readLibrary } from './library-file.js';
import type { Movement } from './movement.js';
import type { MovementSlug } from '../values/unit.js';

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

/** What whoever takes entries in should look at; none of it keeps them out. */
export interface LibraryCare {
  /** What safety rests on and the file did not say: it was filled on the careful side. */
  readonly filled: readonly { readonly slug: string; readonly fields: readonly Unsaid[] }[];
  /** What a coach would not sign, as sentences. */
  readonly unsignable: readonly { readonly slug: string; readonly why: string }[];
}

/** What taking entries in would do: what is different, and the entries to be written. */
export interface LibraryIntake {
  readonly changes: LibraryChanges;
  readonly care: LibraryCare;
  readonly movements: readonly Movement[];
}

/**
 * Reads entries beside those that are there: what they refer to may be in the file or in the library.
 * @returns what would be different, or all that is wrong by entry and field
 */
export function libraryIntake(current: Library, entries: readonly object[]): Result<LibraryIntake, readonly LibraryFault[]> {
  // what is wrong in the file itself is told first; what it names may be in the library
  const alone = readLibrary(entries);
  const own = alone.ok ? [] : alone.error.filter(({ kind }) => kind !== 'dangling');
  if (own.length > 0) return refused(own);
  const named = new Set(entries.map((entry) => ('slug' in entry ? entry.slug : undefined)));
  const others = [...current.values()].filter(({ slug }) => !named.has(slug));
  // the others come first: a name that is there already is the fault of the entry that takes it again
  const whole = readLibrary([...others, ...entries]);
  if (!whole.ok) return refused(whole.error);
  const incoming = [...whole.value.values()].filter(({ slug }) => named.has(slug));
  const changes = libraryChanges(current, incoming);
  const touched = new Set<string>([...changes.added, ...changes.changed.map(({ slug }) => slug)]);
  const movements = incoming.filter(({ slug }) => touched.has(slug));
  const filled = entries.flatMap((entry) => {
    const fields = unsaidIn(entry as Fields);
    return 'slug' in entry && typeof entry.slug === 'string' && touched.has(entry.slug) && fields.length > 0
      ? [{ slug: entry.slug, fields }]
      : [];
  });
  const unsigned = unsignable(movements, whole.value).map((fault) => ({ slug: fault.entry, why: unsignableWords(fault) }));
  return accepted({ changes, movements, care: { filled, unsignable: unsigned } });
}
