import { isDay } from '@leiter/core';
import { registerDecorator } from 'class-validator';

/** A day that exists in the calendar, `YYYY-MM-DD`, between 1900 and 2199. */
export function DayField(): PropertyDecorator {
  return (target, property) => {
    registerDecorator({
      name: 'isDay',
      target: target.constructor,
      propertyName: String(property),
      options: { message: 'A day is written 2019-04-30 and has to exist.' },
      validator: { validate: (value: unknown) => typeof value === 'string' && /^(19|20|21)/.test(value) && isDay(value) },
    });
  };
}
