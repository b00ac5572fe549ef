import { ageBands, firstYearOf } from './age-band.js';
import type { Hazard } from './hazard.js';
import type { LibraryFault } from './library-fault.js';
import { isFields, type Fields } from './library-shapes.js';
import type { Library } from './library.js';
import { readPhrase } from '../phrase/phrase-text.js';
import { phraseFindingWords, walk } from '../phrase/walk.js';
import { groupBy } from '../values/group-by.js';
import { adultNeeds, surfaces, type Movement, type Prerequisite, type Surface } from './movement.js';

/** Floors on which a fall or a hard landing does least. */
export const softSurfaces = ['mat', 'thick-rug', 'carpet', 'grass'] as const satisfies readonly Surface[];
const isSoft = (surface: Surface): boolean => (softSurfaces as readonly Surface[]).includes(surface);

/** Where a slip is a fall on the head, the neck or a stiff leg. */
const fallHazards: readonly Hazard[] = ['inverted', 'neck-load', 'hard-landing'];
/** What is learnt step by step, the easier version as well. */
const steppedHazards: readonly Hazard[] = [...fallHazards, 'back-bend'];

const hasAny = (own: readonly unknown[], asked: readonly Hazard[]): boolean => asked.some((hazard) => own.includes(hazard));

/** What safety rests on and a file may leave out. */
export type Unsaid = 'leastAge' | 'homeTask' | 'needs.surface' | 'needs.adult' | 'tiers.easier.prerequisites';

const listIn = (fields: Fields, name: string): readonly unknown[] => (Array.isArray(fields[name]) ? (fields[name] as unknown[]) : []);

/** @returns what an entry, as its file has it, does not say though safety rests on it. Never throws. */
export function unsaidIn(entry: Fields): readonly Unsaid[] {
  const needs = isFields(entry['needs']) ? entry['needs'] : {};
  const easier = isFields(entry['tiers']) && isFields(entry['tiers']['easier']) ? entry['tiers']['easier'] : null;
  return [
    ...(entry['leastAge'] === undefined ? (['leastAge'] as const) : []),
    ...(entry['homeTask'] === undefined ? (['homeTask'] as const) : []),
    ...(needs['surface'] === undefined ? (['needs.surface'] as const) : []),
    ...(needs['adult'] === undefined ? (['needs.adult'] as const) : []),
    ...(easier && easier['prerequisites'] === undefined && listIn(entry, 'prerequisites').length > 0
      ? (['tiers.easier.prerequisites'] as const)
      : []),
  ];
}

/**
 * Fills what is not said on the careful side, never on the permissive one: from the age of its first dose, at home with an adult; where one
 * can fall on head, neck or stiff legs on soft floors only and with an adult at hand; the easier version for whoever may do the core.
 */
export function saidCarefully(entry: Fields): Fields {
  const unsaid = unsaidIn(entry);
  if (unsaid.length === 0) return entry;
  const dose = isFields(entry['dose']) ? entry['dose'] : {};
  const first = ageBands.find((band) => isFields(dose[band])) ?? '4-6';
  const isRisky = hasAny(listIn(entry, 'hazards'), fallHazards);
  const tiers = isFields(entry['tiers']) ? entry['tiers'] : {};
  return {
    ...entry,
    leastAge: entry['leastAge'] ?? firstYearOf(first),
    homeTask: entry['homeTask'] ?? 'with-adult',
    needs: {
      surface: isRisky ? softSurfaces : 'any-dry',
      adult: isRisky ? 'at-hand' : 'none',
      ...(isFields(entry['needs']) ? entry['needs'] : {}),
    },
    ...(unsaid.includes('tiers.easier.prerequisites')
      ? { tiers: { ...tiers, easier: { prerequisites: entry['prerequisites'], ...(tiers['easier'] as Fields) } } }
      : {}),
  };
}

/** A prerequisite without a stage means the whole of a movement that has stages: its last one. */
export function withStages(movement: Movement, library: Library): Movement {
  const staged = (asked: Prerequisite): Prerequisite => {
    const last = library.get(asked.movement)?.stages.length ?? 0;
    return asked.stage === undefined && last > 0 ? { ...asked, stage: last } : asked;
  };
  const isWhole = (list: readonly Prerequisite[] | undefined): boolean => (list ?? []).every((asked) => staged(asked) === asked);
  const tiers = Object.entries(movement.tiers);
  if (isWhole(movement.prerequisites) && tiers.every(([, { prerequisites }]) => isWhole(prerequisites))) return movement;
  return {
    ...movement,
    prerequisites: movement.prerequisites.map(staged),
    tiers: Object.fromEntries(
      tiers.map(([name, tier]) => [name, tier.prerequisites ? { ...tier, prerequisites: tier.prerequisites.map(staged) } : tier]),
    ),
  };
}

/** Loads and hazards under which a try has to end at once when it goes wrong. */
function isCarried({ hazards, loads, kind }: Movement): boolean {
  const load = (region: string): number => loads.find((one) => one.region === region)?.amount ?? 0;
  return (
    hasAny(hazards, fallHazards) ||
    load('neck') >= 2 ||
    (hazards.includes('weight-on-hands') && load('wrists') >= 2) ||
    ((kind === 'skill' || kind === 'drill') && (hazards.includes('soft-landing') || load('knees') >= 2))
  );
}

const surfacesOf = ({ needs }: Movement): readonly Surface[] => (needs.surface === 'any-dry' ? surfaces : needs.surface);

/**
 * What a coach would not sign in entries that are whole (safety.md): floors too hard for what it risks, an easier version of something risky
 * that anybody gets, no fault at which one stops where hands, neck, knees or a landing carry, a prerequisite that is for older children,
 * what leads to it asking for more care than it does itself.
 */
export function unsignable(movements: readonly Movement[], library: Library): readonly LibraryFault[] {
  // asked once of the whole library: of each entry which others lead to it
  const leading = groupBy(
    [...library.values()].flatMap((before) => [...new Set(before.leadsTo)].map((to) => ({ to, before }))),
    ({ to }) => to,
  );
  return movements.flatMap((movement): readonly LibraryFault[] => {
    const { slug: entry, hazards, tiers, prerequisites, faults } = movement;
    const found: LibraryFault[] = [];
    const say = (field: string, what: string, kind: LibraryFault['kind'] = 'contradiction'): void => {
      found.push({ entry, field, kind, found: what });
    };
    const hard = surfacesOf(movement).filter((surface) => !isSoft(surface));
    if (hasAny(hazards, fallHazards) && hard.length > 0) say('needs.surface', hard.join(', '));
    if (hasAny(hazards, steppedHazards) && tiers.easier && prerequisites.length > 0 && !tiers.easier.prerequisites?.length)
      say('tiers.easier.prerequisites', tiers.easier.what, 'missing');
    if (isCarried(movement) && !faults.some(({ stops }) => stops)) say('faults.stops', 'stops', 'missing');
    const phrase = movement.phrase && readPhrase(movement.phrase);
    if (phrase?.ok)
      for (const wrong of walk(phrase.value).findings) say('phrase', `${String(wrong.row + 1)}: ${phraseFindingWords(wrong)}`);
    for (const { movement: slug } of prerequisites) {
      const before = library.get(slug);
      if (before && before.leastAge > movement.leastAge) say('leastAge', `${slug} ${String(before.leastAge)}`);
    }
    for (const { before } of leading.get(entry) ?? []) {
      const shared = before.hazards.filter((hazard) => fallHazards.includes(hazard) && hazards.includes(hazard));
      if (shared.length === 0) continue;
      if (surfacesOf(movement).some((surface) => !surfacesOf(before).includes(surface))) say('needs.surface', before.slug);
      if (adultNeeds.indexOf(movement.needs.adult) < adultNeeds.indexOf(before.needs.adult)) say('needs.adult', before.slug);
    }
    return found;
  });
}

/** What `unsignable` found, as one says it of an entry. */
export function unsignableWords({ field, found }: LibraryFault): string {
  switch (field) {
    case 'needs.surface':
      return isSurfaceList(found)
        ? `it can go wrong on ${found}; soft floors only.`
        : `“${found}” leads to it and asks for a softer floor.`;
    case 'needs.adult':
      return `“${found}” leads to it and asks more of an adult.`;
    case 'tiers.easier.prerequisites':
      return `anybody gets “${found}”; it asks nothing before.`;
    case 'phrase':
      return `step ${found}`;
    case 'faults.stops':
      return 'no fault ends a try, though hands, neck, knees or a landing carry.';
    default:
      return `it is for younger children than what it rests on (${found}).`;
  }
}

const isSurfaceList = (found: string): boolean => found.split(', ').every((word) => surfaces.some((surface) => surface === word));
