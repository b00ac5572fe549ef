import { t } from '@lingui/core/macro';
import { clockText, type Position, type Step } from '@leiter/core';

/** What the children do now, in a word or two: large on the screen. */
export function stepWords(step: Step | null): string {
  switch (step?.kind) {
    case 'go-to':
      return t`Get there`;
    case 'explain':
      return t`Explain and show`;
    case 'set-up':
      return t`Set up`;
    case 'change-side':
      return t`Change sides`;
    case 'rest':
      return t`Rest`;
    case 'reps':
      return step.sets > 1 ? t`Set ${step.set} of ${step.sets}` : t`Go`;
    case 'hold':
      return step.sets > 1 ? t`Hold ${step.set} of ${step.sets}` : t`Hold`;
    case 'timed':
      return t`Go`;
    case 'length':
      return t`Length ${step.nth} of ${step.lengths}${step.back === null || step.back === 'same' ? '' : step.back === 'backwards' ? t`, backwards` : t`, the other side leads`}`;
    case 'count-in':
      return t`Count in`;
    case 'counts':
      return t`Count`;
    case undefined:
      return '';
  }
}

/** What a count is counted to; null where nothing is counted. */
export function countOf(step: Step | null): number | null {
  switch (step?.kind) {
    case 'reps':
      return step.reps;
    case 'hold':
      return Math.round(step.seconds);
    case 'counts':
    case 'count-in':
      return step.beats;
    case 'length':
    case 'go-to':
    case 'explain':
    case 'set-up':
    case 'change-side':
    case 'rest':
    case 'timed':
    case undefined:
      return null;
  }
}

/** The side as the children have it, and which one the instructor shows who faces them: the mirror image. */
export function sideWords(step: Step | null): { readonly children: string; readonly show: string } | null {
  const side = step && 'side' in step ? step.side : null;
  switch (side) {
    case 'left':
      return { children: t`LEFT`, show: t`right` };
    case 'right':
      return { children: 'RIGHT', show: t`left` };
    case 'lead':
      return { children: t`LEAD SIDE`, show: t`either one` };
    case null:
      return null;
  }
}

/** The pace against the plan; within ten seconds it is on time. */
export function paceWords({ behindSeconds }: Position): string {
  if (Math.abs(behindSeconds) <= 10) return t`on time`;
  return behindSeconds > 0 ? t`${clockText(behindSeconds)} behind` : t`${clockText(Math.abs(behindSeconds))} ahead`;
}
