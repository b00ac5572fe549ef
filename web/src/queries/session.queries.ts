import type { MakeClubRequest, SessionResponse, SignInRequest, WelcomeResponse } from '@leiter/contract';
import type { TeachingRoom, TeachingStyle, TeachingVoice } from '@leiter/core';
import { queryOptions, useMutation, useQuery } from '@tanstack/react-query';
import { api, ApiError } from '../shared/api';
import { forgetHistories } from '../shared/document-session/kept-history';
import { forgetKeptAnswers } from '../shared/kept-answers';
import { queryClient } from '../shared/query-client';

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async () => {
    try {
      return await api<SessionResponse>('GET', 'session');
    } catch (error) {
      if (error instanceof ApiError && error.status === 401) return null;
      throw error;
    }
  },
  staleTime: 60_000,
});

/** Who is signed in; null when nobody is. */
export const useSession = () => useQuery(sessionQuery);

export function useWelcome() {
  return useQuery({ queryKey: ['welcome'], queryFn: () => api<WelcomeResponse>('GET', 'welcome') });
}

export function useSignIn() {
  return useMutation({
    mutationFn: (request: SignInRequest) => api<SessionResponse>('POST', 'session', request),
    onSuccess: (session) => {
      noteSession(session);
    },
  });
}

/** Notes where one teaches; plans are looked at with it from now on. */
export function useSaveRoom() {
  return useMutation({
    mutationFn: (room: TeachingRoom | null) => api<SessionResponse>('PUT', 'session/room', { room }),
    onSuccess: (session) => {
      queryClient.setQueryData(['session'], session);
      void queryClient.invalidateQueries({ queryKey: ['class'] });
    },
  });
}

/** Notes how one teaches; plans are reckoned with it from now on. */
export function useSaveStyle() {
  return useMutation({
    mutationFn: (style: TeachingStyle) => api<SessionResponse>('PUT', 'session/style', { style }),
    onSuccess: (session) => {
      queryClient.setQueryData(['session'], session);
      void queryClient.invalidateQueries({ queryKey: ['class'] });
    },
  });
}

/** Notes how one leads a class. */
export function useSaveVoice() {
  return useMutation({
    mutationFn: (voice: TeachingVoice) => api<SessionResponse>('PUT', 'session/voice', voice),
    onSuccess: (session) => {
      queryClient.setQueryData(['session'], session);
    },
  });
}

export function useMakeClub() {
  return useMutation({
    mutationFn: (request: MakeClubRequest) => api<undefined>('POST', 'club', request),
    onSuccess: () => queryClient.invalidateQueries(),
  });
}

export function useSignOut() {
  return useMutation({
    mutationFn: () => api<undefined>('DELETE', 'session'),
    onSuccess: async () => {
      noteSession(null);
      // what one could undo speaks of children: the next person at this browser does not get it
      await forgetHistories().catch(() => undefined);
    },
  });
}

/** Somebody came or left: what the person before had read is forgotten; the session itself stays, since the page watches it. */
function noteSession(session: SessionResponse | null): void {
  void forgetKeptAnswers();
  queryClient.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
  queryClient.setQueryData(['session'], session);
}
