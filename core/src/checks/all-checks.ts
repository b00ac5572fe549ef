import type { AcceptedFinding } from '../class-plan/class-plan.js';
import { isSameFinding } from '../class-plan/edit.js';
import { firstRounds } from '../timing/timeline.js';
import { attention } from './attention.js';
import { backBendNotUndone } from './back-bend-not-undone.js';
import type { Check, CheckContext } from './check.js';
import { clock } from './clock.js';
import { noClosing, noHomeTask } from './closing.js';
import { coldLoad } from './cold-load.js';
import { coldStatic } from './cold-static.js';
import { effortShape } from './effort-shape.js';
import { severities, type CheckId, type Finding } from './finding.js';
import { footprint } from './footprint.js';
import { holdTooLong } from './hold-too-long.js';
import { landings } from './landings.js';
import { littleMoving } from './little-moving.js';
import { noBreak } from './no-break.js';
import { oneForAll } from './one-for-all.js';
import { oneSided } from './one-sided.js';
import { order } from './order.js';
import { safetyTalk } from './safety-talk.js';
import { staticBeforePower } from './static-before-power.js';
import { tooMuchNew } from './too-much-new.js';
import { unpreparedRegion } from './unprepared-region.js';
import { upAndDown } from './up-and-down.js';
import { adult, equipment, noVersion, partner, prerequisite, quiet, surface } from './who-can.js';
import { wristTime } from './wrist-time.js';

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
  'cold-static': coldStatic,
  prerequisite,
  'no-version': noVersion,
  surface,
  equipment,
  adult,
  partner,
  quiet,
  footprint,
  'wrist-time': wristTime,
  landings,
  'hold-too-long': holdTooLong,
  'static-before-power': staticBeforePower,
  attention,
  'too-much-new': tooMuchNew,
  order,
  'up-and-down': upAndDown,
  'little-moving': littleMoving,
  'no-closing': noClosing,
  'no-home-task': noHomeTask,
  'one-for-all': oneForAll,
};

/** What all checks say, those that were accepted marked as such; worst first; within one severity in the order of the class, then of the checks. */
export function findingsOn(context: CheckContext): readonly Finding[] {
  const startOf = new Map(firstRounds(context.timeline.items).map(({ item, startSecond }) => [item.id, startSecond]));
  const start = (finding: Finding): number => startOf.get(finding.itemIds[0] ?? '') ?? Number.MAX_SAFE_INTEGER;
  const said = Object.values(allChecks).flatMap((check) => check(context));
  return (context.plan.circuits ? saidOnce(said) : said)
    .map((finding) => withReason(finding, context.plan.accepted ?? []))
    .toSorted((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity) || start(a) - start(b));
}

/** Findings on a circuit as one would say them: an item once, and the same thing not again for each round. */
function saidOnce(findings: readonly Finding[]): readonly Finding[] {
  const once = new Map<string, Finding>();
  for (const finding of findings) {
    const itemIds = [...new Set(finding.itemIds)];
    const key = `${finding.check} ${itemIds.join()} ${JSON.stringify(finding.fact)}`;
    if (!once.has(key)) once.set(key, { ...finding, itemIds });
  }
  return [...once.values()];
}

function withReason(finding: Finding, accepted: readonly AcceptedFinding[]): Finding {
  const said = accepted.find((one) => isSameFinding(one, finding));
  return said ? { ...finding, acceptedBecause: said.reason } : finding;
}
