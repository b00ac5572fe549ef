import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import {
  applyEdit,
  criterionDefaults,
  defaultTimingSettings,
  evaluatePlan,
  fitToClock,
  itemOf,
  libraryOf,
  plainPace,
  readLibrary,
  verdictOn,
  usualRules,
  type ChildInClass,
  type ClassPlan,
  type EvaluationContext,
  type Grade,
  type Home,
  type Library,
  type Observation,
} from '@leiter/core';
import { Bench } from 'tinybench';

/** Measures what the Plan page waits for after every key: prints one JSON line per row. */
const content = fileURLToPath(new URL('../../../content/library/', import.meta.url));

function shippedLibrary(): Library {
  const files = readdirSync(content).map(
    (name) => JSON.parse(readFileSync(content + name, 'utf8')) as { readonly movements: readonly unknown[] },
  );
  const library = readLibrary(files.flatMap(({ movements }) => movements));
  if (!library.ok) throw new Error('the library that ships is not valid');
  return library.value;
}

/** The library that ships, again and again under other names, until there are 3,000 entries. */
function largeLibrary(): Library {
  const shipped = [...shippedLibrary().values()];
  const copies = Math.ceil(3000 / shipped.length);
  return libraryOf(
    Array.from({ length: copies }, (_, copy) =>
      shipped.map((movement) =>
        copy === 0 ? movement : { ...movement, slug: `${movement.slug}-${String(copy)}`, name: `${movement.name} ${String(copy)}` },
      ),
    ).flat(),
  );
}

const homes: readonly Home[] = [
  { surface: 'mat', clearLengthM: 4, clearWidthM: 3, things: ['mat', 'tape'], adult: 'in-the-room', partner: true, quietHours: null },
  {
    surface: 'tiles',
    clearLengthM: 1.8,
    clearWidthM: 1.4,
    things: [],
    adult: 'not-at-hand',
    partner: false,
    quietHours: { from: '13:00', to: '17:00' },
  },
  {
    surface: 'carpet',
    clearLengthM: 2.4,
    clearWidthM: 1.8,
    things: ['chair'],
    adult: 'in-the-next-room',
    partner: false,
    quietHours: null,
  },
];

/** Children of three kinds of homes, some with a grade, each with a hundred marks. */
function childrenOf(count: number, shipped: readonly string[]): readonly ChildInClass[] {
  return Array.from({ length: count }, (_, index) => ({
    id: `child ${String(index)}`,
    ageYears: 7 + (index % 3),
    earned: index % 2 === 0 ? ['grade'] : [],
    home: homes[index % homes.length] ?? null,
    marks: Array.from({ length: 100 }, (_one, nth) => ({
      movement: shipped[(nth * 3 + index) % shipped.length] ?? '',
      stage: null,
      mark: nth % 3 === 0 ? ('with-help' as const) : ('alone' as const),
    })),
  }));
}

const library = largeLibrary();

/** A plan of so many items, of everything that the library has, in three sections. */
function planOf(library: Library, items: number): ClassPlan {
  const movements = [...library.values()];
  const all = Array.from({ length: items }, (_, index) => {
    const movement = movements[(index * 7) % movements.length];
    if (!movement) throw new Error('an empty library');
    return { ...itemOf(movement, '7-9'), id: `i${String(index)}` };
  });
  const third = Math.ceil(items / 3);
  return {
    focus: [],
    sections: (['warm-up', 'drills', 'cool-down'] as const).map((kind, index) => ({
      id: kind,
      kind,
      items: all.slice(index * third, (index + 1) * third),
    })),
  };
}

function contextOf(children: number): EvaluationContext {
  return {
    settings: defaultTimingSettings,
    exposures: new Map(),
    pace: plainPace,
    style: 'as-it-comes',
    agesYears: Array.from({ length: children }, (_, index) => 7 + (index % 3)),
    programme: 'gymnastics',
    slotMinutes: 45,
    stretchingSchool: 'early-static',
    children: childrenOf(children, [...library.keys()].slice(0, 341)),
    ladder: { programme: 'gymnastics', version: 1, grades: [grade] },
    startsAt: '16:30',
    room: { clearLengthM: 3, clearWidthM: 3, cameraDistanceM: 3, cameraHeightM: 1, viewAngleDegrees: 70 },
    rules: usualRules,
  };
}

const movements = ['cartwheel', 'bridge', 'forward-roll', 'lever', 'candle', 'tuck-jump', 'half-turn-jump', 'split-slide'];
const grade: Grade = {
  id: 'grade',
  slug: 'grade',
  name: 'Grade',
  leastWeeksInGrade: 6,
  leastClasses: 5,
  leastAgeYears: 5,
  isPutAway: false,
  requirements: movements.map((movement, index) => ({
    id: movement,
    movement,
    stage: null,
    criterion: { ...criterionDefaults, leastMark: 'alone', sides: index % 2 === 0 ? 'both' : 'none', faults: [] },
  })),
};

/** Ten weeks of marks of one child: each requirement once a week, on either side. */
function observationsOf(childId: string): readonly Observation[] {
  return Array.from({ length: 10 }, (_, week) =>
    movements.map((movement, index): Observation => ({
      id: `${childId} ${String(week)} ${movement}`,
      childId,
      movement,
      stage: null,
      side: index % 2 === 0 ? (week % 2 === 0 ? 'left' : 'right') : 'none',
      mark: week < 4 ? 'with-help' : 'alone',
      help: null,
      measure: {},
      faults: [],
      note: '',
      seenOn: `2026-0${String(1 + Math.floor(week / 4))}-${String(10 + week)}`,
      recordedAt: `2026-03-01T12:00:${String(10 + week)}Z`,
      source: 'class',
      classId: null,
      supersedes: null,
    })),
  ).flat();
}

const plan45 = planOf(library, 45);
const plan90 = planOf(library, 90);
const children30 = contextOf(30);
const children60 = contextOf(60);
const plan200 = planOf(library, 200);
const children300 = contextOf(300);
const marks = Array.from({ length: 30 }, (_, index) => observationsOf(`child ${String(index)}`));
const child = { birthDate: '2018-05-05', leadSide: 'left', inGradeSince: '2025-09-01', classesSince: 20 } as const;

/** The same children in a list of its own: nothing that was found out about them before is used. */
const anew = (context: EvaluationContext): EvaluationContext => ({ ...context, children: [...context.children] });
let edited = plan45;
let edits = 0;
const first = plan45.sections[0]?.items[0]?.id ?? '';

const bench = new Bench({ time: 1500, warmupTime: 300 });
bench
  .add('evaluate: 45 items, 30 children, 3,000 movements', () => {
    evaluatePlan(plan45, library, anew(children30));
  })
  .add('the same after one more rep of one item, written for the draft and the server', () => {
    const more = applyEdit(edited, { kind: 'set-dose', item: first, dose: { kind: 'timed', seconds: 30 + (edits++ % 60) } }, () => '');
    if (more.ok) edited = more.value;
    evaluatePlan(edited, library, children30);
    // the draft in the browser, and the body of the save
    JSON.stringify({ v: 1, ...edited });
    JSON.stringify({ version: edits, content: { v: 1, ...edited } });
  })
  .add('fit to the clock: 45 items, half an hour over', () => {
    fitToClock(plan45, library, children30);
  })
  .add('evaluate: 90 items, 60 children, 3,000 movements', () => {
    evaluatePlan(plan90, library, anew(children60));
  })
  .add('evaluate: 200 items, 300 children, 3,000 movements', () => {
    evaluatePlan(plan200, library, anew(children300));
  })
  .add('verdicts: 30 children, 8 requirements, 80 marks each', () => {
    for (const observations of marks) verdictOn(grade, observations, child, '2026-04-01');
  });
await bench.run();

/** Four times the work, and an eighth on top. */
function most90(): number {
  const [small] = bench.tasks;
  return small?.result.state === 'completed' ? Math.round(small.result.latency.p50 * 4.5 * 100) / 100 : 0;
}

for (const { name, result } of bench.tasks) {
  if (result.state !== 'completed') throw new Error(`${name} did not run to its end`);
  const limit = name.startsWith('fit')
    ? 300
    : name.includes('45 items')
      ? 4
      : name.startsWith('the same')
        ? 0.8
        : name.includes('90 items')
          ? most90()
          : name.includes('200 items')
            ? 400
            : null;
  console.log(JSON.stringify({ name, medianMs: result.latency.p50, p99Ms: result.latency.p99, limit, runs: result.latency.samplesCount }));
}
