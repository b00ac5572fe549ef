import { clockText } from '../values/clock-text.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { byAge } from './each-body.js';
import type { Found } from './finding.js';

/** The longest that one task keeps their attention, in seconds, by the mean age; safety.md. */
export const attentionLimits = [
  { upToYears: 5, limit: 180 },
  { upToYears: 8, limit: 300 },
  { upToYears: 99, limit: 480 },
] as const;

export interface Fact {
  readonly kind: 'too-long-at-once';
  /** The longest. */
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

interface Task {
  readonly first: TimedItem;
  readonly seconds: Seconds;
}

/** One thing is done for longer than children of this age stay with it; the same movement twice in a row is one task. */
export const attention = defineCheck({
  id: 'attention',
  look: ({ timeline, meanYears }): readonly Found<Fact>[] => {
    const limitSeconds = byAge(attentionLimits)(meanYears);
    const long = tasksIn(timeline.items).filter(({ seconds }) => Math.round(seconds) > limitSeconds);
    if (long.length === 0) return [];
    return [
      {
        severity: 'caution',
        itemIds: long.map(({ first }) => first.item.id),
        fact: { kind: 'too-long-at-once', seconds: Math.round(Math.max(...long.map(({ seconds }) => seconds))), limitSeconds },
        mend: null,
      },
    ];
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `${clockText(seconds)} of one thing`,
    sentence: `${name}: at this age ${String(limitSeconds / 60)} minutes without a change are usual.`,
  }),
});

function tasksIn(items: readonly TimedItem[]): readonly Task[] {
  const tasks: Task[] = [];
  for (const timed of items) {
    const last = tasks.at(-1);
    if (last?.first.movement === timed.movement && timed.roundRestSeconds === 0)
      tasks.splice(-1, 1, { ...last, seconds: last.seconds + timed.seconds });
    else tasks.push({ first: timed, seconds: timed.seconds });
  }
  return tasks;
}
