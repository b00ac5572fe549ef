import '@leiter/contract';
import { doseDefinition, movementSchema, planFormat } from '@leiter/core';
import { contractSchema } from '../http/contract-schema.js';

/** `leiter-plan/1` as JSON Schema (2020-12), from the classes that validate it; movements are as leiter-library/1 has them. */
export function planSchema(): object {
  const { schema, definitions } = contractSchema('PlanFile');
  const movement = movementSchema();
  const own = JSON.parse(JSON.stringify({ schema, definitions }), (key, value: unknown) => {
    if (key === 'dose' && isFields(value)) return { $ref: '#/$defs/dose' };
    if (key === 'movements' && isFields(value)) return { ...value, items: { $ref: '#/$defs/movement' } };
    return key === 'movementInline' ? { $ref: '#/$defs/movementInline' } : value;
  }) as { readonly schema: object; readonly definitions: object };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: planFormat,
    ...own.schema,
    // an inline entry may leave its slug out: the item says it
    $defs: { ...own.definitions, movement, movementInline: withoutSlug(movement), ...doseDefinition() },
  };
}

function withoutSlug(movement: ReturnType<typeof movementSchema>): object {
  return { ...movement, required: movement.required.filter((field) => field !== 'slug') };
}

const isFields = (value: unknown): value is object => typeof value === 'object' && value !== null;
