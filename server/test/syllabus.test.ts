import type { ChildPageResponse, SyllabusResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

interface Draft {
  slug: string;
  name: string;
  leastWeeksInGrade: number;
  isPutAway?: boolean;
  requirements: { movement: string; stage?: number; criterion: Record<string, unknown>; isPutAway?: boolean }[];
}
interface File {
  format: string;
  syllabuses: { programme: string; name: string; grades: Draft[] }[];
}

const exported = async (): Promise<File> => (await owner.get('/api/syllabuses/export').expect(200)).body;
const ladder = async (programme: string): Promise<SyllabusResponse> =>
  (await owner.get('/api/syllabuses').expect(200)).body.find((one: SyllabusResponse) => one.programme === programme);
const draftOf = async (programme: string): Promise<Draft[]> =>
  (await exported()).syllabuses.find((one) => one.programme === programme)?.grades ?? [];
const save = (programme: string, version: number, grades: readonly Draft[], agent = owner) =>
  agent.put(`/api/syllabuses/${programme}`).send({ version, grades });
const take = (file: unknown, query = '') => owner.post(`/api/syllabuses/import${query}`).send(file as object);
const childOf = async (groupName: string): Promise<ChildPageResponse> => {
  const groups = (await owner.get('/api/groups').expect(200)).body;
  const group = groups.find((one: { name: string }) => one.name === groupName);
  const rows = (await owner.get(`/api/groups/${group.id}/board`).expect(200)).body.rows;
  const row = rows.find((one: { earnedGrade: string | null; nextGradeId: string | null }) => one.earnedGrade && one.nextGradeId);
  return (await owner.get(`/api/children/${row.childId}`).expect(200)).body;
};

describe('a syllabus file', () => {
  it('taken in as it was given out changes nothing, and makes no version', async () => {
    const taken = await take(await exported()).expect(200);
    expect(taken.body.importId).toBeNull();
    expect(new Set(taken.body.programmes.flatMap((one: { lines: { what: string }[] }) => one.lines.map(({ what }) => what)))).toEqual(
      new Set(['same']),
    );
    expect((await ladder('gymnastics')).version).toBe(1);
  });

  it('says line by line what it would change, stores nothing on a dry run, and then all; undone, it reads as before', async () => {
    const before = await exported();
    const file = structuredClone(before);
    const dance = file.syllabuses.find(({ programme }) => programme === 'dance');
    const [first] = dance?.grades ?? [];
    if (!dance || !first) throw new Error('no dance');
    dance.name = 'Dancing';
    first.leastWeeksInGrade += 1;
    const [gone] = first.requirements.splice(0, 1);
    file.syllabuses.push({
      ...structuredClone(dance),
      programme: 'parkour',
      name: 'Parkour',
      grades: [{ ...structuredClone(first), slug: 'one', name: 'One' }],
    });
    const looked = await take(file, '?dryRun=true').expect(200);
    expect(looked.body.importId).toBeNull();
    const told = looked.body.programmes.find((one: { programme: string }) => one.programme === 'dance');
    expect(told.fields).toEqual(['name']);
    expect(told.lines.filter(({ what }: { what: string }) => what !== 'same')).toEqual([
      { grade: first.slug, movement: null, stage: null, what: 'changed', fields: ['leastWeeksInGrade'] },
      { grade: first.slug, movement: gone?.movement, stage: gone?.stage ?? null, what: 'put-away', fields: [] },
    ]);
    expect(await exported()).toEqual(before);

    const taken = await take(file).expect(200);
    expect(taken.body.programmes).toEqual(looked.body.programmes);
    expect((await ladder('dance')).version).toBe(2);
    expect((await ladder('parkour')).grades[0]?.name).toBe('One');
    expect((await ladder('dance')).grades[0]?.putAwayRequirements.map(({ movement }) => movement)).toContain(gone?.movement);

    await owner.delete(`/api/syllabuses/imports/${taken.body.importId}`).expect(204);
    expect(await exported()).toEqual(before);
    await owner.delete(`/api/syllabuses/imports/${taken.body.importId}`).expect(404);
  });

  it('that is wrong is refused as a whole, by programme, grade and movement', async () => {
    const before = await exported();
    const file = structuredClone(before);
    const [one, two] = file.syllabuses;
    if (!one || !two) throw new Error('no ladders');
    one.grades[0]?.requirements.push({ movement: 'moon-walk', criterion: {} });
    const [, second] = two.grades;
    if (second) second.requirements = [];
    const answer = await take(file).expect(422);
    expect(answer.body.errors).toEqual([
      { field: `${one.programme}.${one.grades[0]?.slug ?? ''}.moon-walk`, message: 'There is no movement “moon-walk” in the library.' },
      { field: `${two.programme}.${second?.slug ?? ''}`, message: 'The grade asks for nothing.' },
    ]);
    expect(await exported()).toEqual(before);
  });

  it.each([
    ['another format', { format: 'other/1', syllabuses: [] }, 'format'],
    ['no list', { format: 'leiter-syllabus/1' }, 'syllabuses'],
    ['a grade that is a word', { format: 'leiter-syllabus/1', syllabuses: [{ programme: 'x', name: 'X', grades: ['a'] }] }, 'syllabuses.0'],
  ])('with %s says where', async (_name, file, field) => {
    const answer = await take(file).expect(400);
    expect(JSON.stringify(answer.body.errors)).toContain(field);
  });

  it('with a programme twice is refused', async () => {
    const file = await exported();
    file.syllabuses.push(structuredClone(file.syllabuses[0] ?? { programme: '', name: '', grades: [] }));
    expect((await take(file).expect(422)).body.errors[0].message).toMatch(/twice/);
  });
});

describe('a ladder that is changed', () => {
  it('is a new version; who began a grade that changed finishes it as begun, until moved over', async () => {
    const before = await childOf('Kittiwakes');
    const [place] = before.ladders;
    if (!place) throw new Error('no ladder');
    const { version } = await ladder(place.programme);
    const grades = await draftOf(place.programme);
    const next = grades[grades.findIndex(({ slug }) => slug === place.earned.at(-1)?.grade.slug) + 1];
    if (!next) throw new Error('no next grade');
    next.requirements.push({ movement: 'cartwheel', criterion: { sides: 'both', leastMark: 'clean', times: 9, days: 9 } });
    next.name = 'Renamed';
    const saved = await save(place.programme, version, grades).expect(200);
    expect(saved.body.syllabus.version).toBe(version + 1);
    expect(saved.body.finishingOnEarlier).toBeGreaterThan(0);

    const page = `/api/children/${before.child.id}`;
    const during: ChildPageResponse = (await owner.get(page).expect(200)).body;
    expect(during.ladders[0]).toMatchObject({ newestVersion: version + 1, syllabus: { version }, earned: place.earned });

    const moved: ChildPageResponse = (await owner.post(`${page}/newest-ladder`).send({ programme: place.programme }).expect(200)).body;
    expect(moved.ladders[0]).toMatchObject({ syllabus: { version: version + 1 }, earned: place.earned });
    expect(moved.ladders[0]?.syllabus.grades.find(({ slug }) => slug === next.slug)?.name).toBe('Renamed');
  });

  it('shows on the board both who finishes on the earlier version and who climbs the newest', async () => {
    const groups = (await owner.get('/api/groups').expect(200)).body;
    const group = groups.find((one: { name: string }) => one.name === 'Kittiwakes');
    const board = (await owner.get(`/api/groups/${group.id}/board`).expect(200)).body;
    const named = board.columns.map(({ gradeName }: { gradeName: string }) => gradeName);
    expect(named.some((name: string) => name.includes('(version 1)'))).toBe(true);
    for (const row of board.rows)
      if (row.nextGradeId) expect(board.columns.map(({ gradeId }: { gradeId: string }) => gradeId)).toContain(row.nextGradeId);
  });

  it('keeps a grade that is left out for those who have it, and puts it back', async () => {
    const before = await childOf('Kittiwakes');
    const place = before.ladders[0];
    const earned = place?.earned.at(-1)?.grade.slug;
    const programme = place?.programme ?? '';
    const { version } = await ladder(programme);
    const grades = await draftOf(programme);
    const without = grades.filter(({ slug }) => slug !== earned);
    await save(programme, version, without).expect(200);
    const after: ChildPageResponse = (await owner.get(`/api/children/${before.child.id}`).expect(200)).body;
    expect(after.ladders[0]?.earned).toEqual(place?.earned);
    expect((await ladder(programme)).grades.find(({ slug }) => slug === earned)?.isPutAway).toBe(true);
    await save(programme, version + 1, grades).expect(200);
    expect((await ladder(programme)).grades.find(({ slug }) => slug === earned)?.isPutAway).toBe(false);
  });

  it('saved without a difference makes no version', async () => {
    const { version } = await ladder('martial-arts');
    const saved = await save('martial-arts', version, await draftOf('martial-arts')).expect(200);
    expect(saved.body).toMatchObject({ lines: [], syllabus: { version } });
  });

  it('by two people at once is not lost: the later save is refused', async () => {
    const { version } = await ladder('martial-arts');
    const grades = await draftOf('martial-arts');
    const renamed = (name: string) => grades.map((grade, index) => (index === 0 ? { ...grade, name } : grade));
    const answers = await Promise.all([save('martial-arts', version, renamed('One')), save('martial-arts', version, renamed('Other'))]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    expect((await ladder('martial-arts')).version).toBe(version + 1);
    await save('martial-arts', version, renamed('Late')).expect(409);
  });

  it('is not changed by an assistant', async () => {
    await save('martial-arts', 1, [], await club.as('assistant')).expect(403);
  });
});

describe('a ladder as a spreadsheet', () => {
  const table = async (programme: string): Promise<string> => (await owner.get(`/api/syllabuses/${programme}/table`).expect(200)).text;
  const send = (programme: string, text: string, query = '') => owner.post(`/api/syllabuses/${programme}/table${query}`).send({ text });

  it.each([
    ['as it was given out', (text: string) => text],
    ['without its mark', (text: string) => text.replace(/^\uFEFF/, '')],
    ['with semicolons and plain line ends', (text: string) => text.replace(/,/g, ';').replace(/\r\n/g, '\n')],
    ['with tabs', (text: string) => text.replace(/,/g, '\t')],
  ])('taken in %s changes nothing', async (_name, written) => {
    const taken = await send('dance', written(await table('dance'))).expect(200);
    expect(taken.body.importId).toBeNull();
    expect(taken.body.programmes[0].lines.every(({ what }: { what: string }) => what === 'same')).toBe(true);
  });

  it('reads quoted line breaks and umlauts, and undoes what it did', async () => {
    const { version } = await ladder('dance');
    const text = 'grade;age;movement;sides\r\n"Größe\n1";4;march-in-time;\r\n';
    const looked = await send('dance', text, '?dryRun=true').expect(200);
    expect(looked.body.programmes[0].lines.filter(({ what }: { what: string }) => what === 'added').length).toBeGreaterThan(0);
    const taken = await send('dance', text).expect(200);
    const [first] = (await ladder('dance')).grades.filter(({ isPutAway }) => !isPutAway);
    expect(first?.name).toBe('Größe\n1');
    await owner.delete(`/api/syllabuses/imports/${taken.body.importId}`).expect(204);
    expect((await ladder('dance')).version).toBe(version);
  });

  it('says row and column of what is wrong, and stores nothing', async () => {
    const { version } = await ladder('dance');
    const answer = await send('dance', 'grade,movement,seconds\nFirst,march-in-time,soon\nFirst,moon walk,3\n').expect(422);
    expect(answer.body.errors).toEqual([
      { field: 'row 2, seconds', message: '“soon” is not a whole number that fits here.' },
      { field: 'row 3, movement', message: '“moon walk” is not known here.' },
    ]);
    expect((await ladder('dance')).version).toBe(version);
    await send('skating', 'grade,movement\n').expect(404);
  });
});
