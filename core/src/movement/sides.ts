import type { MovementSides } from './movement.js';

export const itemSides = ['none', 'both', 'left', 'right', 'lead', 'alternating'] as const;
/** Which sides an item does: `both` one after the other, `alternating` within the reps, `lead` the side each child prefers. */
export type ItemSides = (typeof itemSides)[number];

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

/** The sides as one says them; nothing for a movement without sides. */
export function sidesText(sides: ItemSides): string {
  switch (sides) {
    case 'none':
      return '';
    case 'both':
      return 'both sides';
    case 'left':
      return 'left only';
    case 'right':
      return 'right only';
    case 'lead':
      return 'lead side';
    case 'alternating':
      return 'in turn';
  }
}
