import { plural, t } from '@lingui/core/macro';
import { clockText, doseText, findItem, type ClassPlan, type FitStep, type Library } from '@leiter/core';

/** What a step of fitting to the clock does, in words. */
export function fitStepWords({ item: id, edit }: FitStep, plan: ClassPlan, library: Library): string {
  const item = findItem(plan, id)?.item;
  const name = item ? (library.get(item.movement)?.name ?? item.movement) : t`An item`;
  switch (edit.kind) {
    case 'remove':
      return t`Leave out ${name}`;
    case 'set-dose':
      return `${name}: ${doseText(edit.dose)}${item ? t` instead of ${doseText(item.dose)}` : ''}`;
    case 'set-familiarity':
      return t`${name}: they know it, explain it short`;
    case 'set-teaching':
      return edit.teaching.explainSeconds === undefined
        ? `${name}: ${edit.teaching.way === 'follow' ? t`told while everybody does it, not shown first` : t`shown, not done alone first`}`
        : t`${name}: explained in ${clockText(edit.teaching.explainSeconds)}`;
    case 'set-circuit':
      return t`The circuit from ${name} on: ${plural(edit.rounds, { one: '# round', other: '# rounds' })} instead of ${plan.circuits?.find(({ id: own }) => own === edit.circuit)?.rounds ?? 1}`;
    default:
      return name;
  }
}
