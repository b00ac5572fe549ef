import { Max, Min } from 'class-validator';
import { applyDecorators } from './apply-decorators.js';

/** A number between two others, both included. */
export function Within({ least, most }: { readonly least: number; readonly most: number }): PropertyDecorator {
  const message = `Between ${String(least)} and ${String(most)}.`;
  return applyDecorators(Min(least, { message }), Max(most, { message }));
}
