import type { Side } from '../values/side.js';
/** Languages a class is counted in. */
export const countLanguages = ['en', 'ja', 'ko', 'fr'] as const;
export type CountLanguage = (typeof countLanguages)[number];

/** How the leader stands: facing and moving the other side, back to the camera, or facing with the same side. */
export const stances = ['mirror', 'turned', 'facing'] as const;
export type Stance = (typeof stances)[number];

/** How the work of an item begins after explaining: when its time is over, or when the leader says so. */
export const goWays = ['by-itself', 'on-signal'] as const;
export type GoWay = (typeof goWays)[number];

/** What speaks names and cues: clips of our own, or a voice of the computer. Counts and sides are always clips. */
export const nameSources = ['clips', 'computer'] as const;
export type NameSource = (typeof nameSources)[number];

/** How a person leads a class: what is said aloud, and how, when the work begins, which side the leader moves. */
export interface TeachingVoice {
  /** The count of reps, beats and the last seconds of a hold. */
  readonly counts: boolean;
  /** Sides, change, rest, hold, go and stop. */
  readonly sides: boolean;
  /** One cue in a hold or a timed item. */
  readonly cues: boolean;
  /** The name of what comes. */
  readonly names: boolean;
  /** Halfway, and the last ten seconds. */
  readonly halves: boolean;
  readonly counting: 'up' | 'down';
  readonly countLanguage: CountLanguage;
  readonly nameSource: NameSource;
  /** 0 to 1. */
  readonly loudness: number;
  readonly go: GoWay;
  readonly stance: Stance;
}

/** How somebody leads who has chosen nothing yet. */
export const usualVoice: TeachingVoice = {
  counts: true,
  sides: true,
  cues: true,
  names: true,
  halves: true,
  counting: 'up',
  countLanguage: 'en',
  nameSource: 'clips',
  loudness: 0.8,
  go: 'by-itself',
  stance: 'mirror',
};

/** The side the leader moves so that the children see theirs. */
export function leaderSide(children: Side, stance: Stance): Side {
  if (stance !== 'mirror') return children;
  return children === 'left' ? 'right' : 'left';
}
