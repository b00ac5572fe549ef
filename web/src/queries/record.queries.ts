import type { ClassPageResponse, GroupBoardResponse, ObservationResponse } from '@leiter/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { classKey } from './class.queries';
import { api } from '../shared/api';
import { putIn } from '../shared/put-in';
import { refreshSoon } from '../shared/refresh-soon';

export const groupBoardQuery = (groupId: string) =>
  queryOptions({ queryKey: ['board', groupId], queryFn: () => api<GroupBoardResponse>('GET', `groups/${groupId}/board`) });

export const useGroupBoard = (groupId: string) => useQuery(groupBoardQuery(groupId));

export const boardsQuery = queryOptions({
  queryKey: ['board'],
  queryFn: () => api<readonly GroupBoardResponse[]>('GET', 'boards'),
});

/** Where everybody stands: the boards of all groups. */
export const useBoards = () => useQuery(boardsQuery);

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
