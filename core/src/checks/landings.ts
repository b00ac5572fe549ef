import { passesOf } from '../class-plan/class-plan.js';
import type { Library } from '../movement/library.js';
import { repsOf, timesLearnt } from '../movement/dose.js';
import type { Movement } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem } from './suitable-movement.js';

export const landingLimits = {
  most: [
    { upToYears: 6, landings: 40 },
    { upToYears: 9, landings: 60 },
    { upToYears: 99, landings: 80 },
  ],
  /** The movement in which the position of a landing is learnt. */
  position: 'landing-position',
} as const;

const isHard = ({ movement }: TimedItem): boolean => movement.hazards.includes('hard-landing');

/** How often an item lands hard: once for each repetition, on each side; a timed item as often as its seconds allow at two a rep. */
export function landingsOf({ item, sides, share, movingSeconds }: Pick<TimedItem, 'item' | 'sides' | 'share' | 'movingSeconds'>): number {
  const { dose } = item;
  const passes = share * passesOf({ sides });
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

/** Too many hard landings in the class, or hard landings before their position was practised. */
export const landings = defineCheck({
  id: 'landings',
  look: (context): readonly Found<Fact>[] => {
    const hard = context.timeline.items.filter(isHard);
    const count = hard.reduce((sum, timed) => sum + landingsOf(timed), 0);
    const most = landingLimits.most.find(({ upToYears }) => context.youngestYears <= upToYears)?.landings ?? 80;
    const itemIds = hard.map(({ item }) => item.id);
    const tooMany: readonly Found<Fact>[] =
      count > most ? [{ severity: 'caution', itemIds, fact: { kind: 'too-many-landings', landings: count, most }, mend: null }] : [];
    return [...tooMany, ...unpractised(context, hard)];
  },
  words: (fact, { name }) =>
    fact.kind === 'too-many-landings'
      ? { title: `${String(fact.landings)} hard landings`, sentence: `At this age up to ${String(fact.most)} in a class are usual.` }
      : { title: 'Landing not practised', sentence: `${name} lands hard before the landing position was practised.` },
});

function unpractised(context: CheckContext, hard: readonly TimedItem[]): readonly Found<Fact>[] {
  const position = context.library.get(landingLimits.position);
  const practised = context.timeline.items.find(({ movement }) => movement.slug === landingLimits.position);
  const early = hard.filter(
    (timed) =>
      restsOn(timed.movement, landingLimits.position, context.library) && (!practised || practised.startSecond > timed.startSecond),
  );
  const [first] = early;
  if (!first || !position) return [];
  return [
    {
      severity: 'caution',
      itemIds: early.map(({ item }) => item.id),
      fact: { kind: 'landing-not-practised' },
      mend: practised
        ? [{ kind: 'move', item: practised.item.id, place: { at: 'before', item: first.item.id } }]
        : [{ kind: 'insert', item: mendItem(position, context), place: { at: 'before', item: first.item.id } }],
    },
  ];
}

/** Whether a movement is among what has to stand before another, however far back. */
function restsOn(movement: Movement, slug: string, library: Library, seen = new Set<string>()): boolean {
  return movement.prerequisites.some(({ movement: first }) => {
    if (first === slug) return true;
    if (seen.has(first)) return false;
    seen.add(first);
    const before = library.get(first);
    return before !== undefined && restsOn(before, slug, library, seen);
  });
}
