import type { FieldProblem } from '@leiter/contract';
import { ValidationPipe, type ValidationError, type ValidationPipeOptions } from '@nestjs/common';
import { ProblemException } from './problem.js';

const mostFieldsNamed = 50;

/** How every contract class is read: fields that it does not know are refused, and each field says one thing. */
export const validationRules = {
  whitelist: true,
  forbidNonWhitelisted: true,
  forbidUnknownValues: true,
  stopAtFirstError: true,
  validationError: { target: false, value: false },
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
      message: rule === 'whitelistValidation' ? 'This field is not known here.' : message,
    }));
    return [...own.slice(0, 1), ...fieldProblems(error.children ?? [], field)];
  });
}
