import type {
  AddGradingRequest,
  ChangeGradingRequest,
  ClosedGradingResponse,
  GradingDecision,
  GradingMark,
  GradingMarkRequest,
  GradingPageResponse,
  GradingResponse,
} from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useClassOutbox, writeOfClass } from './class-outbox';
import { api } from '../shared/api';
import { putIn } from '../shared/put-in';
import { queryClient } from '../shared/query-client';

const pageKey = (id: string): readonly [string, string] => ['grading', id];

export function useGradings() {
  return useQuery({ queryKey: ['gradings'], queryFn: () => api<readonly GradingResponse[]>('GET', 'gradings') });
}

export function useGrading(id: string) {
  return useQuery({ queryKey: pageKey(id), queryFn: () => api<GradingPageResponse>('GET', `gradings/${id}`) });
}

/** Shows what the server answered, and has the list read anew. */
function show(page: GradingPageResponse): GradingPageResponse {
  queryClient.setQueryData(pageKey(page.grading.id), page);
  void queryClient.invalidateQueries({ queryKey: ['gradings'] });
  return page;
}

export const addGrading = async (request: AddGradingRequest): Promise<GradingPageResponse> =>
  show(await api<GradingPageResponse>('POST', 'gradings', request));

export const changeGrading = async (id: string, request: ChangeGradingRequest): Promise<GradingPageResponse> =>
  show(await api<GradingPageResponse>('PATCH', `gradings/${id}`, request));

export async function removeGrading(id: string): Promise<void> {
  await api<undefined>('DELETE', `gradings/${id}`);
  await queryClient.invalidateQueries({ queryKey: ['gradings'] });
}

export const enterChild = async (id: string, childId: string, size: string): Promise<GradingPageResponse> =>
  show(await api<GradingPageResponse>('PUT', `gradings/${id}/children/${childId}`, { size }));

export const takeOff = async (id: string, childId: string): Promise<GradingPageResponse> =>
  show(await api<GradingPageResponse>('DELETE', `gradings/${id}/children/${childId}`));

export const makeTimetable = async (id: string): Promise<GradingPageResponse> =>
  show(await api<GradingPageResponse>('POST', `gradings/${id}/timetable`));

export async function closeGrading(id: string, decisions: readonly GradingDecision[]): Promise<ClosedGradingResponse> {
  const closed = await api<ClosedGradingResponse>('POST', `gradings/${id}/close`, { decisions });
  show(closed.page);
  await queryClient.invalidateQueries();
  return closed;
}

export async function reopenGrading(id: string, reason: string): Promise<GradingPageResponse> {
  const page = show(await api<GradingPageResponse>('POST', `gradings/${id}/reopen`, { reason }));
  await queryClient.invalidateQueries();
  return page;
}

/** Keeps a mark here first, and sends it: without a connection as soon as there is one. */
export async function giveGradingMark(gradingId: string, request: Pick<GradingMarkRequest, keyof GradingMarkRequest>): Promise<void> {
  const markId = crypto.randomUUID();
  await writeOfClass({ kind: 'grading-mark', gradingId, markId, request });
}

/** What was marked on a day: what has arrived, and what waits here to be sent. */
export function useGradingMarks(
  { grading, marks }: GradingPageResponse,
  ownId: string,
): readonly (GradingMark & { readonly isWaiting: boolean })[] {
  const waiting = useClassOutbox((outbox) => outbox.waiting);
  return useMemo(() => {
    const arrived = new Set(marks.map(({ id }) => id));
    const own = waiting.flatMap((write, nth) =>
      write.kind === 'grading-mark' && write.gradingId === grading.id && !arrived.has(write.markId)
        ? [
            {
              ...write.request,
              id: write.markId,
              measure: Object.fromEntries(Object.entries(write.request.measure).filter(([, value]) => value !== undefined)),
              examinerId: ownId,
              // after all that has arrived, in the order in which they were given
              givenAt: `9999-${String(nth).padStart(6, '0')}`,
              isWaiting: true,
            },
          ]
        : [],
    );
    return [...marks.map((mark) => ({ ...mark, isWaiting: false })), ...own];
  }, [grading.id, marks, waiting, ownId]);
}

/** A mark that has arrived is shown at once; what rests on it is read a moment later. */
export function noteGradingMark(gradingId: string, mark: GradingMark): void {
  putIn<GradingPageResponse>(pageKey(gradingId), (page) =>
    page.marks.some(({ id }) => id === mark.id) ? page : { ...page, marks: [...page.marks, mark] },
  );
}
