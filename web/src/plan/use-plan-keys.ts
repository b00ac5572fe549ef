import type { Library, PlanEdit } from '@leiter/core';
import type { RefObject } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { editOfKey, neighbourOf, type PlanKey } from './plan-keys';
import type { PlanStore } from './plan-store';

export const planKeysHelp: readonly (readonly [string, string])[] = [
  ['/', 'find a movement; Enter adds it'],
  ['N', 'write the next item here: a name, and a dose if you like'],
  ['↑ ↓', 'choose an item'],
  ['Alt ↑ ↓', 'move it up or down'],
  ['+ −', 'more, less'],
  ['S', 'sides'],
  ['T', 'versions in use'],
  ['D', 'double'],
  ['C', 'a circuit with the next item; again: take in one more'],
  ['Shift C', 'take the circuit apart'],
  ['Del', 'remove'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'do again'],
  ['Enter', 'to the item’s details'],
  ['Esc', 'choose nothing, show the class'],
];

interface KeyContext {
  readonly store: PlanStore;
  readonly library: Library;
  readonly chosen: string | null;
  readonly setChosen: (id: string | null) => void;
  readonly change: (edits: readonly PlanEdit[]) => void;
  readonly input: RefObject<HTMLInputElement | null>;
  readonly inspector: RefObject<HTMLDivElement | null>;
  /** Opens a line to write on below the item chosen. */
  readonly write: () => void;
}

/** What the keys of the Plan page do; `planKeysHelp` says it to whoever asks with `?`. */
export function usePlanKeys({ store, library, chosen, setChosen, change, input, inspector, write }: KeyContext): void {
  const press = (key: PlanKey): void => {
    const { plan } = store.getState();
    if (chosen === null) return;
    const next = key === 'remove' ? neighbourOf(plan, chosen, 'down') : chosen;
    const done = editOfKey(key, plan, chosen, library);
    if (!done) return;
    change([done]);
    if (key === 'remove') setChosen(next === chosen ? neighbourOf(store.getState().plan, null, 'up') : next);
  };
  const choose = (direction: 'up' | 'down'): void => {
    setChosen(neighbourOf(store.getState().plan, chosen, direction));
  };
  const options = { preventDefault: true, useKey: true } as const;
  useHotkeys('/', () => input.current?.focus(), options);
  useHotkeys(
    'arrowup',
    () => {
      choose('up');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'arrowdown',
    () => {
      choose('down');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'alt+arrowup',
    () => {
      press('up');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'alt+arrowdown',
    () => {
      press('down');
    },
    options,
    [chosen],
  );
  useHotkeys(
    ['+', '='],
    () => {
      press('more');
    },
    { ...options, splitKey: '~' },
    [chosen],
  );
  useHotkeys(
    'shift+=',
    () => {
      press('more');
    },
    { ...options, splitKey: '~' },
    [chosen],
  );
  useHotkeys(
    ['-', '−'],
    () => {
      press('less');
    },
    options,
    [chosen],
  );
  useHotkeys(
    's',
    () => {
      press('sides');
    },
    options,
    [chosen],
  );
  useHotkeys(
    't',
    () => {
      press('tiers');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'd',
    () => {
      press('double');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'c',
    () => {
      press('circuit');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'shift+c',
    () => {
      press('apart');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'n',
    () => {
      // without one chosen the first item is: a line needs a place
      if (chosen === null) choose('down');
      write();
    },
    options,
    [chosen, write],
  );
  useHotkeys(
    ['delete', 'backspace'],
    () => {
      press('remove');
    },
    options,
    [chosen],
  );
  useHotkeys(
    'ctrl+z, meta+z',
    () => {
      store.temporal.getState().undo();
    },
    options,
  );
  useHotkeys(
    'ctrl+shift+z, meta+shift+z',
    () => {
      store.temporal.getState().redo();
    },
    options,
  );
  useHotkeys(
    'escape',
    () => {
      setChosen(null);
    },
    options,
    [setChosen],
  );
  useHotkeys('enter', () => inspector.current?.focus(), { ...options, enabled: chosen !== null, ignoreEventWhen: isOnButton }, [chosen]);
}

/** Enter on a button or a link is for that button; a rung is a button too, but choosing is all that it does. */
function isOnButton(event: KeyboardEvent): boolean {
  return (
    event.target instanceof HTMLElement &&
    event.target.closest('a, button') !== null &&
    event.target.closest('[aria-label="Running order"]') === null
  );
}
