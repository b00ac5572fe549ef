/** What of an entry names other entries. */
export interface NamingEntry {
  readonly slug: string;
  readonly name: string;
  readonly leadsTo: readonly string[];
  readonly undoneBy: readonly string[];
  readonly instead: string | null;
  readonly prerequisites: readonly { readonly movement: string }[];
  readonly tiers: Readonly<Record<string, { readonly prerequisites?: readonly { readonly movement: string }[] }>>;
}

/** An entry once more under another name, with its relations among the entries of the same copy. */
function copyOf<Entry extends NamingEntry>(entry: Entry, copy: number): Entry {
  const named = (slug: string): string => `${slug}-${String(copy)}`;
  const asked = <One extends { readonly movement: string }>(list: readonly One[]): readonly One[] =>
    list.map((one) => ({ ...one, movement: named(one.movement) }));
  return {
    ...entry,
    slug: named(entry.slug),
    name: `${entry.name} ${String(copy)}`,
    leadsTo: entry.leadsTo.map(named),
    undoneBy: entry.undoneBy.map(named),
    instead: entry.instead === null ? null : named(entry.instead),
    prerequisites: asked(entry.prerequisites),
    tiers: Object.fromEntries(
      Object.entries(entry.tiers).map(([name, tier]) => [
        name,
        tier.prerequisites ? { ...tier, prerequisites: asked(tier.prerequisites) } : tier,
      ]),
    ),
  };
}

/** Copies of all entries, so many that there are at least so many; each copy is a library of its own. */
export function movementCopies<Entry extends NamingEntry>(entries: readonly Entry[], least: number): readonly Entry[] {
  const copies = Math.ceil(least / entries.length);
  return Array.from({ length: copies }, (_, copy) => entries.map((entry) => copyOf(entry, copy + 1))).flat();
}
