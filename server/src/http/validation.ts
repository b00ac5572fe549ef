import type { FieldProblem } from '@leiter/contract';
import { ValidationPipe, type ValidationError, type ValidationPipeOptions } from '@nestjs/common';
import { ProblemException } from './problem.js';

const mostFieldsNamed = 50;

/** Of what a file of a plan says wrong, the value is told as well: whoever wrote it by hand or by a program looks for it. */
const toldPaths = /^(plan|file)\./;
const longestToldValue = 60;

function valueWords(field: string, value: unknown): string {
  if (!toldPaths.test(field)) return '';
  if (value === undefined) return ' It is missing.';
  const text = JSON.stringify(value);
  return ` It says ${text.length > longestToldValue ? `${text.slice(0, longestToldValue)}…` : text}.`;
}

/** How every contract class is read: fields that it does not know are refused, and each field says one thing. */
export const validationRules = {
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  stopAtFirstError: true,
  validationError: { target: false, value: true },
} as const satisfies ValidationPipeOptions;

/** Reads a body as its contract class says; an unknown field, a wrong type or a missing value is a 400 that names the field. */
export function contractPipe(): ValidationPipe {
  return new ValidationPipe({
    ...validationRules,
    transform: true,
    exceptionFactory: (errors) => fieldsProblem(fieldProblems(errors)),
  });
}

export function fieldsProblem(errors: readonly FieldProblem[]): ProblemException {
  return new ProblemException(400, 'Some fields are not right.', { errors: errors.slice(0, mostFieldsNamed) });
}

export function fieldProblems(errors: readonly ValidationError[], path = ''): readonly FieldProblem[] {
  return errors.flatMap((error) => {
    const field = path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      field,
      message: rule === 'whitelistValidation' ? 'This field is not known here.' : `${message}${valueWords(field, error.value)}`,
    }));
    return [...own.slice(0, 1), ...fieldProblems(error.children ?? [], field)];
  });
}
