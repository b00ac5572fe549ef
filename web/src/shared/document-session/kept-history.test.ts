// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { anItem, aPlan } from '@leiter/core/testing';
import { describe, expect, it, vi } from 'vitest';
import { edit } from '../../plan/editing/plan-edits';
import { planKind } from '../../plan/editing/plan-kind';
import { makeDocumentStore } from './document-store';
import { forgetHistories, historyOf, historyOn, isSame, keepHistory } from './kept-history';

const plan = aPlan({ drills: [anItem('a'), anItem('b')] });
const day = (text: string) => () => new Date(`${text}T12:00:00Z`);
const ids = (one: { sections: readonly { items: readonly { id: string }[] }[] } | undefined) =>
  one?.sections.flatMap(({ items }) => items.map(({ id }) => id)).join();
const kept = (id: string) => historyOf(planKind, id, day('2026-11-25')());

describe('the history of a plan', () => {
  it('is there after a reload: every step back, and what was taken back', async () => {
    const store = makeDocumentStore(plan);
    keepHistory(planKind, 'one', store, day('2026-11-25'));
    edit(store, [{ kind: 'remove', item: 'a' }]);
    edit(store, [{ kind: 'remove', item: 'b' }]);
    store.temporal.getState().undo();
    await vi.waitFor(async () => {
      expect(ids((await kept('one'))?.future[0])).toBe('');
    });
    const history = await kept('one');
    expect([history?.past.map(ids), ids(history?.content)]).toEqual([['a,b'], 'b']);

    const again = makeDocumentStore(store.getState().content, historyOn(store.getState().content, history));
    again.temporal.getState().redo();
    expect(ids(again.getState().content)).toBe('');
    again.temporal.getState().undo(2);
    expect(ids(again.getState().content)).toBe('a,b');
  });

  it('forgets what was taken back once something else is done', async () => {
    const store = makeDocumentStore(plan);
    keepHistory(planKind, 'two', store, day('2026-11-25'));
    for (const item of ['a', 'b']) edit(store, [{ kind: 'remove', item }]);
    store.temporal.getState().undo(2);
    edit(store, [{ kind: 'remove', item: 'b' }]);
    await vi.waitFor(async () => {
      expect(ids((await kept('two'))?.content)).toBe('a');
    });
    expect((await kept('two'))?.future).toEqual([]);
  });

  it('has one more step where somebody else changed the plan meanwhile', () => {
    const other = aPlan({ drills: [anItem('c')] });
    const history = { past: [aPlan({})], content: plan, future: [other] };
    expect(historyOn(other, history)).toEqual({ past: [aPlan({}), plan], future: [] });
    expect(historyOn(structuredClone(plan), history)).toBe(history);
    expect(historyOn(plan, null)).toEqual({ past: [], future: [] });
  });

  it('is dropped when nobody touched it for three months', async () => {
    keepHistory(planKind, 'old', makeDocumentStore(plan), day('2026-08-20'));
    await vi.waitFor(async () => {
      expect(await historyOf(planKind, 'old', day('2026-08-21')())).not.toBeNull();
    });
    expect(await kept('old')).toBeNull();
  });

  it('knows a plan again whose fields come in another order', () => {
    const { sections, focus } = plan;
    expect(isSame(plan, { focus, sections })).toBe(true);
    expect(isSame(plan, { ...plan, focus: ['a'] })).toBe(false);
  });

  it('is forgotten by who signs out', async () => {
    keepHistory(planKind, 'three', makeDocumentStore(plan), day('2026-11-25'));
    await vi.waitFor(async () => {
      expect(await kept('three')).not.toBeNull();
    });
    await forgetHistories();
    expect(await kept('three')).toBeNull();
  });
});
