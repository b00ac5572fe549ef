import type { AddGroupRequest, ChangeGroupRequest, GroupResponse } from '@leiter/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useSession } from './session.queries';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

export const groupsQuery = queryOptions({ queryKey: ['groups'], queryFn: () => api<readonly GroupResponse[]>('GET', 'groups') });

export const useGroups = () => useQuery(groupsQuery);

/** The programme that whoever is signed in teaches; null for somebody without a group. */
export function useOwnProgramme(): string | null {
  const session = useSession();
  const groups = useGroups();
  return groups.data?.find(({ instructorId }) => instructorId === session.data?.person.id)?.programme ?? null;
}

export async function addGroup(request: AddGroupRequest): Promise<void> {
  await api<GroupResponse>('POST', 'groups', request);
  await queryClient.invalidateQueries();
}

export async function changeGroup(id: string, request: ChangeGroupRequest): Promise<void> {
  await api<GroupResponse>('PATCH', `groups/${id}`, request);
  void queryClient.invalidateQueries();
}
