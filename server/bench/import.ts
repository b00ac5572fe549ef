import { movementCopies, type NamingEntry } from '@leiter/core/testing/movement-copies';
import { benchClub, tell, timed } from './bench-club.js';

/** Measures taking in 3,000 movements over HTTP beside looking at the same file; prints one JSON line per row. */
const club = await benchClub();
const { movements } = (await club.ask('GET', 'library/export')) as { readonly movements: readonly NamingEntry[] };

const file = { format: 'leiter-library/1', movements: movementCopies(movements, 3000) };
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
