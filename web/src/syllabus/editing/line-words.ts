import type { LadderLine } from '@leiter/core';

const whatWords: Readonly<Record<LadderLine['what'], string>> = {
  added: 'is added',
  changed: 'is changed',
  'put-away': 'is put away',
  'put-back': 'is put back',
  same: 'stays',
};

/** What becomes of a line of a ladder, as one reads it. */
export function lineWords({ grade, movement, stage, what, fields }: LadderLine): string {
  const about = movement === null ? grade : `${grade}: ${movement.replaceAll('-', ' ')}${stage === null ? '' : `, stage ${String(stage)}`}`;
  const which = fields.length === 0 ? '' : ` (${fields.map((field) => field.replace(/([A-Z])/g, ' $1').toLowerCase()).join(', ')})`;
  return `${about} ${whatWords[what]}${which}`;
}
