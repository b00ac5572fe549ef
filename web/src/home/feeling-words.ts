import { t } from '@lingui/core/macro';
import type { PracticeFeeling } from '@leiter/core';

/** How practice went, in a tap. */
export const feelingWords: Readonly<Record<PracticeFeeling, string>> = {
  get well() {
    return t`went well`;
  },
  get hard() {
    return t`was hard`;
  },
  get hurt() {
    return t`it hurt`;
  },
};
