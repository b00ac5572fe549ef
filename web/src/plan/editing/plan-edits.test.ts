import type { ClassPlan } from '@leiter/core';
import { anItem, aPlan } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { makeDocumentStore } from '../../shared/document-session/document-store';
import { edit } from './plan-edits';

const plan = aPlan({ drills: [anItem('a'), anItem('b')] });
const ids = (store: ReturnType<typeof makeDocumentStore<ClassPlan>>) =>
  store.getState().content.sections.flatMap(({ items }) => items.map(({ id }) => id));

describe('a plan being written', () => {
  it('takes every edit back and does it again, as often as there were edits', () => {
    const store = makeDocumentStore(plan);
    edit(store, [{ kind: 'remove', item: 'a' }]);
    edit(store, [{ kind: 'double', item: 'b' }]);
    const end = ids(store);
    const { undo, redo } = store.temporal.getState();
    undo();
    expect(ids(store)).toEqual(['b']);
    undo();
    expect(ids(store)).toEqual(['a', 'b']);
    undo();
    expect(ids(store)).toEqual(['a', 'b']);
    redo(2);
    expect(ids(store)).toEqual(end);
  });

  it('says the id of what was added, so that it can be chosen', () => {
    const store = makeDocumentStore(plan);
    const answer = edit(store, [{ kind: 'double', item: 'a' }]);
    expect('added' in answer && ids(store).includes(answer.added ?? '')).toBe(true);
  });

  it('stays as it was when edits do not fit, and there is nothing to undo', () => {
    const store = makeDocumentStore(plan);
    const answer = edit(store, [
      { kind: 'remove', item: 'a' },
      { kind: 'remove', item: 'nobody' },
    ]);
    expect('refusal' in answer).toBe(true);
    expect(ids(store)).toEqual(['a', 'b']);
    expect(store.temporal.getState().pastStates).toHaveLength(0);
  });
});
