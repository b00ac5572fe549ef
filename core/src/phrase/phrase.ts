import type { Side } from '../values/side.js';
import type { Degrees } from '../figure/vector.js';
import type { MovementSlug } from '../values/unit.js';

export type Foot = Side;
/** On which foot the body stands. */
export type Weight = Foot | 'both';

/** Where a foot is set, seen from the other one and the way the body faces. */
export const placesOfFeet = ['fwd', 'back', 'side', 'cross', 'behind', 'close', 'place'] as const;
export type FootPlace = (typeof placesOfFeet)[number];

/** How a foot acts: a step takes the weight; touching, kicking, lifting, brushing and dragging do not; hops and jumps leave the floor. */
export const footActs = ['step', 'touch', 'kick', 'lift', 'brush', 'drag', 'hop', 'leap', 'jump', 'sink'] as const;
export type FootAct = (typeof footActs)[number];

/** One thing that is done on its counts. */
export interface Row {
  /** When it begins, in counts from the beginning of the phrase, from 0; halves are “and”. */
  readonly at: number;
  /** How long it lasts: to the next row, or as far as it says. */
  readonly counts: number;
  /** Which foot acts; `both` for a jump or a bend on two; null for what no foot does. */
  readonly foot: Foot | 'both' | null;
  readonly act: FootAct | null;
  readonly place: FootPlace | null;
  /** How far the body turns on this row, to the left; 0 for none. */
  readonly turn: Degrees;
  readonly arms: string | null;
  readonly look: string | null;
  /** The word that is said. */
  readonly say: string | null;
  /** What cannot be said by feet: a stance, a technique, a freeze. */
  readonly words: string | null;
  /** What to watch for. */
  readonly watch: string | null;
  /** The entry of the library that is done on this row; its load, hazards and prerequisites are those of the phrase. */
  readonly movement: MovementSlug | null;
  /** Counts of one's own choice, among these entries, or as the words say where none is named; null where nothing is free. */
  readonly free: readonly MovementSlug[] | null;
}

/** Other rows on the same counts: for who cannot yet, for who can more, and where there is little room. */
export const phraseTiers = ['easier', 'harder', 'small'] as const;
export type PhraseTierName = (typeof phraseTiers)[number];

/** Rows that stand in for those that begin on their counts. */
export interface PhraseTier {
  readonly tier: PhraseTierName;
  readonly rows: readonly Row[];
}

/** Where somebody stands who does it with the child, as the child sees it when it begins. */
export const partnerPlaces = ['ahead', 'behind', 'left', 'right'] as const;
export type PartnerPlace = (typeof partnerPlaces)[number];
/** How far a partner may stand away, from the middle of one to the middle of the other; at two lengths of an arm where nothing is said. */
export const partnerAwayM = { least: 0.5, most: 4, usual: 1.2 } as const;

/** Somebody who does something else on the same counts: who attacks, who begins four counts later, who goes the other way. */
export interface Partner {
  /** From the middle between the child's feet, as it faces: in metres ahead and to its left. */
  readonly ahead: number;
  readonly left: number;
  /** To the left of the way the child faces: 180 looks at it. */
  readonly turned: Degrees;
  readonly weight: Weight;
  /** None for who only stands there. */
  readonly rows: readonly Row[];
}

/** Who stands ahead looks at the child; everybody else looks where it looks. */
export const partnerAt = (place: PartnerPlace, awayM: number): Omit<Partner, 'rows' | 'weight'> => ({
  ahead: place === 'ahead' ? awayM : place === 'behind' ? -awayM : 0,
  left: place === 'left' ? awayM : place === 'right' ? -awayM : 0,
  turned: place === 'ahead' ? 180 : 0,
});

/** Where one begins, where that is not the mark: in the room of `walk`. */
export interface Mark {
  readonly x: number;
  readonly z: number;
  readonly facing: Degrees;
}

/** What is taught as one: an eight, a few moves of a form. */
export interface Segment {
  readonly name: string;
  /** The first row, and the one after the last. */
  readonly from: number;
  readonly to: number;
}

/** Which segments of a phrase a class learns, and which it has; indexes from 0. */
export interface PhraseParts {
  readonly new: readonly number[];
  readonly known: readonly number[];
}

/** The most segments a phrase is parted into: what a class learns in a year. */
export const mostSegments = 40;

/** Counts in one group, and groups as the music has them: 8 in 4/4 and 2/4, 3 in a waltz, 6 in 6/8; in a form each move is a count. */
export const metres = [3, 4, 6, 8] as const;

/** How a phrase is kept: what is around it, and its rows as they are written by hand (`phrase-text`). */
export interface WrittenPhrase {
  readonly beats: number;
  readonly learnBpm: number;
  readonly bpm: number;
  readonly countIn: number;
  readonly startWeight: Weight;
  /** One of eight walls of the room, 1 the camera, clockwise as the child sees it. */
  readonly startFacing: number;
  /** A form ends on the mark where it began. */
  readonly endsAtStart: boolean;
  readonly text: string;
}

/** A phrase that was read. */
export interface Phrase extends Omit<WrittenPhrase, 'text'> {
  readonly rows: readonly Row[];
  readonly segments: readonly Segment[];
  readonly tiers: readonly PhraseTier[];
  /** How long a step is, to that of a grown-up in much room; 1 as it is written. */
  readonly stride: number;
  /** Null for what is done by one alone. */
  readonly partner: Partner | null;
  /** Left out for who begins on the mark: only a partner does not. */
  readonly begins?: Mark;
}

export const phraseLimits = { rows: 400, text: 12_000, bpm: { least: 20, most: 240 }, countIn: { least: 0, most: 16 } } as const;

/** How long the steps of a grown-up are, in metres (a child's are shorter as it is). */
export const stepM = {
  fwd: 0.55,
  back: 0.45,
  side: 0.5,
  cross: 0.18,
  behind: 0.18,
  close: 0,
} as const;
/** Between the middles of two feet that stand side by side. */
export const stanceM = 0.2;

/** How long it takes once, in seconds. */
export const phraseSeconds = ({ rows, bpm }: Pick<Phrase, 'rows' | 'bpm'>, tempo = bpm): number => (countsOf(rows) * 60) / tempo;

/** How many counts its rows cover. */
export function countsOf(rows: readonly Row[]): number {
  const last = rows.at(-1);
  return last ? last.at + last.counts : 0;
}

/** A pass ends with its group: then the music begins another. */
export const wholeGroups = (counts: number, beats: number): number => Math.max(1, Math.ceil(counts / beats)) * beats;

/**
 * Which row is done after so many counts of a phrase that is done again and again, and which comes next.
 * @param counts since it began; below 0 in the count-in
 */
export function rowsAt(phrase: Pick<Phrase, 'rows' | 'beats'>, counts: number): { readonly now: Row | null; readonly next: Row | null } {
  const { rows } = phrase;
  if (counts < 0) return { now: null, next: rows[0] ?? null };
  const within = counts % wholeGroups(countsOf(rows), phrase.beats);
  const at = rows.findLastIndex((row) => row.at <= within);
  return { now: rows[at] ?? null, next: rows[at + 1] ?? rows[0] ?? null };
}

const otherFoot = { left: 'right', right: 'left', both: 'both' } as const;
const swapped: Readonly<Record<string, string>> = { left: 'right', right: 'left', Left: 'Right', Right: 'Left', L: 'R', R: 'L' };
/** Left and right exchanged in what is said of arms, eyes and hands. */
const mirrorWords = (words: string | null): string | null =>
  words?.replaceAll(/\b(?:left|right|Left|Right|L|R)\b/g, (word) => swapped[word] ?? word) ?? null;

/** To which side a phrase goes as it is written: the foot that acts first. */
export const writtenSide = ({ rows }: Pick<Phrase, 'rows'>): Foot | null =>
  rows.flatMap(({ foot }) => (foot === 'left' || foot === 'right' ? [foot] : []))[0] ?? null;

/** Never -0, which would be another value. */
const opposite = (value: number): number => (value === 0 ? 0 : -value);

const mirroredRow = (row: Row): Row => ({
  ...row,
  foot: row.foot && otherFoot[row.foot],
  turn: opposite(row.turn),
  arms: mirrorWords(row.arms),
  look: mirrorWords(row.look),
  say: mirrorWords(row.say),
  words: mirrorWords(row.words),
  watch: mirrorWords(row.watch),
});

/** The same to the other side: feet, turns and walls of the room exchanged, and the words that name them. */
export function mirroredPhrase(phrase: Phrase): Phrase {
  return {
    ...phrase,
    startWeight: otherFoot[phrase.startWeight],
    startFacing: ((9 - phrase.startFacing) % 8) + 1,
    rows: phrase.rows.map(mirroredRow),
    tiers: phrase.tiers.map(({ tier, rows }) => ({ tier, rows: rows.map(mirroredRow) })),
    partner: phrase.partner && {
      ...phrase.partner,
      left: opposite(phrase.partner.left),
      turned: opposite(phrase.partner.turned),
      weight: otherFoot[phrase.partner.weight],
      rows: phrase.partner.rows.map(mirroredRow),
    },
  };
}
