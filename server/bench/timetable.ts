import { performance } from 'node:perf_hooks';
import { endOf, firstFit, type Hall, type Party, type Station } from '@leiter/core';
import { findTimetable } from '#server/work/find-timetable';

/**
 * Timetables of thirty children, one after the other, at six stations with three examiners: how long the search takes, and how long the
 * day becomes beside the same day filled in order, without searching. Prints one JSON line.
 */
const days = 20;
const stations: readonly Station[] = ['basics', 'skills', 'strength', 'combinations', 'questions', 'stretching'];
const hall: Hall = { examiners: 3, perVisit: 1, warmUpSlots: 2, last: 'stretching' };

/** The same numbers each time. */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32;
    return state / 2 ** 32;
  };
}

/** Six grades, each with its own stations of one or two steps; children in each. */
function partiesOf(seed: number): readonly Party[] {
  const next = chance(seed);
  const grades = Array.from({ length: 6 }, (_, grade) => ({
    gradeId: `grade ${String(grade)}`,
    visits: stations.filter((_station, index) => index < 2 || next() < 0.75).map((station) => ({ station, slots: next() < 0.7 ? 1 : 2 })),
  }));
  return Array.from({ length: 30 }, (_, index) => {
    const grade = grades[Math.floor(next() * grades.length)] ?? { gradeId: '', visits: [] };
    return { id: index + 1, children: 1, ...grade };
  });
}

const found: { readonly ms: number; readonly end: number; readonly without: number; readonly least: number; readonly isBest: boolean }[] =
  [];
for (let day = 1; day <= days; day += 1) {
  const parties = partiesOf(day);
  const before = performance.now();
  const { timetable, noneBefore, isBest } = await findTimetable({ parties, hall, milliseconds: 1800 });
  found.push({
    ms: performance.now() - before,
    end: endOf(timetable),
    without: endOf(firstFit(parties, hall)),
    least: noneBefore,
    isBest: isBest || endOf(timetable) === noneBefore,
  });
}
const mean = (of: (one: (typeof found)[number]) => number): number => found.reduce((sum, one) => sum + of(one), 0) / found.length;
const times = found.map(({ ms }) => ms).toSorted((a, b) => a - b);
console.log(
  JSON.stringify({
    table: 'timetable',
    days,
    best: found.filter(({ isBest }) => isBest).length,
    least: mean(({ least }) => least),
    end: mean(({ end }) => end),
    without: mean(({ without }) => without),
    medianMs: times[Math.floor(times.length / 2)],
    worstMs: times.at(-1),
  }),
);
process.exit(0);
