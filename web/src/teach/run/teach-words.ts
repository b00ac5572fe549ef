import { t } from '@lingui/core/macro';
import { leaderSide, clockText, type Position, type Step, type Stance, type Side } from '@leiter/core';

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

/** The side that works, said three ways. */
export interface SideWords {
  /** As the children have it: that is what is said. */
  readonly children: string;
  /** Which of their own the leader moves. */
  readonly you: string;
  /** On which side of their picture the children see it move. */
  readonly seenOn: Side | null;
}

/** Of what is done in turns it is the side of this rep. */
export function sideWords({ step, timed, count }: Pick<Position, 'step' | 'timed' | 'count'>, stance: Stance): SideWords | null {
  const inTurns = timed?.sides === 'alternating' && step?.kind === 'reps' ? (count % 2 === 1 ? 'left' : 'right') : null;
  const side = inTurns ?? (step && 'side' in step ? step.side : null);
  if (side === null) return null;
  if (side === 'lead') return { children: t`LEAD SIDE`, you: t`either one`, seenOn: null };
  const isSeenThere = stance !== 'facing';
  return {
    children: side === 'left' ? t`LEFT` : t`RIGHT`,
    you: leaderSide(side, stance) === 'left' ? t`left` : t`right`,
    seenOn: (side === 'left') === isSeenThere ? 'left' : 'right',
  };
}

/** The pace against the plan; within ten seconds it is on time. */
export function paceWords({ behindSeconds }: Position): string {
  if (Math.abs(behindSeconds) <= 10) return t`on time`;
  return behindSeconds > 0 ? t`${clockText(behindSeconds)} behind` : t`${clockText(Math.abs(behindSeconds))} ahead`;
}
