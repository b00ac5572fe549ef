import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { librarySchema, phraseFile, phraseSchema, readPhraseFile, stepWordGroups, type Movement } from '@leiter/core';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { format } from 'prettier';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planSchema } from '../src/plan-files/plan-schema.js';
import { syllabusSchema } from '../src/syllabus/syllabus-schema.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

const folder = fileURLToPath(new URL('../../docs/formats/', import.meta.url));
const written = (schema: object) => format(JSON.stringify(schema), { parser: 'json', printWidth: 140 });
/** The first example of a page. */
const exampleOf = (page: string): unknown => JSON.parse(/```json\n([\s\S]*?)```/.exec(readFileSync(`${folder}${page}`, 'utf8'))?.[1] ?? '');

const formats = [
  { name: 'leiter-library-1', schema: librarySchema, path: 'library' },
  { name: 'leiter-syllabus-1', schema: syllabusSchema, path: 'syllabuses' },
] as const;

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

describe.each(formats)('$name', ({ name, schema, path }) => {
  it('is published as what validates it says; update with “vitest -u”', async () => {
    await expect(await written(schema())).toMatchFileSnapshot(`${folder}${name}.schema.json`);
  });

  it('fits what the club gives out, and the example of its page', async () => {
    const fits = new Ajv2020({ strict: false }).compile(schema());
    const given = (await owner.get(`/api/${path}/export`).expect(200)).body;
    expect(fits(given) ? [] : fits.errors).toEqual([]);
    expect(fits(exampleOf(`${name}.md`)) ? [] : fits.errors).toEqual([]);
    expect(fits({ ...given, surprise: 1 })).toBe(false);
  });

  it('takes the example of its page in', async () => {
    await owner
      .post(`/api/${path}/import?dryRun=true`)
      .send(exampleOf(`${name}.md`) as object)
      .expect(200);
  });
});

it('tells every word that a figure may have', () => {
  const page = readFileSync(`${folder}leiter-library-1.md`, 'utf8');
  expect(
    Object.values(stepWordGroups)
      .flat()
      .filter((word) => !page.includes(`\`${word}\``)),
  ).toEqual([]);
});

describe('leiter-phrase-1', () => {
  it('is published as what validates it says; update with “vitest -u”', async () => {
    await expect(await written(phraseSchema())).toMatchFileSnapshot(`${folder}leiter-phrase-1.schema.json`);
  });

  it('fits every phrase of the library and the example of its page, which can be read', async () => {
    const fits = new Ajv2020({ strict: false }).compile(phraseSchema());
    const movements: readonly Movement[] = (await owner.get('/api/library').expect(200)).body;
    const files = movements.flatMap(({ slug, name, phrase }) => (phrase ? [phraseFile(slug, name, phrase)] : []));
    expect(files.length).toBeGreaterThan(50);
    for (const file of [...files, exampleOf('leiter-phrase-1.md')]) {
      expect(fits(file) ? [] : fits.errors).toEqual([]);
      expect(readPhraseFile(JSON.stringify(file)).ok).toBe(true);
    }
  });
});

describe('leiter-plan-1', () => {
  it('is published as what validates it says; update with “vitest -u”', async () => {
    await expect(await written(planSchema())).toMatchFileSnapshot(`${folder}leiter-plan-1.schema.json`);
  });

  it('fits what the club gives out, and the example of its page, which is judged', async () => {
    const fits = new Ajv2020({ strict: false }).compile(planSchema());
    const groups = (await owner.get('/api/groups').expect(200)).body;
    const classes = (await owner.get(`/api/groups/${groups[0].id}/classes`).expect(200)).body;
    const planned = classes.find(({ hasPlan }: { hasPlan: boolean }) => hasPlan);
    const given = (await owner.get(`/api/classes/${planned.id}/plan/export`).expect(200)).body;
    expect(fits(given) ? [] : fits.errors).toEqual([]);
    const example = exampleOf('leiter-plan-1.md');
    expect(fits(example) ? [] : fits.errors).toEqual([]);
    await owner.post('/api/class-plans/preview').send({ plan: example }).expect(200);
  });
});
