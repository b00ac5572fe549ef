import type { AddObservationRequest, ObservationResponse } from '@leiter/contract';
import Dexie, { type Table } from 'dexie';
import { create } from 'zustand';
import { api, ApiError } from '../shared/api';
import { useConnection } from '../shared/connection';

/** A mark that was given and has not arrived at the server yet. */
export interface WaitingMark {
  readonly id: string;
  /** Who gave it: it is sent only while that person is signed in. */
  readonly personId: string;
  readonly givenAt: string;
  readonly request: AddObservationRequest;
  /** Why the server does not take it; such a mark stays until somebody has seen and copied it, and puts it away. */
  readonly refusal?: string;
}

/** Kept in the browser, so that neither a reload nor a lost connection loses a mark. */
class MarkStore extends Dexie {
  readonly marks!: Table<WaitingMark, string>;

  constructor() {
    super('leiter-marks');
    this.version(1).stores({ marks: 'id, personId, givenAt' });
  }
}

const store = new MarkStore();

interface MarkQueue {
  readonly personId: string | null;
  readonly waiting: readonly WaitingMark[];
}

export const useMarkQueue = create<MarkQueue>(() => ({ personId: null, waiting: [] }));

type Arrived = (observation: ObservationResponse) => void;
let onArrival: Arrived = () => undefined;
let isSending = false;
let again: ReturnType<typeof setTimeout> | undefined;

/** Begins sending what is waiting of a person; called at sign-in. @param arrived is told of each mark that is stored. */
export async function openMarkQueue(personId: string, arrived: Arrived): Promise<void> {
  onArrival = arrived;
  // a page may be worked on before what was kept is read: what is given meanwhile is not lost
  useMarkQueue.setState((queue) => (queue.personId === personId ? queue : { personId, waiting: [] }));
  const kept = await store.marks.where({ personId }).sortBy('givenAt');
  useMarkQueue.setState((queue) =>
    queue.personId === personId ? { waiting: [...kept, ...queue.waiting.filter(({ id }) => !kept.some((one) => one.id === id))] } : queue,
  );
  await sendMarks();
}

/** Takes a mark: first into the browser's own store, then to the server. */
export async function giveMark(id: string, request: AddObservationRequest): Promise<void> {
  const { personId, waiting } = useMarkQueue.getState();
  if (personId === null) return;
  const mark: WaitingMark = { id, personId, givenAt: new Date().toISOString(), request };
  useMarkQueue.setState({ waiting: [...waiting, mark] });
  notKeptYet.set(id, mark);
  try {
    await store.marks.put(mark);
  } finally {
    notKeptYet.delete(id);
  }
  await sendMarks();
}

/** Given a moment ago: the browser's store has not said yet that it has them. */
const notKeptYet = new Map<string, WaitingMark>();

/** A page that is left takes with it what its store had not written: that goes to the server at once. Sent again it is stored once. */
function sendNotKept(): void {
  for (const { id, request } of notKeptYet.values()) api('PUT', `observations/${id}`, request, { isLast: true }).catch(() => undefined); // nobody is there to be told
}
if (typeof window !== 'undefined') window.addEventListener('pagehide', sendNotKept);

/** Removes a mark that the server refused. */
export async function putAwayMark(id: string): Promise<void> {
  await store.marks.delete(id);
  forget(id);
}

function forget(id: string): void {
  useMarkQueue.setState((queue) => ({ waiting: queue.waiting.filter((mark) => mark.id !== id) }));
}

/** Sends in the order in which they were given, one by one; stops where there is no answer, to go on later. */
export async function sendMarks(): Promise<void> {
  if (isSending) return;
  isSending = true;
  try {
    for (let mark = nextToSend(); mark; mark = nextToSend()) if (!(await sendOne(mark))) break;
  } finally {
    isSending = false;
  }
}

function nextToSend(): WaitingMark | undefined {
  return useMarkQueue.getState().waiting.find((mark) => mark.refusal === undefined);
}

const againMilliseconds = 5000;

/** Tries again in a while, whatever else happens; once, however often it is asked. */
function sendAgainLater(): void {
  again ??= setTimeout(() => {
    again = undefined;
    void sendMarks();
  }, againMilliseconds);
}

/** What is wrong is this mark, and it will be wrong tomorrow: the server says so with one of these, and with nothing else. */
const refusals: ReadonlySet<number> = new Set([400, 403, 404, 409, 413, 422]);

/** @returns false where it has to be tried again. The id makes sending it again harmless. */
async function sendOne(mark: WaitingMark): Promise<boolean> {
  try {
    const stored = await api<ObservationResponse>('PUT', `observations/${mark.id}`, mark.request);
    await store.marks.delete(mark.id);
    onArrival(stored);
    forget(mark.id);
    return true;
  } catch (error) {
    // whatever else went wrong, the mark is kept and tried again: a server that broke is no reason to lose one
    if (!(error instanceof ApiError) || !refusals.has(error.status) || error.problem === null) {
      sendAgainLater();
      return false;
    }
    const refusal = error.problem.errors?.[0]?.message ?? error.message;
    await store.marks.put({ ...mark, refusal });
    useMarkQueue.setState((queue) => ({ waiting: queue.waiting.map((one) => (one.id === mark.id ? { ...one, refusal } : one)) }));
    return true;
  }
}

useConnection.subscribe(({ state }) => {
  if (state === 'there') void sendMarks();
});
