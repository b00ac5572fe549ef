import 'reflect-metadata';
import { performance } from 'node:perf_hooks';
import { makeApp } from '#server/app';
import { DemoClubService } from '#server/demo/demo-club.service';
import { demoPassword } from '#server/demo/demo-people';
import { DataSource } from 'typeorm';

/** The demo club behind a real server, asked over HTTP by its owner. */
export interface BenchClub {
  readonly databaseUrl: string;
  readonly base: string;
  /** Of sessions of all the people of the club, the owner's first. */
  readonly cookies: readonly string[];
  /** One request; an answer that is no success is an error. */
  readonly ask: (method: 'GET' | 'POST' | 'PUT' | 'DELETE', path: string, body?: unknown) => Promise<unknown>;
  readonly close: () => Promise<void>;
}

export async function benchClub(): Promise<BenchClub> {
  const databaseUrl = process.env['LEITER_BENCH_DATABASE_URL'] ?? '';
  const app = await makeApp({ databaseUrl, logLevels: ['error', 'fatal'] });
  await app.get(DemoClubService).load();
  await app.listen(0, '127.0.0.1');
  const base = `${await app.getUrl()}/api`;
  const json = { 'content-type': 'application/json' };
  // 200 pages are more than the five people of the demo club may have open
  await app.get(DataSource).query(`
    INSERT INTO person (club_id, name, email, role, password_hash)
    SELECT club_id, name || ' ' || n, 'bench-' || n || '@sail-loft.example', 'assistant', password_hash
    FROM (SELECT * FROM person WHERE role = 'assistant' LIMIT 1) p, generate_series(1, 8) n ON CONFLICT DO NOTHING`);
  const emails = ['owner', ...Array.from({ length: 8 }, (_, nth) => `bench-${String(nth + 1)}`)];
  const cookies: string[] = [];
  for (const email of emails) {
    const signedIn = await fetch(`${base}/session`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ email: `${email}@sail-loft.example`, password: demoPassword }),
    });
    cookies.push(/leiter=[^;]+/.exec(signedIn.headers.get('set-cookie') ?? '')?.[0] ?? '');
  }
  const [cookie = ''] = cookies;
  return {
    databaseUrl,
    base,
    cookies,
    ask: async (method, path, body) => {
      const answer = await fetch(`${base}/${path}`, {
        method,
        headers: body === undefined ? { cookie } : { cookie, ...json },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
      if (!answer.ok) throw new Error(`${path} answered ${String(answer.status)}`);
      return answer.status === 204 ? undefined : await answer.json();
    },
    close: () => app.close(),
  };
}

/** @returns milliseconds of each round but the first tenth, which warms up, in order of size. */
export async function timed(rounds: number, work: () => Promise<unknown>): Promise<readonly number[]> {
  const taken: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const begun = performance.now();
    await work();
    taken.push(performance.now() - begun);
  }
  return taken.slice(rounds / 10).toSorted((a, b) => a - b);
}

export const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

/** Prints one row of the bench as a JSON line. */
export function tell(name: string, sorted: readonly number[], limit: number | null): void {
  console.log(JSON.stringify({ name, medianMs: at(sorted, 0.5), p95Ms: at(sorted, 0.95), limit, runs: sorted.length }));
}
