import type { ChildLogEntry, ChildRecordResponse } from '@leiter/contract';
import { currentObservations, type Measure } from '@leiter/core';
import { DateTime } from 'luxon';

const soft = '#5A6468';
type Block = object | string;

const dayWords = (day: string): string => DateTime.fromISO(day, { locale: 'en-GB' }).toFormat('d LLL yyyy');
const heading = (text: string): Block => ({ text, font: 'heading', bold: true, fontSize: 13, margin: [0, 14, 0, 4] });
const none = (text: string): Block => ({ text, color: soft });
const table = (widths: readonly (number | string)[], rows: readonly (readonly string[])[]): Block => ({
  table: { headerRows: 0, widths, body: rows, dontBreakRows: true },
  layout: 'ruled',
});

function logWords({ kind, detail }: ChildLogEntry): string {
  switch (kind) {
    case 'joined-group':
      return `Came into ${detail['group'] ?? 'a group'}`;
    case 'left-group':
      return `Left ${detail['group'] ?? 'a group'}`;
    case 'group-taught-by':
      return `${detail['group'] ?? 'Its group'} is taught by ${detail['person'] ?? 'nobody yet'}`;
    case 'health-written':
      return 'Health notes were changed';
    case 'health-seen':
      return 'Health notes were looked at';
    case 'record-handed-out':
      return 'The whole record was handed out';
    case 'clip-sent':
      return 'The family sent a clip';
    case 'clip-seen':
      return 'A clip was looked at';
    case 'clip-erased':
      return `A clip was erased: ${detail['why'] ?? ''}`;
    case 'grade-given':
      return `${detail['grade'] ?? 'A grade'} was given without all marks: ${detail['reason'] ?? ''}`;
    case 'grade-taken-back':
      return `${detail['grade'] ?? 'A grade'} was taken back: ${detail['reason'] ?? ''}`;
  }
}

function measureWords({ seconds, reps, correct, of }: Measure): string {
  return [
    ...(seconds === undefined ? [] : [`${String(seconds)} s`]),
    ...(reps === undefined ? [] : [`${String(reps)} times`]),
    ...(correct === undefined || of === undefined ? [] : [`${String(correct)} of ${String(of)}`]),
  ].join(', ');
}

const attendanceWords = { present: 'there', late: 'late', absent: 'away', watched: 'watched the recording' } as const;

/** Everything that is kept of a child, to be read by its family: one document of pdfmake. @param nameOf of a movement by its slug */
export function recordDocument(record: ChildRecordResponse, clubName: string, today: string, nameOf: (slug: string) => string): object {
  const { child, contacts, healthNotes, enrolments, ladders, observations, attendance, log, practice, consents, letters, gradings } =
    record;
  const name = `${child.givenName} ${child.familyInitial}`;
  const { household } = child;
  const grades = ladders.flatMap(({ syllabus, earned }) =>
    earned.map(({ grade, awardedOn }) => [dayWords(awardedOn), grade.name, syllabus.programmeName]),
  );
  const marks = currentObservations(observations)
    .toReversed()
    .map(({ seenOn, movement, side, mark, measure, faults, note }) => [
      dayWords(seenOn),
      `${nameOf(movement)}${side === 'none' ? '' : `, ${side}`}`,
      [mark.replace('-', ' '), measureWords(measure)].filter((part) => part !== '').join(', '),
      [...faults.map((fault) => fault.replaceAll('-', ' ')), note].filter((part) => part !== '').join('; '),
    ]);
  const content: readonly Block[] = [
    { text: name, font: 'heading', bold: true, fontSize: 24 },
    { text: `Everything that ${clubName} keeps of this child, as of ${dayWords(today)}`, color: soft, margin: [0, 2, 0, 0] },
    heading('About'),
    table(
      [110, '*'],
      [
        ['Born', dayWords(child.birthDate)],
        ['Leads with', `the ${child.leadSide}`],
        ...enrolments.map(({ groupName, fromDay, toDay }) => [
          groupName,
          `from ${dayWords(fromDay)}${toDay === null ? '' : ` to ${dayWords(toDay)}`}`,
        ]),
      ],
    ),
    heading('At home'),
    child.isHomeKnown
      ? table(
          [110, '*'],
          Object.entries(household).map(([field, value]) => [fieldWords(field), valueWords(value)]),
        )
      : none('Nobody has told.'),
    heading('Whom one writes to'),
    contacts && contacts.length > 0
      ? table(
          [150, '*', 110],
          contacts.map((one) => [one.name, one.email ?? '', one.phone ?? '']),
        )
      : none('Nobody is written down.'),
    heading('Health'),
    healthNotes.length > 0
      ? table(
          ['*', 150],
          healthNotes.map(({ text, untilDay }) => [text, untilDay === null ? '' : `until ${dayWords(untilDay)}`]),
        )
      : none('Nothing is written down.'),
    heading('Grades'),
    grades.length > 0 ? table([90, '*', 150], grades) : none('None yet.'),
    heading('Classes'),
    attendance.length > 0
      ? table(
          [90, '*', 130],
          attendance.map(({ day, groupName, status }) => [dayWords(day), groupName, attendanceWords[status]]),
        )
      : none('None yet.'),
    heading('What was seen'),
    marks.length > 0 ? table([72, 150, 100, '*'], marks) : none('Nothing yet.'),
    heading('Grading days'),
    gradings.length > 0
      ? table(
          [72, 110, '*'],
          gradings.map(({ day, gradeName, decision, reason, marks: seen }) => [
            dayWords(day),
            [gradeName, decision === null ? '' : decision === 'granted' ? 'given' : 'not yet', reason]
              .filter((part) => part !== '')
              .join(', '),
            seen
              .map(
                ({ movement, side, mark, examiner }) =>
                  `${nameOf(movement)}${side === 'none' ? '' : `, ${side}`}: ${mark.replace('-', ' ')}${examiner === null ? '' : ` (${examiner})`}`,
              )
              .join('; '),
          ]),
        )
      : none('None yet.'),
    heading('Practised at home'),
    practice.length > 0
      ? table(
          [90, '*', 90],
          practice.map(({ day, movement, feeling }) => [dayWords(day), nameOf(movement), feeling]),
        )
      : none('Nothing was noted.'),
    heading('Written to the family'),
    letters.length > 0
      ? table(
          [90, 130, '*'],
          letters.map(({ writtenAt, to, subject, body }) => [dayWords(writtenAt.slice(0, 10)), to.join(', '), `${subject}\n${body}`]),
        )
      : none('Nothing was written from here.'),
    heading('What the family allows'),
    consents.length > 0
      ? table(
          [90, '*', 130],
          consents.map(({ at, kind, isGiven, by }) => [
            dayWords(at.slice(0, 10)),
            `${kind}: ${isGiven ? 'yes' : 'no'}`,
            by ?? 'by the family',
          ]),
        )
      : none('Nothing was said.'),
    heading('Who changed and read it'),
    log.length > 0
      ? table(
          [90, 120, '*'],
          log.map((entry) => [dayWords(entry.at.slice(0, 10)), entry.by ?? '', logWords(entry)]),
        )
      : none('Nothing is written down.'),
  ];
  return {
    pageSize: 'A4',
    pageMargins: [42, 42, 42, 42],
    defaultStyle: { font: 'text', fontSize: 9.5, color: '#1D2B30' },
    info: { title: `${name} – ${clubName}` },
    content,
  };
}

/** `clearLengthM` as `clear length (m)`. */
function fieldWords(field: string): string {
  const words = field.replaceAll(/([A-Z])/g, ' $1').toLowerCase();
  return words.endsWith(' m') ? `${words.slice(0, -2)} (m)` : words;
}

function valueWords(value: unknown): string {
  if (value === null || value === undefined) return '–';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length > 0 ? value.map(String).join(', ') : '–';
  if (typeof value === 'string') return value.replaceAll('-', ' ');
  return typeof value === 'number' ? String(value) : JSON.stringify(value);
}
