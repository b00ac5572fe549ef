import type { AgeBand } from '../movement/age-band.js';
import type { Dose } from '../movement/dose.js';
import { doseFor, tierNames, type Movement, type MovementSides } from '../movement/movement.js';
import type { Item, ItemSides } from './class-plan.js';

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

/** What the sides of an item are when none is left out. */
export function allSidesOf(sides: MovementSides): ItemSides {
  return sides === 'each' ? 'both' : sides;
}

/** The sides an instructor can choose between, in the order in which the key S goes through them. */
export function sidesToChoose(sides: MovementSides): readonly ItemSides[] {
  switch (sides) {
    case 'none':
      return ['none'];
    case 'each':
      return ['both', 'left', 'right'];
    case 'alternating':
      return ['alternating', 'left', 'right'];
    case 'lead':
      return ['lead', 'both', 'left', 'right'];
  }
}
