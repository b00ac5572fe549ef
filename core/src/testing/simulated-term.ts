import type { Side } from '../values/side.js';
import type { Observation } from '../record/observation.js';
import { isMet, standingOf, type Standing } from '../record/standing.js';
import { worthWatching } from '../record/worth-watching.js';
import type { Requirement } from '../syllabus/syllabus.js';
import { chanceOf } from '../values/chance.js';
import { addDays, daysBetween } from '../values/day.js';
import { anObservation, aRequirement } from './makers.js';

const classes = 14;
const children = 12;
/** What the next grade asks; half of it on both sides. */
const requirements: readonly Requirement[] = Array.from({ length: 8 }, (_, index) =>
  aRequirement({ sides: index % 2 === 0 ? 'none' : 'both' }, { id: `r${String(index)}`, movement: `skill-${String(index)}` }),
);
/** A class has so many of them in it, in turn. */
const taughtEach = 4;

/** A look that is given: at whom, for what, on which side. */
interface Look {
  readonly child: string;
  readonly requirement: Requirement | null;
  readonly side: Side | null;
}

/** Who decides whom to look at, with what is known. */
type Coach = (known: {
  readonly nth: number;
  readonly present: readonly string[];
  readonly taught: readonly Requirement[];
  readonly standingsOf: (child: string) => readonly Standing[];
  readonly unlooked: (child: string) => number;
  readonly unseenForDays: (child: string) => number | null;
  readonly looks: number;
}) => readonly Look[];

/** Children in turn, and for each of them what is done in turn. */
export function roundRobin(): Coach {
  let child = 0;
  const turns = new Map<string, number>();
  return ({ present, taught, looks }) =>
    Array.from({ length: Math.min(looks, present.length) }, () => {
      const id = present[child % present.length] ?? '';
      child += 1;
      const all = taught.flatMap((requirement): readonly Look[] =>
        (requirement.criterion.sides === 'both' ? (['left', 'right'] as const) : [null]).map((side) => ({ child: id, requirement, side })),
      );
      const turn = turns.get(id) ?? 0;
      turns.set(id, turn + 1);
      return all[turn % all.length] ?? { child: id, requirement: null, side: null };
    });
}

/** As Leiter says it. */
export const byWorth: Coach = ({ present, taught, standingsOf, unlooked, unseenForDays, looks }) =>
  worthWatching(
    present.map((id) => ({ id, standings: standingsOf(id), unlookedClasses: unlooked(id), unseenForDays: unseenForDays(id) })),
    taught.map(({ movement }) => movement),
  ).slice(0, looks);

/** What came of a term: requirements met after each class, and how long children were passed over. */
export interface Term {
  readonly metAfter: readonly number[];
  /** The most classes that a child came to one after the other without a look. */
  readonly longestUnlooked: number;
}

/**
 * A term of fourteen weeks with a class a week. Children learn at a pace of their own, stand still for a while, forget what they miss, and are away
 * now and then; a look shows what they can by chance. The same seed is the same term for every coach.
 * @param looks that a coach has in a class
 */
export function simulatedTerm(seed: number, coach: Coach, looks: number): Term {
  const chance = chanceOf(seed);
  const ids = Array.from({ length: children }, (_, index) => `child-${String(index).padStart(2, '0')}`);
  const skills = new Map(ids.map((id) => [id, requirements.map(() => chance() * 2.2 - 1.6)]));
  const paces = new Map(ids.map((id) => [id, 0.12 + chance() * 0.3]));
  const observations = new Map<string, Observation[]>(ids.map((id) => [id, []]));
  const unlooked = new Map(ids.map((id) => [id, 0]));
  // what chance decides is thrown before anybody looks: then it is the same for every coach
  const thrown = Array.from({ length: classes }, () =>
    ids.map(() => ({ away: chance(), plateau: chance(), looks: requirements.map(() => [chance(), chance()]) })),
  );
  const metAfter: number[] = [];
  let longestUnlooked = 0;
  for (let nth = 0; nth < classes; nth += 1) {
    const today = addDays('2026-09-07', nth * 7);
    const taught = Array.from({ length: taughtEach }, (_, index) => requirements[(nth * 3 + index) % requirements.length]).filter(
      (one) => one !== undefined,
    );
    const present = ids.filter((_, index) => (thrown[nth]?.[index]?.away ?? 1) > 0.14);
    const standingsOf = (id: string): readonly Standing[] =>
      requirements.map((requirement) => standingOf(requirement, observations.get(id) ?? [], { today, leadSide: 'right' }));
    const given = coach({
      nth,
      present,
      taught,
      standingsOf,
      unlooked: (id) => unlooked.get(id) ?? 0,
      unseenForDays: (id) => {
        const last = observations.get(id)?.at(-1);
        return last ? daysBetween(last.seenOn, today) : null;
      },
      looks,
    });
    ids.forEach((id, index) => {
      const own = skills.get(id) ?? [];
      const luck = thrown[nth]?.[index];
      requirements.forEach((requirement, at) => {
        const isDone = present.includes(id) && taught.includes(requirement);
        const before = own[at] ?? 0;
        own[at] = isDone ? before + ((luck?.plateau ?? 0) < 0.3 ? 0 : (paces.get(id) ?? 0)) : before - 0.01;
      });
      const looked = given.filter(({ child }) => child === id);
      for (const { requirement, side } of looked) {
        const at = requirement ? requirements.indexOf(requirement) : -1;
        const throws = luck?.looks[at] ?? [1, 1];
        const isShown = (throws[side === 'right' ? 1 : 0] ?? 1) < 1 / (1 + Math.exp(-2.4 * (own[at] ?? -1)));
        if (!requirement) continue;
        const mark = isShown ? 'alone' : (own[at] ?? -1) > -0.5 ? 'with-help' : 'not-yet';
        observations
          .get(id)
          ?.push(anObservation({ childId: id, movement: requirement.movement, side: side ?? 'none', mark, seenOn: today }));
      }
      if (looked.length > 0) unlooked.set(id, 0);
      else if (present.includes(id)) unlooked.set(id, (unlooked.get(id) ?? 0) + 1);
      longestUnlooked = Math.max(longestUnlooked, unlooked.get(id) ?? 0);
    });
    metAfter.push(ids.reduce((sum, id) => sum + standingsOf(id).filter(isMet).length, 0));
  }
  return { metAfter, longestUnlooked };
}
