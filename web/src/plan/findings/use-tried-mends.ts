import {
  triedMend,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Finding,
  type Library,
  type TriedMend,
} from '@leiter/core';
import { useEffect, useState } from 'react';

/** A plan and what was reckoned of it: they belong together. */
export interface Reckoned {
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
}

/** A finding among others of a plan. One item can have two findings of one check, so what is found is part of it. */
export function keyOf({ check, itemIds, childIds = [], fact }: Finding): string {
  return `${check} ${JSON.stringify(fact)} ${itemIds.join()} ${childIds.join()}`;
}

/** After a key nothing is tried for so long: whoever writes goes on writing. */
const restMilliseconds = 150;

const nothing: ReadonlyMap<string, TriedMend | null> = new Map();

/**
 * The mends of the open findings, each tried on the whole plan when the keys rest, one after the other, so that nothing waits for it.
 * Until it was tried anew, what was found of the same finding before stands.
 */
export function useTriedMends(
  { plan, evaluation }: Reckoned,
  library: Library,
  context: EvaluationContext,
): ReadonlyMap<string, TriedMend | null> {
  const [tried, setTried] = useState(nothing);
  useEffect(() => {
    const open = evaluation.findings.filter(({ mend, acceptedBecause }) => mend !== null && acceptedBecause === undefined);
    const found = new Map<string, TriedMend | null>();
    let next = 0;
    const step = (): void => {
      const finding = open[next];
      if (!finding) {
        setTried((before) => (before.size === 0 && found.size === 0 ? before : found));
        return;
      }
      next += 1;
      found.set(keyOf(finding), triedMend(plan, library, context, evaluation, finding));
      timer = window.setTimeout(step);
    };
    let timer = window.setTimeout(step, restMilliseconds);
    return () => {
      window.clearTimeout(timer);
    };
  }, [plan, evaluation, library, context]);
  return tried;
}
