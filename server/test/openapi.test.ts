import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from './test-app.js';

let club: TestApp;
beforeAll(async () => {
  club = await testApp({ filled: 'empty' });
});
afterAll(() => club.close());

interface Document {
  readonly paths: Readonly<
    Record<
      string,
      Readonly<Record<string, { readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: object }>> } }>>
    >
  >;
  readonly components: {
    readonly schemas: Readonly<Record<string, { readonly properties?: object; readonly required?: readonly string[] }>>;
  };
}
const document = async (): Promise<Document> => (await club.visitor().get('/api/openapi.json').expect(200)).body as Document;

describe('the description of the API', () => {
  it('has no reference that leads nowhere', async () => {
    const whole = await document();
    const references = [...JSON.stringify(whole).matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map(([, name]) => name ?? '');
    expect(references.length).toBeGreaterThan(10);
    for (const name of references) expect(Object.keys(whole.components.schemas)).toContain(name);
  });

  it('gives the body of every writing route that takes one a schema with its fields', async () => {
    const { paths, components } = await document();
    for (const [path, methods] of Object.entries(paths))
      for (const [method, { requestBody }] of Object.entries(methods)) {
        if (!['put', 'patch'].includes(method) || requestBody?.content['application/octet-stream']) continue;
        const schema = JSON.stringify(requestBody?.content['application/json']?.schema ?? {});
        const name = /schemas\/(\w+)/.exec(schema)?.[1] ?? '';
        expect(Object.keys(components.schemas[name]?.properties ?? {}).length, `${method} ${path}`).toBeGreaterThan(0);
      }
  });

  it('says which fields a mark must have', async () => {
    const { components } = await document();
    expect(components.schemas['AddObservationRequest']?.required).toEqual(
      expect.arrayContaining(['childId', 'movement', 'mark', 'seenOn']),
    );
    expect(components.schemas['AddObservationRequest']?.required).not.toContain('supersedes');
  });
});
