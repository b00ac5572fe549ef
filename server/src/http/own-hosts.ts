import type { IncomingMessage } from 'node:http';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { answerProblem } from './answer-problem.js';

/** Requests that came through the door to the network (remote/lan-door.service): it has looked at their address and their path. */
export const fromNetwork = new WeakSet<IncomingMessage>();

const loopback: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]', '::1']);

/** The address under which Leiter is reached from outside, behind a proxy that ends TLS; null on the machine itself. */
export function publicUrlOf(setting: string | undefined): URL | null {
  if (!setting) return null;
  const url = URL.canParse(setting) ? new URL(setting) : null;
  if (!url || (url.protocol !== 'https:' && url.protocol !== 'http:'))
    throw new Error(`LEITER_PUBLIC_URL is “${setting}”: an address like https://leiter.example.org is wanted.`);
  return url;
}

const publicOrigin = 'leiter public origin';

/** Keeps the address under which Leiter is reached from outside, for {@link originOf}. */
export function keepPublicUrl(app: { readonly set: (name: string, value: unknown) => unknown }, publicUrl: URL | null): void {
  app.set(publicOrigin, publicUrl?.origin ?? null);
}

/** What an address begins with that is to be opened elsewhere: the public one, or, where there is none, that of this request. */
export function originOf(request: Request): string {
  const kept = request.app.get(publicOrigin) as string | null | undefined; // see keepPublicUrl
  return kept ?? `${request.protocol}://${request.headers.host ?? 'localhost'}`;
}

/**
 * Answers only under names that are ours, so that a foreign page cannot reach Leiter under a name of its own, and takes nothing
 * from a page of another origin, whatever cookie comes with it.
 */
export function refuseForeign(publicUrl: URL | null): RequestHandler {
  return (request: Request, response: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    const name = host.replace(/:\d+$/, '').toLowerCase();
    if (!loopback.has(name) && name !== publicUrl?.hostname && !fromNetwork.has(request)) {
      answerProblem(response, 421, 'Leiter does not answer under this name.');
      return;
    }
    const isRead = request.method === 'GET' || request.method === 'HEAD' || request.method === 'OPTIONS';
    const { origin } = request.headers;
    const site = request.headers['sec-fetch-site'];
    const isForeign = origin !== undefined ? !isOwnOrigin(origin, host, publicUrl) : site === 'cross-site';
    if (!isRead && isForeign) {
      answerProblem(response, 403, 'This came from another page.');
      return;
    }
    next();
  };
}

function isOwnOrigin(origin: string, host: string, publicUrl: URL | null): boolean {
  if (origin === publicUrl?.origin) return true;
  return URL.canParse(origin) && new URL(origin).host === host;
}
