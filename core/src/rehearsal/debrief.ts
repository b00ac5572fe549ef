import { marks, type Mark } from '../movement/movement.js';
import type { ChildId, MovementSlug, Seconds } from '../values/unit.js';
import type { Incident } from './cast.js';
import type { Shown } from './shown.js';

/** Something in focus that a child showed, the last time it did. */
export interface Performance extends Shown {
  readonly child: ChildId;
  readonly movement: MovementSlug;
}

/** A mark given in a rehearsal; of several of one child and movement the last counts. */
export interface RehearsalMark {
  readonly child: ChildId;
  readonly movement: MovementSlug;
  readonly mark: Mark;
  readonly faults: readonly string[];
}

/** A child that was looked at: its picture was pressed, or it was marked. */
export interface Look {
  readonly child: ChildId;
  /** On the clock of the class. */
  readonly second: Seconds;
}

/** A mark beside what was shown. */
export interface Compared {
  readonly child: ChildId;
  readonly movement: MovementSlug;
  readonly shown: Mark;
  readonly given: Mark;
}

export interface Debrief {
  readonly looks: readonly { readonly child: ChildId; readonly count: number }[];
  readonly notLookedAt: readonly ChildId[];
  readonly agreed: readonly Compared[];
  /** Marked better, or less, than it was. */
  readonly kinder: readonly Compared[];
  readonly stricter: readonly Compared[];
  /** Shown in focus and not marked. */
  readonly unmarked: readonly Pick<Performance, 'child' | 'movement'>[];
  /** Faults that one could see, of what was marked: those that were named, and those that were not. */
  readonly faultsSeen: readonly { readonly child: ChildId; readonly movement: MovementSlug; readonly fault: string }[];
  readonly faultsMissed: Debrief['faultsSeen'];
  /** Named, though nothing of it was to be seen. */
  readonly faultsThatWereNone: Debrief['faultsSeen'];
  /** With how long it took until the child was looked at; null where it never was while it lasted. */
  readonly incidents: readonly (Incident & { readonly noticedAfter: Seconds | null })[];
}

/**
 * What was seen in a rehearsal and what was missed.
 * @param until how far the class came, in seconds: what would have happened later did not
 */
export function debriefOf({
  children,
  performances,
  given,
  looks,
  incidents,
  until,
}: {
  readonly children: readonly ChildId[];
  readonly performances: readonly Performance[];
  readonly given: readonly RehearsalMark[];
  readonly looks: readonly Look[];
  readonly incidents: readonly Incident[];
  readonly until: Seconds;
}): Debrief {
  const key = ({ child, movement }: Pick<Performance, 'child' | 'movement'>): string => `${child} ${movement}`;
  const shownBy = new Map(performances.map((one) => [key(one), one]));
  const givenTo = new Map(given.map((one) => [key(one), one]));
  const compared = [...givenTo.values()].flatMap((mark): readonly Compared[] => {
    const shown = shownBy.get(key(mark));
    return shown ? [{ child: mark.child, movement: mark.movement, shown: shown.mark, given: mark.mark }] : [];
  });
  const apart = (one: Compared): number => marks.indexOf(one.given) - marks.indexOf(one.shown);
  const counts = new Map(children.map((child) => [child, looks.filter((look) => look.child === child).length]));
  const faultsOf = (wanted: (fault: string, shown: Performance, mark: RehearsalMark) => boolean, of: 'shown' | 'given') =>
    [...shownBy.values()].flatMap((shown) => {
      const mark = givenTo.get(key(shown));
      if (!mark) return [];
      return (of === 'shown' ? shown : mark).faults
        .filter((fault) => wanted(fault, shown, mark))
        .map((fault) => ({ child: shown.child, movement: shown.movement, fault }));
    });
  return {
    looks: [...counts].map(([child, count]) => ({ child, count })),
    notLookedAt: children.filter((child) => counts.get(child) === 0),
    agreed: compared.filter((one) => apart(one) === 0),
    kinder: compared.filter((one) => apart(one) > 0),
    stricter: compared.filter((one) => apart(one) < 0),
    unmarked: [...shownBy.values()].filter((one) => !givenTo.has(key(one))).map(({ child, movement }) => ({ child, movement })),
    faultsSeen: faultsOf((fault, _shown, mark) => mark.faults.includes(fault), 'shown'),
    faultsMissed: faultsOf((fault, _shown, mark) => !mark.faults.includes(fault), 'shown'),
    faultsThatWereNone: faultsOf((fault, shown) => !shown.faults.includes(fault), 'given'),
    incidents: incidents
      .filter(({ from }) => from < until)
      .map((incident) => {
        const seen = looks.filter(({ child, second }) => child === incident.child && second >= incident.from && second <= incident.until);
        return { ...incident, noticedAfter: seen.length === 0 ? null : Math.min(...seen.map(({ second }) => second)) - incident.from };
      }),
  };
}
