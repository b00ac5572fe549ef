import { passesOf } from '../class-plan/class-plan.js';
import { countsOnce, repsOf, timesLearnt } from '../movement/dose.js';
import type { Movement } from '../movement/movement.js';
import { phraseLandings } from '../movement/phrase-loads.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import { limitAt, numberIn, ruleByAge, ruleNumber } from './club-rules.js';
import { bodiesIn, itemsWhere, overLimit } from './each-body.js';
import type { Found } from './finding.js';
import { mendItem } from './suitable-movement.js';

export const mostLandings = ruleByAge({
  id: 'landings.most',
  words: 'Hard landings in a class at most',
  unit: 'times',
  usual: [
    { upToYears: 6, limit: 40 },
    { upToYears: 9, limit: 60 },
    { upToYears: 99, limit: 80 },
  ],
  least: 0,
  most: 500,
});

/** So many small jumps practise landing as well as its position does. */
export const smallJumps = ruleNumber({
  id: 'landings.small-jumps',
  words: 'Small jumps that practise landing',
  unit: 'times',
  usual: 6,
  least: 1,
  most: 50,
});

/** The movement in which the position of a landing is learnt. */
const position = 'landing-position';

const isHard = ({ hazards }: Movement): boolean => hazards.includes('hard-landing');

const isAirborne = ({ posture }: Movement): boolean => posture.through.includes('airborne');

/** Hard landings, leaps and jumping kicks: their landing is learnt first. A small jump is how one learns it. */
const wantsLanding = (movement: Movement): boolean =>
  movement.kind !== 'pulse-raiser' && (isHard(movement) || (isAirborne(movement) && movement.view?.framing === 'travel'));

type Landing = Pick<TimedItem, 'item' | 'sides' | 'share' | 'movingSeconds' | 'movement'>;

/**
 * How often an item lands: once for each repetition, on each side; a timed item as often as its seconds allow at two a rep. What has steps and is done
 * to counts lands as often as they leap and jump, and so does each repetition of a routine or a form; one of a leap is one, whatever leads up to it.
 */
export function landingsOf({ item, sides, share, movingSeconds, movement }: Landing): number {
  const { dose } = item;
  const passes = share * passesOf({ sides });
  const steps = phraseLandings(movement);
  if (steps && dose.kind === 'reps' && movement.kind === 'combination') return (repsOf(dose) ?? 0) * steps.landings * passes;
  if (steps && dose.kind === 'counts')
    return Math.round(((countsOnce(dose) * (dose.repeats + timesLearnt(dose))) / steps.counts) * steps.landings * passes);
  switch (dose.kind) {
    case 'reps':
      return (repsOf(dose) ?? 0) * passes;
    case 'counts':
      return dose.eights * (dose.repeats + timesLearnt(dose)) * passes;
    case 'hold':
      return dose.sets * passes;
    case 'lengths':
      // about one to a metre
      return Math.round(dose.lengths * dose.metres) * passes;
    case 'timed':
      return Math.round(movingSeconds / 2);
  }
}

export type Fact =
  { readonly kind: 'too-many-landings'; readonly landings: number; readonly most: number } | { readonly kind: 'landing-not-practised' };

/** Too many hard landings in the class, or hard landings, leaps or jumping kicks before landing was practised. */
export const landings = defineCheck({
  id: 'landings',
  title: 'Landings',
  says: 'There are many hard landings, or they come before landing was practised.',
  gravest: 'caution',
  numbers: [mostLandings, smallJumps],
  look: (context): readonly Found<Fact>[] => [...tooMany(context), ...unpractised(context)],
  words: (fact, { name }) =>
    fact.kind === 'too-many-landings'
      ? {
          title: `${String(fact.landings)} hard landings`,
          sentence: `${name}: at this age up to ${String(fact.most)} in a class are usual.`,
        }
      : {
          title: 'Landing not practised',
          sentence: `${name}: neither the landing position nor a few small jumps come before.`,
        },
});

function tooMany(context: CheckContext): readonly Found<Fact>[] {
  const hard = itemsWhere(context, isHard);
  if (hard.length === 0) return [];
  const over = overLimit(
    bodiesIn(context),
    (body) =>
      hard.reduce((sum, timed) => {
        const done = body.does(timed);
        if (!done || !isHard(done.movement)) return sum;
        const movingSeconds = timed.movingSeconds * done.share;
        return sum + landingsOf({ ...timed, movement: done.movement, movingSeconds, item: { ...timed.item, dose: done.dose } });
      }, 0),
    limitAt(context, mostLandings),
  );
  if (!over) return [];
  const { amount, limit, ...whose } = over;
  const fact: Fact = { kind: 'too-many-landings', landings: Math.round(amount), most: limit };
  return [{ severity: 'caution', itemIds: [...new Set(hard.map(({ item }) => item.id))], ...whose, fact, mend: null }];
}

function unpractised(context: CheckContext): readonly Found<Fact>[] {
  const { items } = context.timeline;
  const enough = numberIn(context, smallJumps);
  let small = 0;
  const early: TimedItem[] = [];
  for (const timed of items) {
    if (timed.movement.slug === position || small >= enough) break;
    if (wantsLanding(timed.movement)) early.push(timed);
    else if (isAirborne(timed.movement)) small += landingsOf(timed);
  }
  const [first] = early;
  const practice = context.library.get(position);
  if (!first || !practice) return [];
  const late = items.find(({ movement }) => movement.slug === position);
  const place = { at: 'before', item: first.item.id } as const;
  return [
    {
      severity: 'caution',
      itemIds: [...new Set(early.map(({ item }) => item.id))],
      fact: { kind: 'landing-not-practised' },
      mend: late ? [{ kind: 'move', item: late.item.id, place }] : [{ kind: 'insert', item: mendItem(practice, context), place }],
    },
  ];
}
