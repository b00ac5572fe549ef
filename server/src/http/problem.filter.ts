import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { isDatabaseAway } from './database-away.js';
import { problemOf, ProblemException } from './problem.js';

/** Whatever goes wrong leaves as a problem document (RFC 9457), without inner details. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return;
    const body = this.problem(error);
    if (body.status === 503) response.setHeader('Retry-After', '2');
    response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
  }

  private problem(error: unknown): ReturnType<typeof problemOf> {
    // the body of a ProblemException is a problem by construction
    if (error instanceof ProblemException) return error.getResponse() as ReturnType<typeof problemOf>;
    if (isDatabaseAway(error)) return problemOf(503, 'Nothing was stored. Try again in a moment.');
    if (error instanceof HttpException) return problemOf(error.getStatus());
    const status = statusOfParser(error);
    if (status !== null) return problemOf(status);
    // the name and place only: a message may carry what somebody typed about a child
    this.logger.error(error instanceof Error ? `${error.name} ${(error.stack ?? '').split('\n').slice(1, 4).join(' ')}` : 'unknown error');
    return problemOf(500, 'It is not your fault. Try again; if it stays, tell the person who runs Leiter.');
  }
}

/** The body parser's own errors carry a 4xx status. */
function statusOfParser(error: unknown): number | null {
  if (typeof error !== 'object' || error === null || !('status' in error)) return null;
  const { status } = error;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : null;
}
