import type { Voice } from '../voice/use-voice';
import { useTeachKeys } from './use-keys';
import type { Teaching } from '../run/use-teaching';

interface Presses {
  readonly live: Teaching;
  readonly voice: Pick<Voice, 'wake' | 'isOn' | 'switchOn'>;
  /** The work waits for the signal. */
  readonly isWaiting: boolean;
  readonly takeOffer: () => void;
  readonly onCall: () => void;
  readonly onMusic: () => void;
  readonly onMarks: () => void;
  readonly onAgain: () => void;
}

/** The keys of a class that is taught, and of a rehearsal. */
export function useClassKeys({ live, voice, isWaiting, takeOffer, onCall, onMusic, onMarks, onAgain }: Presses): void {
  useTeachKeys({
    wake: () => void voice.wake(),
    space: () => {
      live.move(live.position?.isPaused ? 'resume' : isWaiting ? 'go' : 'pause');
    },
    on: () => {
      live.move(isWaiting ? 'go' : 'on');
    },
    back: () => {
      live.move('back');
    },
    go: () => {
      live.move('go');
    },
    take: takeOffer,
    putOff: live.putOff,
    onceMore: live.onceMore,
    undo: live.undo,
    call: onCall,
    voice: () => {
      voice.switchOn(!voice.isOn);
    },
    signal: () => {
      live.setGo(live.run?.go === 'on-signal' ? 'by-itself' : 'on-signal');
    },
    marks: onMarks,
    music: onMusic,
    again: onAgain,
  });
}
