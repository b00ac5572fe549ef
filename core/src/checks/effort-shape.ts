import type { MovementKind } from '../movement/kind.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';

/** model.md: climb, peak between 40 % and 80 % of the class, end at 1 or below for the last 3 minutes (2 in a class of 30). */
export const effortShapeSettings = {
  startSeconds: 120,
  fullEffort: 4,
  /** The smoothed curve has a peak when it reaches this: a moderate minute is enough for a class of stretching or stances. */
  peakEffort: 2,
  peakFromShare: 0.4,
  peakToShare: 0.8,
  /** By how much the highest point outside the window may stand above the highest inside. */
  peakTolerance: 0.5,
  /** A minute as hard as this inside the window is a peak, whatever was harder for a moment. */
  hardEffort: 2.5,
  calmEffort: 1,
  calmSeconds: 180,
  calmSecondsInShortClass: 120,
  shortClassMinutes: 30,
  /** Shorter classes have no shape. */
  leastMinutes: 15,
} as const;

export type Fact =
  | { readonly kind: 'full-effort-at-once' }
  | { readonly kind: 'no-peak' }
  | { readonly kind: 'peak-too-early' | 'peak-too-late'; readonly atShare: number }
  | { readonly kind: 'end-not-calm'; readonly calmSeconds: Seconds }
  | { readonly kind: 'no-cool-down' };

/** Full effort at once; no peak, or too early or late; the end not calm; no cool-down. Silent on an empty plan. */
export const effortShape = defineCheck({
  id: 'effort-shape',
  look: (context): readonly Found<Fact>[] => {
    const { timeline, slotMinutes } = context;
    if (timeline.items.length === 0 || slotMinutes < effortShapeSettings.leastMinutes) return [];
    // without a cool-down the end is seldom calm: that is one cause
    const end = coolDown(context);
    return [...atOnce(context), ...peak(context), ...(end.length > 0 ? end : calmEnd(context))];
  },
  words: (fact, { name }) => {
    switch (fact.kind) {
      case 'full-effort-at-once':
        return { title: 'Full effort at once', sentence: `${name} comes in the first two minutes; let the effort climb.` };
      case 'no-peak':
        return { title: 'No peak', sentence: 'The effort stays gentle for the whole class; it may feel flat.' };
      case 'peak-too-early':
      case 'peak-too-late':
        return {
          title: fact.kind === 'peak-too-early' ? 'Peak too early' : 'Peak too late',
          sentence: `The hardest minute comes at ${String(Math.round(fact.atShare * 100))} % of the class; between 40 and 80 % is usual.`,
        };
      case 'end-not-calm':
        return {
          title: 'The end is not calm',
          sentence: `${name} is more than gentle within the last ${String(fact.calmSeconds / 60)} minutes.`,
        };
      case 'no-cool-down':
        return { title: 'No cool-down', sentence: 'Nothing brings the children down before they leave the screen.' };
    }
  },
});

function finding(fact: Fact, itemIds: Found<Fact>['itemIds'] = []): Found<Fact> {
  return { severity: 'caution', itemIds, fact, mend: null };
}

function atOnce({ timeline }: CheckContext): readonly Found<Fact>[] {
  const early = timeline.items.filter(
    ({ movement, workStartSecond }) =>
      movement.effort >= effortShapeSettings.fullEffort && workStartSecond < effortShapeSettings.startSeconds,
  );
  return early.length === 0
    ? []
    : [
        finding(
          { kind: 'full-effort-at-once' },
          early.map(({ item }) => item.id),
        ),
      ];
}

function peak({ effort, timeline }: CheckContext): readonly Found<Fact>[] {
  const { peakEffort, peakFromShare, peakToShare, peakTolerance, hardEffort } = effortShapeSettings;
  let highest = { value: -1, share: 0 };
  let highestInside = -1;
  effort.values.forEach((value, index) => {
    const share = (index * effort.stepSeconds) / timeline.totalSeconds;
    if (value > highest.value) highest = { value, share };
    if (share >= peakFromShare && share <= peakToShare) highestInside = Math.max(highestInside, value);
  });
  if (highest.value < peakEffort) return [finding({ kind: 'no-peak' })];
  if (highest.value - highestInside <= peakTolerance || highestInside >= hardEffort) return [];
  return [finding({ kind: highest.share < peakFromShare ? 'peak-too-early' : 'peak-too-late', atShare: highest.share })];
}

function calmEnd({ timeline, slotMinutes }: CheckContext): readonly Found<Fact>[] {
  const { calmEffort, calmSeconds, calmSecondsInShortClass, shortClassMinutes } = effortShapeSettings;
  const wanted = slotMinutes <= shortClassMinutes ? calmSecondsInShortClass : calmSeconds;
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
