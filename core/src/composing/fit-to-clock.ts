import { activeSecondsOf, sameDose, stepDose, type Dose } from '../movement/dose.js';
import type { Library } from '../movement/library.js';
import { familiarityOf } from '../timing/familiarity.js';
import { partsOf, secondsOf, type ItemTimeContext } from '../timing/item-time.js';
import { surroundingsAfter, type Surroundings } from '../timing/surroundings.js';
import { wayOf } from '../timing/way-of.js';
import { firstRounds, itemTotals, timelineOf, type TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import { roundsOf, rowsOf } from '../class-plan/circuit.js';
import { placedItems, type Circuit, type ClassPlan, type Item } from '../class-plan/class-plan.js';
import { applyEdits, type PlanEdit } from '../class-plan/edit.js';
import { teachingOf, type ItemTeaching } from '../class-plan/item-teaching.js';
import { meanAge, type EvaluationContext } from './evaluation.js';
import { harmOf, isNoWorse, type Harm } from './harm.js';
import { fillSlot } from './fill-slot.js';
import { fitSettings } from './fit-settings.js';

/** One edit that saves or uses time, to be taken singly or with the others. */
export interface FitStep {
  /** What it changes; for a circuit its first station. */
  readonly item: ItemId;
  readonly edit: PlanEdit;
  /** Less time when positive, more when negative; as the whole proposal makes it. */
  readonly savesSeconds: Seconds;
}

/** How a plan ends on time. */
export interface Fit {
  readonly kind: 'fits' | 'shorten' | 'lengthen' | 'cannot';
  readonly steps: readonly FitStep[];
  /** Of the plan with all steps taken. */
  readonly totalSeconds: Seconds;
  /** What is lost, after `fitSettings`. */
  readonly cost: number;
}

/** A class that is being taught. */
export interface LiveClass {
  /** What was taught, or is now. */
  readonly done: ReadonlySet<ItemId>;
  /** How long the whole plan may be so that the rest ends on time: what is left of the slot, and what was planned until now. */
  readonly slotSeconds: Seconds;
}

/** What can be done with one item, or with a circuit as a whole. */
interface Option {
  readonly edit: PlanEdit | null;
  /** What is taught afterwards: the item, all rounds of the circuit, or nothing. */
  readonly taught: readonly Taught[];
  readonly cost: number;
}

type Taught = Pick<TimedItem, 'item' | 'section' | 'movement' | 'familiarity' | 'round' | 'roundRestSeconds' | 'sides' | 'isOtherSide'>;

/** What is decided on together: a single item, or a circuit with all its rounds. */
interface Unit {
  readonly circuit: Circuit | null;
  readonly passes: readonly TimedItem[];
}

/** The units of a plan, in order; `passes` of items whose movement is unknown are left out. */
function unitsOf(plan: ClassPlan, items: readonly TimedItem[]): readonly Unit[] {
  return rowsOf(plan).flatMap(({ circuit, items: own }) => {
    const ids = new Set(own.map(({ id }) => id));
    const passes = items.filter(({ item }) => ids.has(item.id));
    return passes.length === 0 ? [] : [{ circuit, passes }];
  });
}

/**
 * The least harmful way to end on time: trims doses, explains what the group knows while doing it, and leaves items out –
 * never in the cool-down, never one side only, never a preparation that something later needs, never a talk or a drink. A
 * circuit is gone round less often, down to half; its stations stay as they are. It is exact for the cost of `fitSettings` up to half a second (dynamic programming over items, time and where the class
 * stands). With more than four minutes in hand, doses are raised instead.
 * @param live of a class that is being taught only what is still to come is changed, and nothing is made longer
 */
export function fitToClock(plan: ClassPlan, library: Library, context: EvaluationContext, live?: LiveClass): Fit {
  // versions do not change how long it takes
  const own: EvaluationContext = { ...context, children: [], style: plan.style ?? context.style };
  const timeline = timelineOf(plan, library, { ...own, meanAgeYears: meanAge(own.agesYears) });
  const slot = live?.slotSeconds ?? own.slotMinutes * 60;
  if (timeline.totalSeconds <= slot + 0.5)
    return live
      ? { kind: 'fits', steps: [], totalSeconds: timeline.totalSeconds, cost: 0 }
      : lengthened(plan, library, own, timeline.totalSeconds);
  const forbidden = new Set<ItemId>();
  const harm = harmOf(plan, library, own);
  const done = live?.done ?? new Set<ItemId>();
  for (const { item } of firstRounds(timeline.items))
    if (!done.has(item.id) && item.circuit === undefined && !mayGo(plan, item, library, own, harm)) forbidden.add(item.id);
  const units = unitsOf(plan, timeline.items);
  // of a circuit that has begun all stays
  const begun = units.flatMap(({ passes }) => (passes.some(({ item }) => done.has(item.id)) ? passes.slice(0, 1) : []));
  const untouched = new Set(begun.map(({ item }) => item.id));
  for (let round = 0; round < mostRounds; round += 1) {
    const chosen = cheapest(units, plan, { forbidden, untouched }, own, slot);
    if (!chosen) break;
    const isHarmful = (steps: readonly FitStep[]): boolean => {
      const fitted = applyEdits(
        plan,
        steps.map(({ edit }) => edit),
        () => '',
      );
      return !fitted.ok || !isNoWorse(harm, harmOf(fitted.value, library, own));
    };
    if (!isHarmful(chosen.steps)) return { kind: 'shorten', ...chosen };
    // what does the harm stays as it is, and the search begins again
    const culprit = chosen.steps.find((step) => !isHarmful(chosen.steps.filter((one) => one !== step))) ?? chosen.steps.at(-1);
    untouched.add(culprit?.item ?? '');
  }
  return { kind: 'cannot', steps: [], totalSeconds: timeline.totalSeconds, cost: 0 };
}

/** How often the search begins again because a choice would do harm. */
const mostRounds = 20;

const lockedSections = new Set(['cool-down', 'closing', 'opening', 'safety']);

function isLocked({ section, movement }: TimedItem): boolean {
  return lockedSections.has(section.kind) || movement.kind === 'talk' || movement.kind === 'break';
}

function mayGo(plan: ClassPlan, item: Item, library: Library, context: EvaluationContext, harm: Harm): boolean {
  const without = applyEdits(plan, [{ kind: 'remove', item: item.id }], () => '');
  return without.ok && isNoWorse(harm, harmOf(without.value, library, context));
}

/** Items that may not be left out, and items that stay as they are. */
interface Bounds {
  readonly forbidden: ReadonlySet<ItemId>;
  readonly untouched: ReadonlySet<ItemId>;
}

function worthOf({ movement }: Pick<TimedItem, 'movement'>, plan: ClassPlan): number {
  return fitSettings.worthOfMinute[movement.kind] * (plan.focus.includes(movement.slug) ? fitSettings.focusTimes : 1);
}

/** All that can be done with a unit, the nothing first. */
function optionsOf({ circuit, passes }: Unit, plan: ClassPlan, bounds: Bounds, context: EvaluationContext): readonly Option[] {
  const [first] = passes;
  if (!first) return [];
  const kept: Option = { edit: null, taught: passes, cost: 0 };
  if (bounds.untouched.has(first.item.id)) return [kept];
  if (circuit) return [kept, ...(passes.some(isLocked) ? [] : fewerRounds(circuit, passes, plan))];
  return isLocked(first) ? [kept] : [kept, ...itemOptions(first, plan, bounds, context)];
}

function fewerRounds(circuit: Circuit, passes: readonly TimedItem[], plan: ClassPlan): readonly Option[] {
  const { id, rounds, restSeconds } = circuit;
  const least = Math.ceil(rounds * fitSettings.leastShare);
  const worthOfRound = passes.reduce((sum, pass) => sum + (worthOf(pass, plan) * pass.movingSeconds) / 60, 0) / rounds;
  return Array.from({ length: rounds - least }, (_, index) => rounds - 1 - index).map((left) => ({
    edit: { kind: 'set-circuit', circuit: id, rounds: left, restSeconds },
    taught: passes.filter(({ round }) => round <= roundsOf({ ...circuit, rounds: left })),
    cost: worthOfRound * (rounds - left) + fitSettings.eachEdit,
  }));
}

/** What can be done with a single item, beside leaving it as it is. */
function itemOptions(timed: TimedItem, plan: ClassPlan, { forbidden }: Bounds, context: EvaluationContext): readonly Option[] {
  const { item, movement } = timed;
  const { leavingOut, eachEdit } = fitSettings;
  const worth = worthOf(timed, plan);
  const minutes = (dose: Dose): number => (activeSecondsOf(dose) * (item.sides === 'both' ? 2 : 1)) / 60;
  const trimmed = smallerDoses(item.dose).map((dose): Option => {
    const lost = minutes(item.dose) - minutes(dose);
    return {
      edit: { kind: 'set-dose', item: item.id, dose },
      taught: [{ ...timed, item: { ...item, dose } }],
      cost: worth * lost + eachEdit,
    };
  });
  const recorded = familiarityOf(context.exposures.get(item.movement));
  const asRecorded: readonly Option[] =
    item.familiarity !== undefined && item.familiarity !== recorded && recorded !== 'new'
      ? [
          {
            edit: { kind: 'set-familiarity', item: item.id, familiarity: 'from-record' },
            taught: [{ ...timed, familiarity: recorded }],
            cost: eachEdit,
          },
        ]
      : [];
  const isNamed = plan.focus.includes(movement.slug) || forbidden.has(item.id) || movement.needs.equipment.length > 0;
  const out: readonly Option[] = isNamed
    ? []
    : [{ edit: { kind: 'remove', item: item.id }, taught: [], cost: worth * minutes(item.dose) + leavingOut + eachEdit }];
  return [...asRecorded, ...toldShorter(timed), ...trimmed, ...out];
}

/**
 * What the group knows told along instead of shown first, or shown once instead of done by the instructor alone; a long written
 * explanation in half its time. What is new to the group is explained as it is.
 */
function toldShorter(timed: TimedItem): readonly Option[] {
  const { item, way, familiarity, parts } = timed;
  const { eachEdit, worthOfExplaining, longTalkSeconds } = fitSettings;
  const told = (teaching: ItemTeaching, isLeft: number): Option => ({
    edit: { kind: 'set-teaching', item: item.id, teaching: { ...teachingOf(item), ...teaching } },
    taught: [{ ...timed, item: { ...item, ...teaching } }],
    cost: (worthOfExplaining * parts.explain * (1 - isLeft)) / 60 + eachEdit,
  });
  if (item.explainSeconds !== undefined)
    return item.explainSeconds > longTalkSeconds ? [told({ explainSeconds: Math.round(item.explainSeconds / 2) }, 0.5)] : [];
  const lighter = way === 'watch' ? 'teach' : way === 'teach' && familiarity !== 'new' ? 'follow' : null;
  return lighter ? [told({ way: lighter }, 0.5)] : [];
}

function smallerDoses(dose: Dose): readonly Dose[] {
  const smaller: Dose[] = [];
  let current = dose;
  for (let step = 0; step < 60; step += 1) {
    const next = stepDose(current, 'less');
    if (sameDose(next, current) || activeSecondsOf(next) < fitSettings.leastShare * activeSecondsOf(dose)) break;
    smaller.push(next);
    current = next;
  }
  const { mostSteps } = fitSettings;
  if (smaller.length <= mostSteps) return smaller;
  return Array.from({ length: mostSteps }, (_, index) => smaller[Math.round(((index + 1) * smaller.length) / mostSteps) - 1]).flatMap(
    (one) => one ?? [],
  );
}

/** A way through the items up to here. */
interface Path {
  readonly seconds: Seconds;
  readonly cost: number;
  readonly before: Surroundings | null;
  readonly taken: { readonly step: FitStep; readonly earlier: Path['taken'] } | null;
}

/** The cheapest choice of options that ends within the slot; null where none does. */
function cheapest(
  units: readonly Unit[],
  plan: ClassPlan,
  bounds: Bounds,
  context: EvaluationContext,
  slot: Seconds,
): Omit<Fit, 'kind'> | null {
  let open: ReadonlyMap<string, readonly Path[]> = new Map([['', [{ seconds: 0, cost: 0, before: null, taken: null }]]]);
  const meanAgeYears = meanAge(context.agesYears);
  for (const unit of units) {
    const options = optionsOf(unit, plan, bounds, context);
    const now = unit.passes.reduce((sum, { seconds }) => sum + seconds, 0);
    const reached = new Map<string, Path[]>();
    for (const paths of open.values()) {
      const [first] = paths;
      if (!first) continue;
      // paths that stand in the same place go on alike
      for (const option of options) {
        const { seconds, before } = taughtFrom(option.taught, first.before, context, meanAgeYears);
        const step: FitStep | null = option.edit && {
          item: unit.passes[0]?.item.id ?? '',
          edit: option.edit,
          savesSeconds: now - seconds,
        };
        const place = placeOf(before);
        const there = reached.get(place) ?? [];
        reached.set(place, there);
        for (const path of paths) {
          const whole = path.seconds + seconds;
          if (whole > slot + 0.5) continue;
          there.push({ seconds: whole, cost: path.cost + option.cost, before, taken: step ? { step, earlier: path.taken } : path.taken });
        }
      }
    }
    open = new Map([...reached].map(([place, paths]) => [place, undominated(paths)]));
  }
  const [end] = [...open.values()].flat().sort((a, b) => a.cost - b.cost || b.seconds - a.seconds);
  if (!end) return null;
  const steps: FitStep[] = [];
  for (let taken = end.taken; taken; taken = taken.earlier) steps.unshift(taken.step);
  return { steps, totalSeconds: end.seconds, cost: end.cost };
}

const placeOf = (before: Surroundings | null): string => (before ? `${before.level ?? ''} ${String(before.fetched.size)}` : '');

/** Of paths that end in the same place, those that no other beats in both time and cost; of those close together the cheapest. */
function undominated(paths: Path[]): readonly Path[] {
  paths.sort((a, b) => a.seconds - b.seconds || a.cost - b.cost);
  const kept: Path[] = [];
  for (const path of paths) {
    const last = kept.at(-1);
    if (last && path.cost >= last.cost - 1e-9) continue;
    // nothing shorter is cheaper: the longer of two close ones costs less and may be kept only where it still fits
    const isClose = last !== undefined && kept.length > mostPaths && path.seconds - last.seconds < fitSettings.bucketSeconds;
    if (isClose) kept.pop();
    kept.push(path);
  }
  return kept;
}

/** So many paths are all kept; beyond, those closer than a bucket are one. */
const mostPaths = 400;

/** How long something takes from where the class stands, and where it stands then. */
function taughtFrom(
  taught: readonly Taught[],
  from: Surroundings | null,
  { settings, pace, style }: EvaluationContext,
  meanAgeYears: number,
): { readonly seconds: Seconds; readonly before: Surroundings | null } {
  let seconds = 0;
  let before = from;
  for (const one of taught) {
    const { item, section, movement, familiarity } = one;
    const way = wayOf(item, section, movement, { familiarity, before, style });
    const context: ItemTimeContext = { settings, meanAgeYears, familiarity, way, pace, before, pass: one };
    seconds += secondsOf(partsOf(item, movement, context));
    before = surroundingsAfter(movement, before);
  }
  return { seconds, before };
}

/** For time left over: what practice time goes to, as edits. */
function lengthened(plan: ClassPlan, library: Library, context: EvaluationContext, totalSeconds: Seconds): Fit {
  const full = fillSlot(plan, library, context);
  const after = timelineOf(full, library, { ...context, meanAgeYears: meanAge(context.agesYears) });
  const before = new Map(placedItems(plan).map(({ item }) => [item.id, item]));
  const lengths = itemTotals(timelineOf(plan, library, { ...context, meanAgeYears: meanAge(context.agesYears) }).items);
  const steps = [...itemTotals(after.items).values()].flatMap(({ first: { item }, seconds }): readonly FitStep[] => {
    const old = before.get(item.id);
    if (!old || sameDose(old.dose, item.dose)) return [];
    const savesSeconds = (lengths.get(item.id)?.seconds ?? 0) - seconds;
    return [{ item: item.id, edit: { kind: 'set-dose', item: item.id, dose: item.dose }, savesSeconds }];
  });
  return steps.length === 0
    ? { kind: 'fits', steps, totalSeconds, cost: 0 }
    : { kind: 'lengthen', steps, totalSeconds: after.totalSeconds, cost: 0 };
}
