import type { ChangePersonRequest, InvitationResponse, InviteRequest, MadeInvitation, PersonResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

/** Everybody who works in the club, or did. */
export function usePeople() {
  return useQuery({ queryKey: ['people'], queryFn: () => api<readonly PersonResponse[]>('GET', 'people') });
}

/** Links that can still be followed; for the owner. */
export function useInvitations({ isWanted }: { readonly isWanted: boolean }) {
  return useQuery({
    queryKey: ['invitations'],
    queryFn: () => api<readonly InvitationResponse[]>('GET', 'people/invitations'),
    enabled: isWanted,
  });
}

export async function invite(request: InviteRequest): Promise<MadeInvitation> {
  const made = await api<MadeInvitation>('POST', 'people/invitations', request);
  await queryClient.invalidateQueries({ queryKey: ['invitations'] });
  return made;
}

export async function makeResetLink(personId: string): Promise<MadeInvitation> {
  const made = await api<MadeInvitation>('POST', `people/${personId}/reset`);
  await queryClient.invalidateQueries({ queryKey: ['invitations'] });
  return made;
}

export async function withdrawInvitation(id: string): Promise<void> {
  await api<undefined>('DELETE', `people/invitations/${id}`);
  await queryClient.invalidateQueries({ queryKey: ['invitations'] });
}

export async function changePerson(id: string, request: ChangePersonRequest): Promise<void> {
  await api<PersonResponse>('PATCH', `people/${id}`, request);
  await queryClient.invalidateQueries();
}

export const invitationPath = (token: string): string => `/invitation/${token}`;
