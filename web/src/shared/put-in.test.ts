import { QueryObserver } from '@tanstack/react-query';
import { afterEach, describe, expect, it } from 'vitest';
import { putIn } from './put-in';
import { queryClient } from './query-client';

/** A server that answers when it is told to, with what it had when it was asked. */
function slowServer() {
  let has: readonly string[] = [];
  const answers: (() => void)[] = [];
  return {
    store: (mark: string): void => {
      has = [...has, mark];
    },
    ask: (): Promise<readonly string[]> => {
      const then = has;
      return new Promise((resolve) => {
        answers.push(() => {
          resolve(then);
        });
      });
    },
    answer: async (): Promise<void> => {
      answers.shift()?.();
      await new Promise((resolve) => setTimeout(resolve, 0));
    },
    waiting: (): number => answers.length,
  };
}

/** A page that shows the class of today and has just been opened. */
function opened() {
  const server = slowServer();
  const end = new QueryObserver(queryClient, { queryKey: ['class', 'of today'], queryFn: server.ask }).subscribe(() => undefined);
  return { server, end };
}

afterEach(() => {
  queryClient.clear();
});

const known = () => queryClient.getQueryData<readonly string[]>(['class', 'of today']);

describe('what the server is known to have', () => {
  it('stays, when an answer from before comes after it', async () => {
    const { server, end } = opened();
    await server.answer();
    expect(known()).toEqual([]);

    void queryClient.invalidateQueries({ queryKey: ['class'] });
    server.store('Carys, clean');
    putIn<readonly string[]>(['class', 'of today'], (marks) => [...marks, 'Carys, clean']);
    await server.answer();
    expect(known()).toEqual(['Carys, clean']);
    while (server.waiting() > 0) await server.answer();
    expect(known()).toEqual(['Carys, clean']);
    end();
  });

  it('is asked for anew where the first answer is still to come', async () => {
    const { server, end } = opened();
    server.store('Aino, alone');
    putIn<readonly string[]>(['class', 'of today'], (marks) => [...marks, 'Aino, alone']);
    while (server.waiting() > 0) await server.answer();
    expect(known()).toEqual(['Aino, alone']);
    end();
  });

  it('is not asked for where nothing is on its way', async () => {
    const { server, end } = opened();
    await server.answer();
    putIn<readonly string[]>(['class', 'of today'], (marks) => [...marks, 'Aino, alone']);
    expect(server.waiting()).toBe(0);
    expect(known()).toEqual(['Aino, alone']);
    end();
  });
});
