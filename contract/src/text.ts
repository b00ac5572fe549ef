import { applyDecorators } from './apply-decorators.js';
import { IsString, Length, Matches } from 'class-validator';
import { Transform } from 'class-transformer';

/** A line of text a person typed: trimmed, of bounded length, without control characters (NUL cannot be stored). */
export function Line({ least = 1, most }: { readonly least?: number; readonly most: number }): PropertyDecorator {
  const length = least === 0 ? `At most ${String(most)} characters.` : `Between ${String(least)} and ${String(most)} characters.`;
  return applyDecorators(
    Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim() : value)),
    IsString({ message: 'This is not text.' }),
    Length(least, most, { message: length }),
    ...(least === 0 ? [] : [Matches(/[\p{L}\p{N}\p{P}\p{S}]/u, { message: 'There is nothing in it that one can read.' })]),
    // oxlint-disable-next-line no-control-regex -- control characters are what is refused
    Matches(/^[^\u0000-\u0008\u000b-\u001f\u007f]*$/u, { message: 'There is a character in it that cannot be stored.' }),
  );
}

/** A time of day as `HH:MM`. */
export function TimeOfDay(): PropertyDecorator {
  return applyDecorators(
    Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? wholeTime(value) : value)),
    Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'A time of day is written 16:30.' }),
  );
}

/** `9:30` and `9.30` as one means them; anything else as it is. */
function wholeTime(text: string): string {
  const [, hour, minute] = /^(\d{1,2})[:.](\d\d)$/.exec(text.trim()) ?? [];
  return hour !== undefined && minute !== undefined ? `${hour.padStart(2, '0')}:${minute}` : text;
}
