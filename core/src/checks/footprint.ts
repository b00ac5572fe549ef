import { inItsRoom } from '../versions/version.js';
import { outOfRoom } from '../versions/teaching-room.js';
import { defineCheck } from './check.js';
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
  room: 'needs more room than there is where you teach',
  'frame-width': 'goes further than the camera sees',
  'frame-height': 'reaches higher than the camera sees',
};

/** An item needs more room than the smallest home that is to do it, or than the instructor and the camera have. */
export const footprint = defineCheck({
  id: 'footprint',
  look: (context): readonly Found<Fact>[] => {
    const { room, timeline } = context;
    const shown = room
      ? timeline.items.flatMap(({ item, movement }): readonly Found<Fact>[] => {
          const short = outOfRoom(inItsRoom(item, movement), room);
          return short ? [{ severity: 'caution', itemIds: [item.id], fact: { kind: 'out-of-room', short }, mend: null }] : [];
        })
      : [];
    return [...homeLacks(context, 'space'), ...shown];
  },
  words: (fact, told) =>
    fact.kind === 'home-lacks'
      ? homeLacksWords('Not enough room')(fact, told)
      : { title: titles[fact.short], sentence: `${told.name} ${sentences[fact.short]}.` },
  mendWords: asReckonedWords,
});
