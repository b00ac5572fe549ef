import type { Degrees } from '../figure/vector.js';
import type { Metres } from '../values/unit.js';
import { stanceM, stepM, type Foot, type Mark, type Phrase, type Row, type Weight } from './phrase.js';

/** A place in the room, in metres: to the right of the camera's picture, and toward the camera; the phrase begins at 0, 0. */
export interface Spot {
  readonly x: Metres;
  readonly z: Metres;
}

/** How the body stands. */
export interface Stand {
  readonly weight: Weight;
  readonly left: Spot;
  readonly right: Spot;
  /** Turned to the left, seen from above: 0 faces the camera. */
  readonly facing: Degrees;
}

/** What cannot be done, at its row. */
export interface PhraseFinding {
  readonly row: number;
  readonly kind: 'foot-carries' | 'turn-on-lifted-foot' | 'hole' | 'overlap' | 'not-on-the-mark' | 'faces-elsewhere' | 'in-each-other';
  readonly foot: Foot | null;
  /** Counts, metres or degrees that are amiss. */
  readonly amount: number;
}

export interface Walk {
  /** Before the first row, and after each. */
  readonly stands: readonly Stand[];
  readonly findings: readonly PhraseFinding[];
  /** The floor that it takes, with room for the body. */
  readonly footprint: { readonly lengthM: Metres; readonly widthM: Metres };
  /** How much of it is round the feet, on each side. */
  readonly around: Metres;
  /** True where the other side can follow at once: the weight ends on the other foot. */
  readonly startsOtherSide: boolean;
}

const radians = Math.PI / 180;
const other = { left: 'right', right: 'left' } as const;
/** A leap goes so much further than a step. */
const leapTimes = 1.7;
/** The body needs so much round each foot. */
const aroundM = 0.35;
/** A form is on its mark within a foot's length. */
const onMarkM = 0.3;

/** A way to the own left and ahead, as one faces, in the room. */
export function inRoom(facing: Degrees, left: Metres, ahead: Metres): Spot {
  const [c, s] = [Math.cos(facing * radians), Math.sin(facing * radians)];
  // facing the camera, the own left is the right of its picture
  return { x: left * c + ahead * s, z: ahead * c - left * s };
}
const plus = (a: Spot, b: Spot): Spot => ({ x: a.x + b.x, z: a.z + b.z });
const minus = (a: Spot, b: Spot): Spot => ({ x: a.x - b.x, z: a.z - b.z });
export const middleOf = ({ left, right }: Stand): Spot => ({ x: (left.x + right.x) / 2, z: (left.z + right.z) / 2 });

/** Which foot a step is seen from: the one that stands. */
function setFoot(stand: Stand, foot: Foot, row: Row, stride: number): Spot {
  const sign = foot === 'left' ? 1 : -1;
  const from = stand[other[foot]];
  const far = stride * (row.act === 'leap' ? leapTimes : 1);
  switch (row.place) {
    case 'fwd':
      return plus(from, inRoom(stand.facing, (sign * stanceM) / 2, far * stepM.fwd));
    case 'back':
      return plus(from, inRoom(stand.facing, (sign * stanceM) / 2, -far * stepM.back));
    case 'side':
      return plus(from, inRoom(stand.facing, sign * far * stepM.side, 0));
    case 'cross':
      return plus(from, inRoom(stand.facing, -sign * far * stepM.cross, far * stepM.cross));
    case 'behind':
      return plus(from, inRoom(stand.facing, -sign * far * stepM.behind, -far * stepM.behind));
    case 'close':
      return plus(from, inRoom(stand.facing, sign * stanceM, 0));
    default:
      return stand[foot];
  }
}

/** Both feet go the same way: a jump on two. */
function jumped(stand: Stand, { place }: Row, stride: number): Stand {
  if (place === 'place') return { ...stand, weight: 'both' };
  const ahead = place === 'fwd' ? stride * stepM.fwd : place === 'back' ? -stride * stepM.back : 0;
  const half = (place === 'side' ? stride * stepM.side : stanceM) / 2;
  const middle = plus(middleOf(stand), inRoom(stand.facing, 0, ahead));
  return {
    ...stand,
    weight: 'both',
    left: plus(middle, inRoom(stand.facing, half, 0)),
    right: plus(middle, inRoom(stand.facing, -half, 0)),
  };
}

/** Turns about a point: the foot that stands, or the middle between two. */
function turnedBy(stand: Stand, degrees: Degrees, about: Spot): Stand {
  const [c, s] = [Math.cos(degrees * radians), Math.sin(degrees * radians)];
  const gone = (spot: Spot): Spot => {
    const away = minus(spot, about);
    return plus(about, { x: away.x * c + away.z * s, z: away.z * c - away.x * s });
  };
  return { ...stand, facing: stand.facing + degrees, left: gone(stand.left), right: gone(stand.right) };
}

const takesWeight: ReadonlySet<Row['act']> = new Set(['step', 'leap', 'hop']);

/** @returns how the body stands after a row, and what of it cannot be done. @param index of the row, for what is found */
export function walkedRow(
  stand: Stand,
  row: Row,
  stride: number,
  index = 0,
): { readonly stand: Stand; readonly finding: PhraseFinding | null } {
  let next = stand;
  let finding: PhraseFinding | null = null;
  const { foot, act } = row;
  // what is chosen, or done as an entry has it, may end on either foot
  if (foot === null && (row.free !== null || row.movement !== null)) next = { ...stand, weight: 'both' };
  else if (foot === 'both') next = act === 'jump' ? jumped(stand, row, stride) : { ...stand, weight: 'both' };
  else if (foot !== null && act !== null) {
    // who stands on a foot alone can hop or bend on it, and nothing else
    if (stand.weight === foot && act !== 'hop' && act !== 'sink') finding = { row: index, kind: 'foot-carries', foot, amount: 0 };
    if (act === 'hop' && stand.weight !== foot) finding = { row: index, kind: 'foot-carries', foot: other[foot], amount: 0 };
    if (act === 'hop') next = { ...stand, weight: foot };
    else if (act !== 'sink') {
      const spot = setFoot(stand, foot, row, stride);
      next = {
        ...stand,
        [foot]: spot,
        weight: takesWeight.has(act) ? foot : stand.weight === 'both' || stand.weight === foot ? other[foot] : stand.weight,
      };
    }
  }
  if (row.turn !== 0) {
    const said = foot === 'both' ? null : foot;
    const carrier = next.weight === 'both' ? said : next.weight;
    if (said !== null && act === null && stand.weight !== 'both' && stand.weight !== said)
      finding = { row: index, kind: 'turn-on-lifted-foot', foot: said, amount: Math.abs(row.turn) };
    next = turnedBy(next, row.turn, carrier === null ? middleOf(next) : next[carrier]);
  }
  return { stand: next, finding };
}

/** One of eight walls as degrees to the left, from 180 to above -180. */
const degreesOf = (wall: number): Degrees => {
  const turned = (-(wall - 1) * 45) % 360;
  return turned <= -180 ? turned + 360 : turned;
};

/** The nearest of the eight walls. */
export const wallOf = (facing: Degrees): number => (((Math.round(-facing / 45) % 8) + 8) % 8) + 1;

/** Feet side by side round a place. */
export function placed({ x, z, facing }: Mark, weight: Weight): Stand {
  const beside = inRoom(facing, stanceM / 2, 0);
  return { weight, facing, left: { x: x + beside.x, z: z + beside.z }, right: { x: x - beside.x, z: z - beside.z } };
}

/** How one stands before a phrase begins: feet side by side round the mark, or where a partner begins. */
export const beginning = ({ startWeight, startFacing, begins }: Pick<Phrase, 'startWeight' | 'startFacing' | 'begins'>): Stand =>
  placed(begins ?? { x: 0, z: 0, facing: degreesOf(startFacing) }, startWeight);

/**
 * Walks a phrase row by row: on which foot the body stands, where both feet are, which way it faces, what floor it takes – and what cannot be
 * done: a foot that is moved while it carries the weight, a turn on a lifted foot, counts that nobody fills or two fill, a form that does not
 * end on its mark. The path is the sum of the rows; that of the mirrored phrase is the mirror image.
 */
export function walk(phrase: Phrase): Walk {
  const findings: PhraseFinding[] = [];
  const stands: Stand[] = [beginning(phrase)];
  phrase.rows.forEach((row, index) => {
    const { stand, finding } = walkedRow(stands.at(-1) ?? beginning(phrase), row, phrase.stride, index);
    stands.push(stand);
    if (finding) findings.push(finding);
    const next = phrase.rows[index + 1];
    if (!next) return;
    const gap = next.at - (row.at + row.counts);
    if (gap > 1e-9) findings.push({ row: index, kind: 'hole', foot: null, amount: gap });
    if (gap < -1e-9) findings.push({ row: index + 1, kind: 'overlap', foot: null, amount: -gap });
  });
  const [first, last] = [stands[0], stands.at(-1)];
  if (phrase.endsAtStart && first && last && phrase.rows.length > 0) {
    const away = minus(middleOf(last), middleOf(first));
    const far = Math.hypot(away.x, away.z);
    if (far > onMarkM) findings.push({ row: phrase.rows.length - 1, kind: 'not-on-the-mark', foot: null, amount: far });
    const turned = Math.abs(((((last.facing - first.facing) % 360) + 540) % 360) - 180);
    if (turned > 1) findings.push({ row: phrase.rows.length - 1, kind: 'faces-elsewhere', foot: null, amount: turned });
  }
  const spots = stands.flatMap(({ left, right }) => [left, right]);
  const extent = (values: readonly number[]): number => Math.max(...values) - Math.min(...values) + 2 * aroundM;
  return {
    stands,
    findings: findings.toSorted((a, b) => a.row - b.row),
    footprint: { widthM: extent(spots.map(({ x }) => x)), lengthM: extent(spots.map(({ z }) => z)) },
    around: aroundM,
    startsOtherSide: last !== undefined && phrase.startWeight !== 'both' && last.weight === other[phrase.startWeight],
  };
}

const footWord = (foot: Foot | null): string => (foot === 'left' ? 'left' : 'right');

/** What cannot be done, as a teacher says it, and the two ways out of it. */
export function phraseFindingWords({ kind, foot, amount }: PhraseFinding): string {
  switch (kind) {
    case 'foot-carries':
      return `The weight is on the ${footWord(foot)} foot: it cannot move. Take the other foot, or put a ball change before it.`;
    case 'turn-on-lifted-foot':
      return `Turns on the ${footWord(foot)}, but the weight is on the other foot. Step onto it first, or turn on the other one.`;
    case 'hole':
      return `Nothing is done on ${countText(amount)} after it.`;
    case 'overlap':
      return `Begins ${countText(amount)} before the one before it ends.`;
    case 'not-on-the-mark':
      return `Ends ${amount.toFixed(1)} m from the mark where it began.`;
    case 'in-each-other':
      return `The child and the partner would stand in each other: ${amount.toFixed(1)} m from middle to middle.`;
    case 'faces-elsewhere':
      return `Ends ${String(Math.round(amount))}° turned from where it began.`;
  }
}
const countText = (counts: number): string => `${String(Math.round(counts * 2) / 2)} ${counts === 1 ? 'count' : 'counts'}`;
