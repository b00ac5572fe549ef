import { t } from '@lingui/core/macro';
import type { HomePageResponse, Problem } from '@leiter/contract';
import { createStore, del, get, set, update } from 'idb-keyval';

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
  readonly link: string;
  readonly method: 'PUT' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

/** Tells the server, shows it at once, and reads the page anew. */
export type Tell = (write: Omit<HomeWrite, 'link'>, shown: (page: HomePageResponse) => HomePageResponse) => Promise<void>;

const store = createStore('leiter-home', 'kept');
const pageOf = (link: string): string => `page ${link}`;
const waitingOf = (link: string): string => `waiting ${link}`;

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

/** What home-first.js asked for before this was here; taken once, so that the next time it is asked anew. */
async function askedFirst(link: string): Promise<Response | null> {
  const asked = (window as { leiterFirst?: { readonly link: string; readonly answer: Promise<Response | null> } }).leiterFirst;
  Reflect.deleteProperty(window, 'leiterFirst');
  return asked?.link === link ? asked.answer : null;
}

/** What was shown the last time, for a phone without a connection; null where nothing was. */
export async function keptPage(link: string): Promise<HomePageResponse | null> {
  return (await get<HomePageResponse>(pageOf(link), store).catch(() => undefined)) ?? null;
}

/** The page as it is now; kept for when there is no connection. @throws HomeRefused where the link opens nothing: then nothing is kept of it */
export async function freshPage(link: string): Promise<HomePageResponse> {
  const answer = (await askedFirst(link)) ?? (await send(link, 'GET', 'home'));
  if (!answer.ok) {
    if (answer.status === 404) for (const key of [pageOf(link), waitingOf(link)]) await del(key, store).catch(() => undefined);
    throw await refusal(answer);
  }
  const page = (await answer.json()) as HomePageResponse; // what the contract promises for the path
  await set(pageOf(link), page, store).catch(() => undefined);
  return page;
}

/** Keeps what was done here first, then sends it, and whatever waits. @returns how many still wait */
export async function tellHome(write: HomeWrite): Promise<number> {
  await update<readonly HomeWrite[]>(waitingOf(write.link), (waiting = []) => [...waiting, write], store);
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
  const key = waitingOf(link);
  let refused: HomeRefused | null = null;
  for (let [first, ...others] = await waiting(key); first; [first, ...others] = await waiting(key)) {
    let answer: Response;
    try {
      answer = await send(link, first.method, first.path, first.body);
    } catch {
      return others.length + 1;
    }
    if (answer.status === 429 || answer.status >= 500) return others.length + 1;
    await update<readonly HomeWrite[]>(key, (now = []) => now.slice(1), store);
    // what was asked for before this was sent does not know of it
    Reflect.deleteProperty(window, 'leiterFirst');
    // what comes after it is sent all the same
    if (!answer.ok) refused ??= await refusal(answer);
  }
  if (refused) throw refused;
  return 0;
}

const waiting = async (key: string): Promise<readonly HomeWrite[]> => (await get<readonly HomeWrite[]>(key, store)) ?? [];

/** Opens a certificate: it is asked for with the link, which stands in no address. */
export async function certificate(link: string, gradeId: string): Promise<Blob> {
  const answer = await send(link, 'GET', `home/certificates/${gradeId}`);
  if (!answer.ok) throw await refusal(answer);
  return answer.blob();
}

/** The id of a badge that others may verify. */
export async function badgeId(link: string, gradeId: string): Promise<string> {
  const answer = await send(link, 'GET', `home/badges/${gradeId}`);
  if (!answer.ok) throw await refusal(answer);
  return ((await answer.json()) as { readonly id: string }).id;
}

/**
 * Sends a clip; too large to be kept for later, so it is sent now or not.
 * @param onProgress how much of it has gone, 0 to 1
 * @throws HomeRefused with what was said of it
 */
export function sendClip(
  link: string,
  id: string,
  { movement, stage }: { readonly movement: string; readonly stage: number | null },
  file: File,
  onProgress: (sent: number) => void,
): Promise<void> {
  const query = new URLSearchParams({ movement, ...(stage === null ? {} : { stage: String(stage) }) });
  return new Promise((resolve, reject) => {
    // fetch does not tell how much has gone
    const request = new XMLHttpRequest();
    request.open('PUT', `/api/home/clips/${id}?${query.toString()}`);
    request.setRequestHeader('authorization', `Bearer ${link}`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) => {
      if (total > 0) onProgress(loaded / total);
    };
    request.onerror = () => {
      reject(new HomeRefused(0, t`It did not arrive. With a good connection, send it once more.`));
    };
    request.onload = () => {
      if (request.status < 300) resolve();
      else {
        let problem: Problem | null = null;
        try {
          problem = JSON.parse(request.responseText) as Problem; // the server's errors are problem documents
        } catch {
          // no words of the server
        }
        reject(new HomeRefused(request.status, problem?.detail ?? t`This did not work.`));
      }
    };
    request.send(file);
  });
}

/** Makes the link of the family's calendar; one that was made before is good no more. @returns its token */
export async function makeCalendar(link: string): Promise<string> {
  const answer = await send(link, 'POST', 'home/calendar');
  if (!answer.ok) throw await refusal(answer);
  return ((await answer.json()) as { readonly token: string }).token;
}
