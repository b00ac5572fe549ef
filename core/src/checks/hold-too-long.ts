import type { PlanEdit } from '../class-plan/edit.js';
import type { Seconds } from '../values/unit.js';
import { withUneven, type Dose } from '../movement/dose.js';
import { heldTooLong, holdBandOf, longestHold, skillHoldTimes, type HoldLimits } from '../movement/hold-limits.js';
import { firstRounds, type TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import { everyAge, limitAt, numberIn, ruleByAge, ruleNumber, stepsIn, type RuleByAge } from './club-rules.js';
import { bodiesIn, named, type OneBody } from './each-body.js';
import type { Found } from './finding.js';

const stepsOf = (kind: 'stretch' | 'support'): RuleByAge['usual'] => [
  { upToYears: 6, limit: longestHold['4-6'][kind] },
  { upToYears: 9, limit: longestHold['7-9'][kind] },
  { upToYears: everyAge, limit: longestHold['10-13'][kind] },
];

export const longestStretch = ruleByAge({
  id: 'hold-too-long.stretch',
  words: 'A stretch is held at most',
  unit: 'seconds',
  usual: stepsOf('stretch'),
  least: 3,
  most: 300,
});

export const longestSupport = ruleByAge({
  id: 'hold-too-long.support',
  words: 'A support or a shape is held at most',
  unit: 'seconds',
  usual: stepsOf('support'),
  least: 3,
  most: 300,
});

export const skillHolds = ruleNumber({
  id: 'hold-too-long.skill',
  words: 'A skill is held, beside its own dose, at most',
  unit: 'times',
  usual: skillHoldTimes,
  least: 1,
  most: 10,
});

function heldAtMost(dose: Dose, limitSeconds: Seconds): Dose {
  if (dose.kind === 'timed') return { ...dose, seconds: Math.min(dose.seconds, limitSeconds) };
  if (dose.kind !== 'hold') return dose;
  return dose.uneven
    ? withUneven(
        dose,
        dose.uneven.map((one) => Math.min(one, limitSeconds)),
      )
    : { ...dose, holdSeconds: Math.min(dose.holdSeconds, limitSeconds) };
}

export interface Fact {
  readonly kind: 'hold-too-long';
  /** Of the one that is furthest over. */
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Short enough for whoever may hold least: nobody has to be asked. */
function isShortForAll({ item, movement }: TimedItem, strictest: HoldLimits): boolean {
  const doses = [item.dose, ...item.tiers.flatMap((tier) => movement.tiers[tier]?.dose ?? [])];
  return doses.every((dose) => heldTooLong(movement, dose, '4-6', strictest) === null);
}

/** The limits of the club at an age, and those of whoever may hold least. */
function limitsOf(context: CheckContext): { readonly at: (ageYears: number) => HoldLimits; readonly strictest: HoldLimits } {
  const skillTimes = numberIn(context, skillHolds);
  const stretch = limitAt(context, longestStretch);
  const support = limitAt(context, longestSupport);
  const least = (rule: RuleByAge): Seconds => Math.min(...stepsIn(context, rule).map(({ limit }) => limit));
  return {
    at: (ageYears) => ({ stretch: stretch(ageYears), support: support(ageYears), skillTimes }),
    strictest: { stretch: least(longestStretch), support: least(longestSupport), skillTimes },
  };
}

interface TooLong {
  readonly timed: TimedItem;
  readonly by: readonly OneBody[];
  readonly seconds: Seconds;
  /** The strictest of those who are over. */
  readonly limitSeconds: Seconds;
}

/**
 * A stretch, a support or a skill is held longer than a child should who does it, whether it is written as a hold or as a time; mended
 * by holding it as long as is usual for the youngest of them.
 */
export const holdTooLong = defineCheck({
  id: 'hold-too-long',
  title: 'Held too long',
  says: 'A stretch, a support or a skill is held for longer than a child of its age should.',
  gravest: 'caution',
  numbers: [longestStretch, longestSupport, skillHolds],
  look: (context): readonly Found<Fact>[] => {
    const bodies = bodiesIn(context);
    const limits = limitsOf(context);
    const found = firstRounds(context.timeline.items).flatMap((timed): readonly TooLong[] => {
      const { kind } = timed.item.dose;
      if ((kind !== 'hold' && kind !== 'timed') || isShortForAll(timed, limits.strictest)) return [];
      const long = bodies.flatMap((body) => {
        const done = body.does(timed);
        // what a child does instead is told to it as it is usual
        const over =
          done?.movement === timed.movement && heldTooLong(done.movement, done.dose, holdBandOf(body.ageYears), limits.at(body.ageYears));
        return over ? [{ body, ...over }] : [];
      });
      const strictest = long.toSorted((a, b) => a.limitSeconds - b.limitSeconds)[0];
      if (!strictest) return [];
      return [{ timed, by: long.map(({ body }) => body), seconds: strictest.seconds, limitSeconds: strictest.limitSeconds }];
    });
    const worst = found.toSorted((a, b) => b.seconds / b.limitSeconds - a.seconds / a.limitSeconds)[0];
    if (!worst) return [];
    const over = new Set(found.flatMap(({ by }) => by));
    return [
      {
        severity: 'caution',
        itemIds: found.map(({ timed }) => timed.item.id),
        ...named(
          bodies.filter((body) => over.has(body)),
          bodies,
        ),
        fact: { kind: 'hold-too-long', seconds: worst.seconds, limitSeconds: worst.limitSeconds },
        mend: found.map(({ timed: { item }, limitSeconds }): PlanEdit => ({
          kind: 'set-dose',
          item: item.id,
          dose: heldAtMost(item.dose, limitSeconds),
        })),
      },
    ];
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `Held for ${String(seconds)} seconds`,
    sentence: `${name}: at this age ${String(limitSeconds)} seconds are usual.`,
  }),
  mendWords: ({ limitSeconds }, mend) => (mend.length > 1 ? 'Hold them as long as is usual' : `Hold it ${String(limitSeconds)} seconds`),
});
