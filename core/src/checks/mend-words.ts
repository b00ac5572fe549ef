import type { PlanEdit } from '../class-plan/edit.js';
import type { Library } from '../movement/library.js';
import { listText } from '../values/list-text.js';

/** What a mend does, from its edits; a check that knows better says it itself. */
export function mendWords(mend: readonly PlanEdit[], library: Library): string {
  const [edit, ...others] = mend;
  switch (edit?.kind) {
    case 'insert': {
      const names = mend.flatMap((one) => (one.kind === 'insert' ? [library.get(one.item.movement)?.name ?? one.item.movement] : []));
      const quoted = listText(
        [...new Set(names)].map((name) => {
          const times = names.filter((one) => one === name).length;
          return `“${name}”${times > 1 ? ` ${String(times)} times` : ''}`;
        }),
      );
      return others.some(({ kind }) => kind === 'remove') ? `Do ${quoted} instead` : `Put in ${quoted}`;
    }
    case 'move':
      return others.length > 0 ? 'Move them before' : 'Move it before';
    case 'set-sides':
      return 'Do both sides';
    default:
      return 'Mend it';
  }
}
