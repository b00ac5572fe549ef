import type { Response } from 'express';
import { problemOf } from './problem.js';

/** Answers with a problem where Nest is not reached: in middleware. */
export function answerProblem(response: Response, status: number, detail?: string): void {
  response
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify(problemOf(status, detail)));
}
