import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { contractSchemas } from './contract-schema.js';

/** Every route with the schema of its body, made from the same classes that validate it. */
export function openApiOf(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder().setTitle('Leiter').setVersion('0.1').addCookieAuth('leiter').build();
  const document = SwaggerModule.createDocument(app, config);
  const schemas = contractSchemas('#/components/schemas/');
  const named = [
    ...Object.keys(document.components?.schemas ?? {}),
    ...[...JSON.stringify(document.paths).matchAll(/#\/components\/schemas\/(\w+)/g)].map(([, name]) => name ?? ''),
  ];
  return {
    ...document,
    components: { ...document.components, schemas: { ...document.components?.schemas, ...withNested(schemas, named) } },
  };
}

/** The schemas of the names, and of everything that they refer to. */
function withNested<Schema>(schemas: Readonly<Record<string, Schema>>, names: readonly string[]): Readonly<Record<string, Schema>> {
  const found: Record<string, Schema> = {};
  const open = [...names];
  for (let name = open.pop(); name !== undefined; name = open.pop()) {
    const schema = schemas[name];
    if (schema === undefined || name in found) continue;
    found[name] = schema;
    open.push(...[...JSON.stringify(schema).matchAll(/#\/components\/schemas\/(\w+)/g)].map(([, inner]) => inner ?? ''));
  }
  return found;
}
