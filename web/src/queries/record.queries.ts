import type { ClassPageResponse, GroupBoardResponse, ObservationResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { classKey } from './class.queries';
import { api } from '../shared/api';
import { putIn } from '../shared/put-in';
import { refreshSoon } from '../shared/refresh-soon';

export function useGroupBoard(groupId: string) {
  return useQuery({
    queryKey: ['board', groupId],
    queryFn: () => api<GroupBoardResponse>('GET', `groups/${groupId}/board`),
  });
}

/** Where everybody stands: the boards of all groups. */
export function useBoards() {
  return useQuery({ queryKey: ['board'], queryFn: () => api<readonly GroupBoardResponse[]>('GET', 'boards') });
}

/** Puts a mark that has arrived where pages read it, and has what rests on it read anew. */
export function noteArrivedMark(observation: ObservationResponse): void {
  if (observation.classId !== null)
    putIn<ClassPageResponse>(classKey(observation.classId), (page) =>
      page.observations.some(({ id }) => id === observation.id) ? page : { ...page, observations: [...page.observations, observation] },
    );
  refreshSoon(['child', observation.childId]);
  refreshSoon(['board']);
  refreshSoon(['week']);
  refreshSoon(['today']);
}
