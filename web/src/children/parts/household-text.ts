import type { AdultPlace, Household } from '@leiter/contract';
import { surfaceWords } from '../../shared/words';

export const adultWords: Readonly<Record<AdultPlace, string>> = {
  'in-the-room': 'in the room',
  'in-the-next-room': 'in the next room',
  'not-at-hand': 'not at hand',
};

/** What a child has at home, as rows of a list. */
export function householdRows(household: Household): readonly (readonly [string, string])[] {
  const { surface, clearLengthM, clearWidthM, things, adult, partner, quietHours } = household;
  return [
    ['Floor', surfaceWords[surface]],
    ['Clear space', `${clearLengthM.toFixed(1)} × ${clearWidthM.toFixed(1)} m`],
    ['Things', things.join(', ') || 'none'],
    ['Adult', adultWords[adult]],
    ['Partner', partner ? 'yes' : 'no'],
    ['Quiet', quietHours ? `${quietHours.from}–${quietHours.to}` : 'any time'],
  ];
}
