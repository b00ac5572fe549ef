import type { FieldProblem } from '@leiter/contract';
import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { databaseFaultOf, type DatabaseFault } from './database-fault.js';
import { problemOf, ProblemException } from './problem.js';

/** What is taken already where two do the same at once, by the constraint that the database holds. */
const takenWords: Readonly<Record<string, FieldProblem>> = {
  person_email_key: { field: 'email', message: 'Somebody signs in with this address already.' },
  teaching_group_name: { field: 'name', message: 'Another group has this name.' },
  programme_club_id_slug_key: { field: 'programme', message: 'There is a programme of this name by now.' },
};

/** Whatever goes wrong leaves as a problem document (RFC 9457), without inner details. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    if (response.headersSent) {
      response.end();
      return;
    }
    const body = this.problem(error, http.getRequest<Request>());
    if (body.status === 503) response.setHeader('Retry-After', '2');
    response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
  }

  private problem(error: unknown, request: Request): ReturnType<typeof problemOf> {
    // the body of a ProblemException is a problem by construction
    if (error instanceof ProblemException) return error.getResponse() as ReturnType<typeof problemOf>;
    const fault = databaseFaultOf(error);
    if (fault) return problemOfFault(fault);
    if (error instanceof HttpException) return problemOf(error.getStatus());
    const status = statusOfParser(error);
    if (status !== null) return problemOf(status);
    const { id, method, route } = aboutRequest(request);
    // the name and place only: a message may carry what somebody typed about a child
    const place = error instanceof Error ? `${error.name} ${(error.stack ?? '').split('\n').slice(1, 4).join(' ')}` : 'unknown error';
    this.logger.error(`${method} ${route} [${id}] ${place}`);
    return problemOf(500, `It is not your fault. Try again; if it stays, tell the person who runs Leiter (${id}).`);
  }
}

function problemOfFault(fault: DatabaseFault): ReturnType<typeof problemOf> {
  switch (fault.kind) {
    case 'passing':
      return problemOf(503, 'Nothing was stored. Try again in a moment.');
    case 'taken': {
      const words = takenWords[fault.constraint];
      return words ? problemOf(422, words.message, [words]) : problemOf(409, 'Somebody did the same at this moment. Look at it again.');
    }
    case 'gone':
      return problemOf(409, 'Something it belongs to is not there any more. Look at it again.');
    case 'unfit':
      return problemOf(422, 'A value in it cannot be stored.');
  }
}

/** Which route was asked, by its pattern: an address may name a child. */
function aboutRequest(request: Request): { readonly id: string; readonly method: string; readonly route: string } {
  const pattern: unknown = (request as { readonly route?: { readonly path?: unknown } }).route?.path; // set by the router where one fits
  const id = request.res?.getHeader('X-Request-Id');
  return { id: typeof id === 'string' ? id : '-', method: request.method, route: typeof pattern === 'string' ? pattern : 'no route' };
}

/** The body parser's own errors carry a 4xx status. */
function statusOfParser(error: unknown): number | null {
  if (typeof error !== 'object' || error === null || !('status' in error)) return null;
  const { status } = error;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : null;
}
