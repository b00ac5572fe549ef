import { accepted, refused, type Result } from '../values/result.js';
import { ageBands } from './age-band.js';
import { saidCarefully, withStages } from './careful.js';
import type { LibraryFault } from './library-fault.js';
import { doseFaults, doseFields, doseKinds, type Dose } from './dose.js';
import { hazards } from './hazard.js';
import { longestHoldOfKind } from './hold-limits.js';
import { movementKinds } from './kind.js';
import { phraseTextFaultWords, readPhrase } from '../phrase/phrase-text.js';
import type { WrittenPhrase } from '../phrase/phrase.js';
import { canBeTaken, mostSteps, readStep } from '../figure/step.js';
import { libraryOf, type Library } from './library.js';
import { framings, marks, surfaces, tierNames, type Movement } from './movement.js';
import { levels, postures } from './posture.js';
import { fieldShapes, isFields, tierFields, type Fields } from './library-shapes.js';
import { regions } from './region.js';
import { sectionKinds } from './section-kind.js';

export const libraryFormat = 'leiter-library/1';

/** What an entry is when its file leaves the field out; what safety rests on is said by `saidCarefully`. Other fields must be written. */
const fieldDefaults = {
  programmes: [],
  term: null,
  prepares: [],
  loads: [],
  lengthens: [],
  hazards: [],
  undoneBy: [],
  equipmentStandIns: {},
  instead: null,
  sides: 'none',
  stages: [],
  prerequisites: [],
  leadsTo: [],
  tiers: {},
  cues: [],
  picture: null,
  faults: [],
  support: null,
  cautions: [],
  view: null,
  figure: [],
} as const;

const needsDefaults = {
  footprint: { lengthM: 1.5, widthM: 1.2 },
  headroomM: 2,
  equipment: [],
  wall: false,
  partner: false,
  quiet: 'quiet',
} as const;

export const mustBeWritten = ['slug', 'name', 'kind', 'sections', 'plainMeaning', 'posture', 'level', 'effort', 'dose'] as const;
/** Fields that hold one of a few values. */
export const entryChoices = {
  effort: [0, 1, 2, 3, 4],
  sides: ['none', 'each', 'alternating', 'lead'],
  homeTask: ['yes', 'with-adult', 'no'],
} as const;
const knownFields: ReadonlySet<string> = new Set([
  ...mustBeWritten,
  'needs',
  'leastAge',
  'homeTask',
  'phrase',
  ...Object.keys(fieldDefaults),
]);

/**
 * Reads the entries of a `leiter-library/1` file; fields left out get their defaults, and those that safety rests on what is careful.
 * @returns the library, or all that is wrong with it by entry and field: never a library that is wrong in part. Never throws.
 */
export function readLibrary(entries: readonly unknown[]): Result<Library, readonly LibraryFault[]> {
  return readInto([], entries);
}

/**
 * Reads entries beside those that were read before: one of the same slug takes the place of the other. What was read is not read again.
 * @returns the library with both, or all that is wrong with the entries
 */
export function readBeside(own: Library, entries: readonly unknown[]): Result<Library, readonly LibraryFault[]> {
  const brought = new Set(entries.flatMap((entry) => (isFields(entry) && typeof entry['slug'] === 'string' ? [entry['slug']] : [])));
  return readInto(
    [...own.values()].filter(({ slug }) => !brought.has(slug)),
    entries,
  );
}

/** @param before entries that were found to be right */
function readInto(before: readonly Movement[], entries: readonly unknown[]): Result<Library, readonly LibraryFault[]> {
  const faults: LibraryFault[] = [];
  const movements: Movement[] = [];
  entries.forEach((entry, index) => {
    const found = isFields(entry) ? faultsOfEntry(entry, index) : [fault(`#${String(index + 1)}`, '', 'missing', 'an entry')];
    faults.push(...found);
    // the fields were checked one by one above; what is left out is filled here
    if (found.length === 0 && isFields(entry)) movements.push(completed(entry));
  });
  if (faults.length > 0) return refused(faults);
  const all = [...before, ...movements];
  const library = libraryOf(all);
  const whole = [...namedTwice(all), ...dangling(movements, library), ...circles(all, library), ...contradictions(movements)];
  return whole.length > 0 ? refused(whole) : accepted(libraryOf([...before, ...movements.map((one) => withStages(one, library))]));
}

function completed(written: Fields): Movement {
  const entry = saidCarefully(written);
  const posture: Fields = isFields(entry['posture']) ? entry['posture'] : {};
  const dose: Fields = isFields(entry['dose']) ? entry['dose'] : {};
  const whole = {
    ...fieldDefaults,
    ...entry,
    posture: { through: [], ...posture },
    needs: { ...needsDefaults, ...(isFields(entry['needs']) ? entry['needs'] : {}) },
    dose: Object.fromEntries(ageBands.map((band) => [band, dose[band] ?? null])),
  };
  return whole as unknown as Movement; // every field was checked by faultsOfEntry or comes from the defaults
}

function fault(entry: string, field: string, kind: LibraryFault['kind'], found: unknown, allowed?: readonly unknown[]): LibraryFault {
  const text = typeof found === 'string' ? found : found === undefined ? '' : JSON.stringify(found);
  const words = allowed ? { allowed: allowed.map(String) } : {};
  return { entry, field, kind, found: text.length > 120 ? `${text.slice(0, 120)}…` : text, ...words };
}

function faultsOfEntry(entry: Fields, index: number): readonly LibraryFault[] {
  const name = typeof entry['slug'] === 'string' ? entry['slug'] : `#${String(index + 1)}`;
  const faults: LibraryFault[] = [];
  const say = (field: string, kind: LibraryFault['kind'], found: unknown, allowed?: readonly unknown[]): void => {
    faults.push(fault(name, field, kind, found, allowed));
  };
  const oneOf = (field: string, value: unknown, allowed: readonly unknown[]): void => {
    if (!allowed.includes(value)) say(field, 'not-allowed', value, allowed);
  };
  const eachOf = (field: string, allowed: readonly unknown[]): void => {
    const list = entry[field] ?? [];
    if (!Array.isArray(list)) say(field, 'not-allowed', list);
    else
      list.forEach((value: unknown) => {
        oneOf(field, value, allowed);
      });
  };

  for (const field of mustBeWritten) if (entry[field] === undefined || entry[field] === '') say(field, 'missing', field);
  for (const field of Object.keys(entry)) if (!knownFields.has(field)) say(field, 'unknown-field', field);
  if (faults.length > 0) return faults;

  if (typeof entry['slug'] !== 'string' || !/^[a-z0-9]+(-[a-z0-9]+)*$/.test(entry['slug'])) say('slug', 'not-allowed', entry['slug']);
  oneOf('kind', entry['kind'], movementKinds);
  oneOf('level', entry['level'], levels);
  oneOf('effort', entry['effort'], entryChoices.effort);
  oneOf('sides', entry['sides'] ?? 'none', entryChoices.sides);
  oneOf('homeTask', entry['homeTask'] ?? 'yes', entryChoices.homeTask);
  eachOf('sections', sectionKinds);
  eachOf('prepares', regions);
  eachOf('lengthens', regions);
  eachOf('hazards', hazards);
  const posture = isFields(entry['posture']) ? entry['posture'] : {};
  oneOf('posture.from', posture['from'], postures);
  oneOf('posture.to', posture['to'], postures);
  for (const through of Array.isArray(posture['through']) ? (posture['through'] as unknown[]) : [])
    oneOf('posture.through', through, postures);
  for (const load of Array.isArray(entry['loads']) ? (entry['loads'] as unknown[]) : []) {
    oneOf('loads.region', isFields(load) ? load['region'] : load, regions);
    oneOf('loads.amount', isFields(load) ? load['amount'] : load, [1, 2, 3]);
  }
  const figure = entry['figure'] ?? [];
  if (!Array.isArray(figure) || figure.length > mostSteps) say('figure', 'not-allowed', figure);
  else
    for (const step of figure as unknown[])
      if (typeof step !== 'string' || readStep(step) === null) say('figure', 'dangling', step);
      else if (!canBeTaken(step)) say('figure', 'contradiction', step);
  if (isFields(entry['view'])) oneOf('view.framing', entry['view']['framing'], framings);
  const surface = isFields(entry['needs']) ? entry['needs']['surface'] : undefined;
  if (Array.isArray(surface)) for (const one of surface as unknown[]) oneOf('needs.surface', one, surfaces);

  faults.push(...doseFaultsOf(name, 'dose', entry['dose'], ageBands));
  for (const [tier, said] of Object.entries(isFields(entry['tiers']) ? entry['tiers'] : {})) {
    oneOf('tiers', tier, tierNames);
    if (!isFields(said) || typeof said['what'] !== 'string' || said['what'] === '') say(`tiers.${tier}.what`, 'missing', tier);
    else if (said['dose'] !== undefined) faults.push(...doseFaultsOf(name, `tiers.${tier}`, { dose: said['dose'] }, ['dose']));
    if (!isFields(said)) continue;
    for (const field of Object.keys(said)) if (!tierFields.has(field)) say(`tiers.${tier}`, 'unknown-field', field);
    for (const asked of Array.isArray(said['prerequisites']) ? (said['prerequisites'] as unknown[]) : [])
      oneOf(`tiers.${tier}.prerequisites.mark`, isFields(asked) ? asked['mark'] : asked, marks);
  }
  for (const asked of Array.isArray(entry['prerequisites']) ? (entry['prerequisites'] as unknown[]) : [])
    oneOf('prerequisites.mark', isFields(asked) ? asked['mark'] : asked, marks);
  faults.push(...shapeFaults(name, entry));
  const { phrase } = entry;
  if (isFields(phrase) && fieldShapes['phrase']?.fits(phrase)) {
    const read = readPhrase(phrase as unknown as WrittenPhrase); // its shape was looked at just now
    if (!read.ok) for (const wrong of read.error) say(`phrase.line-${String(wrong.line)}`, 'contradiction', phraseTextFaultWords(wrong));
  }
  if (isFields(entry['term']) && !entry['term']['meaning']) say('term.meaning', 'missing', entry['term']['text']);
  return faults;
}

function doseFaultsOf(entry: string, field: string, doses: unknown, names: readonly string[]): readonly LibraryFault[] {
  if (!isFields(doses)) return [fault(entry, field, 'missing', field)];
  const others = Object.keys(doses).filter((name) => !names.includes(name));
  if (others.length > 0) return others.map((name) => fault(entry, field, 'unknown-field', name));
  return names.flatMap((name) => {
    const dose = doses[name];
    if (dose === null || dose === undefined) return [];
    if (!isFields(dose) || typeof dose['kind'] !== 'string' || !Object.hasOwn(doseKinds, dose['kind']))
      return [fault(entry, `${field}.${name}`, 'not-allowed', dose)];
    const known = doseFields(dose['kind'] as Dose['kind']); // a key of the table
    const unknown = Object.keys(dose).filter((one) => !known.includes(one));
    if (unknown.length > 0) return unknown.map((one) => fault(entry, `${field}.${name}`, 'unknown-field', one));
    return doseFaults(dose as unknown as Dose) // its kind is known; each number is checked here, missing ones included
      .map((number) => fault(entry, `${field}.${name}.${number}`, 'dose-out-of-range', dose[number] ?? 'nothing'));
  });
}

function namedTwice(movements: readonly Movement[]): readonly LibraryFault[] {
  const seen = new Set<string>();
  return movements.flatMap((movement) => {
    const names = [movement.slug, movement.name.toLowerCase()];
    const again = names.filter((name) => seen.has(name));
    names.forEach((name) => seen.add(name));
    return again.slice(0, 1).map((name) => fault(movement.slug, 'name', 'twice', name));
  });
}

function dangling(movements: readonly Movement[], library: Library): readonly LibraryFault[] {
  return movements.flatMap((movement) =>
    [
      ...movement.prerequisites.map((asked) => ['prerequisites', asked.movement] as const),
      ...Object.values(movement.tiers).flatMap((tier) => (tier.prerequisites ?? []).map((asked) => ['tiers', asked.movement] as const)),
      ...movement.leadsTo.map((slug) => ['leadsTo', slug] as const),
      ...movement.undoneBy.map((slug) => ['undoneBy', slug] as const),
      ...(movement.instead === null ? [] : [['instead', movement.instead] as const]),
    ]
      .filter(([, slug]) => !library.has(slug))
      .map(([field, slug]) => fault(movement.slug, field, 'dangling', slug)),
  );
}

/** Movements from which their own prerequisites lead back to themselves. */
function circles(movements: readonly Movement[], library: Library): readonly LibraryFault[] {
  const state = new Map<string, 'open' | 'done'>();
  const found: LibraryFault[] = [];
  const visit = (movement: Movement): void => {
    state.set(movement.slug, 'open');
    for (const { movement: slug } of movement.prerequisites) {
      const next = library.get(slug);
      if (!next) continue;
      if (state.get(slug) === 'open') found.push(fault(movement.slug, 'prerequisites', 'circle', slug));
      else if (!state.has(slug)) visit(next);
    }
    state.set(movement.slug, 'done');
  };
  for (const movement of movements) if (!state.has(movement.slug)) visit(movement);
  return found;
}

/** Entries that are whole, but could hurt or mislead: see safety.md. */
function contradictions(movements: readonly Movement[]): readonly LibraryFault[] {
  return movements.flatMap((movement) => {
    const faults: LibraryFault[] = [];
    const risky = (['inverted', 'neck-load'] as const).find((hazard) => movement.hazards.includes(hazard));
    if (risky && movement.instead === null) faults.push(fault(movement.slug, 'instead', 'missing', risky));
    if (movement.hazards.includes('back-bend') && movement.undoneBy.length === 0)
      faults.push(fault(movement.slug, 'undoneBy', 'missing', 'back-bend'));
    if (movement.hazards.includes('weight-on-hands') && !movement.loads.some((load) => load.region === 'wrists'))
      faults.push(fault(movement.slug, 'loads', 'contradiction', 'weight-on-hands'));
    if (Object.values(movement.dose).every((dose) => dose === null)) faults.push(fault(movement.slug, 'dose', 'missing', 'dose'));
    faults.push(...longHolds(movement), ...sameTiers(movement));
    const postures = [movement.posture.from, ...movement.posture.through, movement.posture.to];
    if (movement.sides === 'none' && postures.includes('one-leg') && oneSidedKinds.has(movement.kind))
      faults.push(fault(movement.slug, 'sides', 'contradiction', 'one-leg'));
    return faults;
  });
}

function shapeFaults(name: string, entry: Fields): readonly LibraryFault[] {
  return Object.entries(fieldShapes).flatMap(([field, { fits }]) =>
    entry[field] === undefined || fits(entry[field]) ? [] : [fault(name, field, 'not-allowed', entry[field])],
  );
}

/** On one leg is on the left or on the right; a game or a phrase has its own order. */
const oneSidedKinds: ReadonlySet<Movement['kind']> = new Set(['static-stretch', 'dynamic-stretch', 'basic', 'drill', 'skill', 'strength']);

function longHolds(movement: Movement): readonly LibraryFault[] {
  return ageBands.flatMap((band) => {
    const own = movement.dose[band];
    const most = longestHoldOfKind(movement.kind, band);
    return own?.kind === 'hold' && own.holdSeconds > most ? [fault(movement.slug, `dose.${band}`, 'contradiction', own.holdSeconds)] : [];
  });
}

/** Two versions in the same words are one. */
function sameTiers({ slug, tiers }: Movement): readonly LibraryFault[] {
  const words = Object.values(tiers).map(({ what }) => what.trim().toLowerCase());
  const again = words.find((what, index) => words.indexOf(what) < index);
  return again === undefined ? [] : [fault(slug, 'tiers', 'contradiction', again)];
}
