import { groupBy } from '../values/group-by.js';
import { firstRounds } from '../timing/timeline.js';
import { inItsRoom } from '../versions/version.js';
import type { Item } from '../class-plan/class-plan.js';
import type { Movement } from '../movement/movement.js';
import { outOfRoom, type TeachingRoom } from '../versions/teaching-room.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { asReckonedWords, homeLacks, homeLacksWords, type HomeLacks } from './home-lacks.js';

type Short = NonNullable<ReturnType<typeof outOfRoom>>;
export type Fact = HomeLacks | { readonly kind: 'out-of-room'; readonly short: Short };

const titles: Readonly<Record<Short, string>> = {
  room: 'Out of space',
  'frame-width': 'Out of the picture',
  'frame-height': 'Cut at the top',
};
const sentences: Readonly<Record<Short, string>> = {
  room: 'more room than there is where you teach',
  'frame-width': 'further than the camera sees',
  'frame-height': 'higher than the camera sees',
};

/** Items need more room than the smallest home that is to do them, or than the instructor and the camera have: one finding per cause. */
export const footprint = defineCheck({
  id: 'footprint',
  title: 'Room',
  says: 'It takes more room than there is at home, or than the camera shows.',
  gravest: 'caution',
  look: (context): readonly Found<Fact>[] => [...homeLacks(context, 'space'), ...shown(context)],
  words: (fact, told) =>
    fact.kind === 'home-lacks'
      ? homeLacksWords('Not enough room')(fact, told)
      : { title: titles[fact.short], sentence: `${told.name}: ${sentences[fact.short]}.` },
  mendWords: asReckonedWords,
});

interface Cause {
  readonly movement: Movement;
  readonly cause: Short | null;
}

const known = new WeakMap<TeachingRoom, WeakMap<Item, Cause>>();

/** What it is too large for; the same at every key as long as nothing of it changes. */
function causeOf(item: Item, movement: Movement, room: TeachingRoom): Short | null {
  const inRoom = known.get(room) ?? new WeakMap<Item, Cause>();
  known.set(room, inRoom);
  const before = inRoom.get(item);
  if (before?.movement === movement) return before.cause;
  const whole = outOfRoom(inItsRoom(item, movement), room);
  const { inLittleRoom } = movement.needs;
  const isShownSo = inLittleRoom && !outOfRoom({ ...movement, needs: { ...movement.needs, footprint: inLittleRoom } }, room);
  const cause = isShownSo ? null : whole;
  inRoom.set(item, { movement, cause });
  return cause;
}

/** What is done in little room can be shown so as well: the picture has to hold one of the two. */
function shown({ room, timeline }: CheckContext): readonly Found<Fact>[] {
  if (!room) return [];
  const short = firstRounds(timeline.items).flatMap(({ item, movement }) => {
    const cause = causeOf(item, movement, room);
    return cause ? [{ id: item.id, cause }] : [];
  });
  return [...groupBy(short, ({ cause }) => cause)].map(([cause, items]) => ({
    severity: 'caution',
    itemIds: items.map(({ id }) => id),
    fact: { kind: 'out-of-room', short: cause },
    mend: null,
  }));
}
