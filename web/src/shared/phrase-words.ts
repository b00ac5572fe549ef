import { t } from '@lingui/core/macro';
import type { FootAct, FootPlace, Row } from '@leiter/core';

const placeWords: Readonly<Record<FootPlace, string>> = {
  fwd: t`forward`,
  back: t`back`,
  side: t`to the side`,
  cross: t`crosses in front`,
  behind: t`crosses behind`,
  close: t`closes`,
  place: t`in its place`,
};
export const actWords: Readonly<Record<FootAct, string>> = {
  step: t`steps`,
  touch: t`touches`,
  kick: t`kicks`,
  lift: t`lifts`,
  brush: t`brushes`,
  drag: t`drags`,
  hop: t`hops`,
  leap: t`leaps`,
  jump: t`jump`,
  sink: t`bend`,
};

/** What a row is, in words: for who does not see the score, and beside it. */
export function rowWords({ foot, act, place, turn, words }: Row): string {
  const who = foot === null ? '' : foot === 'both' ? t`both feet` : foot === 'left' ? t`left` : t`right`;
  const does =
    act === null
      ? ''
      : act === 'step' && place !== null
        ? placeWords[place]
        : [actWords[act], place === 'close' ? t`beside it` : place && place !== 'place' ? placeWords[place] : ''].join(' ');
  const turned = turn === 0 ? '' : turn > 0 ? t`turn left ${turn}°` : t`turn right ${-turn}°`;
  return [who, does, turned, words ?? ''].filter((part) => part.trim() !== '').join(' ');
}
