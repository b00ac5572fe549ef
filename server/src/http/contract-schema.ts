import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { doseClassNames, doseRule } from '@leiter/contract';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** All contract classes as JSON Schema; a field of no class of ours is an object or a list. */
export function contractSchemas(prefix: string): Readonly<Record<string, object>> {
  const all = validationMetadatasToSchemas({
    refPointerPrefix: prefix,
    classTransformerMetadataStorage: defaultMetadataStorage,
    additionalConverters: { [doseRule]: { oneOf: doseClassNames.map((name) => ({ $ref: `${prefix}${name}` })) } },
  });
  return JSON.parse(JSON.stringify(all), (_key, value: unknown) => {
    if (typeof value !== 'object' || value === null || !('$ref' in value)) return value;
    const { $ref: reference, ...rest } = value;
    if (reference === `${prefix}Object`) return { type: 'object' };
    return reference === `${prefix}Array` ? { ...rest, type: 'array' } : value;
  }) as Readonly<Record<string, object>>; // schemas are objects
}

/** A contract class and all it refers to as JSON Schema, from the rules that validate it; fields it does not know are refused. */
export function contractSchema(className: string): { readonly schema: object; readonly definitions: Readonly<Record<string, object>> } {
  const all = contractSchemas('#/$defs/');
  const definitions: Record<string, object> = {};
  const open = [className];
  for (let name = open.pop(); name !== undefined; name = open.pop()) {
    const schema = all[name];
    if (!schema || name in definitions) continue;
    definitions[name] = { ...schema, additionalProperties: false };
    open.push(...[...JSON.stringify(schema).matchAll(/#\/\$defs\/(\w+)/g)].map(([, inner]) => inner ?? ''));
  }
  const { [className]: schema = {}, ...others } = definitions;
  return { schema, definitions: others };
}
