import { t } from '@lingui/core/macro';
import type { PracticeFeeling } from '@leiter/core';

/** How practice went, in a tap. */
export const feelingWords: Readonly<Record<PracticeFeeling, string>> = { well: t`went well`, hard: t`was hard`, hurt: t`it hurt` };
