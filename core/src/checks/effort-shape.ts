import type { MovementKind } from '../movement/kind.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import { numberIn, ruleNumber } from './club-rules.js';
import type { Found } from './finding.js';

/** model.md: climb, peak between 40 % and 80 % of the class, end at 1 or below for the last 3 minutes (2 in a class of 30). */
export const notAtOnce = ruleNumber({
  id: 'effort-shape.not-at-once',
  words: 'No full effort in the first',
  unit: 'minutes',
  usual: 2,
  least: 0,
  most: 20,
});

export const peakFrom = ruleNumber({
  id: 'effort-shape.peak-from',
  words: 'The peak comes from',
  unit: 'percent',
  usual: 40,
  least: 0,
  most: 60,
});

export const peakTo = ruleNumber({
  id: 'effort-shape.peak-to',
  words: 'and until',
  unit: 'percent',
  usual: 80,
  least: 60,
  most: 100,
});

export const calmFor = ruleNumber({
  id: 'effort-shape.calm-for',
  words: 'Calm at the end for',
  unit: 'minutes',
  usual: 3,
  least: 0,
  most: 15,
});

export const calmForInShort = ruleNumber({
  id: 'effort-shape.calm-for-in-short',
  words: 'and in a class of up to half an hour for',
  unit: 'minutes',
  usual: 2,
  least: 0,
  most: 15,
});

/** Shorter classes have no shape. */
export const shapedFrom = ruleNumber({
  id: 'effort-shape.from',
  words: 'Asked of classes from',
  unit: 'minutes',
  usual: 15,
  least: 0,
  most: 120,
});

const effortShapeSettings = {
  fullEffort: 4,
  /** The smoothed curve has a peak when it reaches this: a moderate minute is enough for a class of stretching or stances. */
  peakEffort: 2,
  /** By how much the highest point outside the window may stand above the highest inside. */
  peakTolerance: 0.5,
  /** A minute as hard as this inside the window is a peak, whatever was harder for a moment. */
  hardEffort: 2.5,
  calmEffort: 1,
  shortClassMinutes: 30,
} as const;

export type Fact =
  | { readonly kind: 'full-effort-at-once'; readonly firstMinutes: number }
  | { readonly kind: 'no-peak' }
  | {
      readonly kind: 'peak-too-early' | 'peak-too-late';
      readonly atShare: number;
      readonly fromPercent: number;
      readonly toPercent: number;
    }
  | { readonly kind: 'end-not-calm'; readonly calmSeconds: Seconds }
  | { readonly kind: 'no-cool-down' };

/** Full effort at once; no peak, or too early or late; the end not calm; no cool-down. Silent on an empty plan. */
export const effortShape = defineCheck({
  id: 'effort-shape',
  title: 'Shape of the effort',
  says: 'Full effort at once; no peak, or too early or too late; the end is not calm; nothing cools down.',
  gravest: 'caution',
  numbers: [notAtOnce, peakFrom, peakTo, calmFor, calmForInShort, shapedFrom],
  look: (context): readonly Found<Fact>[] => {
    const { timeline, slotMinutes } = context;
    if (timeline.items.length === 0 || slotMinutes < numberIn(context, shapedFrom)) return [];
    // without a cool-down the end is seldom calm: that is one cause
    const end = coolDown(context);
    return [...atOnce(context), ...peak(context), ...(end.length > 0 ? end : calmEnd(context))];
  },
  words: (fact, { name }) => {
    switch (fact.kind) {
      case 'full-effort-at-once':
        return {
          title: 'Full effort at once',
          sentence: `${name} comes in the first ${minutesWords(fact.firstMinutes)}; let the effort climb.`,
        };
      case 'no-peak':
        return { title: 'No peak', sentence: 'The effort stays gentle for the whole class; it may feel flat.' };
      case 'peak-too-early':
      case 'peak-too-late':
        return {
          title: fact.kind === 'peak-too-early' ? 'Peak too early' : 'Peak too late',
          sentence: `The hardest minute comes at ${String(Math.round(fact.atShare * 100))} % of the class; between ${String(fact.fromPercent)} and ${String(fact.toPercent)} % is usual.`,
        };
      case 'end-not-calm':
        return {
          title: 'The end is not calm',
          sentence: `${name} is more than gentle within the last ${minutesWords(fact.calmSeconds / 60)}.`,
        };
      case 'no-cool-down':
        return { title: 'No cool-down', sentence: 'Nothing brings the children down before they leave the screen.' };
    }
  },
});

function finding(fact: Fact, itemIds: Found<Fact>['itemIds'] = []): Found<Fact> {
  return { severity: 'caution', itemIds, fact, mend: null };
}

const minutesWords = (minutes: number): string => (minutes === 1 ? 'minute' : `${minutes === 2 ? 'two' : String(minutes)} minutes`);

function atOnce(context: CheckContext): readonly Found<Fact>[] {
  const firstMinutes = numberIn(context, notAtOnce);
  const early = context.timeline.items.filter(
    ({ movement, workStartSecond }) => movement.effort >= effortShapeSettings.fullEffort && workStartSecond < 60 * firstMinutes,
  );
  return early.length === 0
    ? []
    : [
        finding(
          { kind: 'full-effort-at-once', firstMinutes },
          early.map(({ item }) => item.id),
        ),
      ];
}

function peak(context: CheckContext): readonly Found<Fact>[] {
  const { effort, timeline } = context;
  const { peakEffort, peakTolerance, hardEffort } = effortShapeSettings;
  const fromPercent = numberIn(context, peakFrom);
  const toPercent = numberIn(context, peakTo);
  let highest = { value: -1, share: 0 };
  let highestInside = -1;
  effort.values.forEach((value, index) => {
    const share = (index * effort.stepSeconds) / timeline.totalSeconds;
    if (value > highest.value) highest = { value, share };
    if (share >= fromPercent / 100 && share <= toPercent / 100) highestInside = Math.max(highestInside, value);
  });
  if (highest.value < peakEffort) return [finding({ kind: 'no-peak' })];
  if (highest.value - highestInside <= peakTolerance || highestInside >= hardEffort) return [];
  const kind = highest.share < fromPercent / 100 ? 'peak-too-early' : 'peak-too-late';
  return [finding({ kind, atShare: highest.share, fromPercent, toPercent })];
}

function calmEnd(context: CheckContext): readonly Found<Fact>[] {
  const { timeline, slotMinutes } = context;
  const { calmEffort, shortClassMinutes } = effortShapeSettings;
  const wanted = 60 * numberIn(context, slotMinutes <= shortClassMinutes ? calmForInShort : calmFor);
  const from = timeline.totalSeconds - wanted;
  // a bow, a chant or a clap together is no effort
  const hot = timeline.items.filter(
    ({ movement, startSecond, seconds }) =>
      movement.effort > calmEffort && movement.kind !== 'ritual' && startSecond + seconds > from + 0.001,
  );
  return hot.length === 0
    ? []
    : [
        finding(
          { kind: 'end-not-calm', calmSeconds: wanted },
          hot.map(({ item }) => item.id),
        ),
      ];
}

const calming: ReadonlySet<MovementKind> = new Set(['static-stretch', 'breathing']);

/** A section that cools down, or stretching and breathing after the last that is moderate. */
function coolDown({ plan, timeline }: CheckContext): readonly Found<Fact>[] {
  if (plan.sections.some((section) => section.kind === 'cool-down' && section.items.length > 0)) return [];
  const last = timeline.items.findLastIndex(
    ({ movement }) => movement.effort > effortShapeSettings.calmEffort && movement.kind !== 'ritual',
  );
  return timeline.items.slice(last + 1).some(({ movement }) => calming.has(movement.kind)) ? [] : [finding({ kind: 'no-cool-down' })];
}
