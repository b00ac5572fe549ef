import type { ClassPageResponse, GroupBoardResponse, ObservationResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { classKey } from '../plan/class.queries';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

export function useGroupBoard(groupId: string, { isWanted }: { readonly isWanted: boolean } = { isWanted: true }) {
  return useQuery({
    queryKey: ['board', groupId],
    queryFn: () => api<GroupBoardResponse>('GET', `groups/${groupId}/board`),
    enabled: isWanted,
  });
}

/** Puts a mark that has arrived where pages read it, and has what rests on it read anew. */
export function noteArrivedMark(observation: ObservationResponse): void {
  if (observation.classId !== null)
    queryClient.setQueryData<ClassPageResponse>(classKey(observation.classId), (page) =>
      page && !page.observations.some(({ id }) => id === observation.id)
        ? { ...page, observations: [...page.observations, observation] }
        : page,
    );
  void queryClient.invalidateQueries({ queryKey: ['child', observation.childId] });
  void queryClient.invalidateQueries({ queryKey: ['board'] });
  void queryClient.invalidateQueries({ queryKey: ['today'] });
}
