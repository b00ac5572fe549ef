import type { Facing } from '../figure/draw.js';
import type { WrittenPhrase } from '../phrase/phrase.js';
import type { Metres, MovementSlug, ProgrammeSlug } from '../values/unit.js';
import { ageBands, firstYearOf, type AgeBand } from './age-band.js';
import type { Dose } from './dose.js';
import type { Effort } from './effort.js';
import type { Hazard } from './hazard.js';
import type { MovementKind } from './kind.js';
import type { Level, Posture } from './posture.js';
import type { Load, Region } from './region.js';
import type { SectionKind } from './section-kind.js';

export const surfaces = ['mat', 'thick-rug', 'carpet', 'grass', 'wood', 'tiles', 'concrete'] as const;
export type Surface = (typeof surfaces)[number];

export const tierNames = ['easier', 'core', 'harder'] as const;
export type TierName = (typeof tierNames)[number];

export const marks = ['not-yet', 'with-help', 'alone', 'clean'] as const;
export type Mark = (typeof marks)[number];

export const framings = ['standing', 'floor', 'jump', 'travel'] as const;
export type Framing = (typeof framings)[number];

export interface Term {
  readonly text: string;
  /** BCP 47 tag, for the voice that says it. */
  readonly language: string;
  readonly sayIt: string;
  readonly meaning: string;
  /** What others call it: another style, another school. */
  readonly variants?: readonly TermVariant[];
}

export interface TermVariant {
  readonly text: string;
  readonly sayIt: string;
  /** By whom: `Korean styles`, `the French school`. */
  readonly where: string;
}

export interface Prerequisite {
  readonly movement: MovementSlug;
  /** Counted from 1; left out when the whole movement is meant. */
  readonly stage?: number;
  readonly mark: Mark;
}

/** Floor, whichever way round. */
export interface Footprint {
  readonly lengthM: Metres;
  readonly widthM: Metres;
}

export const littleRoomWays = ['on-the-spot', 'there-and-back'] as const;
export type LittleRoomWay = (typeof littleRoomWays)[number];

/** A movement that travels, done without travelling or to and fro, and the floor that is left to it then. */
export interface LittleRoom extends Footprint {
  readonly how: LittleRoomWay;
}

/** Who is there: `in-person` is somebody trained to support it, in the same hall; no helping parent, no call. In the order of care. */
export const adultNeeds = ['none', 'at-hand', 'hands-on', 'in-person'] as const;
export type AdultNeed = (typeof adultNeeds)[number];

/** Whether somebody has to hold the child: nothing that a family does by itself. */
export const isForTwo = (adult: AdultNeed): boolean => adult === 'hands-on' || adult === 'in-person';

export interface Needs {
  readonly surface: 'any-dry' | readonly Surface[];
  /** As a grown-up needs it; a child in proportion to its height. */
  readonly footprint: Footprint;
  /** How it is done where there is less room than that; left out where it cannot be. */
  readonly inLittleRoom?: LittleRoom;
  readonly headroomM: Metres;
  readonly equipment: readonly string[];
  readonly wall: boolean;
  readonly partner: boolean;
  readonly adult: AdultNeed;
  /** How much noise it makes below. */
  readonly quiet: 'quiet' | 'some-noise' | 'loud';
}

export interface Tier {
  readonly what: string;
  /** Slug of the grade from which a child does it; null for everyone. */
  readonly fromGrade: string | null;
  readonly dose?: Dose;
  readonly equipment?: readonly string[];
  /** Where this version wants another adult than the movement. */
  readonly adult?: AdultNeed;
  readonly prerequisites?: readonly Prerequisite[];
}

export interface Fault {
  readonly slug: string;
  readonly name: string;
  readonly fix: string;
  /** A fault that ends the try: it is not repeated until it is mended. */
  readonly stops: boolean;
}

/**
 * How a movement uses the sides of the body: `each` one after the other, `alternating` within the reps, `lead` only
 * the side that the child prefers.
 */
export type MovementSides = 'none' | 'each' | 'alternating' | 'lead';

/** An entry of the library: exercise, stretch, shape, stance, drill, skill, game, ritual, break or talk. */
export interface Movement {
  readonly slug: MovementSlug;
  readonly name: string;
  /** Empty for a movement that every programme uses. */
  readonly programmes: readonly ProgrammeSlug[];
  readonly kind: MovementKind;
  readonly sections: readonly SectionKind[];
  readonly plainMeaning: string;
  readonly term: Term | null;
  readonly posture: { readonly from: Posture; readonly through: readonly Posture[]; readonly to: Posture };
  readonly level: Level;
  readonly effort: Effort;
  readonly prepares: readonly Region[];
  readonly loads: readonly Load[];
  readonly lengthens: readonly Region[];
  readonly hazards: readonly Hazard[];
  /** What a one-way load wants afterwards; any one of them will do. */
  readonly undoneBy: readonly MovementSlug[];
  readonly needs: Needs;
  readonly equipmentStandIns: Readonly<Record<string, readonly string[]>>;
  readonly leastAge: number;
  readonly homeTask: 'yes' | 'with-adult' | 'no';
  /** What a child does who may not do this one. */
  readonly instead: MovementSlug | null;
  readonly sides: MovementSides;
  /** Null where the movement is not for that age. */
  readonly dose: Readonly<Record<AgeBand, Dose | null>>;
  readonly stages: readonly { readonly name: string; readonly see: string }[];
  readonly prerequisites: readonly Prerequisite[];
  readonly leadsTo: readonly MovementSlug[];
  readonly tiers: Readonly<Partial<Record<TierName, Tier>>>;
  readonly cues: readonly string[];
  readonly picture: string | null;
  readonly faults: readonly Fault[];
  readonly support: string | null;
  readonly cautions: readonly string[];
  /** Null where the picture does not matter: a talk, a drink. */
  readonly view: { readonly facing: Facing; readonly framing: Framing } | null;
  /** Step by step, where it is a combination, a routine or a form that somebody has written so. */
  readonly phrase?: WrittenPhrase;
  /** Up to twelve poses as `readStep` reads them, in the order in which the body takes them. */
  readonly figure: readonly string[];
}

/** @returns the dose for a band; where the movement is not for that age, the nearest band that has one, or null. */
export function doseFor(movement: Pick<Movement, 'dose'>, band: AgeBand): Dose | null {
  const own = movement.dose[band];
  if (own) return own;
  return movement.dose['7-9'] ?? movement.dose['10-13'] ?? movement.dose['4-6'];
}

/** From how many years on it is for a child: its least age, and not before the first age that it has a dose for. */
export function fromYears({ leastAge, dose }: Pick<Movement, 'leastAge' | 'dose'>): number {
  const first = ageBands.find((band) => dose[band] !== null);
  return first === undefined || first === '4-6' ? leastAge : Math.max(leastAge, firstYearOf(first));
}

/** Sides as a word of the movement: true when left and right are to be done one after the other. */
export function isSided(movement: Movement): boolean {
  return movement.sides === 'each';
}
