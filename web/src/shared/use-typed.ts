import { useState } from 'react';

/** What is typed into a field, begun anew from what is stored whenever that changes. */
export function useTyped(stored: string): readonly [string, (typed: string) => void] {
  const [state, setState] = useState({ stored, typed: stored });
  // set while rendering, as React advises for state that follows a prop
  if (state.stored !== stored) setState({ stored, typed: stored });
  return [
    state.stored === stored ? state.typed : stored,
    (typed) => {
      setState({ stored, typed });
    },
  ];
}
