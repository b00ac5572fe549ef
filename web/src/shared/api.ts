import { t } from '@lingui/core/macro';
import type { Problem } from '@leiter/contract';
import { noteAnswer } from './connection';
import { entriesOf } from './entries-of';

/** A refusal of the server, or no answer at all (status 0). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem | null,
  ) {
    super(problem?.detail ?? problem?.title ?? t`No answer`);
  }

  /** True when trying again later may help: nothing is wrong with what was sent. */
  get isAway(): boolean {
    return this.status === 0 || this.status === 502 || this.status === 503 || this.status === 504;
  }
}

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

const content = (body: unknown): Pick<RequestInit, 'body' | 'headers'> =>
  body instanceof Blob
    ? { headers: { 'content-type': 'application/octet-stream' }, body }
    : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };

/**
 * One request to the API.
 * @param body JSON; a file goes as it is
 * @param isLast of a page that is being closed: it goes out all the same, and nobody waits for the answer
 * @returns what the server answered; the type is what the contract promises for the path.
 * @throws ApiError, and nothing else.
 */
export async function api<Answer>(method: Method, path: string, body?: unknown, { isLast = false } = {}): Promise<Answer> {
  const response = await answered(method, path, body, isLast);
  return (response.status === 204 ? undefined : await response.json()) as Answer; // see above
}

/**
 * A list of thousands, read while it comes and without holding the page up.
 * @param onSome what has come so far – the list itself, which grows – and how many there will be; reading waits for what it promises
 * @returns all of them
 * @throws ApiError, and nothing else.
 */
export async function apiEntries<Entry>(
  path: string,
  onSome: (entries: readonly Entry[], count: number) => Promise<void> | undefined,
): Promise<readonly Entry[]> {
  const response = await answered('GET', path, undefined, false);
  const count = Number(response.headers.get('leiter-count') ?? '0');
  try {
    return await entriesOf<Entry>(response, (entries) => onSome(entries, count));
  } catch {
    noteAnswer('away');
    throw new ApiError(0, null);
  }
}

async function answered(method: Method, path: string, body: unknown, isLast: boolean): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api/${path}`, {
      method,
      credentials: 'same-origin',
      keepalive: isLast,
      ...(body === undefined ? {} : content(body)),
    });
  } catch {
    noteAnswer('away');
    throw new ApiError(0, null);
  }
  if (response.ok) {
    // what was kept says nothing of the server but that it did not answer
    noteAnswer(response.headers.has('x-leiter-kept') ? 'away' : 'there');
    return response;
  }
  const problem = (await response.json().catch(() => null)) as Problem | null; // the server's errors are problem documents
  const error = new ApiError(response.status, problem);
  if (error.isAway) noteAnswer('away');
  throw error;
}
