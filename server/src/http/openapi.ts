import * as contract from '@leiter/contract';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';

/** Every route with the schema of its body, made from the same classes that validate it. */
export function openApiOf(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder().setTitle('Leiter').setVersion('0.1').addCookieAuth('leiter').build();
  const document = SwaggerModule.createDocument(app, config);
  const known = new Set(Object.keys(contract));
  const schemas = validationMetadatasToSchemas({ refPointerPrefix: '#/components/schemas/' });
  const own = Object.fromEntries(
    Object.entries(schemas).filter(([name]) => known.has(name) || name in (document.components?.schemas ?? {})),
  );
  const nested = Object.fromEntries(Object.entries(schemas).filter(([name]) => JSON.stringify(own).includes(`/${name}"`)));
  return {
    ...document,
    components: { ...document.components, schemas: { ...document.components?.schemas, ...nested, ...own } },
  } as OpenAPIObject; // JSON Schema is what OpenAPI 3 takes here
}
