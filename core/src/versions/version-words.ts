import type { Hazard } from '../movement/hazard.js';
import { hazardWord } from '../movement/hazard-word.js';
import type { Library } from '../movement/library.js';
import type { LittleRoomWay } from '../movement/movement.js';
import { regions, type Region } from '../movement/region.js';
import { regionWord } from '../movement/region-word.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import type { MovementSlug } from '../values/unit.js';
import type { HomeNeed } from './home-needs.js';
import type { Bar, Version, VersionCounts } from './version.js';

const needWords: Readonly<Record<HomeNeed, string>> = {
  surface: 'the floor at home is not for it',
  space: 'not enough room at home',
  equipment: 'the thing it needs is not at home',
  adult: 'no adult at hand',
  'in-person': 'only in the hall, with somebody trained to support it',
  partner: 'no partner at home',
  quiet: 'the house has to be quiet',
};

const isRegion = (spared: Region | Hazard): spared is Region => regions.some((region) => region === spared);

/** What a child has to spare, as one says it: `the wrists`, `hard landings`. */
export function sparedWord(spared: Region | Hazard): string {
  return isRegion(spared) ? `the ${regionWord(spared)}` : hazardWord(spared);
}

/** @returns what keeps a child from a version, as one says it. */
export function barWords(bar: Bar, library: Library, ladder: Syllabus | null): string {
  switch (bar.kind) {
    case 'grade':
      return `from ${ladder?.grades.find(({ slug }) => slug === bar.grade)?.name ?? bar.grade} on`;
    case 'prerequisite':
      return `${library.get(bar.movement)?.name ?? bar.movement} first`;
    case 'not-clean':
      return 'clean first';
    case 'age':
      return `from ${String(bar.leastAge)} years on`;
    case 'home':
      return needWords[bar.need];
    case 'health':
      return `has to spare ${sparedWord(bar.spared)} for now`;
  }
}

/** @returns why a child does what it does: `core: no adult at hand`. */
export function versionWords(version: Version, library: Library, ladder: Syllabus | null): string {
  const name = library.get(version.movement)?.name ?? version.movement;
  const does = version.tier === null ? 'no version' : version.tier === 'instead' ? `instead ${name}` : version.tier;
  const where = version.inLittleRoom ? [littleRoomWords[version.inLittleRoom]] : [];
  if (version.isByHand)
    return [
      `${does}: set by hand`,
      ...where,
      ...(version.bar ? [`but ${barWords(version.bar, library, ladder)}`] : []),
      ...version.lacks.map((need) => needWords[need]),
    ].join(', ');
  const why = version.bar ? [barWords(version.bar, library, ladder)] : [];
  return `${does}: ${[...why, ...where].join(', ') || 'all it needs is there'}`;
}

const littleRoomWords: Readonly<Record<LittleRoomWay, string>> = {
  'on-the-spot': 'on the spot for want of room',
  'there-and-back': 'to and fro for want of room',
};

/**
 * @param nameOf given, what others do is named
 * @returns counts as a rung shows them: `2 easier · 6 core · 1 instead`, or `1 does Stork`; empty where nobody is expected.
 */
export function countsText(counts: VersionCounts | undefined, nameOf?: (movement: MovementSlug) => string): string {
  if (!counts) return '';
  const instead = nameOf ? `${counts.instead === 1 ? 'does' : 'do'} ${counts.others.map(nameOf).join(', ')}` : 'instead';
  const words: readonly (readonly [Exclude<keyof VersionCounts, 'others'>, string])[] = [
    ['easier', 'easier'],
    ['core', 'core'],
    ['harder', 'harder'],
    ['instead', instead],
    ['none', 'without'],
  ];
  return words
    .filter(([key]) => counts[key] > 0)
    .map(([key, word]) => `${String(counts[key])} ${word}`)
    .join(' · ');
}
