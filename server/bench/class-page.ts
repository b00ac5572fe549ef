import pg from 'pg';
import { at, benchClub, tell, timed } from './bench-club.js';

/** Measures the page of a class with 5,000 and with 50,000 marks in the club, in one run; prints one JSON line per row. */
const rounds = 200;

const club = await benchClub();
const client = new pg.Client({ connectionString: club.databaseUrl });
await client.connect();

/** Marks of all children over three years, of the movements that they have marks of already, until there are so many. */
async function fillTo(wanted: number): Promise<void> {
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
    [Math.max(0, Math.ceil((wanted - stored) / children))],
  );
  await client.query('VACUUM ANALYZE');
}

const [coming] = (await club.ask('GET', 'coming-classes')) as readonly { readonly class: { readonly id: string } }[];
const page = (): Promise<unknown> => club.ask('GET', `classes/${coming?.class.id ?? ''}`);
await fillTo(5000);
const few = await timed(rounds, page);
await fillTo(50_000);
const many = await timed(rounds, page);
tell('page of a class, 5,000 marks in the club', few, null);
tell('page of a class, 50,000 marks in the club', many, null);
console.log(JSON.stringify({ ratio: at(many, 0.5) / at(few, 0.5), tailRatio: at(many, 0.95) / at(few, 0.95), limit: 1.2 }));
await client.end();
await club.close();
