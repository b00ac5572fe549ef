import { applyDecorators } from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';

/** Of a route whose body is a file as it is: said in the description of the API. What reads it is in `body.ts`. */
export const TakesFile = (): MethodDecorator =>
  applyDecorators(ApiConsumes('application/octet-stream'), ApiBody({ schema: { type: 'string', format: 'binary' } }));
