import { blendedLimb, type LimbAngles } from '../figure/pose.js';
import { eight } from '../figure/body.js';
import { solveArm, type Leg, type SolvedFigure } from '../figure/solve.js';
import { aboutX, aboutY, add, after, between, lengthOf, minus, scaled, turned, type Degrees, type Vector } from '../figure/vector.js';
import { armsFrom } from './arms.js';
import { countsOf, type Foot, type FootAct, type FootPlace, type Phrase, type Row, type Weight } from './phrase.js';
import { beginning, walkedRow, type Spot, type Stand } from './walk.js';

/** A grown-up whose steps these are, in metres: a child and its steps are smaller alike. */
const bodyM = 1.7;
/** So much of a leg is used when it is long: a knee is never locked. */
const { bones: skeleton, radii } = eight;
const longLeg = (skeleton.thigh + skeleton.shin) * 0.995;

/** One foot where it comes to rest: on the floor, or held in the air as seen from the hip. */
interface FootState {
  readonly held: { readonly ahead: number; readonly aside: number; readonly up: number } | null;
  readonly heel: Degrees;
}

/** The whole body where a row leaves it. Counts are those at which it begins to move there, and at which it is there. */
interface Rest {
  readonly from: number;
  readonly at: number;
  readonly stand: Stand;
  readonly left: FootState;
  readonly right: FootState;
  /** Bent knees, in body lengths. */
  readonly sunk: number;
  /** How high it flies on the way, in body lengths. */
  readonly flight: number;
  readonly leftArm: LimbAngles;
  readonly rightArm: LimbAngles;
  readonly look: Degrees;
}

const flat: FootState = { held: null, heel: 0 };
const hanging: LimbAngles = { flex: 0, abduct: 6, rotate: 0, bend: 0, end: 0 };
/** So much the hips sink for a foot that is far away and carries little, in body lengths. */
const mostSink = 0.05;
/** A step is on its way for so much of a count, and lands on it. */
const stepCounts = 0.7;
const flights: Readonly<Partial<Record<FootAct, number>>> = { hop: 0.06, jump: 0.11, leap: 0.13 };

/** Which way from the body a place is: ahead and to the side of the foot. */
function wayOf(place: FootPlace | null): readonly [ahead: number, aside: number] {
  switch (place) {
    case 'back':
    case 'behind':
      return [-1, 0];
    case 'side':
      return [0, 1];
    default:
      return [1, 0];
  }
}

/** How a foot that takes no weight is shown. */
function shownFoot({ act, place }: Row): FootState {
  const [ahead, aside] = wayOf(place);
  switch (act) {
    case 'kick':
      return { held: { ahead: 0.37 * ahead, aside: 0.34 * aside, up: ahead < 0 ? 0.22 : 0.36 }, heel: 50 };
    case 'lift':
      return { held: { ahead: ahead < 0 ? -0.2 : 0.13, aside: 0.1 * aside, up: 0.23 }, heel: 45 };
    case 'brush':
      return { held: { ahead: 0.2 * ahead, aside: 0.18 * aside, up: 0.06 }, heel: 40 };
    case 'touch':
      return { held: null, heel: place === 'close' || place === 'place' ? 18 : 32 };
    default:
      return flat;
  }
}

const onFloor: ReadonlySet<Row['act']> = new Set(['step', 'leap', 'hop', 'sink']);

function lookOf(look: string | null, before: Degrees): Degrees {
  if (look === null) return before;
  if (/\b(l|left)\b/i.test(look)) return 55;
  return /\b(r|right)\b/i.test(look) ? -55 : 0;
}

/** Everywhere the body comes to rest, in order; a row that steps and turns comes to rest twice. */
function restsOf(phrase: Phrase): readonly Rest[] {
  const first: Rest = {
    from: -1,
    at: -1,
    stand: beginning(phrase),
    left: flat,
    right: flat,
    sunk: 0,
    flight: 0,
    leftArm: hanging,
    rightArm: hanging,
    look: 0,
  };
  const rests: Rest[] = [first];
  for (const row of phrase.rows) {
    const before = rests.at(-1) ?? first;
    const parts: readonly Row[] = row.turn !== 0 && row.foot !== null && row.act !== null ? [{ ...row, turn: 0 }, turnOf(row)] : [row];
    parts.forEach((part, index) => {
      const last = rests.at(-1) ?? first;
      const { stand } = walkedRow(last.stand, part, phrase.stride);
      const isTurn = part.turn !== 0;
      const at =
        isTurn && index === 0 && row.act === null
          ? row.at + Math.min(0.4, row.counts / 2)
          : index > 0
            ? row.at + Math.min(0.6, row.counts * 0.7)
            : row.at;
      const foot = (one: Foot): FootState => {
        if (index > 0) return last[one];
        if (part.foot === 'both') return flat;
        if (part.foot === one) return onFloor.has(part.act) ? flat : shownFoot(part);
        return stand.weight === one || stand.weight === 'both' ? flat : last[one];
      };
      const arms = armsFrom(row.arms, row.foot);
      rests.push({
        from: Math.max(last.at, at - Math.min(stepCounts, Math.max(0.2, at - last.at))),
        at,
        stand,
        left: foot('left'),
        right: foot('right'),
        sunk: part.act === 'sink' && !/rise|stretch|long knees|tall|freeze/i.test(row.words ?? '') ? 0.07 : 0,
        flight: (part.act !== null && index === 0 ? flights[part.act] : undefined) ?? 0,
        leftArm: arms.left ?? (row.arms === null ? before.leftArm : arms.right ? before.leftArm : hanging),
        rightArm: arms.right ?? (row.arms === null ? before.rightArm : arms.left ? before.rightArm : hanging),
        look: lookOf(row.look, row.look === null ? 0 : before.look),
      });
    });
  }
  return rests;
}

const turnOf = (row: Row): Row => ({ ...row, act: null, place: null, foot: null });

const smooth = (share: number): number => share * share * (3 - 2 * share);
const mix = (a: number, b: number, share: number): number => a + (b - a) * share;

/** In body lengths, as the figure has it: to the child's left when it faces the camera, and toward the camera. */
const flatPoint = ({ x, z }: Spot, up = 0): Vector => [x / bodyM, up, z / bodyM];

/** Where the feet are between two rests: seen from the foot that stays, or from between them, and turned with the body. */
function feetBetween(from: Stand, to: Stand, share: number): { readonly left: Vector; readonly right: Vector; readonly facing: Degrees } {
  const facing = mix(from.facing, to.facing, share);
  const stays = (foot: Foot): boolean => Math.hypot(to[foot].x - from[foot].x, to[foot].z - from[foot].z) < 1e-6;
  // the one that carries, where it stays: a whole turn brings back both
  const carriers = [to.weight, from.weight, 'left', 'right'] as const;
  const anchor =
    to.weight === 'both' && stays('left') && stays('right') ? null : (carriers.find((foot) => foot !== 'both' && stays(foot)) ?? null);
  const anchorOf = (stand: Stand): Vector =>
    anchor === null || anchor === 'both' ? between(flatPoint(stand.left), flatPoint(stand.right), 0.5) : flatPoint(stand[anchor]);
  const [a, b] = [anchorOf(from), anchorOf(to)];
  const seen = (stand: Stand, foot: Foot, own: Vector): Vector => turned(aboutY(-stand.facing), minus(flatPoint(stand[foot]), own));
  const now = between(a, b, share);
  const at = (foot: Foot): Vector => add(now, turned(aboutY(facing), between(seen(from, foot, a), seen(to, foot, b), share)));
  return { left: at('left'), right: at('right'), facing };
}

/** How much of the weight is on the left foot. */
const onLeft = (weight: Weight): number => (weight === 'left' ? 0.9 : weight === 'right' ? 0.1 : 0.5);

function legTo(hip: Vector, ankle: Vector, facing: Degrees, heel: Degrees): Leg {
  const wanted = minus(ankle, hip);
  const far = lengthOf(wanted);
  const reach = Math.min(far, longLeg);
  const end = add(hip, scaled(wanted, reach / Math.max(1e-9, far)));
  // the knee goes ahead of the line from hip to ankle (law of cosines)
  const along = (skeleton.thigh ** 2 - skeleton.shin ** 2 + reach ** 2) / (2 * Math.max(1e-9, reach));
  const out = Math.sqrt(Math.max(0, skeleton.thigh ** 2 - along ** 2));
  const axis = scaled(minus(end, hip), 1 / Math.max(1e-9, reach));
  const ahead = turned(aboutY(facing), [0, 0, 1]);
  const dotted = ahead[0] * axis[0] + ahead[1] * axis[1] + ahead[2] * axis[2];
  const side = minus(ahead, scaled(axis, dotted));
  const long = lengthOf(side);
  const bent = long < 1e-6 ? turned(aboutY(facing), [0, 1, 0]) : scaled(side, 1 / long);
  const knee = add(add(hip, scaled(axis, along)), scaled(bent, out));
  const foot = after(aboutY(facing), aboutX(heel));
  const down = skeleton.ankleHeight - radii.foot;
  const sole = (forward: number): Vector => add(end, turned(foot, [0, -down, forward]));
  return { hip, knee, ankle: end, heel: sole(-skeleton.heelBack), ball: sole(skeleton.ballAhead), toes: sole(skeleton.toeAhead) };
}

/** With the heel up the ankle is higher, and further ahead: the toes stay where they are. */
function ankleOver(spot: Vector, facing: Degrees, heel: Degrees): Vector {
  const radians = (heel * Math.PI) / 180;
  const toes = skeleton.toeAhead;
  const up = skeleton.ankleHeight * Math.cos(radians) + toes * Math.sin(radians);
  return add([spot[0], up, spot[2]], turned(aboutY(facing), [0, 0, toes - toes * Math.cos(radians)]));
}

/** The count on which a row is best seen: a jump in the air, a turn when it has come round, everything else where it lands. */
export function bestSeenAt({ at, counts, turn, act }: Row): number {
  if (act === 'jump' || act === 'leap' || act === 'hop') return at - stepCounts / 2;
  return turn === 0 ? at : at + Math.min(0.62, counts * 0.75);
}

/** A phrase as a body that can be asked where it is. */
export interface WalkingFigure {
  /** @param count from the beginning of the phrase; below 0 it stands ready */
  readonly at: (count: number) => SolvedFigure;
  /** How many counts it takes. */
  readonly counts: number;
}

/**
 * The body that walks a phrase: feet land on their counts where the walk sets them, the one that carries stays where it is, the hips are between
 * and above them, as high as both legs allow; kicks and lifted feet are in the air, jumps leave the floor, arms are held as they are named.
 * In body lengths; where the phrase begins is x = z = 0, the floor y = 0.
 */
export function walkingFigure(phrase: Phrase): WalkingFigure {
  const rests = restsOf(phrase);
  return {
    counts: countsOf(phrase.rows),
    at: (count) => {
      // while it is counted in, it stands where it begins
      const next = rests.findIndex(({ at }, index) => index > 0 && at > count);
      const to = rests[next < 0 ? rests.length - 1 : next];
      const from = next < 0 ? to : rests[next - 1];
      if (!from || !to) throw new Error('a phrase has a beginning');
      const share = next < 0 ? 1 : Math.max(0, Math.min(1, (count - to.from) / Math.max(1e-9, to.at - to.from)));
      return figureBetween(from, to, smooth(share));
    },
  };
}

function figureBetween(from: Rest, to: Rest, share: number): SolvedFigure {
  const { left, right, facing } = feetBetween(from.stand, to.stand, share);
  const root = aboutY(facing);
  const arc = Math.sin(Math.PI * share);
  const up = to.flight * arc;
  const weight = mix(onLeft(from.stand.weight), onLeft(to.stand.weight), share);
  const isHeld = (foot: Foot): boolean => from[foot].held !== null || to[foot].held !== null;
  const moves = (foot: Foot): boolean => Math.hypot(to.stand[foot].x - from.stand[foot].x, to.stand[foot].z - from.stand[foot].z) > 0.02;
  const isTurn = Math.abs(to.stand.facing - from.stand.facing) > 1;
  // a foot on its way is lifted a little, unless it turns on the spot
  const lifted = (foot: Foot): number => (moves(foot) && !isTurn ? 0.045 * arc : isTurn && moves(foot) ? 0.03 * arc : 0);
  const heel = (foot: Foot): Degrees => mix(from[foot].heel, to[foot].heel, share) + (lifted(foot) > 0 ? 20 * arc : 0);
  const ground = between(right, left, weight);
  const hipAt = (height: number, side: 1 | -1): Vector =>
    add([ground[0], height, ground[2]], turned(root, [side * skeleton.hipHalf, 0, 0]));
  const ankleOn = (foot: Foot): Vector => add(ankleOver(foot === 'left' ? left : right, facing, heel(foot)), [0, lifted(foot) + up, 0]);
  // as high as the legs that stand allow; for one that carries little the hips sink little, then its heel comes up and it follows
  const over = (foot: Foot, side: 1 | -1): number => {
    const ankle = ankleOn(foot);
    const hip = hipAt(0, side);
    const apart = Math.hypot(ankle[0] - hip[0], ankle[2] - hip[2]);
    return ankle[1] + Math.sqrt(Math.max(0, longLeg ** 2 - apart ** 2));
  };
  const top = skeleton.ankleHeight + longLeg + up;
  const [onLeftLeg, onRightLeg] = [isHeld('left') ? top : over('left', 1), isHeld('right') ? top : over('right', -1)];
  const carried = mix(onRightLeg, onLeftLeg, smooth(Math.max(0, Math.min(1, (weight - 0.1) / 0.8))));
  let height = Math.min(top, Math.max(Math.min(onLeftLeg, onRightLeg), carried - mostSink));
  // before and after a flight the knees give
  height -= mix(from.sunk, to.sunk, share) + (to.flight > 0 ? 0.03 * (1 - arc) : 0.004);
  const leg = (foot: Foot, side: 1 | -1): Leg => {
    const hip = hipAt(height, side);
    const grounded = ankleOn(foot);
    const held = (state: FootState): Vector =>
      state.held === null
        ? grounded
        : add([hip[0], skeleton.ankleHeight + state.held.up + up, hip[2]], turned(root, [side * state.held.aside, 0, state.held.ahead]));
    return legTo(hip, between(held(from[foot]), held(to[foot]), share), facing, heel(foot));
  };
  const pelvis: Vector = [ground[0], height, ground[2]];
  const waist = add(pelvis, [0, skeleton.lowSpine, 0]);
  const chest = add(waist, [0, skeleton.highSpine, 0]);
  const head = add(chest, [0, skeleton.neck + skeleton.head, 0]);
  const face = add(head, turned(aboutY(facing + mix(from.look, to.look, share)), [0, -0.008, skeleton.head]));
  return {
    pelvis,
    waist,
    chest,
    head,
    face,
    leftArm: solveArm(blendedLimb(from.leftArm, to.leftArm, share), chest, root, 1),
    rightArm: solveArm(blendedLimb(from.rightArm, to.rightArm, share), chest, root, -1),
    leftLeg: leg('left', 1),
    rightLeg: leg('right', -1),
    body: eight,
  };
}
