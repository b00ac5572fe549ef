import type { MovementResponse } from '@leiter/contract';
import type { Movement } from '@leiter/core';
import { aMovement } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { countsOf, filtered, filterGroups, ownGroup } from './library-filters';

const entry = (movement: Movement, said: Partial<MovementResponse> = {}): MovementResponse => ({
  ...movement,
  isOwn: false,
  isPutAway: false,
  ownCue: null,
  ...said,
});
const movements = [
  aMovement('squat', { effort: 2, prepares: ['hips'], sections: ['strength'], leastAge: 4 }),
  aMovement('roll', { effort: 3, level: 'floor', sections: ['skill'], leastAge: 6, loads: [{ region: 'neck', amount: 2 }] }),
  aMovement('wall-sit', { effort: 2, sections: ['strength'], needs: { ...aMovement('x').needs, wall: true } }),
].map((movement) => entry(movement));
const slugs = (chosen: Readonly<Record<string, string>>) => filtered(movements, chosen).map(({ slug }) => slug);
const group = (id: string) => {
  const found = filterGroups.find((one) => one.id === id);
  if (!found) throw new Error(`no filter ${id}`);
  return found;
};

describe('filtering the library', () => {
  it.each([
    [{ section: 'strength' }, ['squat', 'wall-sit']],
    [{ section: 'strength', needs: 'nothing' }, ['squat']],
    [{ needs: 'thing' }, ['wall-sit']],
    [{ level: 'floor' }, ['roll']],
    [{ age: '5' }, ['squat', 'wall-sit']],
    [{ readies: 'hips' }, ['squat']],
    [{ loads: 'neck' }, ['roll']],
    [{ effort: '3' }, ['roll']],
    [{}, ['squat', 'roll', 'wall-sit']],
  ])('by %j leaves %j', (chosen, left) => {
    expect(slugs(chosen)).toEqual(left);
  });

  it('shows what is put away only to who asks for it', () => {
    const all = [...movements, entry(aMovement('old'), { isPutAway: true, isOwn: true })];
    expect(filtered(all, {}).map(({ slug }) => slug)).not.toContain('old');
    expect(filtered(all, { own: 'away' }).map(({ slug }) => slug)).toEqual(['old']);
    expect(countsOf(ownGroup, all, {}).get('away')).toBe(1);
  });

  it('counts what each answer would leave, the other answers kept and its own question open', () => {
    const counts = countsOf(group('effort'), movements, { section: 'strength', effort: '3' });
    expect(counts.get('2')).toBe(2);
    expect(counts.get('3')).toBe(0);
  });
});
