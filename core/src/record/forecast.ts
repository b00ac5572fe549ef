import type { Grade, Requirement } from '../syllabus/syllabus.js';
import { chanceOf, seedOf, type Chance } from '../values/chance.js';
import { addDays } from '../values/day.js';
import type { ChildId, Day, MovementSlug, RequirementId } from '../values/unit.js';
import { judge, type SideStanding, type Standing, type StandingName } from './standing.js';
import type { ChildOnLadder } from './verdict.js';

/** All that a forecast of one child rests on. */
export interface ChildToForecast {
  readonly id: ChildId;
  readonly grade: Grade;
  readonly standings: readonly Standing[];
  readonly child: ChildOnLadder;
  /** Days of the classes it came to in this grade, and how many its group had since. */
  readonly attended: readonly Day[];
  readonly held: number;
  /** Which of the movements that are asked rest on which others of them. */
  readonly restsOn?: ReadonlyMap<MovementSlug, readonly MovementSlug[]>;
}

/**
 * What the children of a club are like together: how often a look shows what is asked, beside `practised` summed over the same looks; how many looks
 * at what is open they get, in so many classes.
 */
export interface Progress {
  readonly shown: number;
  readonly practice: number;
  readonly looks: number;
  readonly classes: number;
}

export type Forecast =
  /** Between these days in eight of ten cases, half of them by the middle. */
  | {
      readonly kind: 'span';
      readonly from: Day;
      readonly middle: Day;
      readonly to: Day;
      /** What is met last most often; null where weeks, classes or age of the grade are. */
      readonly hangsOn: RequirementId | null;
    }
  /** Not within so many classes as are looked at. */
  | { readonly kind: 'far' }
  /** Too little was seen of it, or it came too rarely, for any date. */
  | { readonly kind: 'too-little' };

export const forecastSettings = {
  /** A club of which nothing is known: of ten looks at what was practised in `practiceUnit` classes four show it; a look in every class. */
  prior: { shown: 4, practice: 10, looks: 10, classes: 10 },
  /** What the club as a whole is worth beside a group of it. */
  clubPractice: 20,
  clubClasses: 20,
  /** A look shows what is asked by a chance that grows with the classes in which it was practised, by this power of them. */
  practiceUnit: 20,
  practicePower: 0.8,
  /** However well it is mastered, a look does not always show it; and what is open is not looked at in every class. */
  mostShown: 0.9,
  mostLooked: 0.35,
  /** How like children, and what is asked of one, are to one another: shapes of Gammas of mean 1. */
  childShape: 10,
  sideShape: 5.5,
  /** How much likelier a look shows it, by where the side stands. */
  byStanding: { unseen: 1, 'not-yet': 0.75, 'with-help': 1, shown: 1.15, met: 1, fading: 1 } satisfies Record<StandingName, number>,
  /** Before so many classes and looks no date is said. */
  leastClasses: 3,
  leastLooks: 4,
  runs: 200,
  /** The span leaves out so much at each end. */
  tail: 0.1,
} as const;

/** A side of a requirement: what looks at it in this grade showed while it was open. */
interface SideWork {
  readonly requirement: Requirement;
  readonly name: StandingName;
  readonly looks: number;
  readonly shown: number;
  /** `practised` of the classes before each look, summed. */
  readonly practice: number;
  /** Times that it still has to be shown; 0 where it is met. */
  readonly left: number;
}

/** How much likelier a look shows what is asked after so many classes; 1 after `practiceUnit` of them. */
const practised = (classes: number): number => (Math.max(1, classes) / forecastSettings.practiceUnit) ** forecastSettings.practicePower;

function workOf({ requirement }: Standing, side: SideStanding, { child, attended }: Pick<ChildToForecast, 'child' | 'attended'>): SideWork {
  const { criterion } = requirement;
  const inGrade = side.evidence.filter(({ seenOn }) => seenOn > child.inGradeSince).toReversed();
  // once it is met there is nothing to learn from more of it
  const met = inGrade.filter((one) => judge(one, criterion) === 'meets').slice(0, criterion.times);
  const last = met.length >= criterion.times ? (met.at(-1)?.seenOn ?? '') : '9999';
  const looks = inGrade.filter(({ seenOn }) => seenOn <= last);
  const isDone = side.name === 'met' || side.name === 'fading';
  return {
    requirement,
    name: side.name,
    looks: looks.length,
    shown: met.length,
    practice: looks.reduce((sum, { seenOn }) => sum + practised(attended.filter((day) => day <= seenOn).length), 0),
    left: isDone ? 0 : Math.max(1, criterion.times - side.times, criterion.days - side.days),
  };
}

const worksOf = (one: ChildToForecast): readonly SideWork[] =>
  one.standings.flatMap((standing) => standing.sides.map((side) => workOf(standing, side, one)));

/** How children get on together: of a group, or of all the club. */
export function progressOf(children: readonly ChildToForecast[]): Progress {
  const works = children.flatMap(worksOf);
  return {
    shown: works.reduce((sum, { shown }) => sum + shown, 0),
    practice: works.reduce((sum, { practice }) => sum + practice, 0),
    looks: works.reduce((sum, { looks }) => sum + looks, 0),
    classes: children.reduce((sum, { attended }) => sum + attended.length, 0),
  };
}

/** How a group gets on, shrunk towards that of all children of the club: theirs is worth as much as some weeks of it. */
export function groupProgress(group: Progress, club: Progress): Progress {
  const { clubPractice, clubClasses } = forecastSettings;
  const part = (of: number, counted: number, most: number): number => (counted > 0 ? (of / counted) * Math.min(most, counted) : 0);
  return {
    shown: group.shown + part(club.shown, club.practice, clubPractice),
    practice: group.practice + Math.min(club.practice, clubPractice),
    looks: group.looks + part(club.looks, club.classes, clubClasses),
    classes: group.classes + Math.min(club.classes, clubClasses),
  };
}

/**
 * When a child will likely have earned its next grade. A look shows what is asked by a chance that grows with practice and follows from the pace of all
 * children, of this child and of this side so far, each shrunk towards the one before (Gamma-Poisson, the usual conjugate pair); looks are shared
 * among what is open; a side waits for what it rests on; weeks, classes and age of the grade are waited for as well. Played class by class so often,
 * with a seed of the child's own: the same record has the same forecast.
 * @param progress of all children; what the club does not tell is filled in with `forecastSettings.prior`
 * @param coming days of classes to come, in order
 */
export function forecastOf(one: ChildToForecast, progress: Progress, coming: readonly Day[], today: Day): Forecast {
  const { grade, child, attended, held } = one;
  const works = worksOf(one);
  const looks = works.reduce((sum, work) => sum + work.looks, 0);
  const { prior, childShape, sideShape, byStanding, runs, tail, leastClasses, leastLooks, mostShown, mostLooked } = forecastSettings;
  if (attended.length < leastClasses || looks < leastLooks || one.standings.length === 0) return { kind: 'too-little' };
  const rate = (prior.shown + progress.shown) / (prior.practice + progress.practice);
  const looksAClass = (prior.looks + progress.looks) / (prior.classes + progress.classes);
  const ownLooks = (looksAClass * prior.classes + looks) / (prior.classes + attended.length);
  const open = works.filter(({ left }) => left > 0);
  const rests = open.map(({ requirement, name }) =>
    name === 'unseen' ? (one.restsOn?.get(requirement.movement) ?? []).flatMap((slug) => indexesOf(open, slug)) : [],
  );
  const [shown, expected] = [
    works.reduce((sum, work) => sum + work.shown, 0),
    works.reduce((sum, { practice }) => sum + rate * practice, 0),
  ];
  const chance = chanceOf(seedOf('forecast', one.id, grade.slug));
  const asked = timeAsked(grade, child);
  const last = new Map<RequirementId | null, number>();
  const ends: number[] = [];
  // what is the same in every run is found once: a board asks thirty such forecasts at a time
  const practiceOf = Float64Array.from({ length: attended.length + coming.length + 1 }, (_, came) => practised(came));
  const begins = open.map(({ name }) => byStanding[name]);
  const shapes = open.map((work) => sideShape + work.shown);
  const paces = new Float64Array(open.length);
  const left = new Int32Array(open.length);
  const needs = open.map((work) => work.left);
  // the weeks and the age are there from this class on; before the first class they may be there today
  const askedFrom = today >= asked ? -1 : firstFrom(coming, asked);
  const cameFrom = attended.length + grade.leastClasses - child.classesSince;
  let beyond = 0;
  for (let run = 0; run < runs; run += 1) {
    const ownPace = gamma(childShape + shown, chance) / (childShape + expected);
    const cameShare = beta(4 + attended.length, 1 + Math.max(0, held - attended.length), chance);
    for (const [side, { practice }] of open.entries())
      paces[side] = (rate * ownPace * (begins[side] ?? 1) * gamma(shapes[side] ?? 1, chance)) / (sideShape + rate * ownPace * practice);
    left.set(needs);
    let [came, isOpen, at, hangs] = [attended.length, left.length, -1, null as RequirementId | null];
    while (at < coming.length && (isOpen > 0 || came < cameFrom || at < askedFrom)) {
      at += 1;
      if (isOpen === 0) hangs = null;
      if (chance() >= cameShare) continue;
      came += 1;
      const looked = Math.min(mostLooked, ownLooks / Math.max(1, isOpen));
      const practice = practiceOf[came] ?? 0;
      for (let side = 0; side < left.length; side += 1) {
        const before = left[side] ?? 0;
        if (before === 0 || waits(rests[side] ?? [], left, needs)) continue;
        if (chance() >= looked * Math.min(mostShown, (paces[side] ?? 0) * practice)) continue;
        left[side] = before - 1;
        if (before === 1) {
          isOpen -= 1;
          hangs = open[side]?.requirement.id ?? null;
        }
      }
    }
    // whatever the other runs bring: the late end of the span lies beyond what is looked at
    if (at >= coming.length && (beyond += 1) >= runs - indexOf(1 - tail)) return { kind: 'far' };
    ends.push(at);
    last.set(hangs, (last.get(hangs) ?? 0) + 1);
  }
  const sorted = ends.toSorted((a, b) => a - b);
  const dayAt = (share: number): Day | null => {
    const at = sorted[indexOf(share)] ?? coming.length;
    if (at >= coming.length) return null;
    return at < 0 ? today : (coming[at] ?? today);
  };
  const [from, middle, to] = [dayAt(tail), dayAt(0.5), dayAt(1 - tail)];
  if (from === null || middle === null || to === null) return { kind: 'far' };
  const [hangsOn] = [...last.entries()].toSorted((a, b) => b[1] - a[1])[0] ?? [null];
  return { kind: 'span', from, middle, to, hangsOn };
}

/** Which of the runs in order stands for a share of them. */
function indexOf(share: number): number {
  const { runs } = forecastSettings;
  return Math.min(runs - 1, Math.floor(share * runs));
}

/** Whether one of what it rests on was not shown once yet. */
function waits(rests: readonly number[], left: Int32Array, needs: readonly number[]): boolean {
  for (const other of rests) if (left[other] === needs[other]) return true;
  return false;
}

/** The index of the first day from a day on; of days without end where none comes so late. */
function firstFrom(days: readonly Day[], from: Day): number {
  const found = days.findIndex((day) => day >= from);
  return found < 0 ? Infinity : found;
}

/** The first day on which the weeks in the grade and the age that it asks for are there. */
function timeAsked(grade: Grade, { inGradeSince, birthDate }: ChildOnLadder): Day {
  const byWeeks = addDays(inGradeSince, grade.leastWeeksInGrade * 7);
  const byAge = `${String(Number(birthDate.slice(0, 4)) + grade.leastAgeYears).padStart(4, '0')}${birthDate.slice(4)}`;
  return byWeeks > byAge ? byWeeks : byAge;
}

const indexesOf = (open: readonly SideWork[], slug: MovementSlug): readonly number[] =>
  open.flatMap(({ requirement }, index) => (requirement.movement === slug ? [index] : []));

/** A Gamma of a shape of at least 1 and scale 1 (Marsaglia and Tsang, A Simple Method for Generating Gamma Variables, 2000). */
function gamma(shape: number, chance: Chance): number {
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normal(chance);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(1 - chance()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}

function beta(a: number, b: number, chance: Chance): number {
  const [x, y] = [gamma(a, chance), gamma(b, chance)];
  return x / (x + y);
}

/** A standard normal (Box and Muller). */
const normal = (chance: Chance): number => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
