import type { FieldProblem } from '@leiter/contract';
import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { ProblemException } from './problem.js';

/** Reads a body as its contract class says; an unknown field, a wrong type or a missing value is a 400 that names the field. */
export function contractPipe(): ValidationPipe {
  return new ValidationPipe({
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    stopAtFirstError: true,
    validationError: { target: false, value: false },
    exceptionFactory: (errors) => new ProblemException(400, 'Some fields are not right.', { errors: fieldProblems(errors).slice(0, 50) }),
  });
}

function fieldProblems(errors: readonly ValidationError[], path = ''): readonly FieldProblem[] {
  return errors.flatMap((error) => {
    const field = path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) => ({
      field,
      message: rule === 'whitelistValidation' ? 'This field is not known here.' : message,
    }));
    return [...own.slice(0, 1), ...fieldProblems(error.children ?? [], field)];
  });
}
