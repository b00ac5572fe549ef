import type {
  Attendance,
  ChangeClassRequest,
  ClassPageResponse,
  ClassResponse,
  GradingMark,
  PlanImportResponse,
  PlanVersion,
  SaveTemplateRequest,
  StoredPlan,
  TemplateResponse,
} from '@leiter/contract';
import { writePlan, type ClassPlan, type ItemTime, type Visit } from '@leiter/core';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { api, ApiError } from '../shared/api';
import { putIn } from '../shared/put-in';
import { queryClient } from '../shared/query-client';
import { refreshSoon } from '../shared/refresh-soon';
import { useClassOutbox, writeOfClass, type ClassWrite } from './class-outbox';
import { noteGradingMark } from './grading.queries';

export const classKey = (id: string) => ['class', id] as const;

async function fetchClassPage(id: string): Promise<ClassPageResponse> {
  return withWaiting(await api<ClassPageResponse>('GET', `classes/${id}`));
}

export const classQuery = (id: string) => queryOptions({ queryKey: classKey(id), queryFn: () => fetchClassPage(id) });

export const useClassPage = (id: string) => useQuery(classQuery(id));

export function useTemplates() {
  return useQuery({
    queryKey: ['templates'],
    queryFn: () => api<readonly TemplateResponse[]>('GET', 'plan-templates'),
    staleTime: Infinity,
  });
}

/** Keeps a plan as a running order to start from. */
export async function keepTemplate(request: SaveTemplateRequest): Promise<void> {
  await api<TemplateResponse>('POST', 'plan-templates', request);
  await queryClient.invalidateQueries({ queryKey: ['templates'] });
}

export async function removeTemplate(id: string): Promise<void> {
  await api<undefined>('DELETE', `plan-templates/${id}`);
  await queryClient.invalidateQueries({ queryKey: ['templates'] });
}

export function savePlan(classId: string, version: number, plan: ClassPlan): Promise<StoredPlan> {
  return api<StoredPlan>('PUT', `classes/${classId}/plan`, { version, plan: writePlan(plan) });
}

/** Which version of the plan of a class is stored; asked where the server cannot tell. */
export async function planVersion(classId: string): Promise<number> {
  return (await api<PlanVersion>('GET', `classes/${classId}/plan/version`)).version;
}

/** All of a class anew. */
export async function readClassPage(id: string): Promise<ClassPageResponse> {
  const page = await fetchClassPage(id);
  queryClient.setQueryData(classKey(id), page);
  return page;
}

/** Puts the running order of a file into a class; with `isDryRun` it only says what would come with it. */
export function takeInPlan(
  classId: string,
  { version, file, isDryRun }: { readonly version: number; readonly file: object; readonly isDryRun: boolean },
): Promise<PlanImportResponse> {
  return api<PlanImportResponse>('POST', `classes/${classId}/plan/import${isDryRun ? '?dryRun=true' : ''}`, { version, file });
}

/** Puts a stored plan where pages read it; the lists that show whether a class is planned are read anew. */
export function noteStoredPlan(classId: string, stored: StoredPlan): void {
  putIn<ClassPageResponse>(classKey(classId), (page) => ({ ...page, stored, class: { ...page.class, hasPlan: true } }));
  refreshSoon(['coming']);
  refreshSoon(['today']);
  refreshSoon(['week']);
  refreshSoon(['outlook']);
}

/** Undoes taking in a plan file: the plan reads again as before. */
export async function undoPlanImport(classId: string, id: string): Promise<void> {
  await api<undefined>('DELETE', `plan-imports/${id}`);
  await readClassPage(classId);
}

/** Whether a child was there; null where what was said was a slip. */
export interface AttendanceChange {
  readonly childId: string;
  readonly status: Attendance | null;
}

/** Says whether a child was there: shown at once, stored as soon as there is an answer. */
export function sayAttendance(classId: string, { childId, status }: AttendanceChange): void {
  putIn<ClassPageResponse>(classKey(classId), (page) => withAttendance(page, childId, status));
  void writeOfClass({ kind: 'attendance', classId, childId, status });
}

function withAttendance(page: ClassPageResponse, childId: string, status: Attendance | null): ClassPageResponse {
  return { ...page, children: page.children.map((child) => (child.id === childId ? { ...child, attendance: status } : child)) };
}

/** Says of several children at once whether they were there; null where it was a slip. */
export async function setRoll(classId: string, childIds: readonly string[], status: Attendance | null): Promise<void> {
  try {
    await api<undefined>('PUT', `classes/${classId}/attendance`, { childIds, status });
    await Promise.all([[...classKey(classId)], ['week'], ['today']].map((queryKey) => queryClient.invalidateQueries({ queryKey })));
  } catch (error) {
    if (!(error instanceof ApiError && error.isAway)) throw error;
    for (const childId of childIds) sayAttendance(classId, { childId, status });
  }
}

/** Keeps whom names in a call stand for. */
export async function keepCallNames(classId: string, names: ClassPageResponse['callNames']): Promise<void> {
  await api<undefined>('PUT', `classes/${classId}/call-names`, { names });
  await queryClient.invalidateQueries({ queryKey: ['class'] });
}

/** Notes that teaching began or ended, with when; stored as soon as there is an answer. */
export function noteTeaching(classId: string, request: Omit<ChangeClassRequest, 'at'>): Promise<void> {
  return writeOfClass({ kind: 'class', classId, request: { ...request, at: new Date().toISOString() } });
}

/**
 * Keeps how long the items really took; stored as soon as there is an answer.
 * @param visits what was done one after the other, as often as it was
 */
export function storeItemTimes(classId: string, times: readonly ItemTime[], visits: readonly Visit[]): Promise<void> {
  return writeOfClass({ kind: 'item-times', classId, request: { times: [...times], visits: [...visits] } });
}

/** What was stored of a class, or refused, is read anew by the pages that show it. */
export function noteSettledWrite(write: ClassWrite, answer: unknown): void {
  // what the contract promises of its route
  if (write.kind === 'grading-mark' && answer !== undefined) noteGradingMark(write.gradingId, answer as GradingMark);
  if (write.kind === 'class') void queryClient.invalidateQueries();
  else refreshSoon(write.kind === 'grading-mark' ? ['grading', write.gradingId] : classKey(write.classId));
}

/** A class as it will be once all has arrived that waits here. */
function withWaiting(page: ClassPageResponse): ClassPageResponse {
  return useClassOutbox.getState().waiting.reduce((current, write) => {
    if (write.kind === 'grading-mark' || write.classId !== page.class.id) return current;
    if (write.kind === 'attendance') return withAttendance(current, write.childId, write.status);
    if (write.kind === 'item-times') return current;
    const { teaching, at = null, note } = write.request;
    const { taughtAt } = current.class;
    return {
      ...current,
      class: {
        ...current.class,
        ...(note === undefined ? {} : { note }),
        ...(teaching === 'started' ? { taughtAt: taughtAt ?? at } : teaching === 'ended' ? { taughtAt: taughtAt ?? at, endedAt: at } : {}),
      },
    };
  }, page);
}

/** All classes of a group, the newest first. */
export function useGroupClasses(groupId: string) {
  return useQuery({
    queryKey: ['group-classes', groupId],
    queryFn: () => api<readonly ClassResponse[]>('GET', `groups/${groupId}/classes`),
  });
}

/** The plan of any class; nothing where none is asked for. */
export function useStoredPlan(classId: string | null) {
  return useQuery({
    queryKey: classKey(classId ?? ''),
    queryFn: () => api<ClassPageResponse>('GET', `classes/${classId ?? ''}`),
    enabled: classId !== null,
    select: (page) => page.stored,
  });
}
