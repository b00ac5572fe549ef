import { t } from '@lingui/core/macro';
import type { About } from '@leiter/core';

/** What checks are about, as a heading. */
export const aboutWords: Readonly<Record<About, string>> = {
  bodies: t`Bodies`,
  time: t`Time and attention`,
  children: t`Children and homes`,
  order: t`Order`,
};
