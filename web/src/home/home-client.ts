import { t } from '@lingui/core/macro';
import type { HomePageResponse, Problem } from '@leiter/contract';
import Dexie, { type Table } from 'dexie';

/** Why the page is not there: the link is good no more, or too many were tried from here. */
export class HomeRefused extends Error {
  constructor(
    readonly status: number,
    words: string,
  ) {
    super(words);
  }
}

/** Something a family did that has to arrive; sent again it is the same. */
export interface HomeWrite {
  readonly id?: number;
  readonly link: string;
  readonly method: 'PUT' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

class HomeStore extends Dexie {
  declare readonly pages: Table<{ readonly link: string; readonly page: HomePageResponse }, string>;
  declare readonly writes: Table<HomeWrite, number>;

  constructor() {
    super('leiter-home');
    this.version(1).stores({ pages: 'link', writes: '++id, link' });
  }
}

const store = new HomeStore();

async function send(link: string, method: string, path: string, body?: unknown): Promise<Response> {
  return fetch(`/api/${path}`, {
    method,
    credentials: 'omit',
    headers: { authorization: `Bearer ${link}`, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
}

async function refusal(answer: Response): Promise<HomeRefused> {
  const problem = (await answer.json().catch(() => null)) as Problem | null; // the server's errors are problem documents
  return new HomeRefused(answer.status, problem?.errors?.[0]?.message ?? problem?.detail ?? t`This did not work.`);
}

/** What was shown the last time, for a phone without a connection; null where nothing was. */
export async function keptPage(link: string): Promise<HomePageResponse | null> {
  return (await store.pages.get(link).catch(() => undefined))?.page ?? null;
}

/** The page as it is now; kept for when there is no connection. @throws HomeRefused where the link opens nothing: then nothing is kept of it */
export async function freshPage(link: string): Promise<HomePageResponse> {
  const answer = await send(link, 'GET', 'home');
  if (!answer.ok) {
    if (answer.status === 404) {
      await store.pages.delete(link).catch(() => undefined);
      await store.writes
        .where({ link })
        .delete()
        .catch(() => undefined);
    }
    throw await refusal(answer);
  }
  const page = (await answer.json()) as HomePageResponse; // what the contract promises for the path
  await store.pages.put({ link, page }).catch(() => undefined);
  return page;
}

/** Keeps what was done here first, then sends it, and whatever waits. @returns how many still wait */
export async function tellHome(write: HomeWrite): Promise<number> {
  await store.writes.add(write);
  return sendWaiting(write.link);
}

let sending: Promise<number> | null = null;

/**
 * Sends what waits, in the order in which it was done. What the server does not take is dropped, and told.
 * @returns how many still wait @throws HomeRefused with the words of the server
 */
export function sendWaiting(link: string): Promise<number> {
  sending ??= sendAll(link).finally(() => (sending = null));
  return sending;
}

async function sendAll(link: string): Promise<number> {
  for (const write of await store.writes.where({ link }).sortBy('id')) {
    let answer: Response;
    try {
      answer = await send(link, write.method, write.path, write.body);
    } catch {
      break;
    }
    if (answer.status === 429 || answer.status >= 500) break;
    if (write.id !== undefined) await store.writes.delete(write.id);
    if (!answer.ok) throw await refusal(answer);
  }
  return store.writes.where({ link }).count();
}

/** Opens a certificate: it is asked for with the link, which stands in no address. */
export async function certificate(link: string, gradeId: string): Promise<Blob> {
  const answer = await send(link, 'GET', `home/certificates/${gradeId}`);
  if (!answer.ok) throw await refusal(answer);
  return answer.blob();
}
