import type { Request, Response } from 'express';

const pulseMilliseconds = 15_000;

/** A response that tells what happens as it happens (server-sent events, WHATWG). */
export interface EventStream {
  /** Sends what is to be sent as it is: whole messages. */
  readonly write: (messages: string) => void;
  /** Ends it from here. */
  readonly end: () => void;
}

/** @param onPulse called every quarter of a minute, so that what holds no longer is noticed @param onEnd called once, whoever ended it */
export function openEventStream(
  request: Request,
  response: Response,
  { onPulse, onEnd }: { readonly onPulse: () => void; readonly onEnd: () => void },
): EventStream {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream; charset=utf-8',
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
    Connection: 'keep-alive',
  });
  const pulse = setInterval(() => {
    response.write(':\n\n');
    onPulse();
  }, pulseMilliseconds);
  let isOver = false;
  const end = (): void => {
    if (isOver) return;
    isOver = true;
    clearInterval(pulse);
    onEnd();
    response.end();
  };
  request.on('close', end);
  response.on('error', end);
  return {
    write: (messages) => {
      if (!isOver) response.write(messages);
    },
    end,
  };
}
