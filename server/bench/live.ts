import { get } from 'node:http';
import { performance } from 'node:perf_hooks';
import { randomUUID } from 'node:crypto';
import { benchClub, tell } from './bench-club.js';

/** Measures how long a mark takes from one browser to 200 others, while marks come one after the other; prints one JSON line. */
const listeners = 200;
const marks = 60;

const club = await benchClub();
const told: number[] = [];
const sentAt = new Map<string, number>();
const open = await Promise.all(
  Array.from(
    { length: listeners },
    (_, nth) =>
      new Promise<() => void>((resolve, reject) => {
        const url = new URL(`${club.base}/events`);
        // thirty tabs of one person are the most: the five people of the demo club and their seconds share them
        const request = get(url, { headers: { cookie: club.cookies[nth % club.cookies.length] ?? '' }, agent: false }, (response) => {
          if (response.statusCode !== 200) {
            reject(new Error(`listener ${String(nth)} got ${String(response.statusCode)}`));
            return;
          }
          response.setEncoding('utf8');
          response.on('data', (chunk: string) => {
            for (const [, id = ''] of chunk.matchAll(/"mark":\{"id":"([^"]+)"/g)) {
              const begun = sentAt.get(id);
              if (begun !== undefined) told.push(performance.now() - begun);
            }
          });
          resolve(() => {
            response.destroy();
            request.destroy();
          });
        });
        request.on('error', () => undefined);
      }),
  ),
);
const [child] = (await club.ask('GET', 'children')) as readonly { readonly id: string }[];
for (let nth = 0; nth < marks; nth += 1) {
  const id = randomUUID();
  sentAt.set(id, performance.now());
  await club.ask('PUT', `observations/${id}`, {
    childId: child?.id,
    movement: 'cartwheel',
    side: 'left',
    mark: 'alone',
    measure: {},
    faults: [],
    note: '',
    seenOn: '2026-01-05',
    source: 'class',
  });
}
for (let waited = 0; told.length < listeners * marks && waited < 100; waited += 1) await new Promise((resolve) => setTimeout(resolve, 50));
for (const close of open) close();
tell(
  `a mark from one browser to ${String(listeners)} others (${String(told.length)} of ${String(listeners * marks)} arrived)`,
  told.slice(listeners * 6).toSorted((one, other) => one - other),
  300,
);
await club.close();
