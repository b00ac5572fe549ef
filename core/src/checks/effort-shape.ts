import type { Check, CheckContext } from './check.js';
import type { Finding, FindingFact } from './finding.js';

/** model.md: climb, peak between 40 % and 80 % of the class, end at 1 or below for the last 3 minutes (2 in a class of 30). */
export const effortShapeSettings = {
  startSeconds: 120,
  fullEffort: 4,
  /** The smoothed curve has a peak when it reaches this. */
  peakEffort: 2.5,
  peakFromShare: 0.4,
  peakToShare: 0.8,
  /** By how much the highest point outside the window may stand above the highest inside. */
  peakTolerance: 0.25,
  calmEffort: 1,
  calmSeconds: 180,
  calmSecondsInShortClass: 120,
  shortClassMinutes: 30,
} as const;

/** Full effort at once; no peak, or too early or late; the end not calm; no cool-down. Silent on an empty plan. */
export const effortShape: Check = (context) => {
  if (context.timeline.items.length === 0) return [];
  return [...atOnce(context), ...peak(context), ...calmEnd(context), ...coolDown(context)];
};

function finding(fact: FindingFact, itemIds: Finding['itemIds'] = []): Finding {
  return { check: 'effort-shape', severity: 'caution', itemIds, fact, mend: null };
}

function atOnce({ timeline }: CheckContext): readonly Finding[] {
  const early = timeline.items.filter(
    ({ movement, startSecond }) => movement.effort >= effortShapeSettings.fullEffort && startSecond < effortShapeSettings.startSeconds,
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

function peak({ effort, timeline }: CheckContext): readonly Finding[] {
  const { peakEffort, peakFromShare, peakToShare, peakTolerance } = effortShapeSettings;
  let highest = { value: -1, share: 0 };
  let highestInside = -1;
  effort.values.forEach((value, index) => {
    const share = (index * effort.stepSeconds) / timeline.totalSeconds;
    if (value > highest.value) highest = { value, share };
    if (share >= peakFromShare && share <= peakToShare) highestInside = Math.max(highestInside, value);
  });
  if (highest.value < peakEffort) return [finding({ kind: 'no-peak' })];
  if (highest.value - highestInside <= peakTolerance) return [];
  return [finding({ kind: highest.share < peakFromShare ? 'peak-too-early' : 'peak-too-late', atShare: highest.share })];
}

function calmEnd({ timeline, slotMinutes }: CheckContext): readonly Finding[] {
  const { calmEffort, calmSeconds, calmSecondsInShortClass, shortClassMinutes } = effortShapeSettings;
  const wanted = slotMinutes <= shortClassMinutes ? calmSecondsInShortClass : calmSeconds;
  const from = timeline.totalSeconds - wanted;
  const hot = timeline.items.filter(
    ({ movement, startSecond, seconds }) => movement.effort > calmEffort && startSecond + seconds > from + 0.001,
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

function coolDown({ plan }: CheckContext): readonly Finding[] {
  return plan.sections.some((section) => section.kind === 'cool-down' && section.items.length > 0)
    ? []
    : [finding({ kind: 'no-cool-down' })];
}
