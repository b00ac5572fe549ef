import type { NamedChild } from '../record/call-names.js';
import { chanceOf, seedOf } from '../values/chance.js';
import type { ChildId, Seconds } from '../values/unit.js';

/** A child on the call of a rehearsal: what the call writes below its picture, and from when to when it is there. */
export interface CallScreen {
  readonly child: ChildId;
  /** As families set it: never the name of somebody else who is there. */
  readonly line: string;
  /** On the clock of the class: 0 for whoever is there at its beginning. */
  readonly comesAt: Seconds;
  /** Null for whoever stays to the end. */
  readonly leavesAt: Seconds | null;
}

/** One in so many is on a device that tells nothing. */
const deviceInSo = 6;
const fewForComings = 4;
const comesWithin = { from: 0.06, to: 0.14 } as const;
const leavesWithin = { from: 0.8, to: 0.92 } as const;

const given = (name: string): string => name.split(' ').slice(0, -1).join(' ') || name;
const withoutMarks = (text: string): string => text.normalize('NFD').replaceAll(/\p{M}/gu, '');

/** How a call writes a child; a device has the number of its place. */
function lineOf({ name }: NamedChild, place: number, chance: () => number): string {
  const forms = [
    name,
    given(name),
    `Mum of ${given(name)}`,
    `Dad of ${given(name)}`,
    withoutMarks(name).toLowerCase(),
    `${given(name)}’s laptop`,
  ];
  if (chance() < 1 / deviceInSo) return `tablet ${String(place + 1)}`;
  return forms[Math.floor(chance() * forms.length)] ?? name;
}

/**
 * Who is on the call of a rehearsal, in the order of their pictures: names as families set them; where there are four or more, one comes late
 * and another one leaves before the end. The same seed gives the same.
 */
export function callScreensOf(children: readonly NamedChild[], totalSeconds: Seconds, seed: number): readonly CallScreen[] {
  const chance = chanceOf(seedOf(seed, 'call'));
  const late = children.length < fewForComings ? -1 : Math.floor(chance() * children.length);
  const early = late < 0 ? -1 : (late + 1 + Math.floor(chance() * (children.length - 1))) % children.length;
  const within = ({ from, to }: { readonly from: number; readonly to: number }): Seconds => totalSeconds * (from + (to - from) * chance());
  const [comes, leaves] = [within(comesWithin), within(leavesWithin)];
  return children.map((child, place) => ({
    child: child.id,
    line: lineOf(child, place, chance),
    comesAt: place === late ? comes : 0,
    leavesAt: place === early ? leaves : null,
  }));
}

/** Who of them is there now. */
export const isOnCall = ({ comesAt, leavesAt }: CallScreen, second: Seconds): boolean =>
  second >= comesAt && (leavesAt === null || second < leavesAt);

/** A roll taken in a rehearsal: who is there, as it was said. */
export interface RollTaken {
  readonly second: Seconds;
  readonly there: readonly ChildId[];
}

/** How the roll of a rehearsal was. */
export interface RollDebrief {
  readonly isTaken: boolean;
  /** Of the last roll: said as it was, of all who could be there. */
  readonly right: number;
  readonly of: number;
  /** Said to be there, and were not; were there, and were not said to be. */
  readonly saidWrongly: readonly ChildId[];
  readonly overlooked: readonly ChildId[];
  /** Who came late and who left, as far as the class came, and whether a roll afterwards says so. */
  readonly comings: readonly {
    readonly child: ChildId;
    readonly kind: 'came-late' | 'left';
    readonly at: Seconds;
    readonly isNoticed: boolean;
  }[];
}

/** @param until how far the class came, in seconds */
export function rollDebriefOf(screens: readonly CallScreen[], rolls: readonly RollTaken[], until: Seconds): RollDebrief {
  const last = rolls.at(-1);
  const there = new Set(last ? screens.filter((screen) => isOnCall(screen, last.second)).map(({ child }) => child) : []);
  const said = new Set(last?.there ?? []);
  const saidWrongly = [...said].filter((child) => !there.has(child));
  const overlooked = [...there].filter((child) => !said.has(child));
  const isSaid = (child: ChildId, after: Seconds, isThere: boolean): boolean =>
    rolls.some((roll) => roll.second >= after && roll.there.includes(child) === isThere);
  return {
    isTaken: last !== undefined,
    right: last ? screens.length - saidWrongly.length - overlooked.length : 0,
    of: screens.length,
    saidWrongly,
    overlooked,
    comings: screens.flatMap(({ child, comesAt, leavesAt }): RollDebrief['comings'] => [
      ...(comesAt > 0 && comesAt < until
        ? [{ child, kind: 'came-late' as const, at: comesAt, isNoticed: isSaid(child, comesAt, true) }]
        : []),
      ...(leavesAt !== null && leavesAt < until
        ? [{ child, kind: 'left' as const, at: leavesAt, isNoticed: isSaid(child, leavesAt, false) }]
        : []),
    ]),
  };
}
