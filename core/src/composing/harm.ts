import type { CheckId } from '../checks/all-checks.js';
import type { Library } from '../movement/library.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { evaluatePlan, type EvaluationContext } from './evaluation.js';

/**
 * How many items each check stops or cautions about, one at least for what is about the whole. Hints harm nobody, nor does the clock,
 * which is what changes are made for.
 */
export type Harm = ReadonlyMap<CheckId, { readonly stops: number; readonly cautions: number }>;

/** @returns what a plan would do to the children of a class, check by check */
export function harmOf(plan: ClassPlan, library: Library, context: EvaluationContext): Harm {
  const harm = new Map<CheckId, { stops: number; cautions: number }>();
  for (const { check, severity, itemIds } of evaluatePlan(plan, library, context).findings) {
    if (severity === 'hint' || check === 'clock') continue;
    const counted = harm.get(check) ?? { stops: 0, cautions: 0 };
    counted[severity === 'stop' ? 'stops' : 'cautions'] += Math.max(1, itemIds.length);
    harm.set(check, counted);
  }
  return harm;
}

/**
 * Whether a change does no harm: by no check more stops than before, nor more stops and cautions together. A stop may become a
 * caution; what one check no longer finds makes nothing good that another finds now.
 */
export function isNoWorse(before: Harm, after: Harm): boolean {
  return [...after].every(([check, { stops, cautions }]) => {
    const had = before.get(check) ?? { stops: 0, cautions: 0 };
    return stops <= had.stops && stops + cautions <= had.stops + had.cautions;
  });
}
