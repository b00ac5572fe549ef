import { ageBands } from './age-band.js';
import { doseKinds, doseKindNames, doseLimits, unevenSets, type Dose, type DoseNumber } from './dose.js';
import { movementKinds } from './kind.js';
import { entryChoices, libraryFormat, mustBeWritten } from './library-file.js';
import { fieldShapes } from './library-shapes.js';
import { levels } from './posture.js';

function doseSchema(kind: Dose['kind']): object {
  const { numbers, optional = [], uneven, tempos, choices = {} } = doseKinds[kind];
  const numberSchema = (name: DoseNumber): object => {
    const { least, most, isWhole } = doseLimits[name];
    return { type: isWhole ? 'integer' : 'number', minimum: least, maximum: most };
  };
  const listSchema = (name: DoseNumber): object => ({
    type: 'array',
    minItems: unevenSets.least,
    maxItems: unevenSets.most,
    items: numberSchema(name),
  });
  return {
    type: 'object',
    additionalProperties: false,
    required: ['kind', ...numbers, ...Object.keys(choices)],
    properties: {
      kind: { const: kind },
      ...Object.fromEntries([...numbers, ...optional].map((name) => [name, numberSchema(name)])),
      ...(uneven ? { uneven: listSchema(uneven) } : {}),
      ...(tempos ? { tempos: listSchema(tempos) } : {}),
      ...Object.fromEntries(Object.entries(choices).map(([field, words]) => [field, { enum: words }])),
    },
  };
}

/** An entry of a library as JSON Schema, from the same shapes, words and limits that `readLibrary` checks. */
export function movementSchema(): { readonly required: readonly string[] } & Readonly<Record<string, unknown>> {
  return {
    type: 'object',
    additionalProperties: false,
    required: mustBeWritten,
    properties: {
      slug: { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' },
      kind: { enum: movementKinds },
      level: { enum: levels },
      ...Object.fromEntries(Object.entries(entryChoices).map(([field, words]) => [field, { enum: words }])),
      ...Object.fromEntries(Object.entries(fieldShapes).map(([field, { schema }]) => [field, schema])),
      dose: {
        type: 'object',
        additionalProperties: false,
        properties: Object.fromEntries(ageBands.map((band) => [band, { anyOf: [{ $ref: '#/$defs/dose' }, { type: 'null' }] }])),
      },
    },
  };
}

/** The definitions that a schema with movements in it refers to. */
export function doseDefinition(): object {
  return { dose: { oneOf: doseKindNames.map(doseSchema) } };
}

/** `leiter-library/1` as JSON Schema (2020-12). What it cannot say – circles, names that are not there – `readLibrary` says. */
export function librarySchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: libraryFormat,
    type: 'object',
    additionalProperties: false,
    required: ['format', 'movements'],
    properties: { format: { const: libraryFormat }, movements: { type: 'array', maxItems: 5000, items: movementSchema() } },
    $defs: doseDefinition(),
  };
}
