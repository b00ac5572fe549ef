import { ClapListener } from '@leiter/core';
import { useEffect, useRef, useState } from 'react';
import workletUrl from './samples.worklet.ts?worker&url';

/** `off`: not wanted; `asking`: the browser asks; `measuring`: the room is; `listening`; `refused`, `no-microphone`: and why not. */
export type ClapsState = 'off' | 'asking' | 'measuring' | 'listening' | 'refused' | 'no-microphone';

export interface Claps {
  readonly state: ClapsState;
  readonly switchOn: (isOn: boolean) => void;
}

const key = 'leiter-claps';

/**
 * Hears two claps. What the microphone takes is looked at in this page as it comes; nothing of it is kept or sent.
 * @param onClaps called a moment after the second: a third one would have been something else
 */
export function useClaps(isTeaching: boolean, onClaps: () => void): Claps {
  const [isOn, setOn] = useState(() => localStorage.getItem(key) === 'on');
  const [state, setState] = useState<ClapsState>('off');
  const latest = useRef(onClaps);
  useEffect(() => {
    latest.current = onClaps;
  });
  const isWanted = isOn && isTeaching;
  useEffect(() => {
    if (!isWanted) return;
    let isOver = false;
    let stop = (): void => undefined;
    const listen = async (): Promise<void> => {
      setState('asking');
      try {
        // what the computer itself plays is taken out; a clap must not be
        const audio = { echoCancellation: true, noiseSuppression: false, autoGainControl: false };
        const stream = await navigator.mediaDevices.getUserMedia({ audio });
        const context = new AudioContext();
        stop = () => {
          for (const track of stream.getTracks()) track.stop();
          void context.close();
        };
        if (isOver) {
          stop();
          return;
        }
        await context.audioWorklet.addModule(workletUrl);
        const node = new AudioWorkletNode(context, 'samples', { numberOfOutputs: 0 });
        const listener = new ClapListener(context.sampleRate);
        context.createMediaStreamSource(stream).connect(node);
        void context.resume();
        setState('measuring');
        node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
          const heard = listener.hear(data);
          if (listener.isReady) setState('listening');
          if (heard === null) return;
          window.dispatchEvent(new CustomEvent('leiter-claps', { detail: { second: heard } }));
          latest.current();
        };
        for (const track of stream.getTracks())
          track.addEventListener('ended', () => {
            setState('no-microphone');
          });
      } catch (error) {
        stop();
        if (!isOver) setState(error instanceof DOMException && error.name === 'NotAllowedError' ? 'refused' : 'no-microphone');
      }
    };
    void listen();
    return () => {
      isOver = true;
      stop();
      setState('off');
    };
  }, [isWanted]);
  return {
    state,
    switchOn: (wanted) => {
      localStorage.setItem(key, wanted ? 'on' : 'off');
      setOn(wanted);
    },
  };
}
