import type { Observation } from '../record/observation.js';
import { forecastOf, progressOf, type ChildToForecast } from '../record/forecast.js';
import { standingOf, type Standing } from '../record/standing.js';
import { verdictOn, type ChildOnLadder } from '../record/verdict.js';
import type { Grade, Requirement } from '../syllabus/syllabus.js';
import { chanceOf, type Chance } from '../values/chance.js';
import { addDays, daysBetween } from '../values/day.js';
import type { Day } from '../values/unit.js';
import { anObservation, aRequirement } from './makers.js';

const began = '2024-09-02';
const weeks = 110;
const taughtEach = 4;
const looksEach = 12;

const requirements: readonly Requirement[] = Array.from({ length: 7 }, (_, index) =>
  aRequirement(
    { sides: index % 3 === 1 ? 'both' : 'none', withinWeeks: 52 },
    { id: `r${String(index)}`, movement: `skill-${String(index)}` },
  ),
);
const grade: Grade = {
  id: 'g',
  slug: 'g',
  name: 'G',
  requirements,
  leastWeeksInGrade: 8,
  leastClasses: 6,
  leastAgeYears: 4,
  isPutAway: false,
};

/** A child of a cohort as it was on a day, and when it really earned the grade. */
interface Held {
  readonly asked: ChildToForecast;
  readonly today: Day;
  readonly coming: readonly Day[];
  /** Null where it had not earned it when all ended. */
  readonly earnedOn: Day | null;
  readonly beganOn: Day;
}

/** How well a side of a skill is mastered over time: quick at first, then slower, with a time in which nothing moves; lost a little when away. */
interface Skill {
  level: number;
  readonly gain: number;
  readonly plateauAt: number;
  plateau: number;
}

function aSkill(talent: number, chance: Chance): Skill {
  return {
    level: -2.2 + chance() * 1.6,
    gain: talent * (0.35 + chance() * 1.1),
    plateauAt: -0.6 + chance() * 1.6,
    plateau: Math.floor(chance() * chance() * 9),
  };
}

function practise(skill: Skill, chance: Chance): void {
  if (skill.level >= skill.plateauAt && skill.plateau > 0) {
    skill.plateau -= 1;
    return;
  }
  // slower the better it is
  skill.level += skill.gain * (0.5 + chance()) * Math.max(0.12, 1 - (skill.level + 2) / 5);
}

/**
 * A group over two years, by another law than the one a forecast assumes: skills that grow along a curve with plateaus, forgetting, absence by the
 * class and by the week, a coach who looks at twelve things in a class, marks that depend on the day.
 * @returns the group after so many weeks, those who had not earned the grade yet
 */
export function simulatedCohort(seed: number, atWeeks: readonly number[]): readonly (readonly Held[])[] {
  const chance = chanceOf(seed * 7919 + 13);
  const days = Array.from({ length: weeks }, (_, week) => addDays(began, week * 7)).filter((_, week) => week % 13 !== 12);
  const children = Array.from({ length: 14 }, (_, index) => {
    const talent = 0.22 + 0.45 * chance() * (0.6 + 0.8 * chance());
    return {
      id: `child-${String(index).padStart(2, '0')}`,
      startsAt: Math.floor(chance() * 8),
      cameShare: 0.68 + chance() * 0.3,
      awayUntil: -1,
      skills: requirements.map(({ criterion }) => Array.from({ length: criterion.sides === 'both' ? 2 : 1 }, () => aSkill(talent, chance))),
      observations: [] as Observation[],
      attended: [] as Day[],
      turn: Math.floor(chance() * 20),
      earnedOn: null as Day | null,
    };
  });
  const onLadder = (child: (typeof children)[number]): ChildOnLadder => ({
    birthDate: '2015-01-01',
    leadSide: 'right',
    inGradeSince: addDays(days[child.startsAt] ?? began, -1),
    classesSince: child.attended.length,
  });
  const standings = (child: (typeof children)[number], today: Day): readonly Standing[] =>
    requirements.map((requirement) => standingOf(requirement, child.observations, { today, leadSide: 'right' }));
  const kept: Held[][] = atWeeks.map(() => []);
  days.forEach((today, nth) => {
    const taught = Array.from({ length: taughtEach }, (_, index) => (nth * 3 + index) % requirements.length);
    const here = children.filter((child) => {
      if (nth < child.startsAt) return false;
      if (chance() < 0.012) child.awayUntil = nth + 2 + Math.floor(chance() * 5);
      const isHere = nth > child.awayUntil && chance() < child.cameShare;
      child.skills.forEach((sides, at) => {
        for (const skill of sides)
          if (isHere && taught.includes(at)) practise(skill, chance);
          else skill.level -= isHere ? 0.004 : 0.03;
      });
      if (isHere) child.attended.push(today);
      return isHere;
    });
    // what is open is looked at in turn, as many times as a coach has eyes
    for (let look = 0; look < looksEach && here.length > 0; look += 1) {
      const child = here[(nth * 5 + look) % here.length];
      if (child?.earnedOn !== null) continue;
      const open = standings(child, today).flatMap(({ requirement, sides }) =>
        taught.includes(requirements.indexOf(requirement))
          ? sides.filter(({ name, newest }) => name !== 'met' && newest?.seenOn !== today).map(({ side }) => ({ requirement, side }))
          : [],
      );
      child.turn += 1;
      const chosen = open[child.turn % Math.max(1, open.length)];
      if (!chosen) continue;
      const skill = child.skills[requirements.indexOf(chosen.requirement)]?.[chosen.side === 'right' ? 1 : 0];
      const level = (skill?.level ?? -2) + (chance() - 0.5) * 0.8;
      const mark = chance() < 1 / (1 + Math.exp(-3 * level)) ? 'alone' : level > -0.9 ? 'with-help' : 'not-yet';
      child.observations.push(
        anObservation({ childId: child.id, movement: chosen.requirement.movement, side: chosen.side ?? 'none', mark, seenOn: today }),
      );
    }
    for (const child of here)
      if (child.earnedOn === null && verdictOn(grade, child.observations, onLadder(child), today).earned) child.earnedOn = today;
    atWeeks.forEach((week, index) => {
      if (daysBetween(began, today) / 7 < week || (nth > 0 && daysBetween(began, days[nth - 1] ?? began) / 7 >= week)) return;
      for (const child of children)
        if (child.earnedOn === null)
          kept[index]?.push({
            asked: {
              id: child.id,
              grade,
              standings: standings(child, today),
              child: onLadder(child),
              attended: [...child.attended],
              held: nth - child.startsAt + 1,
            },
            today,
            coming: days.slice(nth + 1),
            get earnedOn() {
              return child.earnedOn;
            },
            beganOn: onLadder(child).inGradeSince,
          });
    });
  });
  return kept;
}

/** The pace so far, for ever: times shown by the weeks it took; null where nothing was shown. */
function naiveForecast({ asked, today, beganOn }: Held): Day | null {
  const sides = asked.standings.flatMap(({ requirement, sides: own }) => own.map((side) => ({ ...side, of: requirement.criterion.times })));
  const shown = sides.reduce((sum, { times, of }) => sum + Math.min(times, of), 0);
  const left = sides.reduce((sum, { times, of }) => sum + of - Math.min(times, of), 0);
  const so = daysBetween(beganOn, today);
  return shown === 0 ? null : addDays(today, Math.round((left / shown) * so));
}

/** How forecasts did: shares of those that named a span, and how many days their middles were off, beside the pace so far. */
interface Calibration {
  readonly named: number;
  readonly inside: number;
  readonly before: number;
  readonly after: number;
  readonly far: number;
  readonly tooLittle: number;
  readonly medianOffDays: number;
  readonly naiveMedianOffDays: number;
  readonly meanOffDays: number;
  readonly naiveMeanOffDays: number;
}

/** Groups of these seeds after 14, 22 and 30 weeks: forecast by what was seen until then, held against what came. */
export function calibrationOf(seeds: readonly number[]): Calibration {
  const helds = seeds.flatMap((seed) => simulatedCohort(seed, [14, 22, 30]));
  const found = helds.flatMap((group) => {
    const progress = progressOf(group.map(({ asked }) => asked));
    return group.map((held) => ({ held, forecast: forecastOf(held.asked, progress, held.coming, held.today) }));
  });
  const spans = found.flatMap(({ held, forecast }) => (forecast.kind === 'span' ? [{ held, forecast }] : []));
  const share = (count: number): number => count / spans.length;
  const isAfter = ({ held, forecast }: (typeof spans)[number]): boolean => held.earnedOn === null || held.earnedOn > forecast.to;
  const isBefore = ({ held, forecast }: (typeof spans)[number]): boolean => held.earnedOn !== null && held.earnedOn < forecast.from;
  const off = spans.flatMap(({ held, forecast }) => {
    const naive = naiveForecast(held);
    const { earnedOn } = held;
    return naive === null || earnedOn === null
      ? []
      : [{ own: Math.abs(daysBetween(forecast.middle, earnedOn)), naive: Math.abs(daysBetween(naive, earnedOn)) }];
  });
  const middle = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);
  return {
    named: spans.length,
    inside: share(spans.filter((one) => !isAfter(one) && !isBefore(one)).length),
    before: share(spans.filter(isBefore).length),
    after: share(spans.filter(isAfter).length),
    far: found.filter(({ forecast }) => forecast.kind === 'far').length,
    tooLittle: found.filter(({ forecast }) => forecast.kind === 'too-little').length,
    medianOffDays: middle(off.map(({ own }) => own)),
    naiveMedianOffDays: middle(off.map(({ naive }) => naive)),
    meanOffDays: mean(off.map(({ own }) => own)),
    naiveMeanOffDays: mean(off.map(({ naive }) => naive)),
  };
}
