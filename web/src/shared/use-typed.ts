import { useState } from 'react';

/**
 * What is typed into a field, begun anew from what is stored whenever that changes.
 * @returns what is typed, and what takes it: where typing itself stores something, it says what, so that it is not begun anew
 */
export function useTyped(stored: string): readonly [string, (typed: string, storing?: string) => void] {
  const [state, setState] = useState({ stored, typed: stored });
  // set while rendering, as React advises for state that follows a prop
  if (state.stored !== stored) setState({ stored, typed: stored });
  return [
    state.stored === stored ? state.typed : stored,
    (typed, storing = stored) => {
      setState({ stored: storing, typed });
    },
  ];
}
