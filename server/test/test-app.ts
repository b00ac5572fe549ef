import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import pg from 'pg';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { makeApp } from '../src/app.js';
import { demoPassword } from '../src/demo/demo-people.js';

export type Agent = ReturnType<typeof request.agent>;

/** A server on a database of its own. */
export interface TestApp {
  readonly app: NestExpressApplication;
  readonly source: DataSource;
  readonly databaseUrl: string;
  /** A browser that nobody is signed in with. */
  readonly visitor: () => Agent;
  /** A browser signed in as one of the demo people, by the part of the address before the @. */
  readonly as: (name: 'owner' | 'gymnastics' | 'dance' | 'martial-arts' | 'assistant') => Promise<Agent>;
  readonly close: () => Promise<void>;
}

/** Made once for all test files (tools/test-cluster.mjs). */
const templates = { demo: 'leiter_demo_template', empty: 'leiter_empty_template' } as const;

async function onServer<Answer>(work: (client: pg.Client) => Promise<Answer>): Promise<Answer> {
  const client = new pg.Client({ connectionString: process.env['LEITER_TEST_DATABASE_URL'] });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

function urlOf(database: string): string {
  const url = new URL(process.env['LEITER_TEST_DATABASE_URL'] ?? '');
  url.pathname = `/${database}`;
  return url.href;
}

/** PostgreSQL's "insufficient privilege", which FORCE meets while the server's own vacuum looks through the database; it is done in a moment. */
const isVacuumed = (error: unknown): boolean => error instanceof pg.DatabaseError && error.code === '42501';

/** Takes a database away; one that the server is just tidying is asked again for up to ten seconds. */
async function dropped(database: string): Promise<void> {
  for (let left = 100; ; left -= 1) {
    try {
      await onServer((client) => client.query(`DROP DATABASE ${database} WITH (FORCE)`));
      return;
    } catch (error) {
      if (!isVacuumed(error) || left === 0) throw error;
      await new Promise((resolve) => {
        setTimeout(resolve, 100);
      });
    }
  }
}

/** @param settings `demo` for a copy of the demo club, `empty` for a database without a club. */
export async function testApp({ filled }: { readonly filled: 'demo' | 'empty' }): Promise<TestApp> {
  const database = `t_${randomUUID().replaceAll('-', '')}`;
  await onServer((client) => client.query(`CREATE DATABASE ${database} TEMPLATE ${templates[filled]}`));
  const databaseUrl = urlOf(database);
  const app = await makeApp({ databaseUrl, sessionSecret: 'test', logLevels: ['fatal'] });
  await app.listen(0, '127.0.0.1');
  const visitor = (): Agent => request.agent(app.getHttpServer());
  return {
    app,
    source: app.get(DataSource),
    databaseUrl,
    visitor,
    as: async (name) => {
      const agent = visitor();
      await agent
        .post('/api/session')
        .send({ email: `${name}@sail-loft.example`, password: demoPassword })
        .expect(200);
      return agent;
    },
    close: async () => {
      await app.close();
      await dropped(database);
    },
  };
}

/** How an answer that is no text is read, for `.parse()`. */
export function asBuffer(response: request.Response, done: (error: Error | null, body: unknown) => void): void {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => {
    done(null, Buffer.concat(chunks));
  });
}

/** A second club in the same database, with a person, a group, a child, a class and a mark of its own; given back are their ids. */
export async function otherClub(
  source: DataSource,
): Promise<
  Readonly<
    Record<
      | 'club'
      | 'person'
      | 'group'
      | 'child'
      | 'class'
      | 'observation'
      | 'grade'
      | 'import'
      | 'syllabusImport'
      | 'childrenImport'
      | 'planImport'
      | 'invitation'
      | 'template'
      | 'holiday'
      | 'grading',
      string
    >
  >
> {
  const one = async (sql: string, parameters: readonly unknown[]): Promise<string> => {
    const [row] = await source.query<readonly { id: string }[]>(sql, [...parameters]);
    return row?.id ?? '';
  };
  const club = await one(`INSERT INTO club (name, time_zone) VALUES ('Other club', 'UTC') RETURNING id`, []);
  const person = await one(
    `INSERT INTO person (club_id, name, email, role, password_hash) VALUES ($1, 'Somebody', 'somebody@other.example', 'owner', 'x') RETURNING id`,
    [club],
  );
  await source.query(
    `INSERT INTO movement (club_id, slug, document) SELECT $1, slug, document FROM movement WHERE slug = 'cartwheel' LIMIT 1`,
    [club],
  );
  const programme = await one(
    `INSERT INTO programme (club_id, slug, name, stretching_school, starts_as) VALUES ($1, 'gymnastics', 'Gymnastics', 'early-static', 'x') RETURNING id`,
    [club],
  );
  const syllabus = await one(`INSERT INTO syllabus (club_id, programme_id, version) VALUES ($1, $2, 1) RETURNING id`, [club, programme]);
  const grade = await one(
    `INSERT INTO grade (club_id, syllabus_id, position, slug, name, least_weeks_in_grade, least_classes, least_age_years) VALUES ($1, $2, 0, 'first', 'First', 0, 0, 0) RETURNING id`,
    [club, syllabus],
  );
  const group = await one(
    `INSERT INTO teaching_group (club_id, programme_id, name, weekday, starts_at, length_minutes) VALUES ($1, $2, 'Others', 1, '16:00', 45) RETURNING id`,
    [club, programme],
  );
  const child = await one(
    `INSERT INTO child (club_id, given_name, family_initial, birth_date, lead_side, household) VALUES ($1, 'Other', 'X.', '2018-01-01', 'left', '{}') RETURNING id`,
    [club],
  );
  await source.query(`INSERT INTO enrolment (club_id, child_id, group_id, from_day) VALUES ($1, $2, $3, '2026-01-01')`, [
    club,
    child,
    group,
  ]);
  const session = await one(
    `INSERT INTO class_session (club_id, group_id, day, starts_at, length_minutes) VALUES ($1, $2, '2026-01-05', '16:00', 45) RETURNING id`,
    [club, group],
  );
  const observation = await one(
    `INSERT INTO observation (id, club_id, child_id, movement_slug, side, mark, measure, faults, note, seen_on, source) VALUES (gen_random_uuid(), $1, $2, 'cartwheel', 'left', 'alone', '{}', '{}', '', '2026-01-05', 'class') RETURNING id`,
    [club, child],
  );
  const importOf = (subject: string) =>
    one(`INSERT INTO import (club_id, subject, before) VALUES ($1, $2, '[]') RETURNING id`, [club, subject]);
  const imported = await importOf('library');
  await source.query(`INSERT INTO ladder_pin (club_id, child_id, programme_id, syllabus_id) VALUES ($1, $2, $3, $4)`, [
    club,
    child,
    programme,
    syllabus,
  ]);
  const syllabusImport = await importOf('syllabuses');
  const childrenImport = await importOf('children');
  const planImport = await importOf('plan');
  const invitation = await one(
    `INSERT INTO invitation (club_id, kind, token_hash, name, email, role, ends_at) VALUES ($1, 'join', 'x', 'Guest', 'guest@other.example', 'assistant', now() + interval '1 day') RETURNING id`,
    [club],
  );
  const template = await one(`INSERT INTO plan_template (club_id, name, document) VALUES ($1, 'Other', '{}') RETURNING id`, [club]);
  const holiday = await one(
    `INSERT INTO holiday (club_id, name, from_day, to_day) VALUES ($1, 'Other', '2026-12-20', '2027-01-02') RETURNING id`,
    [club],
  );
  const grading = await one(
    `INSERT INTO grading_day (club_id, programme_id, day, starts_at, examiner_ids) VALUES ($1, $2, '2026-12-20', '10:00', ARRAY[$3]::uuid[]) RETURNING id`,
    [club, programme, person],
  );
  return {
    club,
    grading,
    holiday,
    planImport,
    invitation,
    template,
    person,
    group,
    child,
    class: session,
    observation,
    grade,
    import: imported,
    syllabusImport,
    childrenImport,
  };
}
