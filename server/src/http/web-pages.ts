import { existsSync, readFileSync } from 'node:fs';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { match } from 'path-to-regexp';
import { sessionCookie } from './session-store.js';

/** What the build of the interface wrote about its pages: `first-needs.json`, paths as `/classes/:id`. */
interface FirstNeeds {
  readonly fonts: readonly string[];
  readonly pages: readonly { readonly path: string; readonly scripts: readonly string[]; readonly asks: readonly string[] }[];
}

type Values = Readonly<Record<string, string>>;

/**
 * Serves the built interface of a folder: its files, packed as they were built, and for every other address that is
 * not of the API its HTML, with links to what the page there needs first.
 */
export function servePages(app: Pick<NestExpressApplication, 'use'>, folder: string): void {
  if (!existsSync(`${folder}index.html`)) return;
  const html = readFileSync(`${folder}index.html`, 'utf8');
  const needs = `${folder}first-needs.json`;
  const home = existsSync(`${folder}home.html`) ? readFileSync(`${folder}home.html`, 'utf8') : null;
  const linksFor = firstLinks(existsSync(needs) ? (JSON.parse(readFileSync(needs, 'utf8')) as FirstNeeds) : { fonts: [], pages: [] }); // written by our build
  const packed = expressStaticGzip(`${folder}assets`, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: { immutable: true, maxAge: '365d', redirect: false },
  });
  app.use('/assets', packed, (_request: Request, response: Response) => {
    // a file that was packed and is gone: it was built anew meanwhile
    response.removeHeader('Content-Encoding');
    response.sendStatus(404);
  });
  const files = express.static(folder, { index: false });
  app.use((request: Request, response: Response, next: NextFunction) => {
    const isPage = (request.method === 'GET' || request.method === 'HEAD') && !request.path.startsWith('/api');
    // nothing of the API is looked for among the files
    if (!isPage) next();
    else
      files(request, response, () => {
        const isKnown = request.headers.cookie?.includes(`${sessionCookie}=`) ?? false;
        response.setHeader('Cache-Control', 'no-cache').type('html');
        // the page of families is built by itself
        if (home !== null && request.path === '/home') response.setHeader('X-Robots-Tag', 'noindex').send(home);
        else {
          const { asks, rest } = linksFor(request.path, isKnown);
          response.send(html.replace('<head>', () => `<head>${asks}`).replace('</head>', () => `${rest}</head>`));
        }
      });
  });
}

interface FirstLinks {
  /** What the page asks of the API: first of all, since the server works at it while the browser fetches scripts, six at once. */
  readonly asks: string;
  readonly rest: string;
}

/** @returns the links for the page at a path; what it asks of the API only for somebody who may be signed in. */
function firstLinks({ fonts, pages }: FirstNeeds): (path: string, isKnown: boolean) => FirstLinks {
  const fontLinks = fonts.map((file) => `<link rel="preload" as="font" type="font/woff2" crossorigin href="/${file}">`);
  const known = pages.map(({ path, scripts, asks }) => ({
    read: match<Values>(path, { decode: false }),
    scripts: scripts.map((file) => `<link rel="modulepreload" crossorigin href="/${file}">`),
    asks,
  }));
  return (path, isKnown) => {
    for (const page of known) {
      const found = page.read(path);
      if (found)
        return {
          asks: isKnown ? page.asks.map((ask) => askLink(ask, found.params)).join('') : '',
          rest: [...fontLinks, ...page.scripts].join(''),
        };
    }
    return { asks: '', rest: fontLinks.join('') };
  };
}

/** Nothing for an address whose values no page would have: they are not written into HTML. */
function askLink(ask: string, values: Values): string {
  if (Object.values(values).some((value) => !/^[\w.%-]+$/.test(value))) return '';
  const asked = ask.replace(/:(\w+)/g, (_, name: string) => values[name] ?? '');
  return `<link rel="preload" as="fetch" crossorigin href="/api/${asked}">`;
}
