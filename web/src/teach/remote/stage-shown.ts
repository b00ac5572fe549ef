import type { Position } from '@leiter/core';
import { t } from '@lingui/core/macro';
import type { Watch } from '../../marking/use-watch';
import type { Teaching } from '../run/use-teaching';
import { sideWords, stepWords } from '../run/teach-words';
import type { StageShown } from './use-stage';

/** As many children as a phone is told of. */
const mostChildren = 60;

/** What those beside a class are told of it. */
export function stageShown(live: Teaching, position: Position, watch: Watch | null, isWaiting: boolean): StageShown {
  const { timed, next, isPaused, remainingSeconds } = position;
  return {
    item: timed?.movement.name ?? t`The class is over`,
    what: timed ? (isPaused ? t`Paused` : isWaiting ? t`Explain and show` : stepWords(position.step)) : '',
    side: sideWords(position, 'mirror')?.children ?? null,
    next: timed ? (next?.movement.name ?? t`the end`) : null,
    remainingSeconds: Math.round(remainingSeconds * 10) / 10,
    isPaused,
    isWaiting,
    isOver: timed === null,
    canPutOff: live.canPutOff,
    canUndo: live.canUndo,
    watch: watch && {
      movement: watch.movement.slug,
      name: watch.movement.name,
      side: watch.side,
      children: watch.rows.slice(0, mostChildren).map(({ id, name, note, cell }) => ({ id, name, note, mark: cell.mark?.mark ?? null })),
    },
  };
}
