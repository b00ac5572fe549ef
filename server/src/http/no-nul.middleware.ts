import type { NextFunction, Request, Response } from 'express';
import { problemOf } from './problem.js';

/** PostgreSQL cannot store NUL characters: a body or an address that holds one is refused before anything reads it. */
export function refuseNul(request: Request, response: Response, next: NextFunction): void {
  if (request.url.includes('%00') || holdsNul(request.body, 0)) {
    response
      .status(400)
      .type('application/problem+json')
      .send(JSON.stringify(problemOf(400, 'There is a character in it that cannot be stored.')));
    return;
  }
  next();
}

const deepest = 40;

function holdsNul(value: unknown, depth: number): boolean {
  if (typeof value === 'string') return value.includes('\u0000');
  if (typeof value !== 'object' || value === null) return false;
  if (depth > deepest) return true;
  return Object.entries(value).some(([key, inner]) => key.includes('\u0000') || holdsNul(inner, depth + 1));
}
