import { asBeginning, walkOfPartner } from './partner.js';
import type { Partner, Phrase, PhraseTierName, Row, Segment } from './phrase.js';
import { wallOf, walk, type Stand } from './walk.js';

/** From the first count that rows cover to the end of the last. */
function spanOf(rows: readonly Row[]): readonly [from: number, to: number] {
  const [first, last] = [rows[0], rows.at(-1)];
  return first && last ? [first.at, last.at + last.counts] : [0, 0];
}

/** The rows that others stand in for: those that begin on their counts. */
export function replacedBy(rows: readonly Row[], others: readonly Row[]): readonly Row[] {
  const [from, to] = spanOf(others);
  return rows.filter(({ at }) => at >= from - 1e-9 && at < to - 1e-9);
}

/** Segments begin on the counts on which they began. */
function segmentsOn(rows: readonly Row[], { rows: before, segments }: Pick<Phrase, 'rows' | 'segments'>): readonly Segment[] {
  const starts = segments.map(({ from }) => {
    const count = before[from]?.at ?? 0;
    const index = rows.findIndex(({ at }) => at >= count - 1e-9);
    return index < 0 ? rows.length : index;
  });
  return segments
    .map(({ name }, index): Segment => ({ name, from: starts[index] ?? 0, to: starts[index + 1] ?? rows.length }))
    .filter(({ from, to }) => to > from);
}

export const hasTier = ({ tiers }: Pick<Phrase, 'tiers'>, tier: PhraseTierName): boolean => tiers.some((one) => one.tier === tier);

/** The phrase as a tier does it: its rows in place of those that begin on their counts. Without such rows it comes back as it is. */
export function phraseAs(phrase: Phrase, tier: PhraseTierName): Phrase {
  const own = phrase.tiers.filter((one) => one.tier === tier);
  if (own.length === 0) return phrase;
  const rows = own
    .reduce<readonly Row[]>((current, { rows: others }) => {
      const gone = new Set(replacedBy(current, others));
      return [...current.filter((row) => !gone.has(row)), ...others];
    }, phrase.rows)
    .toSorted((a, b) => a.at - b.at);
  return { ...phrase, rows, segments: segmentsOn(rows, phrase), tiers: phrase.tiers.filter((one) => one.tier !== tier) };
}

/**
 * Some segments alone, one after the other as they stand, from count 0 on: whole groups of counts stay what they are, so that a part that begins
 * on five is counted from five. It begins on the foot, and to the wall, to which the whole has come by then.
 * @param chosen indexes of segments; those that are not there are left out, and without any the phrase comes back as it is
 */
export function segmentsOf(phrase: Phrase, chosen: readonly number[]): Phrase {
  const kept = phrase.segments.filter((_, index) => chosen.includes(index));
  if (kept.length === 0 || kept.length === phrase.segments.length) return phrase;
  let [at, from] = [0, 0];
  const rows: Row[] = [];
  const segments = kept.map(({ name, from: first, to }): Segment => {
    const own = phrase.rows.slice(first, to);
    const begins = own[0]?.at ?? 0;
    // the first keeps its place in the group
    if (rows.length === 0) at = begins % phrase.beats;
    rows.push(...own.map((row) => ({ ...row, at: row.at - begins + at })));
    const [, end] = spanOf(own);
    at += end - begins;
    from = rows.length;
    return { name, from: from - own.length, to: from };
  });
  const { stands } = walk(phrase);
  const begins = stands[kept[0]?.from ?? 0];
  return {
    ...phrase,
    rows,
    segments,
    tiers: [],
    endsAtStart: false,
    ...(begins ? { startWeight: begins.weight, startFacing: wallOf(begins.facing), partner: partnerIn(phrase, kept, rows, begins) } : {}),
  };
}

/** The partner in some segments: what it begins on their counts, from where both stand when the first of them begins. */
function partnerIn(phrase: Phrase, kept: readonly Segment[], rows: readonly Row[], child: Stand): Partner | null {
  const theirs = walkOfPartner(phrase);
  if (!theirs) return null;
  let passed = 0;
  const own = kept.flatMap(({ from, to }) => {
    const [begins, ends] = [phrase.rows[from]?.at ?? 0, phrase.rows[to]?.at ?? Infinity];
    const shift = (rows[passed]?.at ?? 0) - begins;
    passed += to - from;
    return theirs.phrase.rows.filter(({ at }) => at >= begins - 1e-9 && at < ends - 1e-9).map((row) => ({ ...row, at: row.at + shift }));
  });
  const first = phrase.rows[kept[0]?.from ?? 0]?.at ?? 0;
  const before = theirs.phrase.rows.filter(({ at }) => at < first - 1e-9).length;
  const other = theirs.stands[before];
  return other ? { ...asBeginning(child, other), rows: own } : null;
}
