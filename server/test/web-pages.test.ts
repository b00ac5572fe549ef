import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import express from 'express';
import request from 'supertest';
import { afterAll, describe, expect, it } from 'vitest';
import { servePages } from '../src/http/web-pages.js';

const folder = mkdtempSync(join(tmpdir(), 'leiter-pages-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});
mkdirSync(join(folder, 'assets'));
writeFileSync(join(folder, 'index.html'), '<html><head><title>Leiter</title></head><body></body></html>');
writeFileSync(join(folder, 'icon.svg'), '<svg/>');
writeFileSync(join(folder, 'assets/plan-1.js'), 'plan()');
writeFileSync(join(folder, 'assets/plan-1.js.gz'), gzipSync('plan()'));
writeFileSync(join(folder, 'assets/week-1.js'), 'week()');
writeFileSync(join(folder, 'assets/week-1.js.gz'), gzipSync('week()'));
writeFileSync(
  join(folder, 'first-needs.json'),
  JSON.stringify({
    fonts: ['assets/word.woff2'],
    pages: [
      { path: '/', scripts: [], asks: ['today'] },
      { path: '/classes/:id/plan', scripts: ['assets/plan-1.js'], asks: ['session', 'classes/:id'] },
    ],
  }),
);
const app = express();
servePages(app as unknown as Parameters<typeof servePages>[0], `${folder}/`);
app.use((_request, response) => void response.status(404).send('of the API'));
const page = (path: string, cookie = 'leiter=s%3Aabc') => request(app).get(path).set('cookie', cookie);

describe('a page of the interface', () => {
  it('says at once what it needs: scripts, fonts and answers', async () => {
    const { text } = await page('/classes/4f-2/plan');
    expect(text).toContain('<link rel="modulepreload" crossorigin href="/assets/plan-1.js">');
    expect(text).toContain('<link rel="preload" as="font" type="font/woff2" crossorigin href="/assets/word.woff2">');
    expect(text).toContain('<link rel="preload" as="fetch" crossorigin href="/api/classes/4f-2">');
    expect(text).toContain('<title>Leiter</title>');
  });

  it('asks the API nothing for a visitor', async () => {
    const { text } = await page('/classes/4f-2/plan', 'other=1');
    expect(text).toContain('/assets/plan-1.js');
    expect(text).not.toContain('/api/');
  });

  it('writes nothing of an address into the HTML but what an address of ours has', async () => {
    for (const path of [
      '/classes/"><script>x</script>/plan',
      '/classes/%22%3E%3Cscript%3E/plan',
      "/classes/a'b/plan",
      '/classes/%E0%A4%A/plan',
      '//',
    ])
      expect((await page(encodeURI(path))).text).not.toMatch(/<script|"">|a'b/);
    expect((await page('/no/such/page')).status).toBe(200);
  });

  it('serves files as they were packed, and no other address for a file that is missing', async () => {
    const script = await request(app).get('/assets/plan-1.js').set('accept-encoding', 'gzip');
    expect(script.headers['content-encoding']).toBe('gzip');
    expect(script.headers['cache-control']).toContain('immutable');
    expect(script.text).toBe('plan()');
    expect((await request(app).get('/assets/plan-2.js')).status).toBe(404);
    expect((await request(app).get('/icon.svg')).headers['content-type']).toContain('svg');
    expect((await page('/')).headers['cache-control']).toBe('no-cache');
  });

  it('says that a file is missing which was there when it began: Leiter was built anew meanwhile', async () => {
    rmSync(join(folder, 'assets/week-1.js'));
    rmSync(join(folder, 'assets/week-1.js.gz'));
    const gone = await request(app).get('/assets/week-1.js').set('accept-encoding', 'gzip');
    expect([gone.status, gone.text, gone.headers['content-encoding']]).toEqual([404, 'Not Found', undefined]);
    expect((await request(app).get('/assets/plan-1.js')).status).toBe(200);
  });

  it('leaves the API alone', async () => {
    expect((await page('/api/nothing')).text).toBe('of the API');
  });
});
