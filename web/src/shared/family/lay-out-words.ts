import { msg } from '@lingui/core/macro';
import type { I18n } from '@lingui/core';
import type { HomeList } from '@leiter/core';
import { tagOf } from './languages';
import { thingWord } from './thing-words';

/** What to lay out at home, how much room, and who is to be near: sentences for the family. */
export function layOutWords(i18n: I18n, list: HomeList): readonly string[] {
  const number = new Intl.NumberFormat(tagOf(i18n.locale), { minimumFractionDigits: 1, maximumFractionDigits: 1 });
  // rounded up: who clears a little more stands free
  const metres = (value: number): string => number.format(Math.ceil(value * 10 - 0.01) / 10);
  const [length, width, height] = [metres(list.lengthM), metres(list.widthM), metres(list.headroomM)];
  return [
    i18n._(msg`Clear ${length} × ${width} m of floor, ${height} m high.`),
    ...(list.wantsSoftFloor ? [i18n._(msg`On carpet, a mat or a thick rug.`)] : []),
    ...list.things.map(({ thing, standIns }) => {
      const word = thingWord(i18n, thing);
      if (standIns.length === 0) return i18n._(msg`Have ready: ${word}.`);
      const instead = standIns.map((one) => thingWord(i18n, one)).join(', ');
      return i18n._(msg`Have ready: ${word} – or instead ${instead}.`);
    }),
    ...(list.adult === 'hands-on' ? [i18n._(msg`An adult helps with the hands: please be in the room.`)] : []),
    ...(list.adult === 'at-hand' ? [i18n._(msg`An adult close by.`)] : []),
    ...(list.partner ? [i18n._(msg`Somebody to do it with.`)] : []),
    ...(list.builds.length > 0 ? [i18n._(msg`We build: ${list.builds.join(', ')}.`)] : []),
    ...list.help.map((line) => `${line}.`),
    i18n._(msg`Something to drink.`),
  ];
}
