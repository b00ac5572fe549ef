import { chanceOf } from '../values/chance.js';
import type { Station } from './station.js';

/** Children who go for one grade and are seen together, one after the other at each station. */
export interface Party {
  readonly id: number;
  readonly gradeId: string;
  readonly children: number;
  /** Where the party goes, and how many slots it stays there; at most one visit to a station. */
  readonly visits: readonly { readonly station: Station; readonly slots: number }[];
}

/** What a grading day has. Times are slots: equal steps of some minutes, from the first on which anybody is seen. */
export interface Hall {
  readonly examiners: number;
  /** How many examiners look at a party at once. */
  readonly perVisit: number;
  /** A warm-up lasts so many slots, and one is led after the other: parties begin at its multiples. */
  readonly warmUpSlots: number;
  /** What is shown last by everybody; null for none. */
  readonly last: Station | null;
}

export interface Visit {
  readonly party: number;
  readonly station: Station;
  readonly start: number;
  readonly end: number;
}

/** A timetable in which every party goes from one station to the next without waiting. */
export type Timetable = readonly Visit[];

/** At how many stations somebody can be seen at once. */
export const roomsOf = ({ examiners, perVisit }: Hall): number => Math.floor(examiners / perVisit);

export const endOf = (timetable: Timetable): number => timetable.reduce((latest, { end }) => Math.max(latest, end), 0);

/**
 * Groups children who go for the same grade into parties that are as even as can be.
 * @param children how many go for a grade @param most how many are seen together at most, at least 1
 * @returns sizes, the larger ones first; empty for nobody
 */
export function partySizes(children: number, most: number): readonly number[] {
  const parties = Math.ceil(children / most);
  return Array.from({ length: parties }, (_, index) => Math.floor(children / parties) + (index < children % parties ? 1 : 0));
}

/**
 * No timetable ends earlier, also none in which somebody waits: what there is to see divided by who can look, the busiest station, and
 * the party that has most to show.
 */
export function earliestEnd(parties: readonly Party[], hall: Hall): number {
  const visits = parties.flatMap((party) => party.visits);
  const slots = (some: readonly { readonly slots: number }[]): number => some.reduce((sum, one) => sum + one.slots, 0);
  const stations = new Set(visits.map(({ station }) => station));
  return Math.max(
    0,
    Math.ceil(slots(visits) / roomsOf(hall)),
    ...[...stations].map((station) => slots(visits.filter((one) => one.station === station))),
    ...parties.map((party) => slots(party.visits)),
  );
}

/** One way of going through the stations: when each begins, counted from the first. */
export type Route = readonly { readonly station: Station; readonly from: number; readonly to: number }[];

/** The ways in which a party may go, without waiting: what is shown last stays last, the rest begins anywhere in either direction. */
export function routesOf({ visits }: Pick<Party, 'visits'>, { last }: Pick<Hall, 'last'>): readonly Route[] {
  const [free, final] = [visits.filter(({ station }) => station !== last), visits.filter(({ station }) => station === last)];
  const turned = (some: typeof free): readonly (typeof free)[] => some.map((_, index) => [...some.slice(index), ...some.slice(0, index)]);
  const orders = free.length === 0 ? [[]] : free.length < 3 ? turned(free) : [...turned(free), ...turned(free.toReversed())];
  return orders.map((order) => {
    let at = 0;
    return [...order, ...final].map(({ station, slots }) => ({ station, from: at, to: (at += slots) }));
  });
}

/** What is taken so far: which station in which slot, and how many stations at once. */
class Taken {
  private readonly stations = new Set<string>();
  private readonly rooms = new Map<number, number>();

  constructor(private readonly most: number) {}

  fits(route: Route, start: number): boolean {
    return route.every(({ station, from, to }) => {
      for (let slot = start + from; slot < start + to; slot += 1)
        if (this.stations.has(`${station} ${String(slot)}`) || (this.rooms.get(slot) ?? 0) >= this.most) return false;
      return true;
    });
  }

  take(route: Route, start: number): void {
    for (const { station, from, to } of route)
      for (let slot = start + from; slot < start + to; slot += 1) {
        this.stations.add(`${station} ${String(slot)}`);
        this.rooms.set(slot, (this.rooms.get(slot) ?? 0) + 1);
      }
  }
}

/**
 * A timetable found without searching: each party, in the order given, as early as it can. It always exists, and a better one is at
 * most as long.
 */
export function firstFit(parties: readonly Party[], hall: Hall): Timetable {
  const taken = new Taken(roomsOf(hall));
  return parties.flatMap((party) => {
    const routes = routesOf(party, hall);
    for (let start = 0; ; start += hall.warmUpSlots) {
      const route = routes.find((one) => taken.fits(one, start));
      if (!route) continue;
      taken.take(route, start);
      return route.map(({ station, from, to }) => ({ party: party.id, station, start: start + from, end: start + to }));
    }
  });
}

/**
 * The best of some orders: parties are put in one after the other in many orders, those with most to show first and then shuffled, and
 * the timetable that is over first stands. The same each time.
 * @param tries how many orders, at least 1
 */
export function bestOrder(parties: readonly Party[], hall: Hall, tries: number): Timetable {
  const length = ({ visits }: Party): number => visits.reduce((sum, { slots }) => sum + slots, 0);
  const longestFirst = parties.toSorted((a, b) => length(b) - length(a));
  const next = chanceOf(1);
  let best = firstFit(parties, hall);
  for (let nth = 1; nth < tries && endOf(best) > earliestEnd(parties, hall); nth += 1) {
    // a little out of order more often than not at all
    const order =
      nth === 1
        ? longestFirst
        : longestFirst
            .map((party, at) => ({ party, at: at + next() * parties.length }))
            .toSorted((a, b) => a.at - b.at)
            .map(({ party }) => party);
    const found = firstFit(order, hall);
    if (endOf(found) < endOf(best)) best = found;
  }
  return best;
}

/**
 * Who looks at what: as many examiners a visit as the hall says, none at two places at once. Who was at a station stays there where
 * that is possible, so that all are judged by the same eyes; else who has looked least.
 * @returns in the order of the timetable, examiners by number from 0; throws where more is going on at once than can be looked at
 */
export function examinersOf(timetable: Timetable, { examiners, perVisit }: Hall): readonly (readonly number[])[] {
  const busyUntil = Array.from({ length: examiners }, () => 0);
  const load = Array.from({ length: examiners }, () => 0);
  const before = new Map<Station, readonly number[]>();
  const chosen = new Map<Visit, readonly number[]>();
  for (const visit of timetable.toSorted((a, b) => a.start - b.start || a.party - b.party)) {
    const stayed = before.get(visit.station) ?? [];
    const free = busyUntil
      .flatMap((until, examiner) => (until <= visit.start ? [examiner] : []))
      .toSorted((a, b) => Number(stayed.includes(b)) - Number(stayed.includes(a)) || (load[a] ?? 0) - (load[b] ?? 0) || a - b);
    const own = free.slice(0, perVisit).toSorted((a, b) => a - b);
    if (own.length < perVisit) throw new Error('more is going on at once than can be looked at');
    for (const examiner of own) {
      busyUntil[examiner] = visit.end;
      load[examiner] = (load[examiner] ?? 0) + visit.end - visit.start;
    }
    before.set(visit.station, own);
    chosen.set(visit, own);
  }
  return timetable.map((visit) => chosen.get(visit) ?? []);
}
