import { describe, expect, it } from 'vitest';
import type { Grade } from '../syllabus/syllabus.js';
import { anObservation, aRequirement } from '../testing/makers.js';
import { calibrationOf } from '../testing/simulated-cohort.js';
import { addDays } from '../values/day.js';
import { forecastOf, progressOf, type ChildToForecast, type Forecast } from './forecast.js';
import type { Observation } from './observation.js';
import { standingOf } from './standing.js';

const today = '2026-11-20';
const since = '2026-08-28';
const coming = Array.from({ length: 104 }, (_, week) => addDays(today, (week + 1) * 7));
const weeksAgo = (weeks: number): string => addDays(today, -7 * weeks);
const requirements = [
  aRequirement({}, { id: 'roll', movement: 'roll' }),
  aRequirement({ sides: 'both' }, { id: 'wheel', movement: 'wheel' }),
  aRequirement({}, { id: 'bridge', movement: 'bridge' }),
];
const grade: Grade = {
  id: 'g',
  slug: 'g',
  name: 'Second',
  requirements,
  leastWeeksInGrade: 0,
  leastClasses: 0,
  leastAgeYears: 4,
  isPutAway: false,
};
const seen = (movement: string, weeks: number, said: Partial<Observation> = {}): Observation =>
  anObservation({ movement, seenOn: weeksAgo(weeks), ...said });
/** Twice shown alone, on the sides that are asked. */
const met = (movement: string): readonly Observation[] =>
  (movement === 'wheel' ? (['left', 'right'] as const) : (['none'] as const)).flatMap((side) =>
    [4, 3].map((weeks) => seen(movement, weeks, { side })),
  );
const all = [...met('roll'), ...met('wheel'), ...met('bridge')];

function asked(observations: readonly Observation[], said: Partial<ChildToForecast> = {}): ChildToForecast {
  const own = said.grade ?? grade;
  return {
    id: 'noor',
    grade: own,
    standings: own.requirements.map((requirement) => standingOf(requirement, observations, { today, leadSide: 'right' })),
    child: { birthDate: '2018-03-02', leadSide: 'right', inGradeSince: since, classesSince: 11 },
    attended: Array.from({ length: 11 }, (_, index) => weeksAgo(11 - index)),
    held: 12,
    ...said,
  };
}
const noProgress = progressOf([]);
const forecast = (one: ChildToForecast): Forecast => forecastOf(one, noProgress, coming, today);
const span = (one: ChildToForecast): Extract<Forecast, { kind: 'span' }> => {
  const found = forecast(one);
  if (found.kind !== 'span') throw new Error(found.kind);
  return found;
};

describe('when a grade will likely be earned', () => {
  it('is a span with its middle in it, the same for the same record, and names what it hangs on', () => {
    const observations = [...met('roll'), ...met('bridge'), seen('wheel', 2, { side: 'left', mark: 'with-help' })];
    const found = span(asked(observations));
    expect(found.from <= found.middle && found.middle <= found.to && found.from > today).toBe(true);
    expect(found.hangsOn).toBe('wheel');
    expect(forecast(asked(observations))).toEqual(found);
  });

  it('comes nearer with every time that something is shown, and later for who is away', () => {
    const some = [...met('roll'), seen('bridge', 3, { mark: 'not-yet' }), seen('wheel', 2, { side: 'left', mark: 'not-yet' })];
    const more = [...met('roll'), ...met('bridge'), seen('wheel', 2, { side: 'left' }), seen('wheel', 1, { side: 'right' })];
    expect(span(asked(more)).middle < span(asked(some)).middle).toBe(true);
    const rare = { attended: [8, 5, 2].map(weeksAgo), child: { ...asked([]).child, classesSince: 3 } };
    expect(span(asked(more, rare)).middle > span(asked(more)).middle).toBe(true);
  });

  it('waits for the weeks, the classes and the age of the grade, and then hangs on nothing that is shown', () => {
    const weeks = span(asked(all, { grade: { ...grade, leastWeeksInGrade: 20 } }));
    expect([weeks.from >= addDays(since, 140), weeks.from <= addDays(since, 147), weeks.hangsOn]).toEqual([true, true, null]);
    const classes = span(asked(all, { grade: { ...grade, leastClasses: 15 } }));
    expect([classes.from >= addDays(today, 28), classes.hangsOn]).toEqual([true, null]);
    const age = span(asked(all, { grade: { ...grade, leastAgeYears: 9 } }));
    expect([age.from >= '2027-03-02', age.from <= '2027-03-09']).toEqual([true, true]);
    expect(span(asked(all)).from).toBe(today);
  });

  it('is not said of whom too little was seen, nor where two years are not enough', () => {
    expect(forecast(asked([]))).toEqual({ kind: 'too-little' });
    expect(forecast(asked(all, { attended: [weeksAgo(1)] }))).toEqual({ kind: 'too-little' });
    expect(forecast(asked(all, { grade: { ...grade, leastAgeYears: 14 } }))).toEqual({ kind: 'far' });
  });

  it('lets what rests on another wait for it', () => {
    const observations = [...met('roll'), ...[5, 4, 3, 2].map((weeks) => seen('bridge', weeks, { mark: 'not-yet' }))];
    const alone = span(asked(observations));
    const resting = span(asked(observations, { restsOn: new Map([['wheel', ['bridge']]]) }));
    expect(resting.middle > alone.middle).toBe(true);
  });

  it('leans on the pace of the others', () => {
    const own = asked([...met('roll'), seen('bridge', 3, { mark: 'with-help' }), seen('wheel', 2, { side: 'left', mark: 'with-help' })]);
    const quick = progressOf(Array.from({ length: 12 }, () => asked(all)));
    const slow = progressOf(
      Array.from({ length: 12 }, () => asked([6, 5, 4, 3, 2].flatMap((weeks) => [seen('roll', weeks, { mark: 'not-yet' })]))),
    );
    const [by, bySlow] = [forecastOf(own, quick, coming, today), forecastOf(own, slow, coming, today)];
    expect(by.kind).toBe('span');
    expect(bySlow.kind === 'far' || (bySlow.kind === 'span' && by.kind === 'span' && bySlow.middle > by.middle)).toBe(true);
  });

  it('holds the truth in about eight of ten cases, and is off by a quarter less than the pace so far, of children who learn by another law', () => {
    const found = calibrationOf(Array.from({ length: 12 }, (_, index) => 500 + index));
    expect(found.named).toBeGreaterThan(300);
    expect(found.inside).toBeGreaterThanOrEqual(0.75);
    expect(found.inside).toBeLessThanOrEqual(0.85);
    expect(found.medianOffDays).toBeLessThanOrEqual(0.75 * found.naiveMedianOffDays);
    expect(found.meanOffDays).toBeLessThanOrEqual(0.75 * found.naiveMeanOffDays);
  });
});
