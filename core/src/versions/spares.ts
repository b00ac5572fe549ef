import type { Hazard } from '../movement/hazard.js';
import type { Movement } from '../movement/movement.js';
import type { Region } from '../movement/region.js';
import type { Day } from '../values/unit.js';

/** What a child must not do for now, as a health note says it: nothing else of the note is needed to plan. */
export interface Spares {
  /** Not to be loaded by 2 or more. */
  readonly regions: readonly Region[];
  readonly hazards: readonly Hazard[];
}

/** What a family told of a child's health, and what follows for the class. */
export interface HealthNote extends Spares {
  readonly text: string;
  /** The last day on which it counts; null as long as nobody takes it back. */
  readonly untilDay: Day | null;
}

/** What of a movement a child has to be spared; null where nothing is. */
export function sparedIn({ loads, hazards }: Pick<Movement, 'loads' | 'hazards'>, spares: Spares | undefined): Region | Hazard | null {
  if (!spares) return null;
  const load = loads.find(({ region, amount }) => amount >= 2 && spares.regions.includes(region));
  return load?.region ?? hazards.find((hazard) => spares.hazards.includes(hazard)) ?? null;
}

/** What notes together spare a child on a day; undefined where none of them counts any more. */
export function sparesOn(notes: readonly HealthNote[], day: Day): Spares | undefined {
  const counting = notes.filter(({ untilDay }) => untilDay === null || untilDay >= day);
  const spares: Spares = {
    regions: [...new Set(counting.flatMap(({ regions }) => regions))],
    hazards: [...new Set(counting.flatMap(({ hazards }) => hazards))],
  };
  return spares.regions.length + spares.hazards.length === 0 ? undefined : spares;
}
