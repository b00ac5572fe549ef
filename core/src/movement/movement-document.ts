import { isFields, openDocument, writeDocument, type DocumentFault, type Upgrade } from '../values/document.js';
import type { Result } from '../values/result.js';
import { saidCarefully } from './careful.js';
import type { Movement } from './movement.js';

/** 0 → 1: documents got a version, and nothing else changed. 1 → 2: the easier version asks what the core asks, unless it says otherwise. */
const upgrades: readonly Upgrade[] = [(older) => older, saidCarefully];

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
