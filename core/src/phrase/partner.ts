import type { Metres } from '../values/unit.js';
import type { Partner, Phrase, Row } from './phrase.js';
import { beginning, inRoom, middleOf, placed, walk, type PhraseFinding, type Stand, type Walk } from './walk.js';

/** What the partner does, as a phrase of its own in the same room and on the same counts. @returns null where one is alone */
export function partnersPhrase(phrase: Phrase): Phrase | null {
  const { partner } = phrase;
  if (!partner) return null;
  const begin = partnersBeginning(phrase, partner);
  const { x, z } = middleOf(begin);
  return {
    ...phrase,
    rows: partner.rows,
    segments: [{ name: '', from: 0, to: partner.rows.length }],
    tiers: [],
    partner: null,
    startWeight: partner.weight,
    endsAtStart: false,
    begins: { x, z, facing: begin.facing },
  };
}

const partnersBeginning = (phrase: Phrase, { ahead, left, turned, weight }: Partner): Stand => {
  const child = beginning(phrase);
  const middle = middleOf(child);
  const away = inRoom(child.facing, left, ahead);
  return placed({ x: middle.x + away.x, z: middle.z + away.z, facing: child.facing + turned }, weight);
};

/** Nearer than this from middle to middle, two bodies would stand in each other. */
const leastApartM: Metres = 0.35;

/** The partner walks its own rows; holes in them are rests, and no fault. */
export interface PartnersWalk extends Walk {
  readonly phrase: Phrase;
  /** After which rows of the child both stand in each other. */
  readonly tooNear: readonly PhraseFinding[];
  /** The floor that both take. */
  readonly together: Walk['footprint'];
}

/** @param walked the walk of the child, where it is known @returns null where one is alone */
export function walkOfPartner(phrase: Phrase, walked?: Walk): PartnersWalk | null {
  const partners = partnersPhrase(phrase);
  if (!partners) return null;
  const own = walked ?? walk(phrase);
  const theirs = walk(partners);
  const findings = theirs.findings.filter(({ kind }) => kind !== 'hole');
  const tooNear: PhraseFinding[] = [];
  let passed = 0;
  phrase.rows.forEach((row, index) => {
    const until = phrase.rows[index + 1]?.at ?? Infinity;
    // as they stand when the row is done, and at each thing that the partner does while it lasts
    let nearest = Infinity;
    const child = own.stands[index + 1];
    if (!child) return;
    const look = (): void => {
      const other = theirs.stands[passed];
      if (other) nearest = Math.min(nearest, apart(child, other));
    };
    while ((partners.rows[passed]?.at ?? Infinity) <= row.at) passed += 1;
    look();
    while ((partners.rows[passed]?.at ?? Infinity) < until) {
      passed += 1;
      look();
    }
    if (nearest < leastApartM - 1e-9) tooNear.push({ row: index, kind: 'in-each-other', foot: null, amount: nearest });
  });
  const spots = [own, theirs].flatMap(({ stands }) => stands.flatMap(({ left, right }) => [left, right]));
  const extent = (values: readonly number[]): Metres => Math.max(...values) - Math.min(...values) + 2 * own.around;
  return {
    ...theirs,
    findings,
    phrase: partners,
    tooNear,
    together: { widthM: extent(spots.map(({ x }) => x)), lengthM: extent(spots.map(({ z }) => z)) },
  };
}

function apart(a: Stand, b: Stand): Metres {
  const [one, other] = [middleOf(a), middleOf(b)];
  return Math.hypot(one.x - other.x, one.z - other.z);
}

/** What the partner begins while a row of the child lasts; before the first row nothing is done. */
export function partnerOn({ rows, partner }: Pick<Phrase, 'rows' | 'partner'>, index: number): readonly Row[] {
  const from = rows[index]?.at ?? Infinity;
  const until = rows[index + 1]?.at ?? Infinity;
  return partner?.rows.filter(({ at }) => at >= from - 1e-9 && at < until - 1e-9) ?? [];
}

/** What the partner does at a count, the last that it began. @returns null before it begins */
export const partnerAtCount = ({ partner }: Pick<Phrase, 'partner'>, count: number): Row | null =>
  partner?.rows.findLast(({ at }) => at <= count + 1e-9) ?? null;

/** How two stand to each other, as a partner begins. */
export function asBeginning(child: Stand, other: Stand): Omit<Partner, 'rows'> {
  const [one, two] = [middleOf(child), middleOf(other)];
  const [x, z] = [two.x - one.x, two.z - one.z];
  const [c, s] = [Math.cos((child.facing * Math.PI) / 180), Math.sin((child.facing * Math.PI) / 180)];
  // the way back from the room to the own left and ahead: `inRoom` turned round
  return { ahead: x * s + z * c, left: x * c - z * s, turned: other.facing - child.facing, weight: other.weight };
}
