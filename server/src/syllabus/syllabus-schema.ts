import '@leiter/contract';
import { syllabusFormat } from '@leiter/core';
import { contractSchema } from '../http/contract-schema.js';

/** `leiter-syllabus/1` as JSON Schema (2020-12), from the classes that validate it. */
export function syllabusSchema(): object {
  const { schema, definitions } = contractSchema('SyllabusFile');
  return { $schema: 'https://json-schema.org/draft/2020-12/schema', title: syllabusFormat, ...schema, $defs: definitions };
}
