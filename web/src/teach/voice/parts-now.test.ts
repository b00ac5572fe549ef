import { moved, startRun, usualVoice, utterancesOf, type Run } from '@leiter/core';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { partsNow } from './parts-now';

const dose = { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 2, restSeconds: 0 } as const;
const { items } = evaluated(
  aPlan({ drills: ['kick', 'punch'].map((id) => anItem(id, { dose, familiarity: 'new' })) }),
  aLibrary(...['kick', 'punch'].map((slug) => aMovement(slug, { kind: 'skill' }))),
).timeline;
const lists = utterancesOf(items, usualVoice);
const t0 = 1_000_000;
const said = (run: Run | null, aside: Parameters<typeof partsNow>[0]['aside'] = null) =>
  partsNow({ run, items, lists, aside }, (wall) => (wall - t0) / 1000);
const words = (run: Run) => said(run)?.map(({ utterances }) => utterances.map(({ text }) => text));
const explaining = (items[0]?.workStartSecond ?? 0) - (items[0]?.startSecond ?? 0);

describe('what is said now', () => {
  it('is the item and the beginning of the next, each from where its own clock stands at nought', () => {
    const parts = said(startRun(t0));
    expect(parts?.map(({ zero }) => zero)).toEqual([0, items[0]?.seconds]);
    expect(parts?.[0]?.utterances.map(({ text }) => text)).toEqual(['kick', 'ready', 'one', 'two', 'three', 'four']);
  });

  it('is nothing of the work while that waits for a signal, and all of it from the signal on', () => {
    const waiting = startRun(t0, 'on-signal');
    expect(explaining).toBeGreaterThan(5);
    expect(words(waiting)).toEqual([['kick']]);
    const signal = t0 + (explaining + 30) * 1000;
    const going = moved(waiting, 'go', items, signal);
    expect(words(going)?.[0]).toContain('four');
    // the first rep is counted as long after the signal as the plan has it after the explaining
    const [first] = said(going) ?? [];
    const one = first?.utterances.find(({ text }) => text === 'one');
    expect((first?.zero ?? 0) + (one?.at ?? 0) - (signal - t0) / 1000).toBeCloseTo((one?.at ?? 0) - explaining, 6);
  });

  it('is nothing while the class is paused, before it begins and after it is over; and calls in its place', () => {
    expect(said(moved(startRun(t0), 'pause', items, t0 + 2000))).toBeNull();
    expect(said(null)).toBeNull();
    expect(said({ ...startRun(t0), itemIndex: items.length })).toBeNull();
    expect(said(startRun(t0), { utterances: [], startsAt: t0 + 3000 })).toMatchObject([{ zero: 3, utterances: [] }]);
  });
});
