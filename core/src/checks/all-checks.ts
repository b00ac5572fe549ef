import { backBendNotUndone } from './back-bend-not-undone.js';
import type { Check, CheckContext } from './check.js';
import { clock } from './clock.js';
import { coldLoad } from './cold-load.js';
import { effortShape } from './effort-shape.js';
import { severities, type CheckId, type Finding } from './finding.js';
import { noBreak } from './no-break.js';
import { oneSided } from './one-sided.js';
import { safetyTalk } from './safety-talk.js';
import { unpreparedRegion } from './unprepared-region.js';

/** Every check by its id: a new one is added here, to `checkIds` and to finding-words.ts; the compiler asks for all three. */
export const allChecks: Readonly<Record<CheckId, Check>> = {
  'safety-talk': safetyTalk,
  'cold-load': coldLoad,
  'unprepared-region': unpreparedRegion,
  'back-bend-not-undone': backBendNotUndone,
  'one-sided': oneSided,
  'no-break': noBreak,
  'effort-shape': effortShape,
  clock,
};

/** What all checks say, worst first; within one severity in the order of the class, then of the checks. */
export function findingsOn(context: CheckContext): readonly Finding[] {
  const startOf = new Map(context.timeline.items.map(({ item, startSecond }) => [item.id, startSecond]));
  const start = (finding: Finding): number => startOf.get(finding.itemIds[0] ?? '') ?? Number.MAX_SAFE_INTEGER;
  return Object.values(allChecks)
    .flatMap((check) => check(context))
    .toSorted((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity) || start(a) - start(b));
}
