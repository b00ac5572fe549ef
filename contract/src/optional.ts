import { ValidateIf } from 'class-validator';

/** A field that may be left out. Unlike `IsOptional`, it may not be null: what is stored there never is. */
export function MayBeLeftOut(): PropertyDecorator {
  return ValidateIf((_object: object, value: unknown) => value !== undefined);
}
