import { t } from '@lingui/core/macro';
import type { AdultPlace } from '@leiter/contract';
import type { Surface } from '@leiter/core';

/** Where the adult of a household is during class. */
export const adultPlaceWords: Readonly<Record<AdultPlace, string>> = {
  get 'in-the-room'() {
    return t`in the room`;
  },
  get 'in-the-next-room'() {
    return t`in the next room`;
  },
  get 'not-at-hand'() {
    return t`not at hand`;
  },
};

/** What one stands on. */
export const surfaceWords: Readonly<Record<Surface, string>> = {
  get mat() {
    return t`mat`;
  },
  get 'thick-rug'() {
    return t`thick rug`;
  },
  get carpet() {
    return t`carpet`;
  },
  get grass() {
    return t`grass`;
  },
  get wood() {
    return t`wood`;
  },
  get tiles() {
    return t`tiles`;
  },
  get concrete() {
    return t`concrete`;
  },
};
