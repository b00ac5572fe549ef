import { t } from '@lingui/core/macro';
import type { FootAct, FootPlace, Row } from '@leiter/core';

const placeWords: Readonly<Record<FootPlace, string>> = {
  get fwd() {
    return t`forward`;
  },
  get back() {
    return t`back`;
  },
  get side() {
    return t`to the side`;
  },
  get cross() {
    return t`crosses in front`;
  },
  get behind() {
    return t`crosses behind`;
  },
  get close() {
    return t`closes`;
  },
  get place() {
    return t`in its place`;
  },
};
export const actWords: Readonly<Record<FootAct, string>> = {
  get step() {
    return t`steps`;
  },
  get touch() {
    return t`touches`;
  },
  get kick() {
    return t`kicks`;
  },
  get lift() {
    return t`lifts`;
  },
  get brush() {
    return t`brushes`;
  },
  get drag() {
    return t`drags`;
  },
  get hop() {
    return t`hops`;
  },
  get leap() {
    return t`leaps`;
  },
  get jump() {
    return t`jump`;
  },
  get sink() {
    return t`bend`;
  },
};

/** What a row is, in words: for who does not see the score, and beside it. */
export function rowWords({ foot, act, place, turn, words, movement, free }: Row): string {
  const who = foot === null ? '' : foot === 'both' ? t`both feet` : foot === 'left' ? t`left` : t`right`;
  const does =
    act === null
      ? ''
      : act === 'step' && place !== null
        ? placeWords[place]
        : [actWords[act], place === 'close' ? t`beside it` : place && place !== 'place' ? placeWords[place] : ''].join(' ').trim();
  const turned = turn === 0 ? '' : turn > 0 ? t`turn left ${turn}°` : t`turn right ${-turn}°`;
  const entry = (slug: string): string => slug.replaceAll('-', ' ');
  const done = movement === null ? '' : entry(movement);
  const chosen = free === null ? '' : free.length === 0 ? t`own choice` : t`own choice of ${free.map(entry).join(', ')}`;
  return [who, does, turned, done, chosen, words ?? ''].filter((part) => part.trim() !== '').join(' ');
}

/** What somebody does on a row, the arms too. */
export const doneWords = (row: Row): string => [rowWords(row), row.arms ?? ''].filter((part) => part !== '').join(', ');
