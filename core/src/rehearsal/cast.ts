import { chanceOf } from '../values/chance.js';
import type { ChildId, Seconds } from '../values/unit.js';

/** A child of the stand-in for a call: how its picture is. */
export interface Actor {
  readonly child: ChildId;
  /** What it sees and does comes so much later. */
  readonly delaySeconds: Seconds;
  /** How far from its camera it stands, in metres. */
  readonly distance: number;
  /** What its picture cuts off. */
  readonly cut: 'nothing' | 'feet' | 'knees';
  readonly floor: 'carpet' | 'wood' | 'mat';
}

/** Something that one has to notice: a child goes out of its picture, or stops. */
export interface Incident {
  readonly child: ChildId;
  readonly kind: 'off-screen' | 'stops';
  readonly from: Seconds;
  readonly until: Seconds;
}

export interface Cast {
  readonly actors: readonly Actor[];
  /** In the order in which they happen. */
  readonly incidents: readonly Incident[];
}

export const castSettings = {
  delay: { least: 0.3, most: 1.5 },
  distance: { least: 2, most: 3.6 },
  /** One picture in so many is cut at the knees, one in so many at the feet. */
  cutAtKnees: 6,
  cutAtFeet: 5,
  offScreen: { least: 35, most: 70 },
  stops: { least: 30, most: 60 },
} as const;

/**
 * Who takes part in a rehearsal, and what happens: one child goes out of its picture, another one stops – where there are two, not before
 * the fifth part of the class and not at its very end. The same seed gives the same.
 */
export function castOf(children: readonly ChildId[], totalSeconds: Seconds, seed: number): Cast {
  const chance = chanceOf(seed);
  const within = ({ least, most }: { readonly least: number; readonly most: number }): number => least + (most - least) * chance();
  const actors = children.map((child): Actor => {
    const cut = chance();
    return {
      child,
      delaySeconds: within(castSettings.delay),
      distance: within(castSettings.distance),
      cut:
        cut < 1 / castSettings.cutAtKnees ? 'knees' : cut < 1 / castSettings.cutAtKnees + 1 / castSettings.cutAtFeet ? 'feet' : 'nothing',
      floor: (['carpet', 'wood', 'mat'] as const)[Math.floor(chance() * 3)] ?? 'wood',
    };
  });
  const away = Math.floor(chance() * children.length);
  const stopping = (away + 1 + Math.floor(chance() * (children.length - 1))) % Math.max(1, children.length);
  const incident = (index: number, kind: Incident['kind'], length: Seconds, fromShare: number, toShare: number): readonly Incident[] => {
    const child = children[index];
    const from = totalSeconds * (fromShare + (toShare - fromShare) * chance());
    return child === undefined ? [] : [{ child, kind, from, until: Math.min(totalSeconds, from + length) }];
  };
  const incidents = [
    ...incident(away, 'off-screen', within(castSettings.offScreen), 0.2, 0.5),
    ...(children.length > 1 ? incident(stopping, 'stops', within(castSettings.stops), 0.5, 0.85) : []),
  ];
  return { actors, incidents: incidents.toSorted((a, b) => a.from - b.from) };
}
