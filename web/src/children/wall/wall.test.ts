import type { BoardRow, ChildResponse, GroupResponse, SyllabusResponse } from '@leiter/contract';
import { describe, expect, it } from 'vitest';
import { standingOf, wallOf, type WallFilter, type WallOrder } from './wall';

const today = '2026-11-26';
const group = { id: 'g', name: 'Kittiwakes', programme: 'gymnastics', archived: false } as GroupResponse;
const grades = ['overhand', 'reef', 'clove'].map((slug) => ({ id: `new ${slug}`, slug, name: slug, isPutAway: false }));
const ladder = { programme: 'gymnastics', grades } as unknown as SyllabusResponse;
const child = (givenName: string, more: Partial<ChildResponse> = {}): ChildResponse =>
  ({
    id: givenName,
    givenName,
    familyInitial: 'B.',
    archived: false,
    groupIds: ['g'],
    grades: [],
    isHomeKnown: true,
    ...more,
  }) as ChildResponse;
const row = (childId: string, more: Partial<BoardRow>): BoardRow =>
  ({ childId, nextGradeName: 'reef', metCount: 0, isEarned: false, lastSeenOn: today, cells: [{}, {}, {}, {}], ...more }) as BoardRow;

const children = [
  child('Zoë', { grades: [{ programme: 'gymnastics', gradeId: 'old overhand', gradeName: 'overhand' }] }),
  child('Änne'),
  child('Łucja', { isHomeKnown: false }),
  child('Noor', { groupIds: [] }),
  child('Gone', { archived: true }),
];
const rows = [row('Zoë', { metCount: 4, isEarned: true }), row('Änne', { metCount: 2 }), row('Łucja', { lastSeenOn: '2026-11-05' })];
const standing = standingOf({ children, groups: [group], boards: [{ group, columns: [], rows }], ladders: [ladder], today });
const wall = (filter: WallFilter = 'everybody', order: WallOrder = 'name', text = '', showsArchived = false) =>
  wallOf(standing, { text, filter, order, showsArchived }).map((place) => [
    place.group?.name ?? 'none',
    place.members.map(({ child: { givenName } }) => givenName),
  ]);

describe('the wall', () => {
  it('stands by group, in the order of the alphabet as one says it, those in no group last', () => {
    expect(wall()).toEqual([
      ['Kittiwakes', ['Änne', 'Łucja', 'Zoë']],
      ['none', ['Noor']],
    ]);
  });

  it.each<[WallFilter, string[]]>([
    ['earned', ['Zoë']],
    ['close', ['Änne']],
    ['unseen', ['Łucja']],
    ['home', ['Łucja']],
  ])('shows who is %s', (filter, names) => {
    expect(wall(filter)).toEqual([['Kittiwakes', names]]);
  });

  it('finds a name without its marks, and somebody archived only where asked', () => {
    expect(wall('everybody', 'name', 'lucja')).toEqual([['Kittiwakes', ['Łucja']]]);
    expect(wall('everybody', 'name', 'ANNE')).toEqual([['Kittiwakes', ['Änne']]]);
    expect(wall('everybody', 'name', 'gone')).toEqual([]);
    expect(wall('everybody', 'name', 'gone', true)).toEqual([['Kittiwakes', ['Gone']]]);
  });

  it('stands by grade, the highest first, and then by how much of the next is met', () => {
    expect(wall('everybody', 'grade')[0]).toEqual(['Kittiwakes', ['Zoë', 'Änne', 'Łucja']]);
    expect(wall('everybody', 'seen')[0]).toEqual(['Kittiwakes', ['Łucja', 'Änne', 'Zoë']]);
  });

  it('knows the rung of a grade of an earlier version of the ladder by its name', () => {
    const [place] = wallOf(standingOf({ children, groups: [group], boards: [], ladders: [ladder], today }), {
      text: 'zoe',
      filter: 'everybody',
      order: 'name',
      showsArchived: false,
    });
    expect(place?.members[0]).toMatchObject({ climbed: 1, rungs: 3, grade: 'overhand' });
  });
});
