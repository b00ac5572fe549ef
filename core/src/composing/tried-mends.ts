import type { CheckId, Finding } from '../checks/all-checks.js';
import { severities } from '../checks/finding.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { applyEdits, type PlanEdit } from '../class-plan/edit.js';
import type { Library } from '../movement/library.js';
import type { Seconds } from '../values/unit.js';
import { evaluatePlan, type Evaluation, type EvaluationContext } from './evaluation.js';

/** A mend that was tried, and found to hold. */
export interface TriedMend {
  /** What has to be done: the mend, and what mends that what it would make. */
  readonly edits: readonly PlanEdit[];
  /** By how much it makes the class longer; below 0 for shorter. */
  readonly addsSeconds: Seconds;
}

/** So many mends, one for what the other makes, are a mend; more are a rearrangement. */
const mostSteps = 3;

/**
 * Tries the mend of a finding on the whole plan, reckoned anew: it has to take away what it mends, or part of it, and to make nothing
 * that another check finds; where it does, the mend of that is tried with it. The clock is not counted against it: what is put in takes
 * time, and that is told with it.
 * @returns null where it does not hold
 */
export function triedMend(
  plan: ClassPlan,
  library: Library,
  context: EvaluationContext,
  before: Evaluation,
  finding: Finding,
): TriedMend | null {
  const was = burdenOf(before.findings);
  let edits: readonly PlanEdit[] = finding.mend ?? [];
  for (let step = 1; step <= mostSteps && edits.length > 0; step += 1) {
    let count = 0;
    const made = new Set<string>();
    const newId = (): string => {
      const id = `tried-${String((count += 1))}`;
      made.add(id);
      return id;
    };
    const mended = applyEdits(plan, edits, newId);
    if (!mended.ok) return null;
    const after = evaluatePlan(mended.value, library, context);
    const is = burdenOf(after.findings);
    const worse = after.findings.filter(({ check }) => check !== 'clock' && (is.get(check) ?? 0) > (was.get(check) ?? 0));
    if (worse.length === 0)
      return (is.get(finding.check) ?? 0) < (was.get(finding.check) ?? 0)
        ? { edits, addsSeconds: after.timeline.totalSeconds - before.timeline.totalSeconds }
        : null;
    // what nothing mends ends it; what is put beside something that was put in has no place yet: ids are given when it is done
    if (worse.some(({ mend }) => mend === null || mend.some((edit) => namesOne(edit, made)))) return null;
    edits = [...edits, ...(worse[0]?.mend ?? [])];
  }
  return null;
}

function namesOne(edit: PlanEdit, ids: ReadonlySet<string>): boolean {
  const place = 'place' in edit && 'item' in edit.place ? edit.place.item : null;
  const item = 'item' in edit && typeof edit.item === 'string' ? edit.item : null;
  return (place !== null && ids.has(place)) || (item !== null && ids.has(item));
}

/** How much each check finds: graver counts more than all that is less grave together, then the number of items. */
function burdenOf(findings: readonly Finding[]): ReadonlyMap<CheckId, number> {
  const burdens = new Map<CheckId, number>();
  for (const { check, severity, itemIds } of findings) {
    const weight = 1000 ** (severities.length - severities.indexOf(severity) - 1);
    burdens.set(check, (burdens.get(check) ?? 0) + weight * (1 + itemIds.length));
  }
  return burdens;
}

/** An evaluation in which only mends stand that were tried and hold. */
export function withTriedMends(plan: ClassPlan, library: Library, context: EvaluationContext, evaluation: Evaluation): Evaluation {
  if (evaluation.findings.every(({ mend }) => mend === null)) return evaluation;
  const findings = evaluation.findings.map((finding) =>
    finding.mend === null ? finding : { ...finding, mend: triedMend(plan, library, context, evaluation, finding)?.edits ?? null },
  );
  return { ...evaluation, findings };
}
