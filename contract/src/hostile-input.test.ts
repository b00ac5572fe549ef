import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { getMetadataStorage, validateSync } from 'class-validator';
import { describe, expect, it } from 'vitest';
import * as contract from './index.js';
import { bodies, nasty, pathsIn, withValue, type Json } from './testing/index.js';

const rules = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true, stopAtFirstError: true } as const;
const anyId = '6f9d3a4e-0c55-4d2b-9a51-0d3c7d1f2a10';
const all = bodies({ group: anyId, child: anyId, class: anyId, newId: () => anyId });
/** Entries of a library are looked at by core, beside the library. */
const isInEntry = (path: readonly (string | number)[]): boolean =>
  path.some((key, index) => index < path.length - 1 && ['movement', 'movementInline', 'movements'].includes(String(key)));

function faultsIn(of: new () => object, body: Json): number {
  return validateSync(plainToInstance<object, unknown>(of, body), rules).length;
}

describe('every request', () => {
  it.each(all)('to $name is taken as it is right', ({ of, body }) => {
    expect(validateSync(plainToInstance<object, unknown>(of, body), rules)).toEqual([]);
  });

  it.each(all)('to $name is looked at without a crash, whatever stands in whatever place', ({ of, body }) => {
    for (const path of pathsIn(body).filter(({ length }) => length > 0))
      for (const [name, value] of nasty)
        expect(() => faultsIn(of, withValue(body, path, value)), `${path.join('.')} as ${name}`).not.toThrow();
  });

  it.each(all)('to $name with a list where an object belongs is refused', ({ of, body }) => {
    const places = pathsIn(body).filter((path) => {
      const value = path.reduce<unknown>((at, key) => (at as Record<string | number, unknown>)[key], body);
      return path.length > 0 && !isInEntry(path) && typeof value === 'object' && value !== null && !Array.isArray(value);
    });
    for (const path of places) {
      expect(faultsIn(of, withValue(body, path, [])), `${path.join('.')} as a list`).toBeGreaterThan(0);
      expect(faultsIn(of, withValue(body, path, [{}])), `${path.join('.')} as a list of one`).toBeGreaterThan(0);
    }
  });

  it.each(all)('to $name with a field that is not known is refused', ({ of, body }) => {
    expect(faultsIn(of, { ...(body as object), surprise: 1 })).toBeGreaterThan(0);
  });
});

describe('every class of the contract', () => {
  const classes = Object.values(contract).filter(
    (one): one is new () => object => typeof one === 'function' && String(one).startsWith('class'),
  );

  it('says of each object in it that it is one: a list is none', () => {
    const storage = getMetadataStorage();
    for (const of of classes) {
      const found = storage.getTargetValidationMetadatas(of, '', true, false);
      for (const { propertyName } of found.filter(({ type }) => type === 'nestedValidation')) {
        const isObject = found.some((one) => one.propertyName === propertyName && one.name === 'isObject');
        expect(isObject, `${of.name}.${propertyName}`).toBe(true);
      }
    }
  });

  it('that can be sent has a body here that is tried', () => {
    const tried = new Set(all.map(({ of }) => of));
    const sent = classes.filter(({ name }) => name.endsWith('Request'));
    expect(sent.filter((one) => !tried.has(one)).map(({ name }) => name)).toEqual([]);
  });
});
