import { randomUUID } from 'node:crypto';
import { paperWithProgress, type PaperLine } from '@leiter/contract';
import { addDays } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { certificatesDocument, type Certificate } from '../src/certificates/certificate-paper.js';
import { aCertificate } from './a-certificate.js';
import { asBuffer, otherClub, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let tomasz: Agent;
let today: string;
let award: { child_id: string; grade_id: string; awarded_on: string; group_id: string; programme_id: string };
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  tomasz = await club.as('gymnastics');
  today = (await tomasz.get('/api/session').expect(200)).body.today;
  [award] = await club.source.query(
    `SELECT a.child_id, a.grade_id, a.awarded_on, e.group_id, t.programme_id FROM grade_award a JOIN enrolment e ON e.child_id = a.child_id AND e.to_day IS NULL
     JOIN teaching_group t ON t.id = e.group_id JOIN grade g ON g.id = a.grade_id JOIN syllabus s ON s.id = g.syllabus_id AND s.programme_id = t.programme_id
     JOIN child c ON c.id = a.child_id AND c.archived_at IS NULL ORDER BY a.awarded_on DESC LIMIT 1`,
  );
});
afterAll(() => club.close());

/** How many pages a PDF in our fonts has. */
const pagesOf = (file: Buffer): number => {
  const pdf = file.toString('latin1');
  expect(pdf.slice(0, 5)).toBe('%PDF-');
  expect(pdf).toMatch(/BricolageGrotesque/);
  return pdf.match(/\/Type \/Page\b/g)?.length ?? 0;
};

const printed = async (path: string, agent: Agent = tomasz): Promise<number> =>
  pagesOf((await agent.get(path).buffer().parse(asBuffer).expect(200).expect('content-type', 'application/pdf')).body as Buffer);

/** The lines of an answer that says how far it is, and what comes after them. */
function partsOf(answer: Buffer): { readonly lines: readonly PaperLine[]; readonly file: Buffer } {
  const lines: PaperLine[] = [];
  let from = 0;
  for (;;) {
    const end = answer.indexOf('\n', from);
    const line = JSON.parse(answer.subarray(from, end).toString()) as PaperLine;
    lines.push(line);
    from = end + 1;
    if (!('set' in line)) return { lines, file: answer.subarray(from) };
  }
}

describe('a certificate', () => {
  it('is one page for a grade that a child has, and is not there for one that it has not', async () => {
    expect(await printed(`/api/children/${award.child_id}/certificates/${award.grade_id}`)).toBe(1);
    const [other] = await club.source.query(
      'SELECT g.id FROM grade g WHERE NOT EXISTS (SELECT 1 FROM grade_award a WHERE a.grade_id = g.id AND a.child_id = $1) LIMIT 1',
      [award.child_id],
    );
    await tomasz.get(`/api/children/${award.child_id}/certificates/${other.id}`).expect(404);
    await tomasz.get(`/api/children/${randomUUID()}/certificates/${award.grade_id}`).expect(404);
  });

  it('is printed for all grades of a group since a day, one page each', async () => {
    const [{ count }] = await club.source.query(
      `SELECT count(*)::int AS count FROM grade_award a JOIN grade g ON g.id = a.grade_id JOIN syllabus s ON s.id = g.syllabus_id
       JOIN child c ON c.id = a.child_id AND c.archived_at IS NULL
       WHERE s.programme_id = $1 AND a.awarded_on >= $2 AND EXISTS (
         SELECT 1 FROM enrolment e WHERE e.child_id = a.child_id AND e.group_id = $3 AND e.to_day IS NULL)`,
      [award.programme_id, addDays(today, -400), award.group_id],
    );
    expect(count).toBeGreaterThan(1);
    expect(await printed(`/api/groups/${award.group_id}/certificates?since=${addDays(today, -400)}`)).toBe(count);
    await tomasz.get(`/api/groups/${award.group_id}/certificates?since=${addDays(today, 1)}`).expect(404);
    for (const since of ['', '2026-02-31', 'yesterday'])
      expect((await tomasz.get(`/api/groups/${award.group_id}/certificates?since=${since}`).expect(422)).body.errors[0].field).toBe(
        'since',
      );
  });

  it('says how far it is while it is made, and comes whole', async () => {
    const { body } = await tomasz
      .get(`/api/groups/${award.group_id}/certificates?since=${addDays(today, -400)}`)
      .set('accept', paperWithProgress)
      .buffer(true)
      .parse(asBuffer)
      .expect(200)
      .expect('content-type', paperWithProgress);
    const { lines, file } = partsOf(body as Buffer);
    const [first] = lines;
    expect(first).toMatchObject({ set: 0, of: expect.any(Number) });
    expect(lines.at(-1)).toEqual({ name: expect.stringMatching(/^certificates-.*\.pdf$/), bytes: file.length });
    expect(pagesOf(file)).toBe((first as { of: number }).of);
    // what is refused at once is refused as ever
    await tomasz.get(`/api/groups/${award.group_id}/certificates?since=never`).set('accept', paperWithProgress).expect(422);
    await tomasz
      .get(`/api/groups/${award.group_id}/certificates?since=${addDays(today, 1)}`)
      .set('accept', paperWithProgress)
      .expect(404);
  });

  it('of taking part is for those who were there, and for nobody before a class was taught', async () => {
    const [taught] = await club.source.query(
      `SELECT s.id, count(*)::int AS there FROM class_session s JOIN attendance a ON a.class_id = s.id AND a.status IN ('present', 'late')
       WHERE s.taught_at IS NOT NULL GROUP BY s.id ORDER BY 2 DESC LIMIT 1`,
    );
    expect(await printed(`/api/classes/${taught.id}/certificates`)).toBe(taught.there);
    const [coming] = await club.source.query('SELECT id FROM class_session WHERE taught_at IS NULL LIMIT 1');
    await tomasz.get(`/api/classes/${coming.id}/certificates`).expect(404);
  });

  it('is for those who teach, of their own club', async () => {
    const runa = await club.as('assistant');
    await runa.get(`/api/children/${award.child_id}/certificates/${award.grade_id}`).expect(403);
    const other = await otherClub(club.source);
    await tomasz.get(`/api/children/${other.child}/certificates/${other.grade}`).expect(404);
    await tomasz.get(`/api/groups/${other.group}/certificates?since=2020-01-01`).expect(404);
    await tomasz.get(`/api/classes/${other.class}/certificates`).expect(404);
  });
});

describe('the page of a certificate', () => {
  const certificate: Certificate = { ...aCertificate, verifiedAt: 'https://leiter.example/verify/0b5c' };
  const plain = { colour: null, secondColour: null, crest: null };

  it('says who, what, when and what was shown, and fills the rungs that were climbed', () => {
    const text = JSON.stringify(certificatesDocument([certificate], plain));
    for (const part of ['The Sail Loft', 'Noor H', 'Reef', '1 December 2026', 'Straight jump', 'Bridge', 'Stork', 'for The Sail Loft'])
      expect(text).toContain(part);
    const colours = [...text.matchAll(/width=\\"80\\" height=\\"\d+\\" fill=\\"(#[0-9a-fA-F]+)/g)].map(([, colour]) => colour);
    expect(colours).toEqual(['#1d2b30', '#17525c', '#DDD5C5', '#DDD5C5', '#DDD5C5', '#DDD5C5', '#DDD5C5', '#DDD5C5']);
  });

  it('is in the colours of the club; a colour too pale to read is not used for words', () => {
    const titleIn = (colour: `#${string}`): string => {
      const { content } = certificatesDocument([certificate], { ...plain, colour }) as {
        content: readonly { stack?: readonly { text: string; color: string }[] }[];
      };
      return content.flatMap(({ stack }) => stack ?? []).find(({ text }) => text === 'Reef')?.color ?? '';
    };
    expect(titleIn('#a03020')).toBe('#a03020');
    expect(titleIn('#ffe680')).toBe('#1d2b30');
    expect(JSON.stringify(certificatesDocument([certificate], { ...plain, colour: '#ffe680' }))).toContain('#ffe680');
  });

  it('leads to where it can be verified, and bears the crest', () => {
    const text = JSON.stringify(certificatesDocument([certificate], { ...plain, crest: Buffer.from('png') }));
    expect(text).toContain('"qr":"https://leiter.example/verify/0b5c"');
    expect(text).toContain(`data:image/png;base64,${Buffer.from('png').toString('base64')}`);
    expect(JSON.stringify(certificatesDocument([{ ...certificate, verifiedAt: null }], plain))).not.toContain('"qr"');
  });

  it('has one page each, and a long name is set smaller', () => {
    const { content } = certificatesDocument([certificate, { ...certificate, childName: 'Maximiliana-Bartholomea Q' }], plain) as {
      content: readonly { pageBreak?: string; stack?: readonly { fontSize: number }[] }[];
    };
    expect(content.filter(({ pageBreak }) => pageBreak === 'before')).toHaveLength(1);
    const [short, long] = content.flatMap(({ stack }) => (stack ? [stack[1]?.fontSize ?? 0] : []));
    expect(short).toBe(44);
    expect(long).toBeLessThan(44);
  });
});
