import type { AgeBand } from '../movement/age-band.js';
import type { Dose } from '../movement/dose.js';
import { doseFor, tierNames, type Movement } from '../movement/movement.js';
import { allSidesOf } from '../movement/sides.js';
import type { Item } from './class-plan.js';

const plainDose: Dose = { kind: 'timed', seconds: 60 };

/** An item of a movement as a coach would first write it: the dose of the age, every side it has, all its versions. */
export function itemOf(movement: Movement, band: AgeBand): Omit<Item, 'id'> {
  const tiers = tierNames.filter((name) => movement.tiers[name]);
  return {
    movement: movement.slug,
    dose: doseFor(movement, band) ?? plainDose,
    sides: allSidesOf(movement.sides),
    tiers: tiers.length > 0 ? tiers : ['core'],
  };
}
