import type { IncomingMessage } from 'node:http';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { answerProblem } from './answer-problem.js';
import { rawFaultIn, rawFaultWords, type RawFault } from './raw-json.js';

/** Routes that read a body from who is not signed in: all are small. */
const open: readonly RegExp[] = [
  /^\/session$/,
  /^\/club$/,
  /^\/invitations\/[\w-]{1,100}$/,
  /^\/remote(\/presses)?$/,
  /^\/home\/(absence|household|language|consents|practice\/[\w-]{1,100})$/,
];

/** How large a body may be, by route; the first that fits counts. A library is handed on unread: a worker reads it. */
const limits: readonly { readonly path: RegExp; readonly limit: string; readonly asText?: true }[] = [
  { path: /^\/library\/import$/, limit: '24mb', asText: true },
  { path: /^\/syllabuses\/import$/, limit: '4mb' },
  { path: /^\/syllabuses\/[\w-]+\/table$|^\/children\/table$/, limit: '1500kb' },
  { path: /^\/classes\/[\w-]+\/plan(\/import)?$|^\/class-plans\/preview$|^\/plan-templates$|^\/syllabuses\//, limit: '512kb' },
  { path: /./, limit: '64kb' },
];

/** Routes whose body is a file as it is, not JSON: read whole, up to so much. */
const files: readonly { readonly path: RegExp; readonly limit: string }[] = [{ path: /^\/club\/crest$/, limit: '4mb' }];

/** Routes whose body is a file that is written to the disk as it comes: not read here. */
const streamed: readonly RegExp[] = [/^\/home\/clips\/[\w-]{1,100}$/];

class RawRefusal extends Error {
  readonly status = 400;

  constructor(readonly fault: RawFault) {
    super(rawFaultWords[fault]);
  }
}

/** @throws RawRefusal, which body-parser hands on with its status */
function verify(_request: IncomingMessage, _response: unknown, bytes: Buffer): void {
  const fault = rawFaultIn(bytes);
  if (fault) throw new RawRefusal(fault);
}

const options = { inflate: false, type: 'application/json' } as const;
const openReader = express.json({ ...options, limit: '16kb', verify });
const readers: readonly { readonly path: RegExp; readonly read: RequestHandler }[] = limits.map(({ path, limit, asText }) => ({
  path,
  read: asText ? express.text({ ...options, limit }) : express.json({ ...options, limit, verify }),
}));

const fileReaders = files.map(({ path, limit }) => ({ path, read: express.raw({ inflate: false, type: () => true, limit }) }));

/** The file that is the body of a request; empty where there was none. */
export const fileIn = (request: Request): Buffer => (Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));

/**
 * Reads the body of a request to the API: only JSON, never compressed, never more than the route takes, and nothing at all from
 * who is not signed in but for the few routes that are there for visitors. The session has to be read before.
 */
export function readBody(request: Request, response: Response, next: NextFunction): void {
  const hasBody = request.headers['transfer-encoding'] !== undefined || Number(request.headers['content-length'] ?? '0') > 0;
  const isOpen = open.some((path) => path.test(request.path));
  const isSignedIn = request.session.personId !== undefined;
  if (request.url.includes('%00')) {
    answerProblem(response, 400, rawFaultWords.nul);
    return;
  }
  if (!hasBody || streamed.some((path) => path.test(request.path))) {
    next();
    return;
  }
  if (!isOpen && !isSignedIn) {
    response.setHeader('Connection', 'close');
    answerProblem(response, 401);
    return;
  }
  const file = fileReaders.find(({ path }) => path.test(request.path));
  if (file) {
    file.read(request, response, next);
    return;
  }
  // a body that is not JSON would be dropped unread: it is refused, so that nobody believes it was stored
  if (request.is('application/json') === false) {
    answerProblem(response, 415);
    return;
  }
  const read = isOpen ? openReader : readers.find(({ path }) => path.test(request.path))?.read;
  read?.(request, response, (error: unknown) => {
    if (error instanceof Error && 'fault' in error) answerProblem(response, 400, error.message);
    else next(error);
  });
}
