import { t } from '@lingui/core/macro';
import type { BuildUpWay, FootAct, FootPlace, Row } from '@leiter/core';

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

/** The ways in which a phrase is built up, as they are announced. */
export const buildUpWords: Readonly<Record<BuildUpWay, string>> = {
  words: t`slowly, with its words`,
  'from-behind': t`from behind, as they stand`,
  join: t`joined to what they know`,
  counts: t`with counts`,
  full: t`at its tempo`,
  'other-side': t`the other side`,
  'other-full': t`the other side, at its tempo`,
  groups: t`one half, then the other half`,
  alone: t`alone, without a word`,
};

/** What a row is, in words: for who does not see the score, and beside it. */
export function rowWords({ foot, act, place, turn, words, movement, free }: Row): string {
  const who = foot === null ? '' : foot === 'both' ? t`both feet` : foot === 'left' ? t`left` : t`right`;
  const does =
    act === null
      ? ''
      : act === 'step' && place !== null
        ? placeWords[place]
        : [actWords[act], place === 'close' ? t`beside it` : place && place !== 'place' ? placeWords[place] : ''].join(' ');
  const turned = turn === 0 ? '' : turn > 0 ? t`turn left ${turn}°` : t`turn right ${-turn}°`;
  const entry = (slug: string): string => slug.replaceAll('-', ' ');
  const done = movement === null ? '' : entry(movement);
  const chosen = free === null ? '' : free.length === 0 ? t`own choice` : t`own choice of ${free.map(entry).join(', ')}`;
  return [who, does, turned, done, chosen, words ?? ''].filter((part) => part.trim() !== '').join(' ');
}
