import type { PressBody } from '@leiter/contract';
import type { Watch } from '../../marking/use-watch';
import type { Teaching } from '../run/use-teaching';

/** Does what was pressed beside the class, as if it had been pressed here. */
export function doPress({ press, childId, mark }: PressBody, live: Teaching, watch: Watch | null): void {
  switch (press) {
    case 'on':
    case 'back':
    case 'pause':
    case 'resume':
    case 'go':
      live.move(press);
      return;
    case 'put-off':
      live.putOff();
      return;
    case 'once-more':
      live.onceMore();
      return;
    case 'undo':
      live.undo();
      return;
    case 'mark':
    case 'take-back': {
      const cell = watch?.rows.find(({ id }) => id === childId)?.cell;
      if (!watch || !cell) return;
      if (press === 'take-back') watch.takeBack(cell);
      else if (mark !== undefined) watch.change(cell, { kind: 'mark', mark });
      live.pressed(watch.undo);
    }
  }
}
