import type {
  AddChildRequest,
  AwardGradeRequest,
  ChangeChildrenRequest,
  ChangedChildren,
  ChangeChildRequest,
  ChildPageResponse,
  ChildResponse,
  ChildrenImportResponse,
  HealthNotes,
} from '@leiter/contract';
import { queryOptions, useMutation, useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

export const childrenQuery = queryOptions({
  queryKey: ['children'],
  queryFn: () => api<readonly ChildResponse[]>('GET', 'children'),
});

export const useChildren = () => useQuery(childrenQuery);

export const childQuery = (id: string) =>
  queryOptions({ queryKey: ['child', id], queryFn: () => api<ChildPageResponse>('GET', `children/${id}`) });

export const useChildPage = (id: string) => useQuery(childQuery(id));

export async function addChild(request: AddChildRequest): Promise<ChildResponse> {
  const child = await api<ChildResponse>('POST', 'children', request);
  await queryClient.invalidateQueries();
  return child;
}

export async function changeChild(id: string, request: ChangeChildRequest): Promise<ChildResponse> {
  const child = await api<ChildResponse>('PATCH', `children/${id}`, request);
  void queryClient.invalidateQueries();
  return child;
}

/** The same for several at once; who may not be changed is named. */
export async function changeChildren(request: ChangeChildrenRequest): Promise<ChangedChildren> {
  const done = await api<ChangedChildren>('POST', 'children/several', request);
  void queryClient.invalidateQueries();
  return done;
}

/** Stores what the family told of a child's health; plans of its groups are reckoned anew with it. */
export function useSaveHealthNotes(id: string) {
  return useMutation({
    mutationFn: (request: HealthNotes) => api<HealthNotes>('PUT', `children/${id}/health-notes`, request),
    // where somebody wrote meanwhile, that is what one has to see
    onSettled: () => queryClient.invalidateQueries(),
  });
}

export function useEraseChild(id: string) {
  return useMutation({
    mutationFn: () => api<undefined>('DELETE', `children/${id}`),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: ['children'] }),
  });
}

/** Gives a grade; what rests on it is read anew. */
export async function awardGrade(id: string, request: AwardGradeRequest): Promise<void> {
  const page = await api<ChildPageResponse>('POST', `children/${id}/grades`, request);
  queryClient.setQueryData(['child', id], page);
  // what rests on it may come a moment later: the step can be taken back at once
  void queryClient.invalidateQueries();
}

/** Takes back a grade that was given by mistake, with the reason. */
export async function takeBackGrade(id: string, { gradeId, reason }: { readonly gradeId: string; readonly reason: string }): Promise<void> {
  const page = await api<ChildPageResponse>('POST', `children/${id}/grades/${gradeId}/take-back`, { reason });
  queryClient.setQueryData(['child', id], page);
  // what rests on it may come a moment later: the step can be taken back at once
  void queryClient.invalidateQueries();
}

/** Moves a child that finishes a grade on an earlier version over to the newest. */
export function useMoveOver(id: string) {
  return useMutation({
    mutationFn: (programme: string) => api<ChildPageResponse>('POST', `children/${id}/newest-ladder`, { programme }),
    onSuccess: (page) => {
      queryClient.setQueryData(['child', id], page);
      void queryClient.invalidateQueries({ queryKey: ['board'] });
    },
  });
}

/** What taking in a list would do; nothing is stored. */
export const lookAtChildren = (text: string): Promise<ChildrenImportResponse> =>
  api<ChildrenImportResponse>('POST', 'children/table?dryRun=true', { text });

export async function takeInChildren(text: string): Promise<ChildrenImportResponse> {
  const taken = await api<ChildrenImportResponse>('POST', 'children/table', { text });
  await queryClient.invalidateQueries();
  return taken;
}

export async function undoChildrenImport(id: string): Promise<void> {
  await api<undefined>('DELETE', `children/imports/${id}`);
  await queryClient.invalidateQueries();
}
