import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { RemotePad } from './parts/remote-pad';
import { useStageView, type StageDoor } from './parts/use-stage-view';

const door: StageDoor = { eventsPath: '/api/remote/events', pressesPath: '/api/remote/presses' };

const isLink = (token: string): boolean => /^[\w-]{43}$/.test(token);

/** Where the code on the screen leads: a phone that is a remote of one class, without a sign-in. */
function RemotePage() {
  const [state, setState] = useState<'following' | 'there' | 'over'>(() => (isLink(location.hash.slice(1)) ? 'following' : 'over'));
  useEffect(() => {
    document.title = t`Remote – Leiter`;
    let again: ReturnType<typeof setTimeout> | undefined;
    const token = location.hash.slice(1);
    if (!isLink(token)) return;
    const follow = async (): Promise<void> => {
      try {
        const answer = await fetch('/api/remote', {
          method: 'POST',
          credentials: 'same-origin',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ token }),
        });
        setState(answer.ok ? 'there' : 'over');
      } catch {
        again = setTimeout(() => void follow(), 2000);
      }
    };
    void follow();
    return () => {
      clearTimeout(again);
    };
  }, []);
  return state === 'there' ? <Following /> : <RemotePad beside={state === 'over' ? atItsEnd : reaching} watching={null} onMark={nothing} />;
}

function Following() {
  const beside = useStageView(door);
  const watch = beside.view?.stage?.watch ?? null;
  return (
    <RemotePad
      beside={beside}
      watching={
        watch && {
          name: watch.name,
          side: watch.side,
          children: watch.children.map(({ id, name, note, mark }) => {
            const waiting = beside.waiting.get(id);
            return { id, name, note, mark: waiting === undefined ? mark : waiting, isWaiting: waiting !== undefined };
          }),
        }
      }
      onMark={beside.mark}
    />
  );
}

const nothing = (): void => undefined;
const reaching = {
  line: 'reaching',
  view: null,
  cameAt: 0,
  waiting: new Map(),
  isUnanswered: false,
  press: nothing,
  mark: nothing,
} as const;
const atItsEnd = { ...reaching, line: 'over' } as const;

export { RemotePage as Page };
