import type { AdultNeed, Footprint, LittleRoomWay, Movement, Tier } from '../movement/movement.js';
import { heightM, libraryHeightM } from '../movement/height.js';
import type { Home } from './child-in-class.js';

export const homeNeeds = ['surface', 'space', 'equipment', 'adult', 'in-person', 'partner', 'quiet'] as const;
/** What a movement may want of a home. */
export type HomeNeed = (typeof homeNeeds)[number];

/** Who has to be there for a version of a movement. */
export const adultFor = ({ needs }: Pick<Movement, 'needs'>, tier: Pick<Tier, 'adult'> | undefined): AdultNeed =>
  tier?.adult ?? needs.adult;

/** A home shorter by less than this is not short: nobody measures a carpet to the centimetre. */
const measuredToM = 0.05;

/** What a movement wants of a home: of itself, or of one of its versions where that wants something else. */
type Wanted = readonly [
  movement: Movement,
  tier: Pick<Tier, 'equipment' | 'adult'> | undefined,
  home: Home,
  ageYears: number,
  /** When the class begins, `HH:MM`; null where that is not known: then no hour is quiet. */
  startsAt: string | null,
];

/** Whether a home lacks it, need by need, in the order in which they are told. */
const isLacking: Readonly<Record<HomeNeed, (...wanted: Wanted) => boolean>> = {
  surface: ({ needs }, _, home) => !standsOn(needs.surface, home),
  space: (movement, _, home, ageYears) => roomFor(movement, home, ageYears) === 'none',
  equipment: (movement, tier, home) => missingThings(movement, tier?.equipment, home).length > 0,
  adult: (movement, tier, home) => {
    const wanted = adultFor(movement, tier);
    return wanted === 'hands-on' ? home.adult !== 'in-the-room' : wanted === 'at-hand' && home.adult === 'not-at-hand';
  },
  'in-person': (movement, tier) => adultFor(movement, tier) === 'in-person',
  partner: ({ needs }, _, home) => needs.partner && !home.partner,
  quiet: ({ needs }, _, home, _age, startsAt) => needs.quiet === 'loud' && startsAt !== null && isQuietAt(home, startsAt),
};

/**
 * What a home lacks for a movement.
 * @param wanted the movement; the version; the home; and how old and when
 */
export function lacking(...wanted: Wanted): readonly HomeNeed[] {
  return homeNeeds.filter((need) => isLacking[need](...wanted));
}

/** @returns the first of what `lacking` says; null where nothing is lacking. */
export function firstLack(...wanted: Wanted): HomeNeed | null {
  for (const need of homeNeeds) if (isLacking[need](...wanted)) return need;
  return null;
}

/** The floor itself, or a mat or rug that is there to be laid on it. */
function standsOn(wanted: Movement['needs']['surface'], { surface, things }: Home): boolean {
  if (wanted === 'any-dry' || wanted.includes(surface)) return true;
  return wanted.some((one) => things.some((thing) => thing.toLowerCase() === one.replace('-', ' ')));
}

/** How a movement fits into a home for a child of this age: as it is, as it is done in little room, or not at all. */
export function roomFor({ needs }: Pick<Movement, 'needs'>, home: Home, ageYears: number): 'as-it-is' | LittleRoomWay | 'none' {
  const scale = heightM(ageYears) / libraryHeightM;
  if (fitsInto(needs.footprint, home, scale)) return 'as-it-is';
  return needs.inLittleRoom && fitsInto(needs.inLittleRoom, home, scale) ? needs.inLittleRoom.how : 'none';
}

/** A phrase may be turned to go along the longer side of the room. */
function fitsInto({ lengthM, widthM }: Footprint, { clearLengthM, clearWidthM }: Home, scale: number): boolean {
  const long = scale * Math.max(lengthM, widthM);
  const short = scale * Math.min(lengthM, widthM);
  return long <= Math.max(clearLengthM, clearWidthM) + measuredToM && short <= Math.min(clearLengthM, clearWidthM) + measuredToM;
}

/** Things that neither are there nor have a stand-in that is. */
export function missingThings(
  movement: Movement,
  equipment: readonly string[] | undefined,
  { things }: Pick<Home, 'things'>,
): readonly string[] {
  const wanted = equipment ?? movement.needs.equipment;
  if (wanted.length === 0) return wanted;
  const isThere = (phrase: string): boolean => things.some((thing) => namesThing(phrase, thing) || namesThing(thing, phrase));
  return wanted.filter(
    (thing) => !isThere(thing) && !(movement.equipmentStandIns[thing] ?? []).some((standIn) => everyday.has(standIn) || isThere(standIn)),
  );
}

/** Stand-ins that no family names and every home has. */
const everyday: ReadonlySet<string> = new Set([
  'a belt',
  'a light shirt',
  'a rolled pair of socks',
  'a tea towel',
  'a towel',
  'two shoe boxes',
  'two thick books',
]);

/** Whether a phrase names a thing as a whole word: a ball is no ballet barre, and an iPad no pad. Of several words all are there. */
function namesThing(phrase: string, thing: string): boolean {
  const there = wordsIn(phrase);
  const wanted = wordsIn(thing);
  return wanted.length > 0 && wanted.every((word) => there.includes(word));
}

const knownWords = new Map<string, readonly string[]>();
const mostKnownWords = 5000;

/** Words without case, and without the ending of the plural. The same few things are asked about for every child and item. */
function wordsIn(phrase: string): readonly string[] {
  const known = knownWords.get(phrase);
  if (known) return known;
  const words = (phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).map((word) =>
    word.length > 3 ? word.replace(/(?<!s)s$/, '') : word,
  );
  if (knownWords.size >= mostKnownWords) knownWords.clear();
  knownWords.set(phrase, words);
  return words;
}

function isQuietAt({ quietHours }: Home, time: string): boolean {
  if (!quietHours) return false;
  const { from, to } = quietHours;
  return from <= to ? time >= from && time < to : time >= from || time < to;
}
