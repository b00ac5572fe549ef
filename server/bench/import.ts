import { benchClub, tell, timed } from './bench-club.js';

/** Measures taking in 3,000 movements over HTTP beside looking at the same file; prints one JSON line per row. */
interface Entry {
  readonly slug: string;
  readonly name: string;
  readonly leadsTo: readonly string[];
  readonly undoneBy: readonly string[];
  readonly instead: string | null;
  readonly prerequisites: readonly { readonly movement: string }[];
  readonly tiers: Readonly<Record<string, { readonly prerequisites?: readonly { readonly movement: string }[] }>>;
}

const club = await benchClub();
const { movements } = (await club.ask('GET', 'library/export')) as { readonly movements: readonly Entry[] };

/** An entry once more under another name, with its relations among the entries of the same copy. */
function copyOf(entry: Entry, copy: number): Entry {
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

const copies = Math.ceil(3000 / movements.length);
const file = {
  format: 'leiter-library/1',
  movements: Array.from({ length: copies }, (_, copy) => movements.map((entry) => copyOf(entry, copy + 1))).flat(),
};
const count = file.movements.length.toLocaleString('en-GB');
const looked = await timed(8, () => club.ask('POST', 'library/import?dryRun=true', file));
const taken: number[] = [];
for (let round = 0; round < 8; round++) {
  let importId = '';
  taken.push(
    ...(await timed(1, async () => {
      importId = ((await club.ask('POST', 'library/import', file)) as { readonly importId: string }).importId;
    })),
  );
  await club.ask('DELETE', `library/imports/${importId}`);
}
await club.close();
tell(
  `taking in ${count} movements over HTTP`,
  taken.toSorted((a, b) => a - b),
  5000,
);
tell(`looking at the same file, nothing stored`, looked, null);
