import type { GradingChild, GradingPageResponse, GradeResponse, GradingTimetable } from '@leiter/contract';
import { sidesAsked, stationOf, type Library, type Station } from '@leiter/core';
import { DateTime } from 'luxon';

const soft = '#5A6468';
type Block = object | string;

const stationWords: Readonly<Record<Station, string>> = {
  basics: 'Basics',
  skills: 'Skills',
  strength: 'Strength',
  combinations: 'Combinations',
  questions: 'Answers',
  stretching: 'Stretch',
};
const dayWords = (day: string): string => DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('cccc d LLLL yyyy');
const heading = (text: string): Block => ({ text, font: 'heading', bold: true, fontSize: 15, margin: [0, 0, 0, 6] });

/** The time of day so many minutes after the day began. */
const clock = (startsAt: string, minutes: number): string =>
  DateTime.fromFormat(startsAt, 'HH:mm', { zone: 'utc' }).plus({ minutes }).toFormat('HH:mm');

/** The timetable, and for every party a sheet with a place for each mark; without a timetable a sheet for every grade. */
export function sheetsDocument(
  { grading, children, grades, timetable, people }: GradingPageResponse,
  clubName: string,
  library: Library,
): object {
  const entered = children.filter(({ entry }) => entry !== null);
  const nameOf = new Map(people.map(({ id, name }) => [id, name]));
  const groups = timetable
    ? timetable.parties.map((party) => ({
        title: `Party ${String(party.id)} · ${clock(grading.startsAt, party.from)} to ${clock(grading.startsAt, party.to)}`,
        gradeId: party.gradeId,
        own: entered.filter(({ entry }) => entry?.party === party.id),
      }))
    : grades.map((grade) => ({ title: 'Mark sheet', gradeId: grade.id, own: entered.filter(({ gradeId }) => gradeId === grade.id) }));
  const sheets = groups.flatMap(({ title, gradeId, own }, index) => {
    const grade = grades.find(({ id }) => id === gradeId);
    return grade && own.length > 0 ? [sheetOf(title, grade, own, library, { isFirst: index === 0 && !timetable })] : [];
  });
  return {
    pageSize: 'A4',
    pageMargins: [40, 44, 40, 44],
    defaultStyle: { font: 'text', fontSize: 10, color: '#1D2B30' },
    info: { title: `Grading day – ${clubName}` },
    content: [
      ...(timetable
        ? [
            heading(`Grading day · ${dayWords(grading.day)}`),
            { text: clubName, color: soft, margin: [0, -4, 0, 10] },
            timesOf(grading.startsAt, timetable, entered, grades, nameOf),
          ]
        : []),
      ...sheets.flat(),
    ],
  };
}

function timesOf(
  startsAt: string,
  timetable: GradingTimetable,
  entered: readonly GradingChild[],
  grades: readonly GradeResponse[],
  nameOf: ReadonlyMap<string, string>,
): Block {
  const rows = timetable.parties.map((party): readonly Block[] => {
    const own = timetable.visits.filter((visit) => visit.party === party.id);
    return [
      clock(startsAt, party.warmUpFrom),
      {
        stack: [
          {
            text: entered
              .filter(({ entry }) => entry?.party === party.id)
              .map(({ name }) => name)
              .join(', '),
            bold: true,
          },
          { text: grades.find(({ id }) => id === party.gradeId)?.name ?? '', color: soft },
        ],
      },
      {
        stack: own.map(
          ({ station, from, to, examinerIds }) =>
            `${clock(startsAt, from)}–${clock(startsAt, to)} ${stationWords[station]}: ${examinerIds.map((id) => nameOf.get(id) ?? '').join(', ')}`,
        ),
      },
    ];
  });
  return {
    table: {
      headerRows: 1,
      widths: [60, 160, '*'],
      body: [['Warm-up', 'Children', 'Stations and who looks'], ...rows],
      dontBreakRows: true,
    },
    layout: 'ruled',
  };
}

function sheetOf(
  title: string,
  grade: GradeResponse,
  own: readonly GradingChild[],
  library: Library,
  { isFirst }: { readonly isFirst: boolean },
): readonly Block[] {
  const rows = grade.requirements.map(({ movement, stage, criterion }): readonly Block[] => {
    const entry = library.get(movement);
    const part = stage === null ? undefined : entry?.stages[stage - 1];
    return [
      {
        stack: [
          { text: entry?.name ?? movement, bold: true },
          ...(part ? [{ text: part.see, color: soft, fontSize: 9 }] : []),
          { text: stationWords[stationOf({ requirement: { criterion }, kind: entry?.kind ?? 'skill' })], color: soft, fontSize: 9 },
        ],
      },
      ...own.map((child) => ({
        stack: sidesAsked(criterion, child.leadSide).map((side) => `${side === null ? '' : `${side}: `}1  2  3  4${measureOf(criterion)}`),
        alignment: 'center',
      })),
    ];
  });
  return [
    { ...(heading(title) as object), ...(isFirst ? {} : { pageBreak: 'before' }) },
    { text: `${grade.name} · 1 not yet, 2 with help, 3 alone, 4 clean`, color: soft, margin: [0, -4, 0, 8] },
    {
      table: {
        headerRows: 1,
        widths: ['*', ...own.map(() => (own.length > 2 ? 92 : 120))],
        body: [['', ...own.map(({ name }) => ({ text: name, bold: true, alignment: 'center' }))], ...rows],
        dontBreakRows: true,
      },
      layout: 'ruled',
    },
    { text: 'Examiner: ______________________', margin: [0, 18, 0, 0] },
  ];
}

function measureOf({ leastSeconds, leastReps, leastCorrect }: GradeResponse['requirements'][number]['criterion']): string {
  if (leastSeconds !== undefined) return `  ___ of ${String(leastSeconds)} s`;
  if (leastReps !== undefined) return `  ___ of ${String(leastReps)}`;
  return leastCorrect ? `  ___ of ${String(leastCorrect.of)}` : '';
}
