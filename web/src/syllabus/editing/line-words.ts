import { t } from '@lingui/core/macro';
import type { LadderLine } from '@leiter/core';

const whatWords: Readonly<Record<LadderLine['what'], string>> = {
  added: t`is added`,
  changed: t`is changed`,
  'put-away': t`is put away`,
  'put-back': t`is put back`,
  same: t`stays`,
};

/** What becomes of a line of a ladder, as one reads it. */
export function lineWords({ grade, movement, stage, what, fields }: LadderLine): string {
  const about = movement === null ? grade : `${grade}: ${movement.replaceAll('-', ' ')}${stage === null ? '' : t`, stage ${stage}`}`;
  const which = fields.length === 0 ? '' : ` (${fields.map((field) => field.replace(/([A-Z])/g, ' $1').toLowerCase()).join(', ')})`;
  return `${about} ${whatWords[what]}${which}`;
}
