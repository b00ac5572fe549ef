import type { LiveEvent } from '@leiter/contract';
import { create } from 'zustand';
import { noteAnswer } from '../connection';

/** Whether the server tells this page what happens; where it does not, pages ask every few seconds. */
export const useLive = create<{ readonly isTold: boolean }>(() => ({ isTold: false }));

type Listener = (event: LiveEvent) => void;
/** What happened while nobody listened may be lost: what is shown is to be read anew. */
type Missed = () => void;

const listeners = new Set<Listener>();
const missed = new Set<Missed>();
let source: EventSource | null = null;
let retry: ReturnType<typeof setTimeout> | undefined;

export function onLiveEvent(listener: Listener): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

export function onLiveMissed(listener: Missed): () => void {
  missed.add(listener);
  return () => {
    missed.delete(listener);
  };
}

const againMilliseconds = 3000;

/** Listens while somebody is signed in; the browser comes back by itself and says which event it saw last. @returns what ends it */
export function listenLive(): () => void {
  open();
  return () => {
    clearTimeout(retry);
    source?.close();
    source = null;
    useLive.setState({ isTold: false });
  };
}

function open(): void {
  if (typeof EventSource === 'undefined') return;
  const own = new EventSource('/api/events');
  source = own;
  own.addEventListener('ready', () => {
    useLive.setState({ isTold: true });
    noteAnswer('there');
  });
  own.addEventListener('reset', () => {
    useLive.setState({ isTold: true });
    noteAnswer('there');
    for (const listener of missed) listener();
  });
  own.onmessage = ({ data }: MessageEvent<string>) => {
    const event = JSON.parse(data) as LiveEvent; // the server's events are what the contract says
    for (const listener of listeners) listener(event);
  };
  own.onerror = () => {
    useLive.setState({ isTold: false });
    // a line that broke is opened again by the browser; one that was refused is not
    if (own.readyState !== EventSource.CLOSED || source !== own) return;
    clearTimeout(retry);
    retry = setTimeout(() => {
      if (source !== own) return;
      open();
      for (const listener of missed) listener();
    }, againMilliseconds);
  };
}
