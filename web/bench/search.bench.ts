import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readLibrary, type Movement } from '@leiter/core';
import { Bench } from 'tinybench';
import { expect, it } from 'vitest';
import { movementSearch } from '../src/shared/movement-search';

const content = fileURLToPath(new URL('../../content/library/', import.meta.url));

/** The library that ships, again and again under other names, until there are so many. */
function movements(count: number): readonly Movement[] {
  const files = readdirSync(content).map(
    (name) => JSON.parse(readFileSync(content + name, 'utf8')) as { readonly movements: readonly unknown[] },
  );
  const library = readLibrary(files.flatMap((file) => file.movements));
  if (!library.ok) throw new Error('the library that ships is not valid');
  const shipped = [...library.value.values()];
  return Array.from({ length: count }, (_, index) => {
    const movement = shipped[index % shipped.length];
    if (!movement) throw new Error('an empty library');
    const round = Math.floor(index / shipped.length);
    return round === 0 ? movement : { ...movement, slug: `${movement.slug}-${String(round)}`, name: `${movement.name} ${String(round)}` };
  });
}

it('search answers as one types', async () => {
  const search = movementSearch(movements(3000));
  const typed = 'backward roll'.split('').map((_, index, letters) => letters.slice(0, index + 1).join(''));
  const bench = new Bench({ time: 1500, warmupTime: 300 });
  let key = 0;
  bench.add('search: one keystroke, 3,000 movements', () => {
    key = (key + 1) % typed.length;
    search(typed[key] ?? '');
  });
  await bench.run();
  expect(search('backward roll')[0]?.name).toMatch(/^Backward roll/);
  for (const { name, result } of bench.tasks) {
    if (result.state !== 'completed') throw new Error(`${name} did not run to its end`);
    console.log(
      JSON.stringify({ name, medianMs: result.latency.p50, p99Ms: result.latency.p99, limit: 10, runs: result.latency.samplesCount }),
    );
  }
});
