import { outOfRoom } from '../versions/teaching-room.js';
import type { Check } from './check.js';
import type { Finding } from './finding.js';
import { homeSpace } from './who-can.js';

/** An item needs more room than the smallest home that is to do it, or than the instructor and the camera have. */
export const footprint: Check = (context) => {
  const { room, timeline } = context;
  const shown = room
    ? timeline.items.flatMap(({ item, movement }): readonly Finding[] => {
        const short = outOfRoom(movement, room);
        return short
          ? [{ check: 'footprint', severity: 'caution', itemIds: [item.id], fact: { kind: 'out-of-room', short }, mend: null }]
          : [];
      })
    : [];
  return [...homeSpace(context), ...shown];
};
