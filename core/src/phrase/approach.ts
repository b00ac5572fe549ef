import type { Foot, Row } from './phrase.js';

/**
 * What a run-up is made of. A step, a running step and a leap go to the other foot; a hop stays on its foot; a chassé – step, close, step – ends
 * on the foot that began it, which is the other one than carried before; a hurdle is a hop and the step after it.
 */
export const approachMoves = ['step', 'hop', 'chasse', 'hurdle'] as const;
export type ApproachMove = (typeof approachMoves)[number];

export const mostApproachMoves = 24;

const other = { left: 'right', right: 'left' } as const;

/** Whether the foot that carries after a move is the other one than before it. */
const changesFoot: Readonly<Record<ApproachMove, boolean>> = { step: true, hop: false, chasse: true, hurdle: true };

/**
 * Which foot steps first, so that a run-up ends on the foot that is asked: the take-off foot of a leap, the foot in front of a cartwheel or a
 * round-off. A power start – from two feet, without a step – begins with that foot itself.
 * @param moves in their order; a hop at the very beginning is done on the foot that is returned
 * @param takeOff the foot that carries the body when the skill begins
 */
export function startingFoot(moves: readonly ApproachMove[], takeOff: Foot): Foot {
  const changes = moves.filter((move) => changesFoot[move]).length;
  // with one change the foot that steps is the one it ends on; a leading hop is on the foot that carries before
  const beginsWithHop = moves[0] === 'hop' || moves[0] === 'hurdle';
  const carriesAtFirst = changes % 2 === 0 ? takeOff : other[takeOff];
  return beginsWithHop || changes === 0 ? carriesAtFirst : other[carriesAtFirst];
}

/** What a run-up is written as: one count to each step, hops and the middle of a chassé on the half before. */
export function approachRows(
  moves: readonly ApproachMove[],
  first: Foot,
): readonly Pick<Row, 'at' | 'counts' | 'foot' | 'act' | 'place'>[] {
  const rows: Pick<Row, 'at' | 'counts' | 'foot' | 'act' | 'place'>[] = [];
  const beginsWithHop = moves[0] === 'hop' || moves[0] === 'hurdle';
  let carries: Foot = beginsWithHop ? first : other[first];
  let at = 0;
  const put = (foot: Foot, act: 'step' | 'hop', place: 'fwd' | 'close' | 'place', counts: number): void => {
    rows.push({ at, counts, foot, act, place });
    at += counts;
  };
  for (const move of moves) {
    const next = other[carries];
    switch (move) {
      case 'step':
        put(next, 'step', 'fwd', 1);
        carries = next;
        break;
      case 'hop':
        put(carries, 'hop', 'place', 1);
        break;
      case 'chasse':
        put(next, 'step', 'fwd', 0.5);
        put(carries, 'step', 'close', 0.5);
        put(next, 'step', 'fwd', 1);
        carries = next;
        break;
      case 'hurdle':
        put(carries, 'hop', 'place', 0.5);
        put(next, 'step', 'fwd', 0.5);
        carries = next;
        break;
    }
  }
  return rows;
}
