import pg from 'pg';
import { Forecasts } from '#server/record/forecasts';
import { at, benchClub, timed } from './bench-club.js';

/** Measures the board of a group of thirty over HTTP without forecasts, with those that are kept, and with all reckoned anew; prints one JSON line. */
const rounds = 60;
const wantedChildren = 30;

const club = await benchClub();
const client = new pg.Client({ connectionString: club.databaseUrl });
await client.connect();
// more children of the group, each with the marks and the roll of one that is there
await client.query(
  `WITH own AS (
     SELECT c.*, e.group_id, row_number() OVER (ORDER BY c.given_name) AS nth FROM child c JOIN enrolment e ON e.child_id = c.id AND e.to_day IS NULL
     JOIN teaching_group t ON t.id = e.group_id AND t.name = 'Kittiwakes'),
   wanted AS (
     SELECT gen_random_uuid() AS id, o.id AS like_id, o.club_id, o.group_id, o.birth_date, o.lead_side, o.household, n
     FROM generate_series((SELECT count(*) FROM own) + 1, $1::int) n JOIN own o ON o.nth = 1 + n % (SELECT count(*) FROM own)),
   added AS (
     INSERT INTO child (id, club_id, given_name, family_initial, birth_date, lead_side, household)
     SELECT id, club_id, 'Child ' || n, 'X.', birth_date, lead_side, household FROM wanted RETURNING id),
   enrolled AS (
     INSERT INTO enrolment (club_id, child_id, group_id, from_day) SELECT club_id, id, group_id, current_date - 400 FROM wanted),
   came AS (
     INSERT INTO attendance (club_id, class_id, child_id, status)
     SELECT a.club_id, a.class_id, w.id, a.status FROM wanted w JOIN attendance a ON a.child_id = w.like_id)
   INSERT INTO observation (id, club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, source, class_id)
   SELECT gen_random_uuid(), o.club_id, w.id, o.movement_slug, o.stage, o.side, o.mark, o.help, o.measure, o.faults, '', o.seen_on, o.source, o.class_id
   FROM wanted w JOIN observation o ON o.child_id = w.like_id AND o.supersedes IS NULL AND NOT o.is_withdrawal`,
  [wantedChildren],
);
await client.end();
const groups = (await club.ask('GET', 'groups')) as readonly { readonly id: string; readonly name: string }[];
const group = groups.find(({ name }) => name === 'Kittiwakes')?.id ?? '';
const board = (): Promise<unknown> => club.ask('GET', `groups/${group}/board`);
const found = (await board()) as { readonly rows: readonly { readonly forecast: unknown }[] };

// oxlint-disable-next-line typescript/unbound-method -- given its object below
const { of } = Forecasts.prototype;
const kept = await timed(rounds, board);
Forecasts.prototype.of = () => null;
const without = await timed(rounds, board);
// nothing is kept: as on a day on which something of everybody changed
Forecasts.prototype.of = function (...given) {
  return of.apply(new Forecasts(), given);
};
const anew = await timed(rounds, board);
await club.close();
console.log(
  JSON.stringify({
    table: 'forecasts',
    children: found.rows.length,
    forecasts: found.rows.filter(({ forecast }) => forecast !== null).length,
    without: at(without, 0.5),
    kept: at(kept, 0.5),
    anew: at(anew, 0.5),
    withoutP95: at(without, 0.95),
    keptP95: at(kept, 0.95),
  }),
);
