import type { PlanEdit } from '../class-plan/edit.js';
import type { Library } from '../movement/library.js';

/** What a mend does, from its edits; a check that knows better says it itself. */
export function mendWords(mend: readonly PlanEdit[], library: Library): string {
  const [edit, ...others] = mend;
  switch (edit?.kind) {
    case 'insert': {
      const name = library.get(edit.item.movement)?.name ?? edit.item.movement;
      return others.length === 1 ? `Do “${name}” instead` : `Put in “${name}”`;
    }
    case 'move':
      return 'Move it before';
    case 'set-sides':
      return 'Do both sides';
    default:
      return 'Mend it';
  }
}
