import { hashKey } from '@tanstack/react-query';

/** The fields that are different from before: a form sends these and no others, so that two people at two fields both have their way. */
export function onlyChanged<Fields extends object>(before: Fields, after: Fields): Partial<Fields> {
  const keys = Object.keys(after) as (keyof Fields)[]; // its own keys
  return Object.fromEntries(
    keys.filter((key) => hashKey([before[key]]) !== hashKey([after[key]])).map((key) => [key, after[key]]),
  ) as Partial<Fields>;
}
