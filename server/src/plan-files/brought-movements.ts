import type { PlanFile } from '@leiter/contract';
import { accepted, libraryFaultWords, libraryWithRows, readBeside, refused, type Library, type Result } from '@leiter/core';

/** What does not fit, by the path in the file. */
export interface PreviewFault {
  readonly field: string;
  readonly message: string;
}

/** Who writes a plan asks again and again with the same entries: so many libraries with them are kept, each of at most so many letters. */
const mostKept = 8;
const mostLetters = 400_000;
const kept = new WeakMap<Library, Map<string, Library>>();
const withRows = new WeakMap<Library, Library>();

function keep(own: Library, text: string, library: Library): void {
  if (text.length > mostLetters) return;
  const all = kept.get(own) ?? new Map<string, Library>();
  kept.set(own, all);
  const [oldest] = all.keys();
  if (all.size >= mostKept && oldest !== undefined) all.delete(oldest);
  all.set(text, library);
}

/** A library with what was brought along, with what follows from the steps of its entries. */
export function broughtWithRows(library: Library): Library {
  const found = withRows.get(library) ?? libraryWithRows(library);
  withRows.set(library, found);
  return found;
}

/** The club's library with what the file brings along; an entry of the file counts before that of the club. */
export function withInline(own: Library, file: PlanFile): Result<Library, readonly PreviewFault[]> {
  const misnamed = file.sections.flatMap(({ items }, section) =>
    items.flatMap(({ movement, movementInline }, item) => {
      const slug = movementInline ? slugIn(movementInline) : '';
      if (slug === '' || slug === movement) return [];
      const field = `plan.sections.${String(section)}.items.${String(item)}.movementInline.slug`;
      return [{ field, message: `The item names “${movement}”, its entry “${slug}”: they have to be the same.` }];
    }),
  );
  if (misnamed.length > 0) return refused(misnamed);
  const inline = file.sections.flatMap(({ items }, section) =>
    items.flatMap(({ movement, movementInline }, item) =>
      movementInline
        ? [{ path: `plan.sections.${String(section)}.items.${String(item)}.movementInline`, entry: { slug: movement, ...movementInline } }]
        : [],
    ),
  );
  const listed = (file.movements ?? []).map((entry, index) => ({ path: `plan.movements.${String(index)}`, entry }));
  const brought = new Map([...listed, ...inline].map((one) => [slugIn(one.entry), one]));
  if (brought.size === 0) return accepted(own);
  const entries = [...brought.values()].map(({ entry }) => entry);
  const text = JSON.stringify(entries);
  const before = kept.get(own)?.get(text);
  if (before) return accepted(before);
  const read = readBeside(own, entries);
  if (read.ok) {
    keep(own, text, read.value);
    return accepted(read.value);
  }
  return refused(
    read.error.map((fault) => ({
      field: `${brought.get(fault.entry)?.path ?? 'plan.movements'}${fault.field === '' ? '' : `.${fault.field}`}`,
      message: libraryFaultWords(fault),
    })),
  );
}

function slugIn(entry: object): string {
  return 'slug' in entry && typeof entry.slug === 'string' ? entry.slug : '';
}
