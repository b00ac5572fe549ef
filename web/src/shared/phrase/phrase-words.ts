import { t } from '@lingui/core/macro';
import type { BuildUpWay } from '@leiter/core';

/** The ways in which a phrase is built up, as they are announced. */
export const buildUpWords: Readonly<Record<BuildUpWay, string>> = {
  words: t`slowly, with its words`,
  'from-behind': t`from behind, as they stand`,
  join: t`joined to what they know`,
  counts: t`with counts`,
  full: t`at its tempo`,
  'other-side': t`the other side`,
  'other-full': t`the other side, at its tempo`,
  groups: t`one half, then the other half`,
  alone: t`alone, without a word`,
};
