import { isFields, openDocument, writeDocument, type DocumentFault, type Upgrade } from '../values/document.js';
import type { Result } from '../values/result.js';
import type { Movement } from './movement.js';

/** 0 → 1: documents got a version, and nothing else changed. */
const upgrades: readonly Upgrade[] = [(older) => older];

/** Opens an entry of the library as the database kept it; what is in it was checked as it was taken in. */
export function openMovement(kept: unknown): Result<Movement, DocumentFault> {
  return openDocument<Movement>(
    kept,
    upgrades,
    (content) =>
      typeof content['slug'] === 'string' && typeof content['name'] === 'string' && isFields(content['dose']) && isFields(content['tiers']),
  );
}

export function writeMovement(movement: Movement): Movement & { readonly v: number } {
  return writeDocument(movement, upgrades);
}
