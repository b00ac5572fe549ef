// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answerWith } from '../testing/makers';

/** As after a reload of the page: a new module on the same store of the browser. */
async function reloaded() {
  vi.resetModules();
  const outbox = await import('./class-outbox');
  const { noteAnswer } = await import('../shared/connection');
  return { ...outbox, noteAnswer, state: () => outbox.useClassOutbox.getState() };
}

const there = (childId: string) => ({ kind: 'attendance', classId: 'c', childId, status: 'present' }) as const;
const ended = { kind: 'class', classId: 'c', request: { teaching: 'ended', at: '2026-03-02T17:00:00Z' } } as const;

beforeEach(() => {
  indexedDB.deleteDatabase('leiter-outbox');
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('what is to be stored of a class', () => {
  it('waits without an answer, over a reload too, and goes out in the order in which it was given, once', async () => {
    answerWith(() => 'no answer');
    const before = await reloaded();
    await before.openClassOutbox('tomasz', () => undefined);
    await before.writeOfClass(there('kaia'));
    await before.writeOfClass(ended);
    await before.writeOfClass({ ...there('kaia'), status: null });
    expect(before.state().waiting).toHaveLength(3);

    const sent = answerWith(() => ({ status: 204 }));
    const stored: string[] = [];
    const after = await reloaded();
    await after.openClassOutbox('tomasz', ({ kind }) => stored.push(kind));
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'PUT /api/classes/c/attendance/kaia',
      'PATCH /api/classes/c',
      'DELETE /api/classes/c/attendance/kaia',
    ]);
    expect(sent[1]?.body).toEqual(ended.request);
    expect(stored).toEqual(['attendance', 'class', 'attendance']);
    expect(after.state().waiting).toEqual([]);
    const again = await reloaded();
    await again.openClassOutbox('tomasz', () => undefined);
    expect(sent).toHaveLength(3);
  });

  it('is there at once, before the browser has stored it, and stays until the server has it', async () => {
    answerWith(() => 'no answer');
    const outbox = await reloaded();
    await outbox.openClassOutbox('tomasz', () => undefined);
    const first = outbox.writeOfClass(there('kaia'));
    expect(outbox.state().waiting).toEqual([there('kaia')]);
    const second = outbox.writeOfClass(there('noor'));
    expect(outbox.state().waiting).toEqual([there('kaia'), there('noor')]);
    // never fewer, whatever is stored or sent meanwhile
    const counts: number[] = [];
    const stop = outbox.useClassOutbox.subscribe(({ waiting }) => counts.push(waiting.length));
    await Promise.all([first, second]);
    stop();
    expect(Math.min(2, ...counts)).toBe(2);
    expect(outbox.state().waiting).toEqual([there('kaia'), there('noor')]);
  });

  it('goes out by itself when the server answers again', async () => {
    let isAway = true;
    const sent = answerWith(() => (isAway ? 'no answer' : { status: 204 }));
    const outbox = await reloaded();
    await outbox.openClassOutbox('tomasz', () => undefined);
    await outbox.writeOfClass(there('kaia'));
    isAway = false;
    outbox.noteAnswer('there');
    await vi.waitFor(() => {
      expect(outbox.state().waiting).toEqual([]);
    });
    expect(sent).toHaveLength(2);
  });

  it('is said and put away where it is refused, and holds up nothing; a session that ended is waited for', async () => {
    let status = 401;
    answerWith(({ path }) =>
      path.endsWith('gone') ? { status: 404, body: { title: 'There is no such child.' } } : { status, body: { title: 'Sign in' } },
    );
    const outbox = await reloaded();
    const settled: unknown[] = [];
    await outbox.openClassOutbox('tomasz', (write) => settled.push(write));
    await outbox.writeOfClass(there('gone'));
    // what the page shows as done is read anew
    expect(settled).toEqual([there('gone')]);
    await outbox.writeOfClass(there('kaia'));
    expect(outbox.state().refusals).toEqual(['There is no such child.']);
    expect(outbox.state().waiting).toHaveLength(1);
    status = 200;
    await outbox.openClassOutbox('tomasz', () => undefined);
    expect(outbox.state().waiting).toEqual([]);
  });

  it('of one person is not sent while another is signed in', async () => {
    answerWith(() => 'no answer');
    const before = await reloaded();
    await before.openClassOutbox('tomasz', () => undefined);
    await before.writeOfClass(there('kaia'));
    const sent = answerWith(() => ({ status: 204 }));
    const after = await reloaded();
    await after.openClassOutbox('runa', () => undefined);
    expect(sent).toEqual([]);
    await after.openClassOutbox('tomasz', () => undefined);
    expect(sent).toHaveLength(1);
  });
});
