import { useQuery } from '@tanstack/react-query';
import { queryClient } from '../query-client';
import { ownTracks, type OwnTrack } from './music-store';

const queryKey = ['own-tracks'];
const none: readonly OwnTrack[] = [];

/** The music that this browser keeps, by name; none where it keeps nothing. */
export function useOwnTracks(): readonly OwnTrack[] {
  return useQuery({ queryKey, queryFn: () => ownTracks().catch(() => none), staleTime: Infinity }).data ?? none;
}

export function readTracksAnew(): Promise<void> {
  return queryClient.invalidateQueries({ queryKey });
}
