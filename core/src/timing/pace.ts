import type { Way } from '../class-plan/way.js';
import type { MovementKind } from '../movement/kind.js';

/** How far a class can lie from what is reckoned, as shares (standard deviations). */
export interface PartSpread {
  /** Of the whole class: how well the instructor is known, and how days differ. */
  readonly common: number;
  /** Of each single item. */
  readonly each: number;
}

/**
 * By what an instructor's classes differ from what is reckoned, as factors: 1 as reckoned, 1.2 a fifth longer. Learned from classes
 * taught (learned-pace.ts).
 */
export interface Pace {
  /** Explaining and going there, by `wayAndKind`; what is not in it goes by `explainAll`. */
  readonly explain: ReadonlyMap<string, number>;
  readonly explainAll: number;
  /** Setting up, work and change of side of doses that neither clock nor music leads. */
  readonly work: number;
  readonly spread: { readonly explain: PartSpread; readonly work: PartSpread };
}

/**
 * Of somebody of whom nothing is known. The spread is such that with an ordinary share of explaining half of all classes lie within
 * 8 % of what is reckoned, as whole real classes do once the style is right (model.md).
 */
export const plainPace: Pace = {
  explain: new Map(),
  explainAll: 1,
  work: 1,
  spread: { explain: { common: 0.28, each: 0.5 }, work: { common: 0.08, each: 0.2 } },
};

export const wayAndKind = (way: Way, kind: MovementKind): string => `${way} ${kind}`;

export function explainPace(pace: Pace, way: Way, kind: MovementKind): number {
  return pace.explain.get(wayAndKind(way, kind)) ?? pace.explainAll;
}
