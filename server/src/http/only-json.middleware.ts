import type { NextFunction, Request, Response } from 'express';
import { problemOf } from './problem.js';

/** A body that is not JSON would be dropped unread: it is refused, so that nobody believes it was stored. */
export function refuseOtherTypes(request: Request, response: Response, next: NextFunction): void {
  // is() answers null where there is no body at all
  if (request.is('application/json') === false) {
    response
      .status(415)
      .type('application/problem+json')
      .send(JSON.stringify(problemOf(415)));
    return;
  }
  next();
}
