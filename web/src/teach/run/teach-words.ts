import { clockText, type Position, type Step } from '@leiter/core';

/** What the children do now, in a word or two: large on the screen. */
export function stepWords(step: Step | null): string {
  switch (step?.kind) {
    case 'go-to':
      return 'Get there';
    case 'explain':
      return 'Explain and show';
    case 'set-up':
      return 'Set up';
    case 'change-side':
      return 'Change sides';
    case 'rest':
      return 'Rest';
    case 'reps':
      return step.sets > 1 ? `Set ${String(step.set)} of ${String(step.sets)}` : 'Go';
    case 'hold':
      return step.sets > 1 ? `Hold ${String(step.set)} of ${String(step.sets)}` : 'Hold';
    case 'timed':
      return 'Go';
    case 'length':
      return `Length ${String(step.nth)} of ${String(step.lengths)}${step.back === null || step.back === 'same' ? '' : step.back === 'backwards' ? ', backwards' : ', the other side leads'}`;
    case 'count-in':
      return 'Count in';
    case 'counts':
      return 'Count';
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
      return { children: 'LEFT', show: 'right' };
    case 'right':
      return { children: 'RIGHT', show: 'left' };
    case 'lead':
      return { children: 'LEAD SIDE', show: 'either one' };
    case null:
      return null;
  }
}

/** The pace against the plan; within ten seconds it is on time. */
export function paceWords({ behindSeconds }: Position): string {
  if (Math.abs(behindSeconds) <= 10) return 'on time';
  return behindSeconds > 0 ? `${clockText(behindSeconds)} behind` : `${clockText(Math.abs(behindSeconds))} ahead`;
}
