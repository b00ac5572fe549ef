import type { AcceptedFinding } from '../class-plan/class-plan.js';
import { isSameFinding } from '../class-plan/edit.js';
import { firstRounds } from '../timing/timeline.js';
import { attention } from './attention.js';
import { backBendNotUndone } from './back-bend-not-undone.js';
import { adult } from './adult.js';
import { equipment } from './equipment.js';
import { partner } from './partner.js';
import { prerequisite } from './prerequisite.js';
import { quiet } from './quiet.js';
import { surface } from './surface.js';
import { noClosing } from './no-closing.js';
import { noHomeTask } from './no-home-task.js';
import { nobodyDoesIt } from './nobody-does-it.js';
import { noVersion } from './no-version.js';
import type { Check, CheckContext } from './check.js';
import { clock } from './clock.js';
import { coldLoad } from './cold-load.js';
import { coldPower } from './cold-power.js';
import { coldStatic } from './cold-static.js';
import { cooledOff } from './cooled-off.js';
import type { AnyRule } from './club-rules.js';
import { effortShape } from './effort-shape.js';
import { severities, type Found, type Severity } from './finding.js';
import { eyesClosed } from './eyes-closed.js';
import { footprint } from './footprint.js';
import { handsVolume } from './hands-volume.js';
import { holdTooLong } from './hold-too-long.js';
import { homeTaskUnsafe } from './home-task-unsafe.js';
import { landings } from './landings.js';
import { littleMoving } from './little-moving.js';
import { longTalk } from './long-talk.js';
import { noBreak } from './no-break.js';
import { noDrink } from './no-drink.js';
import { noLeadIn } from './no-lead-in.js';
import { oneForAll } from './one-for-all.js';
import { oneSided } from './one-sided.js';
import { order } from './order.js';
import { safetyTalk } from './safety-talk.js';
import { staticBeforePower } from './static-before-power.js';
import { tooMuchNew } from './too-much-new.js';
import { unpreparedRegion } from './unprepared-region.js';
import { upAndDown } from './up-and-down.js';
import { wristTime } from './wrist-time.js';

/** What the checks are about, in the order in which they are shown. */
export const abouts = ['bodies', 'time', 'children', 'order'] as const;
export type About = (typeof abouts)[number];

/** Every check, by what it is about, in the order in which they are told. A new one is a file of its own, and a word here. */
const checksAbout = {
  bodies: [
    safetyTalk,
    coldLoad,
    coldPower,
    cooledOff,
    unpreparedRegion,
    backBendNotUndone,
    oneSided,
    coldStatic,
    wristTime,
    handsVolume,
    landings,
    holdTooLong,
    staticBeforePower,
    noDrink,
    noBreak,
    eyesClosed,
  ],
  time: [clock, effortShape, longTalk, attention, tooMuchNew, littleMoving],
  children: [homeTaskUnsafe, prerequisite, noVersion, nobodyDoesIt, surface, equipment, adult, partner, quiet, footprint, oneForAll],
  order: [noLeadIn, order, upAndDown, noClosing, noHomeTask],
} as const;

const allChecks = [...checksAbout.bodies, ...checksAbout.time, ...checksAbout.children, ...checksAbout.order] as const;

type OneCheck = (typeof allChecks)[number];
export type CheckId = OneCheck['id'];
type FindingFact = OneCheck extends Check<string, infer Fact> ? Fact : never;

/** What a check found on a plan. */
export interface Finding extends Found<FindingFact> {
  readonly check: CheckId;
  /** Why it stands all the same, where the instructor said so. */
  readonly acceptedBecause?: string;
}

type AnyCheck = Check<CheckId, FindingFact>;
const byId: ReadonlyMap<CheckId, AnyCheck> = new Map(allChecks.map((check): [CheckId, AnyCheck] => [check.id, check]));

export const checkIds: readonly CheckId[] = [...byId.keys()];

/** A check as a club reads of it. */
export interface CheckTold {
  readonly id: CheckId;
  readonly about: About;
  readonly title: string;
  readonly says: string;
  readonly gravest: Severity;
  readonly numbers: readonly AnyRule[];
}

/** Every check, in the order in which they are told. */
export const checksTold: readonly CheckTold[] = abouts.flatMap((about) =>
  checksAbout[about].map((check: AnyCheck): CheckTold => {
    const { id, title, says, gravest, numbers = [] } = check;
    return { id, about, title, says, gravest, numbers };
  }),
);

const rules: ReadonlyMap<string, AnyRule> = new Map(checksTold.flatMap(({ numbers }) => numbers.map((rule) => [rule.id, rule])));

/** A number of some check by its name; undefined where no check has one of this name. */
export const ruleNamed = (id: string): AnyRule | undefined => rules.get(id);

const aboutById = new Map<CheckId, About>(abouts.flatMap((about) => checksAbout[about].map(({ id }): [CheckId, About] => [id, about])));

/** What a check is about: bodies, time, the children with their homes, or the order of the class. */
export function aboutOf(id: CheckId): About {
  return aboutById.get(id) ?? 'order';
}

/** @throws Error for an id of no check */
export function checkOf(id: CheckId): AnyCheck {
  const check = byId.get(id);
  if (!check) throw new Error(`There is no check “${id}”.`);
  return check;
}

/** What all checks say that the club makes, those that were accepted marked as such; worst first; within one severity in the order of the class, then of the checks. */
export function findingsOn(context: CheckContext): readonly Finding[] {
  const startOf = new Map(firstRounds(context.timeline.items).map(({ item, startSecond }) => [item.id, startSecond]));
  const start = (finding: Finding): number => startOf.get(finding.itemIds[0] ?? '') ?? Number.MAX_SAFE_INTEGER;
  const off = new Set(context.rules.off.map(({ check }) => check));
  const said = [...byId.values()].flatMap(({ id, look }) =>
    off.has(id) ? [] : look(context).map((found): Finding => ({ check: id, ...found })),
  );
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
