import type { FieldProblem, Problem } from '@leiter/contract';
import { HttpException } from '@nestjs/common';

const titles: Readonly<Record<number, string>> = {
  400: 'This cannot be read',
  401: 'Sign in first',
  403: 'Not allowed for your role',
  404: 'Not found',
  405: 'Not possible here',
  409: 'It has changed meanwhile',
  413: 'Too large',
  415: 'Only JSON is read here',
  421: 'Not under this name',
  422: 'This does not fit',
  429: 'Too many tries',
  503: 'Not possible at this moment',
};

export function problemOf(status: number, detail?: string, errors?: readonly FieldProblem[]): Problem {
  return {
    type: 'about:blank',
    title: titles[status] ?? (status >= 500 ? 'Something went wrong' : 'Not possible'),
    status,
    ...(detail === undefined ? {} : { detail }),
    ...(errors === undefined ? {} : { errors }),
  };
}

/** A refusal that leaves as an RFC 9457 problem; `more` are its extension members. */
export class ProblemException extends HttpException {
  constructor(status: number, detail?: string, more: { readonly errors?: readonly FieldProblem[] } & Record<string, unknown> = {}) {
    const { errors, ...extension } = more;
    super({ ...problemOf(status, detail, errors), ...extension }, status);
  }
}

/** Same answer for what is not there and for what belongs to another club. */
export function notFound(what: string): ProblemException {
  return new ProblemException(404, `There is no such ${what}.`);
}

/** A refusal that is about one field. */
export function fieldRefused(field: string, message: string): ProblemException {
  return new ProblemException(422, message, { errors: [{ field, message }] });
}
