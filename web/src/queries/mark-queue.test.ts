// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import type { AddObservationRequest } from '@leiter/contract';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answerWith } from '../testing/makers';

const request = (movement: string): AddObservationRequest => ({
  childId: 'child',
  movement,
  stage: null,
  side: 'none',
  mark: 'alone',
  help: null,
  measure: {},
  faults: [],
  note: '',
  seenOn: '2026-03-02',
  source: 'class',
  classId: 'class',
  supersedes: null,
});

/** As after a reload of the page: a new module on the same store of the browser. */
async function reloaded() {
  vi.resetModules();
  const queue = await import('./mark-queue');
  const { noteAnswer } = await import('../shared/connection');
  return { ...queue, noteAnswer, waiting: () => queue.useMarkQueue.getState().waiting };
}

beforeEach(() => {
  indexedDB.deleteDatabase('leiter-marks');
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('marks on their way', () => {
  it('are sent by their id and told of when they have arrived', async () => {
    const sent = answerWith(({ body }) => ({ status: 200, body: { ...(body as object), id: 'm1' } }));
    const queue = await reloaded();
    const arrived: unknown[] = [];
    await queue.openMarkQueue('tomasz', (one) => arrived.push(one.id));
    await queue.giveMark('m1', request('cartwheel'));
    expect(sent).toEqual([{ method: 'PUT', path: '/api/observations/m1', body: request('cartwheel') }]);
    expect(arrived).toEqual(['m1']);
    expect(queue.waiting()).toEqual([]);
  });

  it('wait while there is no answer, over a reload too, and go out in order, each once', async () => {
    answerWith(() => 'no answer');
    const before = await reloaded();
    await before.openMarkQueue('tomasz', () => undefined);
    await before.giveMark('m1', request('cartwheel'));
    await new Promise((resolve) => setTimeout(resolve, 5));
    await before.giveMark('m2', request('bridge'));
    expect(before.waiting().map(({ id }) => id)).toEqual(['m1', 'm2']);

    const sent = answerWith(({ body }) => ({ status: 200, body }));
    const after = await reloaded();
    await after.openMarkQueue('tomasz', () => undefined);
    expect(sent.map(({ path }) => path)).toEqual(['/api/observations/m1', '/api/observations/m2']);
    await after.sendMarks();
    expect(sent).toHaveLength(2);
    const again = await reloaded();
    await again.openMarkQueue('tomasz', () => undefined);
    expect(sent).toHaveLength(2);
  });

  it('are taken while what was kept is still being read, and go out with it', async () => {
    answerWith(() => 'no answer');
    const before = await reloaded();
    await before.openMarkQueue('tomasz', () => undefined);
    await before.giveMark('m1', request('cartwheel'));
    const sent = answerWith(({ body }) => ({ status: 200, body }));
    const after = await reloaded();
    const opening = after.openMarkQueue('tomasz', () => undefined);
    const giving = after.giveMark('m2', request('bridge'));
    await Promise.all([opening, giving]);
    await after.sendMarks();
    await vi.waitFor(() => {
      expect(sent.map(({ path }) => path).toSorted()).toEqual(['/api/observations/m1', '/api/observations/m2']);
    });
    expect(after.waiting()).toEqual([]);
  });

  it('given in the moment in which the page is left go out at once, those that are kept only from the next page', async () => {
    const sent = answerWith(() => 'no answer');
    const queue = await reloaded();
    await queue.openMarkQueue('tomasz', () => undefined);
    await queue.giveMark('m1', request('cartwheel'));
    const asked = sent.length;
    const giving = queue.giveMark('m2', request('bridge'));
    window.dispatchEvent(new Event('pagehide'));
    expect(sent.slice(asked).map(({ path, body }) => [path, body])).toEqual([['/api/observations/m2', request('bridge')]]);
    await giving;
  });

  it('go out by themselves when the server answers again', async () => {
    let isAway = true;
    const sent = answerWith(({ body }) => (isAway ? 'no answer' : { status: 200, body }));
    const queue = await reloaded();
    await queue.openMarkQueue('tomasz', () => undefined);
    await queue.giveMark('m1', request('cartwheel'));
    isAway = false;
    queue.noteAnswer('there');
    await vi.waitFor(() => {
      expect(queue.waiting()).toEqual([]);
    });
    expect(sent).toHaveLength(2);
  });

  it('that the server refuses stay with the reason and hold up no other, until they are put away', async () => {
    answerWith(({ path, body }) =>
      path.endsWith('m1')
        ? { status: 422, body: { errors: [{ field: 'stage', message: 'This movement has 4 stages.' }] } }
        : { status: 200, body },
    );
    const queue = await reloaded();
    await queue.openMarkQueue('tomasz', () => undefined);
    await queue.giveMark('m1', request('cartwheel'));
    await queue.giveMark('m2', request('bridge'));
    expect(queue.waiting()).toMatchObject([{ id: 'm1', refusal: 'This movement has 4 stages.' }]);
    await queue.putAwayMark('m1');
    const after = await reloaded();
    await after.openMarkQueue('tomasz', () => undefined);
    expect(after.waiting()).toEqual([]);
  });

  it('of one person are not sent while another is signed in', async () => {
    answerWith(() => 'no answer');
    const before = await reloaded();
    await before.openMarkQueue('tomasz', () => undefined);
    await before.giveMark('m1', request('cartwheel'));
    const sent = answerWith(({ body }) => ({ status: 200, body }));
    const after = await reloaded();
    await after.openMarkQueue('runa', () => undefined);
    expect(sent).toEqual([]);
    await after.openMarkQueue('tomasz', () => undefined);
    expect(sent).toHaveLength(1);
  });
});
