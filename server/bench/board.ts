import { at, benchClub, tell, timed } from './bench-club.js';
import pg from 'pg';

/** Measures the board of a group over HTTP beside the same SQL sent by hand, in one run; prints one JSON line per row. */
const rounds = 400;
const wantedObservations = 100_000;

const club = await benchClub();

/** Children in other groups and marks of all, over three years, until there are enough. */
async function fill(client: pg.Client): Promise<void> {
  await client.query(`
    WITH added AS (
      INSERT INTO child (club_id, given_name, family_initial, birth_date, lead_side, household)
      SELECT c.club_id, 'Child ' || n, 'X.', '2017-05-05', 'left', c.household
      FROM (SELECT club_id, household FROM child LIMIT 1) c, generate_series(1, 450) n RETURNING id, club_id)
    INSERT INTO enrolment (club_id, child_id, group_id, from_day)
    SELECT a.club_id, a.id, (SELECT id FROM teaching_group WHERE name = 'Undertow'), '2024-01-01' FROM added a`);
  const { rows } = await client.query<{ stored: number; children: number }>(
    'SELECT (SELECT count(*) FROM observation)::int AS stored, (SELECT count(*) FROM child)::int AS children',
  );
  const { stored = 0, children = 1 } = rows[0] ?? {};
  await client.query(
    `INSERT INTO observation (id, club_id, child_id, movement_slug, side, mark, measure, faults, note, seen_on, source)
     SELECT gen_random_uuid(), c.club_id, c.id, m.slug, 'none', (ARRAY['not-yet', 'with-help', 'alone', 'clean'])[1 + n % 4], '{}', '{}', '',
            current_date - 80 - (n * 5) % 900, 'entered-later'
     FROM child c CROSS JOIN generate_series(1, $1) n
     JOIN LATERAL (SELECT slug FROM movement WHERE club_id = c.club_id ORDER BY slug OFFSET n % 80 LIMIT 1) m ON true`,
    [Math.ceil((wantedObservations - stored) / children)],
  );
  await client.query('VACUUM ANALYZE');
}

const client = new pg.Client({ connectionString: club.databaseUrl });
await client.connect();
await fill(client);
const { rows: counted } = await client.query<{ count: string }>('SELECT count(*) FROM observation');

const groups = (await club.ask('GET', 'groups')) as readonly { readonly id: string; readonly name: string }[];
const group = groups.find(({ name }) => name === 'Kittiwakes')?.id ?? '';
const board = (): Promise<unknown> => club.ask('GET', `groups/${group}/board`);

/** What one request for the board sends to the database, as it sends it. */
async function statements(): Promise<readonly { readonly text: string; readonly values: unknown[] }[]> {
  const sent: { readonly text: string; readonly values: unknown[] }[] = [];
  const prototype = pg.Client.prototype as { query: (...given: unknown[]) => unknown };
  const original = prototype.query;
  prototype.query = function (this: unknown, ...given: unknown[]) {
    const [text, values] = given;
    if (typeof text === 'string' && /^\s*SELECT/i.test(text))
      sent.push({ text, values: Array.isArray(values) ? (values as unknown[]) : [] });
    return original.apply(this, given);
  };
  await board();
  prototype.query = original;
  return sent;
}

await board();
const sql = await statements();
const overHttp = await timed(rounds, board);
const byHand = await timed(rounds, async () => {
  for (const { text, values } of sql) await client.query(text, values);
});
await client.end();
await club.close();

const stored = Number(counted[0]?.count ?? 0).toLocaleString('en-GB');
tell(`board of a group over HTTP, ${stored} observations stored`, overHttp, 40);
tell(`the same ${String(sql.length)} statements by hand, one after the other`, byHand, null);
console.log(JSON.stringify({ ratio: at(overHttp, 0.95) / at(byHand, 0.95), medianRatio: at(overHttp, 0.5) / at(byHand, 0.5), limit: 1.3 }));
