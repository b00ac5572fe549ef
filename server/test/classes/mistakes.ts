import {
  applyEdits,
  itemOf,
  missingThings,
  placedItems,
  type CheckId,
  type ChildInClass,
  type ClassPlan,
  type EvaluationContext,
  type Item,
  type ItemId,
  type Library,
  type Movement,
  type PlanEdit,
  type SectionKind,
} from '@leiter/core';
import type { WholeClass } from './read-classes.js';

/*
 * What goes wrong every week (job.md), each planted into a class that nothing is wrong with. What goes wrong while teaching – the
 * count lost, left and right mixed up, which foot starts – is carried by Teach and is no matter of a plan.
 */

export interface Planted {
  readonly plan: ClassPlan;
  readonly context: EvaluationContext;
  readonly check: CheckId;
  /** The item at which it has to be found; null where it is about the whole class. */
  readonly at: ItemId | null;
}

/** @returns null where a class does not have what the mistake is made of */
type Mistake = (one: WholeClass, library: Library) => Planted | null;

interface Place {
  readonly item: Item;
  readonly movement: Movement;
  readonly kind: SectionKind;
}

function placesIn(plan: ClassPlan, library: Library): readonly Place[] {
  return placedItems(plan).flatMap(({ item, section }) => {
    const movement = library.get(item.movement);
    return movement ? [{ item, movement, kind: section.kind }] : [];
  });
}

function edited(plan: ClassPlan, edits: readonly PlanEdit[]): ClassPlan {
  let count = 0;
  const done = applyEdits(plan, edits, () => ((count += 1) === 1 ? 'planted' : `planted-${String(count)}`));
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
}

const newItem = (library: Library, slug: string, said: Partial<Item> = {}): Omit<Item, 'id'> => {
  const movement = library.get(slug);
  if (!movement) throw new Error(`There is no ${slug}.`);
  return { ...itemOf(movement, '7-9'), familiarity: 'known', ...said };
};
const seconds = (length: number) => ({ kind: 'timed', seconds: length }) as const;
const hold = (length: number) => ({ kind: 'hold', sets: 1, holdSeconds: length, restSeconds: 0 }) as const;
const learnt: readonly SectionKind[] = ['basics', 'drills', 'skill', 'strength', 'combination'];

const without = (plan: ClassPlan, library: Library, isSuch: (place: Place) => boolean): readonly PlanEdit[] =>
  placesIn(plan, library)
    .filter(isSuch)
    .map(({ item }): PlanEdit => ({ kind: 'remove', item: item.id }));

/** Puts an item before the first that fits, by the id `planted`. */
function putBefore(
  { plan, context }: WholeClass,
  library: Library,
  check: CheckId,
  isPlace: (place: Place) => boolean,
  slug: string,
  said: Partial<Item> = {},
): Planted | null {
  const place = placesIn(plan, library).find(isPlace);
  if (!place) return null;
  const item = newItem(library, slug, said);
  return {
    plan: edited(plan, [{ kind: 'insert', item, place: { at: 'before', item: place.item.id } }]),
    context,
    check,
    at: 'planted',
  };
}

const tooSmall: NonNullable<ChildInClass['home']> = {
  surface: 'tiles',
  clearLengthM: 0.8,
  clearWidthM: 0.7,
  things: [],
  adult: 'in-the-room',
  partner: false,
  quietHours: null,
};
const firstAtHome = (context: EvaluationContext, home: ChildInClass['home']): EvaluationContext => ({
  ...context,
  children: context.children.map((child, index) => (index === 0 ? { ...child, home } : child)),
});
const byHandOfFirst = { 'child-0': 'core' } as const;

/** The item that is done on both sides, one after the other. */
const sided = ({ plan }: WholeClass, library: Library): Place | undefined =>
  placesIn(plan, library).find(({ item, movement }) => movement.sides === 'each' && item.sides === 'both');

export const mistakes: Readonly<Record<string, Mistake>> = {
  'a side is forgotten': (one, library) => {
    const place = sided(one, library);
    if (!place) return null;
    const plan = edited(one.plan, [{ kind: 'set-sides', item: place.item.id, sides: 'left' }]);
    return { ...one, plan, check: 'one-sided', at: place.item.id };
  },
  'the second side gets less': (one, library) => {
    const place = sided(one, library);
    if (!place) return null;
    const less = newItem(library, place.movement.slug, { sides: 'right', dose: hold(2) });
    const plan = edited(one.plan, [
      { kind: 'set-sides', item: place.item.id, sides: 'left' },
      { kind: 'insert', item: less, place: { at: 'after', item: place.item.id } },
    ]);
    return { ...one, plan, check: 'one-sided', at: 'planted' };
  },
  'out of the picture': (one, library) => {
    const place = placesIn(one.plan, library).find(({ movement }) => movement.view?.framing === 'standing');
    const room = { clearLengthM: 5, clearWidthM: 4, cameraDistanceM: 1.1, cameraHeightM: 1, viewAngleDegrees: 60 };
    return place ? { ...one, context: { ...one.context, room }, check: 'footprint', at: place.item.id } : null;
  },
  'out of space at home': (one, library) => {
    const size = ({ movement: { needs } }: Place): number => Math.max(needs.footprint.lengthM, needs.footprint.widthM);
    const place = placesIn(one.plan, library)
      .filter(({ kind }) => learnt.includes(kind))
      .sort((a, b) => size(b) - size(a))[0];
    if (!place) return null;
    const plan = edited(one.plan, [{ kind: 'set-tier-by-hand', item: place.item.id, child: 'child-0', tier: 'core' }]);
    return { ...one, plan, context: firstAtHome(one.context, tooSmall), check: 'footprint', at: place.item.id };
  },
  'no cool-down': (one, library) => {
    const plan = edited(
      one.plan,
      without(one.plan, library, ({ kind }) => kind === 'cool-down'),
    );
    return { ...one, plan, check: 'effort-shape', at: null };
  },
  'no drink': (one, library) => {
    // twenty minutes without a drink are usual for all but the youngest
    if (one.context.slotMinutes <= 20 && Math.min(...one.context.agesYears) > 6) return null;
    const plan = edited(
      one.plan,
      without(one.plan, library, ({ movement }) => movement.kind === 'break'),
    );
    return { ...one, plan, check: 'no-drink', at: plan.sections[2]?.items[0]?.id ?? null };
  },
  'wrists one after another': (one, library) => {
    const place = placesIn(one.plan, library).find(({ kind }) => kind === 'cool-down');
    if (!place) return null;
    const at = { at: 'before', item: place.item.id } as const;
    const plan = edited(one.plan, [
      { kind: 'insert', item: newItem(library, 'high-plank', { dose: hold(45) }), place: at },
      { kind: 'insert', item: newItem(library, 'bear-walk', { dose: seconds(60) }), place: at },
    ]);
    return { ...one, plan, check: 'wrist-time', at: 'planted' };
  },
  'wrists not warmed': (one, library) => {
    const plan = edited(
      one.plan,
      without(one.plan, library, ({ movement }) => movement.prepares.includes('wrists')),
    );
    return putBefore({ ...one, plan }, library, 'unprepared-region', ({ kind }) => learnt.includes(kind), 'high-plank');
  },
  'a back bend with nothing to undo it': (one, library) => {
    const undoing = library.get('bridge')?.undoneBy ?? [];
    const places = placesIn(one.plan, library);
    return putBefore(
      one,
      library,
      'back-bend-not-undone',
      (place) => {
        const next = places.slice(places.findIndex(({ item }) => item.id === place.item.id)).slice(0, 2);
        return (
          learnt.includes(place.kind) &&
          next.every(
            ({ movement }) => !undoing.includes(movement.slug) && movement.kind !== 'break' && !movement.hazards.includes('back-bend'),
          )
        );
      },
      'bridge',
    );
  },
  'long static stretching before power work': (one, library) => {
    const isPower = ({ kind, movement }: Place): boolean =>
      learnt.includes(kind) && (movement.effort === 4 || movement.hazards.includes('soft-landing') || movement.slug.endsWith('kick'));
    if (one.context.stretchingSchool !== 'dynamic-first' || !placesIn(one.plan, library).some(isPower)) return null;
    return putBefore(one, library, 'static-before-power', ({ kind }) => kind === 'basics' || kind === 'drills', 'butterfly', {
      dose: hold(20),
    });
  },
  'jumps before the landing': (one, library) => putBefore(one, library, 'landings', ({ kind }) => kind === 'warm-up', 'tuck-jump'),
  'the skill before its basics': (one, library) => {
    const places = placesIn(one.plan, library);
    for (const [index, { item, movement }] of places.entries()) {
      if (movement.kind !== 'skill') continue;
      const before = places.slice(0, index);
      const basics = before.filter((place) => movement.prerequisites.some((asked) => asked.movement === place.movement.slug));
      const [basic] = basics;
      if (basics.length !== 1 || !basic || !['basic', 'drill'].includes(basic.movement.kind)) continue;
      const plan = edited(one.plan, [{ kind: 'move', item: basic.item.id, place: { at: 'after', item: item.id } }]);
      return { ...one, plan, check: 'order', at: basic.item.id };
    }
    return null;
  },
  'a kick before the hips are loose': (one, library) => {
    const kick = placesIn(one.plan, library).find(({ movement }) => movement.slug === 'front-kick' || movement.slug === 'jump-front-kick');
    if (!kick) return null;
    const plan = edited(
      one.plan,
      without(one.plan, library, ({ movement }) => movement.prepares.includes('hips') && movement.slug !== kick.movement.slug),
    );
    return { ...one, plan, check: 'unprepared-region', at: kick.item.id };
  },
  'a handstand before anything is warm': (one, library) =>
    putBefore(one, library, 'cold-load', ({ kind }) => kind === 'warm-up', 'wall-handstand'),
  'a stretch held cold': (one, library) => putBefore(one, library, 'cold-static', ({ kind }) => kind === 'warm-up', 'seated-fold'),
  'one version for all': (one, library) => {
    const kinds = ['skill', 'drill', 'strength', 'combination'];
    const place = placesIn(one.plan, library).find(({ item, movement }) => item.tiers.length > 1 && kinds.includes(movement.kind));
    if (!place) return null;
    const plan = edited(one.plan, [{ kind: 'set-tiers', item: place.item.id, tiers: ['easier'] }]);
    // of mixed grades: the first has none yet
    const children = one.context.children.map((child, index) => (index === 0 ? { ...child, earned: [] } : child));
    if (new Set(children.map(({ earned }) => earned.join())).size < 2) return null;
    return { plan, context: { ...one.context, children }, check: 'one-for-all', at: place.item.id };
  },
  'what a child lacks at home': (one, library) => {
    const wanting = [...library.values()].find(
      (movement) => movement.programmes.includes(one.context.programme) && missingThings(movement, undefined, tooSmall).length > 0,
    );
    if (!wanting) return null;
    const home = { ...tooSmall, clearLengthM: 9, clearWidthM: 9 };
    return putBefore(
      { ...one, context: firstAtHome(one.context, home) },
      library,
      'equipment',
      ({ kind }) => kind === 'cool-down',
      wanting.slug,
      { tierByHand: byHandOfFirst },
    );
  },
  'tiles underfoot': (one, library) =>
    putBefore({ ...one, context: firstAtHome(one.context, tooSmall) }, library, 'surface', ({ kind }) => kind === 'cool-down', 'candle', {
      tierByHand: byHandOfFirst,
    }),
  'it runs over': (one, library) => ({
    ...(putBefore(one, library, 'clock', ({ kind }) => kind === 'cool-down', 'boat-crew', { dose: seconds(600) }) ?? {
      ...one,
      check: 'clock',
    }),
    at: null,
  }),
  'talked for too long': (one, library) => {
    const place = placesIn(one.plan, library).find(({ movement }) => movement.kind === 'skill' || movement.kind === 'combination');
    if (!place) return null;
    const plan = edited(one.plan, [{ kind: 'set-teaching', item: place.item.id, teaching: { explainSeconds: 200 } }]);
    return { ...one, plan, check: 'long-talk', at: place.item.id };
  },
  'no safety talk': (one, library) => {
    const plan = edited(
      one.plan,
      without(one.plan, library, ({ movement }) => movement.slug === 'safety-and-space-talk'),
    );
    const first = placesIn(plan, library).find(({ movement }) => movement.kind !== 'ritual' && movement.effort > 0);
    return { ...one, plan, check: 'safety-talk', at: first?.item.id ?? null };
  },
};
