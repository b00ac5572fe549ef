import { create } from 'zustand';

/** Whether the server and its database answer, as far as the last request knows. */
export const useConnection = create<{ readonly state: 'there' | 'away' }>(() => ({ state: 'there' }));

export function noteAnswer(state: 'there' | 'away'): void {
  if (useConnection.getState().state !== state) useConnection.setState({ state });
}
