import { t } from '@lingui/core/macro';
import type { ClassPlan, Library, PlanEdit } from '@leiter/core';
import type { RefObject } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { DocumentStore } from '../../shared/document-session/document-store';
import { isBehindDialog } from '../../shared/page-keys';
import { editOfKey, neighbourOf, type PlanKey } from './plan-keys';

export const planKeysHelp: readonly (readonly [string, string])[] = [
  ['/', t`find a movement; Enter adds it`],
  ['N', t`write the next item here: a name, and a dose if you like`],
  ['↑ ↓', t`choose an item`],
  [t`Alt ↑ ↓`, t`move it up or down`],
  ['+ −', t`more, less`],
  ['S', 'sides'],
  ['T', t`versions in use`],
  ['W', t`how it is taught: flow, follow, teach, watch, as usual`],
  ['D', 'double'],
  ['C', t`a circuit with the next item; again: take in one more`],
  ['Shift C', t`take the circuit apart`],
  [t`Del`, 'remove'],
  [t`Ctrl Z`, 'undo'],
  [t`Ctrl Shift Z`, t`do again`],
  ['Enter', t`to the item’s details`],
  [t`Esc`, t`choose nothing, show the class`],
];

interface KeyContext {
  readonly store: DocumentStore<ClassPlan>;
  readonly library: Library;
  readonly chosen: string | null;
  readonly setChosen: (id: string | null) => void;
  readonly change: (edits: readonly PlanEdit[]) => void;
  readonly input: RefObject<HTMLInputElement | null>;
  readonly inspector: RefObject<HTMLDivElement | null>;
  /** Opens a line to write on where the next item is wanted. */
  readonly write: () => void;
}

/** What the keys of the Plan page do; `planKeysHelp` says it to whoever asks with `?`. */
export function usePlanKeys({ store, library, chosen, setChosen, change, input, inspector, write }: KeyContext): void {
  const press = (key: PlanKey): void => {
    const { content: plan } = store.getState();
    if (chosen === null) return;
    const next = key === 'remove' ? neighbourOf(plan, chosen, 'down') : chosen;
    const done = editOfKey(key, plan, chosen, library);
    if (!done) return;
    change([done]);
    if (key === 'remove') setChosen(next === chosen ? neighbourOf(store.getState().content, null, 'up') : next);
  };
  const choose = (direction: 'up' | 'down'): void => {
    setChosen(neighbourOf(store.getState().content, chosen, direction));
  };
  /** By the names of `nameOf`. */
  const table: Readonly<Record<string, () => void>> = {
    '/': () => input.current?.focus(),
    ArrowUp: () => {
      choose('up');
    },
    ArrowDown: () => {
      choose('down');
    },
    'Ctrl Z': () => {
      store.temporal.getState().undo();
    },
    'Ctrl Shift Z': () => {
      store.temporal.getState().redo();
    },
    Escape: () => {
      setChosen(null);
    },
    Enter: () => inspector.current?.focus(),
    N: write,
    ...Object.fromEntries(
      itemKeys.map(([name, key]) => [
        name,
        () => {
          press(key);
        },
      ]),
    ),
  };
  useHotkeys(
    '*',
    (event) => {
      const name = nameOf(event);
      const does = Object.hasOwn(table, name) ? table[name] : undefined;
      if (!does || (name === 'Enter' && (chosen === null || isOnButton(event)))) return;
      event.preventDefault();
      does();
    },
    { ignoreEventWhen: isBehindDialog },
    [chosen, setChosen, change, write],
  );
}

/** Keys that do something to the item that is chosen. */
const itemKeys: readonly (readonly [string, PlanKey])[] = [
  ['Alt ArrowUp', 'up'],
  ['Alt ArrowDown', 'down'],
  ['+', 'more'],
  ['=', 'more'],
  ['-', 'less'],
  ['−', 'less'],
  ['S', 'sides'],
  ['T', 'tiers'],
  ['W', 'way'],
  ['D', 'double'],
  ['C', 'circuit'],
  ['Shift C', 'apart'],
  ['Delete', 'remove'],
  ['Backspace', 'remove'],
];

/** A key as it is written in the help: `Ctrl Shift Z`, `+`, `ArrowUp`. Shift counts where the key is a letter. */
function nameOf({ key, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): string {
  const isLetter = /^\p{L}$/u.test(key);
  return [
    ...(ctrlKey || metaKey ? ['Ctrl'] : []),
    ...(altKey ? ['Alt'] : []),
    ...(shiftKey && isLetter ? ['Shift'] : []),
    isLetter ? key.toUpperCase() : key,
  ].join(' ');
}

/** Enter on a button or a link is for that button; a rung is a button too, but choosing is all that it does. */
function isOnButton(event: KeyboardEvent): boolean {
  return (
    event.target instanceof HTMLElement &&
    event.target.closest('a, button') !== null &&
    event.target.closest('[aria-label="Running order"]') === null
  );
}
