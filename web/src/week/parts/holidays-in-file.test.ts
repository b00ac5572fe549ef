import { describe, expect, it } from 'vitest';
import { holidaysInFile } from './holidays-in-file';

const file = (...events: readonly (readonly string[])[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Farholm//school//EN',
    ...events.flatMap((lines, index) => [
      'BEGIN:VEVENT',
      `UID:${String(index)}@farholm`,
      'DTSTAMP:20260901T000000Z',
      ...lines,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
    '',
  ].join('\r\n');
const today = '2026-12-01';

describe('the days off in a calendar file', () => {
  it('are its whole-day events that are not over, in order, the last day as people say it', () => {
    const text = file(
      ['DTSTART;VALUE=DATE:20270329', 'DTEND;VALUE=DATE:20270410', 'SUMMARY:Spring break'],
      ['DTSTART;VALUE=DATE:20261221', 'DTEND;VALUE=DATE:20270104', 'SUMMARY:Winter break\\, both', '  weeks'],
      ['DTSTART;VALUE=DATE:20261009', 'DTEND;VALUE=DATE:20261012', 'SUMMARY:Autumn break'],
      ['DTSTART;VALUE=DATE:20270215', 'SUMMARY:Inset day'],
      ['DTSTART:20270301T180000Z', 'DTEND:20270301T190000Z', 'SUMMARY:Parents evening'],
      ['DTSTART;VALUE=DATE:20270220', 'SUMMARY:Regatta', 'STATUS:CANCELLED'],
      ['SUMMARY:Without a day'],
      ['DTSTART;VALUE=DATE:20270221'],
    );
    expect(holidaysInFile(text, today)).toEqual([
      { name: 'Winter break, both weeks', fromDay: '2026-12-21', toDay: '2027-01-03' },
      { name: 'Inset day', fromDay: '2027-02-15', toDay: '2027-02-15' },
      { name: 'Spring break', fromDay: '2027-03-29', toDay: '2027-04-09' },
    ]);
  });

  it('come back every year as long as classes are planned, and are never endless', () => {
    const yearly = file(['DTSTART;VALUE=DATE:20190506', 'DTEND;VALUE=DATE:20190507', 'RRULE:FREQ=YEARLY', 'SUMMARY:Harbour day']);
    expect(holidaysInFile(yearly, today).map(({ fromDay }) => fromDay)).toEqual(['2027-05-06', '2028-05-06']);
    const daily = file(['DTSTART;VALUE=DATE:19700101', 'RRULE:FREQ=DAILY', 'SUMMARY:Every day']);
    expect(holidaysInFile(daily, today).length).toBeLessThanOrEqual(200);
    const many = file(
      ...Array.from({ length: 300 }, (_, index) => ['DTSTART;VALUE=DATE:19700101', 'RRULE:FREQ=DAILY', `SUMMARY:${String(index)}`]),
    );
    expect(holidaysInFile(many, today).length).toBeLessThanOrEqual(200);
    const long = file(['DTSTART;VALUE=DATE:20270101', 'DTEND;VALUE=DATE:20271231', 'SUMMARY:For ever']);
    expect(holidaysInFile(long, today)).toEqual([]);
  });

  it('are none of what is no calendar: said, not guessed', () => {
    for (const text of ['', 'name;from;to', '{"a":1}', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n'])
      expect(() => holidaysInFile(text, today)).toThrow();
    expect(holidaysInFile(file(), today)).toEqual([]);
  });
});
