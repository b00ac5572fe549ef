import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshOrKept, keptAnswers, keptFirst, keptHeader, readsOfAClass } from '../../offline/kept';

/** The caches of a browser, as far as they are used. */
function browserCaches() {
  const all = new Map<string, Map<string, Response>>();
  const open = (name: string) => {
    const kept = all.get(name) ?? new Map<string, Response>();
    all.set(name, kept);
    return {
      match: (url: string) => Promise.resolve(kept.get(url)?.clone()),
      put: (url: string, answer: Response) => Promise.resolve(kept.set(url, answer)),
      delete: (url: string) => Promise.resolve(kept.delete(url)),
    };
  };
  return { open: (name: string) => Promise.resolve(open(name)), delete: (name: string) => Promise.resolve(all.delete(name)), all };
}

let caches: ReturnType<typeof browserCaches>;
let answer: () => Response;
const url = 'http://leiter.test/api/classes/c';
const get = (kind = freshOrKept): Promise<Response> => kind(new Request(url));
const of = (status: number, text: string, date = new Date()): Response =>
  new Response(text, { status, headers: { date: date.toUTCString() } });

beforeEach(() => {
  caches = browserCaches();
  vi.stubGlobal('caches', caches);
  vi.stubGlobal('fetch', () => Promise.resolve().then(() => answer()));
});
afterEach(() => {
  vi.unstubAllGlobals();
});
const gone = (): never => {
  throw new TypeError('Failed to fetch');
};

describe('an answer that is kept', () => {
  it('is given where there is none, or a server that broke, and says so; never in place of a new one', async () => {
    answer = () => of(200, 'first');
    await get();
    for (const without of [gone, () => of(503, 'away')]) {
      answer = without;
      const kept = await get();
      expect([kept.status, await kept.text(), kept.headers.get(keptHeader)]).toEqual([200, 'first', 'yes']);
    }
    answer = () => of(200, 'second');
    const fresh = await get();
    expect([await fresh.text(), fresh.headers.get(keptHeader)]).toEqual(['second', null]);
    answer = () => of(404, 'no such class');
    expect((await get()).status).toBe(404);
  });

  it('is forgotten with all others when nobody is signed in any more, and after four days', async () => {
    answer = () => of(200, 'first');
    await get();
    answer = () => of(401, 'who?');
    expect((await get()).status).toBe(401);
    expect(caches.all.has(keptAnswers)).toBe(false);
    answer = () => of(200, 'old', new Date(Date.now() - 4.1 * 86_400_000));
    await get();
    answer = gone;
    await expect(get()).rejects.toThrow('Failed to fetch');
  });

  it('of a word of the voice is asked for once', async () => {
    const asked = vi.fn(() => of(200, 'sound'));
    answer = asked;
    await get(keptFirst);
    answer = gone;
    expect(await (await get(keptFirst)).text()).toBe('sound');
    expect(asked).toHaveBeenCalledOnce();
  });

  it('is one of those that a class needs, and no other', () => {
    const path = (rest: string): boolean => readsOfAClass.test(`/api/${rest}`);
    expect(['session', 'library', 'classes/4f-2', 'classes/4f-2/taught', 'groups/4f/board', 'today'].every(path)).toBe(true);
    expect(
      ['children', 'children/4f', 'children/4f/health-notes', 'people', 'events', 'classes/4f/stage/events', 'session/room'].some(path),
    ).toBe(false);
  });
});
