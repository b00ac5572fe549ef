import type { ClassPageResponse } from '@leiter/contract';
import { isThere as comesTo } from '@leiter/contract/who-comes';
import {
  callScreensOf,
  castOf,
  debriefOf,
  flawOf,
  isOnCall,
  recordOf,
  rollDebriefOf,
  shareOf,
  shownOf,
  tempoOf,
  type Actor,
  type CallScreen,
  type Debrief,
  type Library,
  type Look,
  type Movement,
  type Performance,
  type RehearsalMark,
  type RollDebrief,
  type RollTaken,
} from '@leiter/core';
import { useEffect, useMemo, useState } from 'react';
import { requirementFor, type Standings } from '../../marking/mark-grid';
import type { Teaching } from '../run/use-teaching';
import type { Variant } from './wall-frames';

/** What a child does in its picture. */
export interface OnWall extends Actor {
  readonly name: string;
  /** What stands below its picture: the name in the call, until a roll says who it is. */
  readonly label: string;
  readonly doing: 'watches' | 'works' | 'is-away' | 'has-stopped';
  readonly variant: Variant;
  /** One round of the movement takes it so long, in seconds. */
  readonly roundSeconds: number;
  readonly given: RehearsalMark | null;
  readonly looks: number;
}

export interface Rehearsal {
  readonly wall: readonly OnWall[];
  /** What can be marked now. */
  readonly movement: Movement | null;
  readonly look: (childId: string) => void;
  readonly mark: (childId: string, change: Pick<RehearsalMark, 'mark' | 'faults'>) => void;
  /** Who is on the call now, in the order of their pictures. */
  readonly screens: readonly CallScreen[];
  readonly takeRoll: (there: readonly string[]) => void;
  /** How often the roll was taken. */
  readonly rollCount: number;
  readonly debrief: () => Debrief;
  readonly rollDebrief: () => RollDebrief;
}

const work: ReadonlySet<string> = new Set(['reps', 'hold', 'timed', 'counts', 'length']);
const stand: Variant['movement'] = { slug: 'stand', figure: ['stand'], view: null };

/**
 * A class that is rehearsed: the children of the group as the stand-in for a call shows them. Nothing of it leaves this page.
 * @param seed another one is another rehearsal
 */
export function useRehearsal(
  page: ClassPageResponse,
  board: Standings | null,
  library: Library,
  live: Teaching,
  movement: Movement | null,
  seed: number,
): Rehearsal {
  const { evaluation, position, run } = live;
  const { totalSeconds } = evaluation.timeline;
  const present = useMemo(() => page.children.filter(comesTo), [page.children]);
  const cast = useMemo(
    () =>
      castOf(
        present.map(({ id }) => id),
        totalSeconds,
        seed,
      ),
    [present, totalSeconds, seed],
  );
  const screens = useMemo(() => callScreensOf(present, totalSeconds, seed), [present, totalSeconds, seed]);
  const [rolls, setRolls] = useState<readonly RollTaken[]>([]);
  const versions = useMemo(() => new Map(evaluation.versions.map((one) => [`${one.itemId} ${one.childId}`, one])), [evaluation.versions]);
  const [given, setGiven] = useState<readonly RehearsalMark[]>([]);
  const [looks, setLooks] = useState<readonly Look[]>([]);
  const [performances, setPerformances] = useState<ReadonlyMap<string, Performance>>(new Map());

  const timed = position?.timed ?? null;
  const second = position === null ? 0 : timed ? timed.startSecond + timed.seconds - position.remainingSeconds : totalSeconds;
  const onCall = screens.filter((screen) => isOnCall(screen, second));
  const isThere = (childId: string): boolean => onCall.some(({ child }) => child === childId);
  const known = new Set(rolls.flatMap(({ there }) => there));
  const share = shareOf(second, totalSeconds);
  const isWork = position !== null && !position.isPaused && position.step !== null && work.has(position.step.kind);
  const incidentOf = (childId: string) =>
    cast.incidents.find(({ child, from, until }) => child === childId && second >= from && second < until);
  const stageOf = (childId: string, slug: string): number | null =>
    board
      ? (requirementFor(
          board.rows.find((row) => row.childId === childId),
          board,
          slug,
        )?.stage ?? null)
      : null;
  const shownBy = (child: (typeof present)[number], own: Movement) =>
    shownOf(child.id, own, recordOf(child.marks, own.slug, stageOf(child.id, own.slug)), share, seed);
  const stepSide = position?.step && 'side' in position.step ? position.step.side : null;

  const wall = present.flatMap((child): readonly OnWall[] => {
    const actor = cast.actors.find((one) => one.child === child.id);
    const screen = onCall.find((one) => one.child === child.id);
    if (!actor || !screen) return [];
    const version = timed && versions.get(`${timed.item.id} ${child.id}`);
    const own = (version && library.get(version.movement)) ?? timed?.movement ?? null;
    const incident = incidentOf(child.id);
    const doing = incident
      ? incident.kind === 'off-screen'
        ? 'is-away'
        : 'has-stopped'
      : isWork && version?.tier !== null && own
        ? 'works'
        : 'watches';
    const shown = own && doing === 'works' ? shownBy(child, own) : null;
    const marks = given.filter((one) => one.child === child.id && one.movement === movement?.slug);
    return [
      {
        ...actor,
        name: child.name,
        label: known.has(child.id) ? child.name : screen.line,
        doing,
        variant:
          own && doing === 'works' && own.figure.length > 0
            ? { movement: own, flaws: [...new Set((shown?.faults ?? []).map(flawOf))], isMirrored: stepSide === 'right' }
            : { movement: stand, flaws: [], isMirrored: false },
        roundSeconds: (doing === 'works' ? 2.6 : 5) / tempoOf(share),
        given: marks.at(-1) ?? null,
        looks: looks.filter((look) => look.child === child.id).length,
      },
    ];
  });

  // what is in focus is shown as soon as its work begins
  const performed = movement && timed?.movement.slug === movement.slug && isWork ? `${timed.item.id} ${String(timed.round)}` : null;
  useEffect(() => {
    if (performed === null || !movement) return;
    // oxlint-disable-next-line react/set-state-in-effect -- what was shown is written down when it is
    setPerformances((before) => {
      const next = new Map(before);
      for (const child of present)
        // who does something else does not show it
        if (isThere(child.id) && !incidentOf(child.id) && versions.get(`${timed?.item.id ?? ''} ${child.id}`)?.movement === movement.slug)
          next.set(`${child.id} ${movement.slug}`, { child: child.id, movement: movement.slug, ...shownBy(child, movement) });
      return next;
    });
    // oxlint-disable-next-line react/exhaustive-deps -- once for each time it is worked at
  }, [performed]);

  const look = (childId: string): void => {
    setLooks((all) => [...all, { child: childId, second }]);
  };
  return {
    wall,
    movement,
    screens: onCall,
    takeRoll: (there) => {
      setRolls((all) => [...all, { second, there }]);
    },
    rollCount: rolls.length,
    look,
    mark: (childId, { mark, faults }) => {
      if (!movement) return;
      setGiven((all) => [...all, { child: childId, movement: movement.slug, mark, faults }]);
      look(childId);
    },
    debrief: () =>
      debriefOf({
        // who has not come yet cannot be overlooked
        children: screens.filter(({ comesAt }) => comesAt <= second).map(({ child }) => child),
        performances: [...performances.values()],
        given,
        looks,
        incidents: cast.incidents.filter(({ child, from }) => screens.some((one) => one.child === child && isOnCall(one, from))),
        until: run ? second : 0,
      }),
    rollDebrief: () => rollDebriefOf(screens, rolls, run ? second : 0),
  };
}
