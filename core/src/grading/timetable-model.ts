import { groupBy } from '../values/group-by.js';
import { roomsOf, routesOf, type Hall, type Party, type Route, type Timetable } from './timetable.js';

/** One way for all alike parties: a route begun at a slot. */
interface Column {
  readonly name: string;
  readonly kind: number;
  readonly route: Route;
  readonly start: number;
  readonly end: number;
}

/** A question to a solver of mixed-integer programs, and how its answer is read. */
export interface TimetableModel {
  /** In the LP format; every variable is a whole number from 0 on. */
  readonly lp: string;
  /** @param values of the variables, by name; those left out are 0 @returns null where the values are no timetable of all parties */
  readonly read: (values: ReadonlyMap<string, number>) => Timetable | null;
}

/**
 * The timetable that ends by a slot and has everybody done as early as possible, as a mixed-integer program: for each kind of party
 * (alike in what it shows) how many begin which route when; a station has one party at a time, and only so many stations are looked at.
 * Parties that are listed first – the youngest – are done first where it makes no difference to the others.
 * @param end the slot by which all is over
 * @returns null where some party cannot be done by then at all
 */
export function timetableModel(parties: readonly Party[], hall: Hall, end: number): TimetableModel | null {
  const kinds = [...groupBy(parties, ({ visits }) => JSON.stringify(visits)).values()];
  const columns = kinds.flatMap((alike, kind) => columnsOf(alike, kind, hall, end));
  if (kinds.some((_, kind) => !columns.some((column) => column.kind === kind))) return null;
  const stationRows = new Map<string, string[]>();
  const roomRows = new Map<number, string[]>();
  for (const { name, route, start } of columns)
    for (const { station, from, to } of route)
      for (let slot = start + from; slot < start + to; slot += 1) {
        add(stationRows, `${station} ${String(slot)}`, name);
        add(roomRows, slot, name);
      }
  // a weight for whom is listed first: of two that could change places, the one listed first goes first
  const weightOf = ({ kind, end: done }: Column): number => done * (100 + kinds.length - kind);
  // short lines: a reader of the format may refuse long ones
  const sum = (terms: readonly string[]): string => terms.join('\n + ');
  const lp = [
    'Minimize',
    ` obj: ${sum(columns.map((column) => `${String(weightOf(column))} ${column.name}`))}`,
    'Subject To',
    ...kinds.map(
      (alike, kind) =>
        ` all${String(kind)}: ${sum(columns.filter((column) => column.kind === kind).map(({ name }) => name))} = ${String(alike.length)}`,
    ),
    ...[...stationRows.values()].map((names, row) => ` s${String(row)}: ${sum(names)} <= 1`),
    ...[...roomRows].map(([slot, names]) => ` r${String(slot)}: ${sum(names)} <= ${String(roomsOf(hall))}`),
    'General',
    ...columns.map(({ name }) => ` ${name}`),
    'End',
  ].join('\n');
  return { lp, read: (values) => read(values, kinds, columns, hall) };
}

function add<Key>(map: Map<Key, string[]>, key: Key, name: string): void {
  const names = map.get(key);
  if (names) names.push(name);
  else map.set(key, [name]);
}

function columnsOf(alike: readonly Party[], kind: number, hall: Hall, end: number): readonly Column[] {
  const [party] = alike;
  if (!party) return [];
  return routesOf(party, hall).flatMap((route, way) => {
    const length = route.at(-1)?.to ?? 0;
    const starts = Math.floor((end - length) / hall.warmUpSlots) + 1;
    return Array.from({ length: Math.max(0, starts) }, (_, wave) => {
      const start = wave * hall.warmUpSlots;
      return { name: `x${String(kind)}_${String(way)}_${String(start)}`, kind, route, start, end: start + length };
    });
  });
}

function read(
  values: ReadonlyMap<string, number>,
  kinds: readonly (readonly Party[])[],
  columns: readonly Column[],
  hall: Hall,
): Timetable | null {
  const waiting = kinds.map((alike) => [...alike]);
  const timetable = columns
    .toSorted((a, b) => a.start - b.start)
    .flatMap(({ name, kind, route, start }) =>
      Array.from({ length: Math.round(values.get(name) ?? 0) }, () => waiting[kind]?.shift()).flatMap((party) =>
        (party ? route : []).map(({ station, from, to }) => ({ party: party?.id ?? 0, station, start: start + from, end: start + to })),
      ),
    );
  return waiting.every((left) => left.length === 0) && isPossible(timetable, hall) ? timetable : null;
}

/** Whether nobody is needed twice at once: no station has two parties, and not more stations are at work than there is somebody to look. */
export function isPossible(timetable: Timetable, hall: Hall): boolean {
  const clash = (a: Timetable[number], b: Timetable[number]): boolean => a.start < b.end && b.start < a.end;
  return timetable.every((visit, index) => {
    const others = timetable.filter((other, at) => at !== index && clash(visit, other));
    const atStart = others.filter(({ start }) => start <= visit.start).length + 1;
    return others.every(({ station, party }) => station !== visit.station && party !== visit.party) && atStart <= roomsOf(hall);
  });
}
