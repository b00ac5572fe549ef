import type { AttendanceRequest, ChangeClassRequest, GradingMarkRequest, ItemTimesRequest } from '@leiter/contract';
import Dexie, { type Table } from 'dexie';
import { create } from 'zustand';
import { api, ApiError } from '../shared/api';
import { useConnection } from '../shared/connection';

/** What is to be stored of a class, or of a grading day. Sent again it is stored once: each says how it is, not what to add. */
export type ClassWrite =
  | { readonly kind: 'class'; readonly classId: string; readonly request: Pick<ChangeClassRequest, keyof ChangeClassRequest> }
  | { readonly kind: 'item-times'; readonly classId: string; readonly request: Pick<ItemTimesRequest, keyof ItemTimesRequest> }
  | {
      readonly kind: 'attendance';
      readonly classId: string;
      readonly childId: string;
      readonly status: AttendanceRequest['status'] | null;
    }
  | {
      readonly kind: 'grading-mark';
      readonly gradingId: string;
      readonly markId: string;
      readonly request: Pick<GradingMarkRequest, keyof GradingMarkRequest>;
    };

interface Waiting {
  /** Counted up by the store: the order in which they were given. */
  readonly id?: number;
  readonly personId: string;
  readonly write: ClassWrite;
}

class OutboxStore extends Dexie {
  declare readonly writes: Table<Waiting, number>;

  constructor() {
    super('leiter-outbox');
    this.version(1).stores({ writes: '++id, personId' });
  }
}

const store = new OutboxStore();

/** What waits of the person who is signed in, and what the server did not take of it, in its words. */
export const useClassOutbox = create<{
  readonly personId: string | null;
  readonly waiting: readonly ClassWrite[];
  readonly refusals: readonly string[];
}>(() => ({ personId: null, waiting: [], refusals: [] }));

/** @param answer of the server; undefined where it refused */
type Settled = (write: ClassWrite, answer: unknown) => void;
let onSettled: Settled = () => undefined;
let sending: Promise<void> | null = null;
let again: ReturnType<typeof setTimeout> | undefined;
const againMilliseconds = 5000;

/** Begins sending what waits of a person; called at sign-in. @param settled is told of each that is stored, or refused for good */
export async function openClassOutbox(personId: string, settled: Settled): Promise<void> {
  onSettled = settled;
  useClassOutbox.setState({ personId, refusals: [] });
  await look();
  await sendClassWrites();
}

/** Keeps a write and sends it: now, or as soon as there is an answer. Over when it was sent or has to wait. @throws where neither can be */
export async function writeOfClass(write: ClassWrite): Promise<void> {
  const { personId } = useClassOutbox.getState();
  if (personId === null) return;
  // shown at once: who presses the next key means what is seen, not what was there before the browser had stored it
  coming.push(write);
  useClassOutbox.setState(({ waiting }) => ({ waiting: [...waiting, write] }));
  try {
    await store.writes.add({ personId, write });
  } catch {
    // a browser that keeps nothing: now or never
    try {
      onSettled(write, await send(write));
    } finally {
      hasCome(write);
      useClassOutbox.setState(({ waiting }) => ({ waiting: waiting.filter((one) => one !== write) }));
    }
    return;
  }
  hasCome(write);
  await look();
  await sendClassWrites();
}

export function putRefusalsAway(): void {
  useClassOutbox.setState({ refusals: [] });
}

/** Given, and not yet in the store of the browser. */
const coming: ClassWrite[] = [];

function hasCome(write: ClassWrite): void {
  coming.splice(coming.indexOf(write), 1);
}

async function look(): Promise<readonly (Waiting & { readonly id: number })[]> {
  const { personId } = useClassOutbox.getState();
  const all = personId === null ? [] : await store.writes.where({ personId }).sortBy('id');
  useClassOutbox.setState({ waiting: [...all.map(({ write }) => write), ...coming] });
  return all as (Waiting & { readonly id: number })[]; // the store has given each its number
}

function sendClassWrites(): Promise<void> {
  sending ??= sendAll().finally(() => (sending = null));
  return sending;
}

/** In the order in which they were given; stops where there is no answer. */
async function sendAll(): Promise<void> {
  for (let [next] = await look(); next; [next] = await look()) {
    const { id, write } = next;
    let answer: unknown;
    try {
      answer = await send(write);
    } catch (error) {
      if (!(error instanceof ApiError) || error.problem === null || error.isAway || error.status === 401 || error.status >= 500) {
        again ??= setTimeout(() => {
          again = undefined;
          void sendClassWrites();
        }, againMilliseconds);
        return;
      }
      // it will be refused tomorrow as well: said, and put away
      const { message } = error;
      useClassOutbox.setState(({ refusals }) => ({ refusals: [...refusals, message] }));
      await store.writes.delete(id);
      // what was shown as done is not: pages read it anew
      onSettled(write, undefined);
      continue;
    }
    await store.writes.delete(id);
    // it is shown as stored before it ceases to be shown as waiting
    onSettled(write, answer);
  }
}

function send(write: ClassWrite): Promise<unknown> {
  switch (write.kind) {
    case 'class':
      return api('PATCH', `classes/${write.classId}`, write.request);
    case 'item-times':
      return api('PUT', `classes/${write.classId}/item-times`, write.request);
    case 'attendance':
      return write.status === null
        ? api('DELETE', `classes/${write.classId}/attendance/${write.childId}`)
        : api('PUT', `classes/${write.classId}/attendance/${write.childId}`, { status: write.status });
    case 'grading-mark':
      return api('PUT', `gradings/${write.gradingId}/marks/${write.markId}`, write.request);
  }
}

useConnection.subscribe(({ state }) => {
  if (state === 'there') void sendClassWrites();
});
