import { t } from '@lingui/core/macro';
import { useHotkeys } from 'react-hotkeys-hook';

/** What can be pressed while a class is taught. */
export const teachKeys: readonly (readonly [string, string])[] = [
  [t`Space`, t`pause, go on; while the work waits for your signal: begin it`],
  ['G', t`the explaining is over: the work begins now`],
  ['S', t`the work begins on your signal, or by itself`],
  ['1 2 3 4', t`marks the child that is chosen beside the stage: not yet, with help, alone, clean`],
  ['H F', t`with what help; which fault`],
  ['Tab', t`chooses the next child`],
  ['L R', t`marks the left, the right side`],
  ['M', t`the children beside the stage, shown and hidden`],
  ['K', t`calls something out: shapes, stances, body parts, left and right …`],
  ['E', t`an eight of a phrase again and again, slower or quicker, while the class waits; again: on with the class`],
  ['B', t`the music: louder, slower, an eight again and again, a beat of our own`],
  ['T', t`takes what is offered to end on time`],
  ['P', t`puts the item off, behind the next one`],
  ['O', t`once more: the item comes again behind the next one`],
  ['Z', t`takes the last press back, of marks too`],
  ['V', t`the voice, on and off`],
  [t`→ ↓ Page down`, t`on to the next item; while the work waits for your signal: begin it`],
  [t`← ↑ Page up`, t`back to the start of the item, again: the item before`],
];

/** Those of a rehearsal. */
export const rehearsalKeys: typeof teachKeys = [
  [t`Space`, t`pause, go on; while the work waits for your signal: begin it`],
  ['1 2 3 4', t`marks the child that is chosen: not yet, with help, alone, clean`],
  ['F', t`a fault; again: the next one`],
  ['Tab', t`looks at the next child`],
  ['G', t`the explaining is over: the work begins now`],
  ['S', t`the work begins on your signal, or by itself`],
  ['V', t`the voice, on and off`],
  [t`→ ↓ Page down`, t`on to the next item; while the work waits for your signal: begin it`],
  [t`← ↑ Page up`, t`back to the start of the item, again: the item before`],
];

/** What a key does. */
export interface TeachPresses {
  readonly wake: () => void;
  readonly space: () => void;
  readonly on: () => void;
  readonly back: () => void;
  readonly go: () => void;
  readonly take: () => void;
  readonly putOff: () => void;
  readonly onceMore: () => void;
  readonly undo: () => void;
  readonly call: () => void;
  readonly voice: () => void;
  readonly signal: () => void;
  readonly marks: () => void;
  readonly music: () => void;
  readonly again: () => void;
}

/** A dialog over the page has its own keys: Space presses what is in focus there, Tab goes on. What is open beside the stage has not. */
const ignoreEventWhen = ({ target }: KeyboardEvent): boolean =>
  target instanceof Element && target.closest('[role="dialog"][aria-modal="true"]') !== null;
const outside = { ignoreEventWhen } as const;
/** For keys that a browser would use otherwise, outside of dialogs. */
export const prevented = { preventDefault: true, ignoreEventWhen } as const;

/** The keys of Teach, a clicker's among them; those of marks belong to the panel that shows them. */
export function useTeachKeys(presses: TeachPresses): void {
  // any key gives a browser leave to make a sound
  useHotkeys('*', presses.wake);
  useHotkeys('space', presses.space, prevented);
  useHotkeys(['arrowright', 'arrowdown', 'pagedown'], presses.on, prevented);
  useHotkeys(['arrowleft', 'arrowup', 'pageup'], presses.back, prevented);
  useHotkeys('g', presses.go, prevented);
  useHotkeys('t', presses.take, outside);
  useHotkeys('p', presses.putOff, outside);
  useHotkeys('o', presses.onceMore, outside);
  useHotkeys(['z', 'ctrl+z', 'meta+z'], presses.undo, prevented);
  useHotkeys('k', presses.call, outside);
  useHotkeys('v', presses.voice, outside);
  useHotkeys('s', presses.signal, outside);
  useHotkeys('m', presses.marks, outside);
  useHotkeys('b', presses.music, outside);
  useHotkeys('e', presses.again, outside);
}
