import type { MovementKind } from '../movement/kind.js';
import type { Seconds } from '../values/unit.js';

/** What a class taught leaves behind of one item. */
export interface ItemRun {
  readonly kind: MovementKind;
  readonly plannedSeconds: Seconds;
  readonly realSeconds: Seconds;
}

export const paceSettings = { priorWeight: 5, lastItems: 40 } as const;

/**
 * By what an instructor's items of a kind last longer than reckoned: (5 + Σ real/planned) / (5 + n), the newest 40 counting
 * (model.md; a mean shrunk towards 1). 1 where nothing was taught.
 * @param runs newest first; runs planned at nothing say nothing and are left out.
 */
export function learnedPace(runs: readonly ItemRun[], kind: MovementKind): number {
  const counting = runs.filter((run) => run.kind === kind && run.plannedSeconds > 0).slice(0, paceSettings.lastItems);
  const ratios = counting.reduce((sum, run) => sum + run.realSeconds / run.plannedSeconds, 0);
  return (paceSettings.priorWeight + ratios) / (paceSettings.priorWeight + counting.length);
}
