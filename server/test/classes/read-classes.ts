import {
  ageBandOf,
  defaultTimingSettings,
  itemOf,
  meanAge,
  plainPace,
  readTeaching,
  sectionKinds,
  taughtAs,
  usualRules,
  type ChildInClass,
  type ClassPlan,
  type EvaluationContext,
  type Item,
  type Library,
  type MovementSlug,
  type Section,
  type Syllabus,
} from '@leiter/core';
import { demoLists } from '../../src/demo/demo-lists.js';
import { shippedSyllabuses } from '../../src/library/shipped-content.js';

/** A class with whom it is for. */
export interface WholeClass {
  readonly name: string;
  readonly plan: ClassPlan;
  readonly context: EvaluationContext;
}

const ladders: ReadonlyMap<string, Syllabus> = new Map(
  shippedSyllabuses().map(({ programme, grades }) => [
    programme,
    {
      programme,
      version: 1,
      grades: grades.map((grade) => ({
        ...grade,
        id: grade.slug,
        isPutAway: false,
        requirements: grade.requirements.map(({ movement, stage }, nth) => ({
          id: `${grade.slug}-${String(nth)}`,
          movement,
          stage: stage ?? null,
          criterion: { leastMark: 'alone', sides: 'none', faults: [], times: 1, days: 1, withinWeeks: 26 },
        })),
      })),
    } satisfies Syllabus,
  ]),
);
const homes = Object.values(demoLists().homes).map(({ about: _about, ...home }) => home);

/** Reads classes from their lines; a word that nothing knows is an error of the file. */
export function readClasses(text: string, library: Library): readonly WholeClass[] {
  return text
    .split(/^= /m)
    .slice(1)
    .map((block) => {
      const [head = '', ...lines] = block.trim().split('\n');
      const [name = '', programme = '', minutes = '', ages = '', grade = '', style] = head.split(' | ');
      const agesYears = ages.replace('ages ', '').split(' ').map(Number);
      const band = ageBandOf(meanAge(agesYears));
      const plan: ClassPlan = { focus: [], sections: lines.map((line, index) => sectionOf(line, index, library, band)) };
      const slugs = plan.sections.flatMap(({ items }) => items.map(({ movement }) => movement));
      const earned = grade.startsWith('first ') ? [] : [grade.replace('grade ', '')];
      // the colleague plans what these children can: what it rests on stands
      const marks = [...restsOn(slugs, library)].map((movement) => ({ movement, stage: null, mark: 'alone' as const }));
      const children = agesYears.map((ageYears, index): ChildInClass => ({
        id: `child-${String(index)}`,
        ageYears,
        earned,
        marks,
        home: homes[index % homes.length] ?? null,
      }));
      const isFresh = new Set(plan.sections.flatMap(({ items }) => items.flatMap((item) => (item.familiarity ? [item.movement] : []))));
      return {
        name,
        plan,
        context: {
          settings: defaultTimingSettings,
          exposures: new Map(
            [...library.keys()]
              .filter((slug) => !isFresh.has(slug))
              .map((slug) => [slug, { shareInLastTwoClasses: 0, shareInLastEightWeeks: 1 }]),
          ),
          pace: plainPace,
          style: style === 'along' ? 'along' : 'as-it-comes',
          agesYears,
          programme,
          slotMinutes: Number(minutes.replace(' min', '')),
          stretchingSchool: shippedSyllabuses().find((one) => one.programme === programme)?.stretchingSchool ?? 'early-static',
          children,
          ladder: ladders.get(programme) ?? null,
          startsAt: '16:30',
          room: { surface: 'mat', clearLengthM: 4, clearWidthM: 3, cameraDistanceM: 3.4, cameraHeightM: 1.1, viewAngleDegrees: 78 },
          rules: usualRules,
        },
      };
    });
}

function sectionOf(line: string, index: number, library: Library, band: ReturnType<typeof ageBandOf>): Section {
  const [word = '', rest = ''] = line.split(': ');
  const kind = sectionKinds.find((one) => one === word);
  if (!kind) throw new Error(`There is no section “${word}”.`);
  const items = rest.split('; ').map((written, nth): Item => ({ id: `${kind}-${String(nth)}`, ...itemOfLine(written, library, band) }));
  return { id: `section-${String(index)}`, kind, items };
}

function itemOfLine(written: string, library: Library, band: ReturnType<typeof ageBandOf>): Omit<Item, 'id'> {
  const [slug = '', ...words] = written.split(' ');
  const movement = library.get(slug);
  if (!movement) throw new Error(`There is no movement “${slug}”.`);
  const item = itemOf(movement, band);
  const side = (['left', 'right', 'lead', 'alternating'] as const).find((one) => words.includes(one));
  const isNew = words.includes('new');
  const dose = words.filter((word) => word !== side && word !== 'new').join(' ');
  const read = readTeaching(dose, item);
  if (!read) throw new Error(`“${dose}” of “${slug}” is no dose.`);
  return {
    ...taughtAs({ ...item, dose: read.dose }, read.teaching),
    ...(side ? { sides: side } : {}),
    ...(isNew ? { familiarity: 'new' as const } : {}),
  };
}

/** What movements rest on, and what that rests on. */
function restsOn(slugs: readonly MovementSlug[], library: Library): ReadonlySet<MovementSlug> {
  const found = new Set<MovementSlug>();
  const open = [...slugs];
  for (let slug = open.pop(); slug !== undefined; slug = open.pop())
    for (const { movement } of library.get(slug)?.prerequisites ?? [])
      if (!found.has(movement)) {
        found.add(movement);
        open.push(movement);
      }
  return found;
}
