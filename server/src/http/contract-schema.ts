import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** A contract class and all it refers to as JSON Schema, from the rules that validate it; fields it does not know are refused. */
export function contractSchema(className: string): { readonly schema: object; readonly definitions: Readonly<Record<string, object>> } {
  const all = validationMetadatasToSchemas({
    refPointerPrefix: '#/$defs/',
    classTransformerMetadataStorage: defaultMetadataStorage,
  }) as Readonly<Record<string, object>>;
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
