import type { Metres } from '../values/unit.js';
import { partnerOn } from './partner.js';
import { placesOfFeet, type Phrase, type Row } from './phrase.js';
import { hasTier, phraseAs } from './tiers.js';
import { walk } from './walk.js';

/** The floor that somebody has, in metres; the width is across the picture. */
export interface PhraseRoom {
  readonly widthM: Metres;
  readonly lengthM: Metres;
}

/** What was changed so that a phrase fits. */
export type CompactChange =
  | { readonly kind: 'small-rows' }
  | { readonly kind: 'shorter-steps'; readonly stride: number }
  | { readonly kind: 'on-the-spot'; readonly rows: readonly number[] };

/** A phrase in a room: as it fits, or the floor that it takes at its smallest. */
export type Compact =
  | { readonly fits: true; readonly phrase: Phrase; readonly changes: readonly CompactChange[] }
  | { readonly fits: false; readonly needs: PhraseRoom };

/** Steps of two thirds are still steps; shorter ones are shuffled. */
const leastStride = 0.65;

const goesSomewhere: ReadonlySet<Row['place']> = new Set(placesOfFeet.filter((place) => place !== 'place' && place !== 'close'));
const travels = ({ foot, place }: Row): boolean => foot !== null && goesSomewhere.has(place);

const exceeds = ({ widthM, lengthM }: PhraseRoom, room: PhraseRoom): boolean =>
  widthM > room.widthM + 1e-9 || lengthM > room.lengthM + 1e-9;

/** The first row after which a foot is beyond the room, wherever in it one begins; null where none is. */
export function leavesAt(phrase: Phrase, room: PhraseRoom): number | null {
  const { stands, around } = walk(phrase);
  let [minX, maxX, minZ, maxZ] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [index, { left, right }] of stands.entries()) {
    minX = Math.min(minX, left.x, right.x);
    maxX = Math.max(maxX, left.x, right.x);
    minZ = Math.min(minZ, left.z, right.z);
    maxZ = Math.max(maxZ, left.z, right.z);
    const taken = { widthM: maxX - minX + 2 * around, lengthM: maxZ - minZ + 2 * around };
    if (exceeds(taken, room)) return Math.max(0, index - 1);
  }
  return null;
}

/** A row done on the spot; what the partner does meanwhile stays on the spot as well, so that both are as far apart as they were. */
function onTheSpot(phrase: Phrase, row: number): Phrase {
  const meanwhile = new Set(partnerOn(phrase, row));
  const stay = (one: Row): Row => ({ ...one, place: 'place' });
  return {
    ...phrase,
    rows: phrase.rows.map((one, index) => (index === row ? stay(one) : one)),
    partner: phrase.partner && {
      ...phrase.partner,
      rows: phrase.partner.rows.map((one) => (meanwhile.has(one) && travels(one) ? stay(one) : one)),
    },
  };
}

/**
 * A phrase for a room: first the rows that are written for little room, then shorter steps, then those that would leave the room done on the
 * spot, one after the other. Weights, counts and turns stay what they are.
 */
export function compacted(phrase: Phrase, room: PhraseRoom): Compact {
  if (leavesAt(phrase, room) === null) return { fits: true, phrase, changes: [] };
  const changes: CompactChange[] = [];
  let current = phrase;
  if (hasTier(phrase, 'small')) {
    current = phraseAs(phrase, 'small');
    changes.push({ kind: 'small-rows' });
    if (leavesAt(current, room) === null) return { fits: true, phrase: current, changes };
  }
  for (const stride of [0.9, 0.8, 0.7, leastStride]) {
    const shorter = { ...current, stride };
    if (leavesAt(shorter, room) !== null && stride > leastStride) continue;
    current = shorter;
    changes.push({ kind: 'shorter-steps', stride });
    break;
  }
  const stayed: number[] = [];
  for (let at = leavesAt(current, room); at !== null; at = leavesAt(current, room)) {
    const last = at;
    const row = current.rows.findLastIndex((one, index) => index <= last && travels(one));
    if (row < 0) {
      const { footprint } = walk(current);
      return { fits: false, needs: { widthM: footprint.widthM, lengthM: footprint.lengthM } };
    }
    stayed.push(row);
    current = onTheSpot(current, row);
  }
  if (stayed.length > 0) changes.push({ kind: 'on-the-spot', rows: stayed.toSorted((a, b) => a - b) });
  return { fits: true, phrase: current, changes };
}
