import { bodies, eight, type Body } from './body.js';
import { jointFaults } from './limits.js';
import { mirrored, props, type Pose, type Prop, type WrittenPose } from './pose.js';
import { writtenPose } from './pose-book.js';
import { additions } from './poses/additions.js';
import { settled } from './settle.js';
import type { Degrees } from './vector.js';

/** How one comes into a pose and stays there; none is as long as the others. */
export const paces = ['quick', 'slow', 'held', 'passing'] as const;
type Pace = (typeof paces)[number];

/** One pose of a movement as it is written. */
export interface FigureStep {
  readonly pose: string;
  /** On the other side than the pose is written for. */
  readonly isMirrored: boolean;
  /** The pose that stands for the whole where nothing moves. */
  readonly isShown: boolean;
  readonly additions: readonly string[];
  readonly paces: readonly Pace[];
}

/** At most so many poses, and words of one. */
export const mostSteps = 12;
const mostWords = 8;
const otherSide = 'other-side';
const shown = 'shown';

const isProp = (word: string): boolean => (props as readonly string[]).includes(word);

/** The words that may follow the name of a pose: how it is taken, what is changed of the body, which things there are. */
export const stepWordGroups: Readonly<Record<'taken' | 'body' | 'things', readonly string[]>> = {
  taken: [...paces, otherSide, shown],
  body: Object.keys(additions).filter((word) => !isProp(word)),
  things: props,
};
export const stepWords: readonly string[] = Object.values(stepWordGroups).flat();

const isPace = (word: string): word is Pace => (paces as readonly string[]).includes(word);

/**
 * Reads a pose as it is written: its name, then in any order `other-side`, what is changed of it – arms, hands, where one looks, a thing –
 * and how it is taken: `quick`, `slow`, `held`, `passing`;
 * `shown` for the one that stands for all.
 * @returns null where a word is not known
 */
export function readStep(text: string): FigureStep | null {
  const [pose = '', ...words] = text.split(' ').filter((word) => word !== '');
  if (writtenPose(pose) === null || words.length > mostWords || !words.every((word) => stepWords.includes(word))) return null;
  return {
    pose,
    isMirrored: words.includes(otherSide),
    isShown: words.includes(shown),
    additions: words.filter((word) => Object.hasOwn(additions, word)),
    paces: words.filter(isPace),
  };
}

/** @returns the step as it is written: what `readStep` reads. */
export const writtenStep = ({ pose, isMirrored, isShown, additions: added, paces: pace }: FigureStep): string =>
  [pose, ...(isMirrored ? [otherSide] : []), ...added, ...pace, ...(isShown ? [shown] : [])].join(' ');

function withAddition(written: WrittenPose, word: string): WrittenPose {
  const { pose: changed, prop } = additions[word] ?? {};
  const { arms, leftArm, rightArm, touch, level, ...rest } = written;
  const isOfArms = changed?.arms !== undefined || changed?.leftArm !== undefined || changed?.rightArm !== undefined;
  const feet = Object.fromEntries(Object.entries(touch ?? {}).filter(([part]) => !/hand/i.test(part)));
  // arms that do something else carry nothing
  const standing = level?.filter(({ of, with: other, by }) => !/arm/i.test(by) && !/hand|elbow/i.test(`${of} ${other}`));
  const own = isOfArms ? { ...rest, touch: feet, level: standing ?? [] } : { ...rest, ...kept({ arms, leftArm, rightArm, touch, level }) };
  const hands = changed?.hands === undefined ? {} : { hands: handsOver(written.hands, changed.hands) };
  return {
    ...own,
    ...changed,
    ...hands,
    // on a beam there is no line
    ...(prop ? { props: [...(written.props ?? []).filter((one) => prop !== 'beam' || one !== 'line'), prop] } : {}),
  };
}

const kept = <T extends object>(record: T): Partial<T> =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as Partial<T>; // entries of its own

/** One hand over both. */
function handsOver(was: WrittenPose['hands'], now: NonNullable<WrittenPose['hands']>): NonNullable<WrittenPose['hands']> {
  if (typeof now === 'string') return now;
  return { ...(typeof was === 'string' ? { left: was, right: was } : was), ...now };
}

/** A step as a body takes it. */
export interface TakenStep {
  readonly pose: Pose;
  readonly props: readonly Prop[];
  readonly isShown: boolean;
  /** How long it takes to come into it, and how long one stays, in parts of the usual. */
  readonly takes: number;
  readonly stays: number;
}

const taken = new Map<string, TakenStep>();
const mostTaken = 4000;

/**
 * @returns a step as a pose of a body, settled on the floor; null for what `readStep` does not know, and for what a body cannot be settled in
 */
export function takenStep(text: string, body: Body = eight): TakenStep | null {
  const key = `${bodyName(body)} ${text}`;
  const known = taken.get(key);
  if (known) return known;
  const step = readStep(text);
  const base = step && writtenPose(step.pose);
  if (!step || !base) return null;
  const written = step.additions.reduce(withAddition, base);
  const turn = step.additions.reduce((sum, word) => sum + (additions[word]?.turn ?? 0), 0);
  const settledPose = settledOr(written, body);
  if (!settledPose) return null;
  const pose = turnedRound(settledPose, turn);
  const has = (pace: Pace): boolean => step.paces.includes(pace);
  const found: TakenStep = {
    pose: step.isMirrored ? mirrored(pose) : pose,
    props: [...new Set(written.props ?? [])],
    isShown: step.isShown,
    takes: has('quick') ? 0.4 : has('slow') ? 1.8 : 1,
    stays: has('held') ? 3 : has('passing') ? 0 : 1,
  };
  if (taken.size >= mostTaken) taken.clear();
  taken.set(key, found);
  return found;
}

/** True for a step that is known, and that a child's joints can take with all that is changed of it. */
export function canBeTaken(text: string): boolean {
  const step = takenStep(text);
  return step !== null && jointFaults(step.pose).length === 0;
}

const turnedRound = (pose: Pose, turn: Degrees): Pose =>
  turn === 0 ? pose : { ...pose, root: { ...pose.root, yaw: pose.root.yaw + turn } };

const bodyName = (body: Body): string => Object.entries(bodies).find(([, one]) => one === body)?.[0] ?? '';

/** Shorter arms may not come as far: then the body takes the angles of the child of eight. Null where that one cannot either. */
function settledOr(written: WrittenPose, body: Body): Pose | null {
  try {
    return settled(written, body);
  } catch {
    return body === eight ? null : settledOr(written, eight);
  }
}
