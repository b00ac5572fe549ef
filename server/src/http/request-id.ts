import { randomUUID } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';

/** Gives each request an id that an answer and a line of the log share. */
export function nameRequest(_request: Request, response: Response, next: NextFunction): void {
  response.setHeader('X-Request-Id', randomUUID().slice(0, 8));
  next();
}
