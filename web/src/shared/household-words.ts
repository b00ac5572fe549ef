import { t } from '@lingui/core/macro';
import type { AdultPlace } from '@leiter/contract';
import type { Surface } from '@leiter/core';

/** Where the adult of a household is during class. */
export const adultPlaceWords: Readonly<Record<AdultPlace, string>> = {
  'in-the-room': t`in the room`,
  'in-the-next-room': t`in the next room`,
  'not-at-hand': t`not at hand`,
};

/** What one stands on. */
export const surfaceWords: Readonly<Record<Surface, string>> = {
  mat: t`mat`,
  'thick-rug': t`thick rug`,
  carpet: t`carpet`,
  grass: t`grass`,
  wood: t`wood`,
  tiles: t`tiles`,
  concrete: t`concrete`,
};
