import { t } from '@lingui/core/macro';
import type { AdultPlace } from '@leiter/contract';

/** Where the adult of a household is during class. */
export const adultPlaceWords: Readonly<Record<AdultPlace, string>> = {
  'in-the-room': t`in the room`,
  'in-the-next-room': t`in the next room`,
  'not-at-hand': t`not at hand`,
};
