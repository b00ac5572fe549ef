import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, weekdayOf } from '../values/day.js';
import { entriesBetween, isToCome, type DatedClass, type Holiday, type WeeklySlot } from './calendar.js';

const lanterns: WeeklySlot = { id: 'lanterns', weekday: 3, startsAt: '16:30', since: '2026-09-01', archived: false };
const klass = (day: string, more: Partial<DatedClass> = {}): DatedClass => ({
  groupId: 'lanterns',
  day,
  startsAt: '16:30',
  slotDay: null,
  cancelledBecause: null,
  endedAt: null,
  ...more,
});
const between = (classes: readonly DatedClass[], holidays: readonly Holiday[] = [], group = lanterns) =>
  entriesBetween({ groups: [group], classes, holidays }, '2026-11-02', '2026-11-15');

describe('entriesBetween', () => {
  it('shows every slot once: the class that is put down, or the free slot', () => {
    expect(between([klass('2026-11-04')]).map(({ day, class: session }) => [day, session !== null])).toEqual([
      ['2026-11-04', true],
      ['2026-11-11', false],
    ]);
  });

  it('shows a moved class on its new day, and where it went on the old one', () => {
    const entries = between([klass('2026-11-06', { slotDay: '2026-11-04', startsAt: '10:00' })]);
    expect(entries.map(({ day, startsAt, movedTo }) => [day, startsAt, movedTo])).toEqual([
      ['2026-11-04', '16:30', '2026-11-06'],
      ['2026-11-06', '10:00', null],
      ['2026-11-11', '16:30', null],
    ]);
    expect(entries.map(isToCome)).toEqual([false, true, true]);
  });

  it('has a class beside the slots without taking one away', () => {
    expect(between([klass('2026-11-07')]).map(({ day }) => day)).toEqual(['2026-11-04', '2026-11-07', '2026-11-11']);
  });

  it('keeps a class that is put down on a holiday, and frees the slots of it', () => {
    const holiday = { name: 'Autumn break', fromDay: '2026-11-04', toDay: '2026-11-11' };
    const entries = between([klass('2026-11-04')], [holiday]);
    expect(entries.map(({ day, holiday: on }) => [day, on?.name ?? null])).toEqual([
      ['2026-11-04', null],
      ['2026-11-11', 'Autumn break'],
    ]);
    expect(entries.map(isToCome)).toEqual([true, false]);
  });

  it('does not come where it is cancelled or over', () => {
    expect(between([klass('2026-11-04', { cancelledBecause: 'no ferry' }), klass('2026-11-11', { endedAt: 'then' })]).some(isToCome)).toBe(
      false,
    );
  });

  it('has no slots before the group began, and none once it is put away', () => {
    expect(between([], [], { ...lanterns, since: '2026-11-05' }).map(({ day }) => day)).toEqual(['2026-11-11']);
    expect(between([klass('2026-11-04')], [], { ...lanterns, archived: true }).map(({ day }) => day)).toEqual(['2026-11-04']);
  });

  it('agrees with going through the days one by one', () => {
    const day = fc.integer({ min: 0, max: 40 }).map((count) => addDays('2026-10-19', count));
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.record({ day, slotDay: fc.option(day) }), { selector: (one) => one.day, maxLength: 8 }),
        fc.array(fc.tuple(day, fc.integer({ min: 0, max: 9 })), { maxLength: 2 }),
        fc.integer({ min: 1, max: 7 }),
        (written, breaks, weekday) => {
          const classes = written.map((one) => klass(one.day, one));
          const holidays = breaks.map(([fromDay, length]) => ({ name: 'away', fromDay, toDay: addDays(fromDay, length) }));
          const entries = between(classes, holidays, { ...lanterns, weekday });
          const expected: string[] = [];
          for (let at = '2026-11-02'; at <= '2026-11-15'; at = addDays(at, 1)) {
            const own = classes.find((one) => one.day === at);
            const isAway = holidays.some(({ fromDay, toDay }) => at >= fromDay && at <= toDay);
            if (own) expected.push(`${at} class`);
            else if (weekdayOf(at) === weekday)
              expected.push(`${at} ${classes.some(({ slotDay }) => slotDay === at) ? 'moved' : isAway ? 'holiday' : 'free'}`);
          }
          const told = entries.map((one) => `${one.day} ${one.class ? 'class' : one.movedTo ? 'moved' : one.holiday ? 'holiday' : 'free'}`);
          expect(told).toEqual(expected);
        },
      ),
    );
  });
});
