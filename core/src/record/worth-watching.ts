import type { Requirement } from '../syllabus/syllabus.js';
import type { ChildId, MovementSlug } from '../values/unit.js';
import { isMet, type SideStanding, type Standing } from './standing.js';

/** What of a standing says whether a look is worth something. */
export type StandingToWatch = Pick<Standing, 'requirement' | 'name' | 'unseenForDays'> & {
  readonly sides: readonly Pick<SideStanding, 'side' | 'name' | 'times' | 'days'>[];
};

/** A child that is expected, and what its next grade asks of it. */
export interface ChildToWatch {
  readonly id: ChildId;
  readonly standings: readonly StandingToWatch[];
  /** Classes it came to since it was last looked at, this one left out. */
  readonly unlookedClasses: number;
  /** Days since anything of it was last seen; null where nothing ever was. */
  readonly unseenForDays: number | null;
}

/** Why a look at a child is worth more than at another. */
export type WatchReason =
  /** Passed over: it came to so many classes without a look. */
  | { readonly kind: 'passed-over'; readonly classes: number; readonly days: number | null }
  /** Shown once more, the requirement is met; `last` where it is the last of the grade. */
  | { readonly kind: 'completes'; readonly isLast: boolean }
  /** The other side is there already. */
  | { readonly kind: 'open-side' }
  /** It was met, and has not been seen for long. */
  | { readonly kind: 'fading'; readonly days: number }
  /** It fell short when it was last seen, and was good before. */
  | { readonly kind: 'overturns' }
  /** Nobody has seen it yet. */
  | { readonly kind: 'never-seen' }
  | { readonly kind: 'goes-on' };

/** A look: at whom, for what, on which side, and why. */
export interface WorthWatching {
  readonly child: ChildId;
  readonly movement: MovementSlug;
  /** Null where its next grade asks for nothing that is done: it is looked at all the same. */
  readonly requirement: Requirement | null;
  readonly side: SideStanding['side'];
  readonly worth: number;
  readonly reason: WatchReason;
}

export const watchSettings = {
  /** No child stays unlooked-at for more than so many classes that it came to. */
  mostUnlooked: 2,
  /** How likely a look shows what is asked, by what was best of the last three. */
  chance: { unseen: 0.4, 'not-yet': 0.15, 'with-help': 0.45, shown: 0.8, met: 0.9, fading: 0.75 },
  /** How many are named at once: a coach has one pair of eyes. */
  named: 3,
} as const;

/** How many looks a side still needs, at the least; a new day each. */
function looksLeft({ times, days }: Pick<SideStanding, 'times' | 'days'>, { criterion }: Requirement): number {
  return Math.max(1, criterion.times - times, criterion.days - days);
}

/** What one more look at a side is worth, from 0 on: how likely it brings something, by how little is left after it. */
function worthOf(
  standing: StandingToWatch,
  side: StandingToWatch['sides'][number],
  openOfGrade: number,
): Pick<WorthWatching, 'worth' | 'reason'> {
  const { requirement, sides } = standing;
  const chance = watchSettings.chance[side.name];
  if (side.name === 'met') return { worth: 0, reason: { kind: 'goes-on' } };
  const left = looksLeft(side, requirement);
  const openSides = sides.filter((one) => !isMet(one)).length;
  if (side.name === 'fading') {
    const days = standing.unseenForDays ?? 0;
    // it counts still: worth as much as the weeks that it has been away
    return { worth: 0.35 * chance * Math.min(2, days / 70), reason: { kind: 'fading', days } };
  }
  // what is left of the requirement is shared among its sides: the last look brings it
  const worth = chance / (left + (openSides - 1) * requirement.criterion.times);
  const isLast = openOfGrade === 1 && openSides === 1;
  if (side.times >= requirement.criterion.times && side.days >= requirement.criterion.days)
    return { worth: chance, reason: { kind: 'overturns' } };
  if (left === 1 && side.times > 0 && openSides === 1)
    return { worth: worth * (isLast ? 1.5 : 1.2), reason: { kind: 'completes', isLast } };
  if (openSides === 1 && sides.length > 1) return { worth: worth * 1.1, reason: { kind: 'open-side' } };
  return { worth, reason: { kind: side.name === 'unseen' ? 'never-seen' : 'goes-on' } };
}

/** The look at a child that is worth most; null where nothing that is done is asked of it, or all of it was seen. */
function bestLook({ id, standings }: ChildToWatch, movements: ReadonlySet<MovementSlug>): WorthWatching | null {
  const open = standings.filter((standing) => !isMet(standing)).length;
  return standings
    .filter(({ requirement }) => movements.has(requirement.movement))
    .flatMap((standing) =>
      standing.sides.map((side): WorthWatching => ({
        child: id,
        movement: standing.requirement.movement,
        requirement: standing.requirement,
        side: side.side,
        ...worthOf(standing, side, open),
      })),
    )
    .reduce<WorthWatching | null>((most, one) => (most && most.worth >= one.worth ? most : one), null);
}

/**
 * Whom to look at for what, of what is done in a class: each child once, with what is worth most, the one that is worth most first. A mark is worth
 * most where it could complete or overturn a requirement, where a side is open, where a standing fades; who was passed over for as long as may be
 * comes before all, also where nothing that is done is asked of it.
 * @param movements that are done, the most important first
 */
export function worthWatching(children: readonly ChildToWatch[], movements: readonly MovementSlug[]): readonly WorthWatching[] {
  const done = new Set(movements);
  const looks = children.flatMap((child): readonly WorthWatching[] => {
    const best = bestLook(child, done);
    const isPassedOver = child.unlookedClasses >= watchSettings.mostUnlooked;
    if (!isPassedOver) return best && best.worth > 0 ? [best] : [];
    const [first] = movements;
    const any = first === undefined ? null : { child: child.id, movement: first, requirement: null, side: null, worth: 0 };
    const look = best ?? any;
    if (!look) return [];
    const reason = { kind: 'passed-over', classes: child.unlookedClasses, days: child.unseenForDays } as const;
    return [{ ...look, worth: 10 + child.unlookedClasses + look.worth, reason }];
  });
  // alike, the one that was not seen for longer; then as they are called, so that the list stays still
  const days = new Map(children.map(({ id, unseenForDays }) => [id, unseenForDays ?? Number.MAX_SAFE_INTEGER]));
  return looks.toSorted((a, b) => b.worth - a.worth || (days.get(b.child) ?? 0) - (days.get(a.child) ?? 0) || (a.child < b.child ? -1 : 1));
}
