import { clockText } from '../values/clock-text.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { limitAt, ruleByAge } from './club-rules.js';
import type { Found } from './finding.js';

/** The longest that one task keeps their attention, by the mean age; safety.md. */
export const oneThing = ruleByAge({
  id: 'attention.at-once',
  words: 'One thing without a change at most',
  unit: 'minutes',
  usual: [
    { upToYears: 5, limit: 3 },
    { upToYears: 8, limit: 5 },
    { upToYears: 99, limit: 8 },
  ],
  least: 1,
  most: 60,
});

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
  title: 'One thing for long',
  says: 'One thing is done for longer than children of this age stay with it.',
  gravest: 'caution',
  numbers: [oneThing],
  look: (context): readonly Found<Fact>[] => {
    const limitSeconds = 60 * limitAt(context, oneThing)(context.meanYears);
    const long = tasksIn(context.timeline.items).filter(({ seconds }) => Math.round(seconds) > limitSeconds);
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
