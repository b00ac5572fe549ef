import type { Press, PressBody, StageView } from '@leiter/contract';
import type { Mark } from '@leiter/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { newId } from '../../shared/new-id';

/** How this device reaches the class: by a link, or signed in. */
export interface StageDoor {
  readonly eventsPath: string;
  readonly pressesPath: string;
}

/** `reaching`: no answer yet, or the line broke and is tried again; `over`: this link or class is at its end. */
export type StageLine = 'reaching' | 'there' | 'over';

export interface BesideClass {
  readonly line: StageLine;
  readonly view: StageView | null;
  /** When the view came, in milliseconds of this page: what is left counts on from there. */
  readonly cameAt: number;
  /** Marks that have not been done by the device that teaches; they are sent until they are. */
  readonly waiting: ReadonlyMap<string, Mark | null>;
  /** True where a press was not done in time. */
  readonly isUnanswered: boolean;
  readonly press: (press: Press) => void;
  readonly mark: (childId: string, mark: Mark | null) => void;
}

const sentAgainMilliseconds = 2000;
/** A press that was not done by then is not done any more: on, said late, would be wrong. */
const answerMilliseconds = 4000;

interface WaitingMark {
  readonly request: PressBody;
  readonly movement: string;
}

/** A class that is taught on another device, and what is pressed beside it. */
export function useStageView({ eventsPath, pressesPath }: StageDoor): BesideClass {
  const [line, setLine] = useState<StageLine>('reaching');
  const [{ view, cameAt }, setView] = useState<{ readonly view: StageView | null; readonly cameAt: number }>({ view: null, cameAt: 0 });
  const [marks, setMarks] = useState<readonly WaitingMark[]>([]);
  const [asked, setAsked] = useState<{ readonly id: string; readonly isLate: boolean } | null>(null);

  useEffect(() => {
    let source: EventSource;
    let again: ReturnType<typeof setTimeout> | undefined;
    const open = (): void => {
      source = new EventSource(eventsPath);
      source.onmessage = ({ data }: MessageEvent<string>) => {
        const came = JSON.parse(data) as StageView; // the server's events are what the contract says
        const done = new Set(came.stage?.done);
        setLine('there');
        setView({ view: came, cameAt: performance.now() });
        setMarks((all) => (all.some(({ request }) => done.has(request.id)) ? all.filter(({ request }) => !done.has(request.id)) : all));
        setAsked((one) => (one && done.has(one.id) ? null : one));
      };
      source.addEventListener('over', () => {
        source.close();
        setLine('over');
      });
      source.onerror = () => {
        setLine((now) => (now === 'over' ? now : 'reaching'));
        // the browser tries again by itself, but not where it was refused
        if (source.readyState !== EventSource.CLOSED) return;
        clearTimeout(again);
        void fetch(eventsPath, { headers: { accept: 'text/event-stream' }, signal: AbortSignal.timeout(3000) }).then(
          (answer) => {
            void answer.body?.cancel();
            if (answer.status === 404 || answer.status === 401) setLine('over');
            else again = setTimeout(open, 1000);
          },
          () => {
            again = setTimeout(open, 1000);
          },
        );
      };
    };
    open();
    return () => {
      clearTimeout(again);
      source.close();
    };
  }, [eventsPath]);

  const send = useCallback(
    (request: PressBody): void => {
      void fetch(pressesPath, {
        method: 'POST',
        credentials: 'same-origin',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(request),
      }).catch(() => undefined);
    },
    [pressesPath],
  );
  const tab = view?.stage?.tab;
  const latest = useRef({ marks, tab });
  useEffect(() => {
    latest.current = { marks, tab };
  });
  useEffect(() => {
    const timer = setInterval(() => {
      const now = latest.current;
      // the device that teaches may have been loaded anew: marks go to the one that teaches now
      if (now.tab !== undefined) for (const { request } of now.marks) send({ ...request, tab: now.tab });
    }, sentAgainMilliseconds);
    return () => {
      clearInterval(timer);
    };
  }, [send]);
  const askedId = asked?.id;
  useEffect(() => {
    if (askedId === undefined) return;
    const timer = setTimeout(() => {
      setAsked((one) => (one?.id === askedId ? { id: one.id, isLate: true } : one));
    }, answerMilliseconds);
    return () => {
      clearTimeout(timer);
    };
  }, [askedId]);

  const movement = view?.stage?.watch?.movement;
  return {
    line,
    view,
    cameAt,
    waiting: new Map(
      marks.filter((one) => one.movement === movement).map(({ request }) => [request.childId ?? '', request.mark ?? null] as const),
    ),
    isUnanswered: asked?.isLate ?? false,
    press: (press) => {
      if (tab === undefined) return;
      const request = { id: newId(), tab, press };
      setAsked({ id: request.id, isLate: false });
      send(request);
    },
    mark: (childId, mark) => {
      if (tab === undefined || movement === undefined) return;
      const request: PressBody = {
        id: newId(),
        tab,
        press: mark === null ? 'take-back' : 'mark',
        childId,
        ...(mark === null ? {} : { mark }),
      };
      setMarks((all) => [...all, { request, movement }]);
      send(request);
    },
  };
}
