import type { Mark, Prerequisite, Surface } from '../movement/movement.js';
import { marks } from '../movement/movement.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import type { Spares } from './spares.js';
import type { ChildId, Metres, MovementSlug } from '../values/unit.js';

/** What a child has at home, as far as it decides what the child can do. */
export interface Home {
  readonly surface: Surface;
  readonly clearLengthM: Metres;
  readonly clearWidthM: Metres;
  readonly things: readonly string[];
  readonly adult: 'in-the-room' | 'in-the-next-room' | 'not-at-hand';
  readonly partner: boolean;
  /** From and to as `HH:MM`, over midnight where `from` is later; null when the house never has to be quiet. */
  readonly quietHours: { readonly from: string; readonly to: string } | null;
}

/** How well a child did a movement lately, or one stage of it. */
export interface KnownMark {
  readonly movement: MovementSlug;
  /** Counted from 1; null for the whole movement. */
  readonly stage: number | null;
  readonly mark: Mark;
}

/** A child expected in a class, as far as its versions go. */
export interface ChildInClass {
  readonly id: ChildId;
  readonly ageYears: number;
  /** Slugs of the grades it has earned. */
  readonly earned: readonly string[];
  /** Null where nothing is known of the home: then it bars nothing. */
  readonly home: Home | null;
  readonly marks: readonly KnownMark[];
  /** What it has to be spared for now; left out where nothing is, or where the one who asks may not know. */
  readonly spares?: Spares;
}

/** What a child can do already, asked by movement: what was seen of it, and what its grades say. */
export interface Ability {
  readonly child: ChildInClass;
  /** How many rungs it has climbed; 0 without a grade. */
  readonly rung: number;
  readonly reaches: (prerequisite: Prerequisite) => boolean;
  /** Whether the whole movement was seen clean: the record alone says so, no grade. */
  readonly isClean: (movement: MovementSlug) => boolean;
  /** Whether a grade it has earned, or one below, asks the whole movement: then it does at least the core. */
  readonly hasEarned: (movement: MovementSlug) => boolean;
}

const rankOf = (mark: Mark): number => marks.indexOf(mark);

/**
 * A prerequisite is met by a mark on its stage or a later one, by a mark on the whole movement, or by an earned grade that asks it, or
 * one below that does (model.md): who has a belt is not asked for its past.
 */
export function abilityOf(child: ChildInClass, ladder: Syllabus | null): Ability {
  const kept = abilities.get(child);
  if (kept?.ladder === ladder) return kept.ability;
  const ability = abilityAnew(child, ladder);
  abilities.set(child, { ladder, ability });
  return ability;
}

/** A plan is reckoned anew after every key; its children stay the same ones. */
const abilities = new WeakMap<ChildInClass, { readonly ladder: Syllabus | null; readonly ability: Ability }>();

function abilityAnew(child: ChildInClass, ladder: Syllabus | null): Ability {
  const grades = ladder?.grades ?? [];
  const rung = grades.findLastIndex(({ slug }) => child.earned.includes(slug)) + 1;
  const known = new Map<MovementSlug, { readonly stage: number | null; readonly mark: Mark }[]>();
  const note = ({ movement, stage, mark }: KnownMark): void => {
    const own = known.get(movement);
    if (own) own.push({ stage, mark });
    else known.set(movement, [{ stage, mark }]);
  };
  for (const mark of child.marks) note(mark);
  for (const { requirements } of grades.slice(0, rung))
    for (const { movement, stage } of requirements) note({ movement, stage, mark: 'clean' });
  const clean = new Set(child.marks.filter(({ stage, mark }) => stage === null && mark === 'clean').map(({ movement }) => movement));
  const earned = new Set(
    grades.slice(0, rung).flatMap(({ requirements }) => requirements.flatMap(({ movement, stage }) => (stage === null ? [movement] : []))),
  );
  return {
    child,
    rung,
    isClean: (movement) => clean.has(movement),
    hasEarned: (movement) => earned.has(movement),
    reaches: ({ movement, stage, mark }) =>
      (known.get(movement) ?? []).some(
        (one) => rankOf(one.mark) >= rankOf(mark) && (one.stage === null || (stage !== undefined && one.stage >= stage)),
      ),
  };
}

/** @returns the rung of a grade on a ladder, from 1; 0 for a grade that is not on it: it bars nobody. */
export function rungOf(grade: string, ladder: Syllabus | null): number {
  return (ladder?.grades.findIndex(({ slug }) => slug === grade) ?? -1) + 1;
}
