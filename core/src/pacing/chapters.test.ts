import { describe, expect, it } from 'vitest';
import { chaptersAsList, chaptersAsVtt, chaptersOf, type Titled } from './chapters.js';

const titles: Readonly<Record<string, Titled>> = {
  jog: { title: 'Jog' },
  a: { title: 'Plank', circuit: 'c' },
  b: { title: 'Squat', circuit: 'c' },
  kick: { title: 'Kick <low & slow>' },
};
const titleOf = (item: string): Titled | undefined => titles[item];
const visit = (item: string, beginsSecond: number, seconds: number) => ({ item, beginsSecond, seconds });
const visits = [
  visit('jog', 0, 64.5),
  visit('kick', 64.5, 2), // gone past
  visit('a', 66.5, 30),
  visit('b', 96.5, 30),
  visit('a', 126.5, 30),
  visit('kick', 156.5, 60),
  visit('kick', 216.5, 3600), // begun again
  visit('unknown', 3816.5, 10),
];

describe('chapters of a recording', () => {
  it('are what was done: a circuit in one, what was gone past nowhere, what was begun again once', () => {
    expect(chaptersOf(visits, titleOf, 0)).toEqual([
      { beginsSecond: 0, endsSecond: 66.5, title: 'Jog' },
      { beginsSecond: 66.5, endsSecond: 156.5, title: 'Plank, Squat' },
      { beginsSecond: 156.5, endsSecond: 3826.5, title: 'Kick <low & slow>' },
    ]);
  });

  it('begin where the recording began, before the class or in the middle of it', () => {
    expect(chaptersOf(visits, titleOf, -90).map(({ beginsSecond }) => beginsSecond)).toEqual([90, 156.5, 246.5]);
    expect(chaptersOf(visits, titleOf, 100)).toEqual([
      { beginsSecond: 0, endsSecond: 56.5, title: 'Squat, Plank' },
      { beginsSecond: 56.5, endsSecond: 3726.5, title: 'Kick <low & slow>' },
    ]);
    expect(chaptersOf(visits, titleOf, 5000)).toEqual([]);
  });

  it('are written as WebVTT and as a list', () => {
    const chapters = chaptersOf(visits, titleOf, -3600);
    expect(chaptersAsVtt(chapters).split('\n')).toEqual([
      'WEBVTT',
      '',
      '1',
      '01:00:00.000 --> 01:01:06.500',
      'Jog',
      '',
      '2',
      '01:01:06.500 --> 01:02:36.500',
      'Plank, Squat',
      '',
      '3',
      '01:02:36.500 --> 02:03:46.500',
      'Kick &lt;low &amp; slow&gt;',
      '',
    ]);
    expect(chaptersAsList(chapters)).toBe('1:00:00 Jog\n1:01:06 Plank, Squat\n1:02:36 Kick <low & slow>');
    expect(chaptersAsList(chaptersOf(visits, titleOf, 0))).toContain('1:06 Plank');
  });
});
