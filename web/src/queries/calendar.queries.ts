import type {
  AddClassRequest,
  ChangeClassRequest,
  ClassOutlook,
  ClassResponse,
  HolidayRequest,
  HolidayResponse,
  TaughtClass,
  WeekEntry,
  WeekResponse,
} from '@leiter/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';
import { classKey } from './class.queries';

/** The week in which a day lies. */
export function useWeek(day: string) {
  return useQuery({ queryKey: ['week', day], queryFn: () => api<WeekResponse>('GET', `weeks/${day}`), placeholderData: keepPreviousData });
}

/** What the plans of its classes come to; comes after the week itself. */
export function useOutlook(day: string): ReadonlyMap<string, ClassOutlook> {
  const { data } = useQuery({ queryKey: ['outlook', day], queryFn: () => api<readonly ClassOutlook[]>('GET', `weeks/${day}/outlook`) });
  return new Map((data ?? []).map((one) => [one.classId, one]));
}

/** The next class of a group after a day, of this week and the one after it; null where none is known. */
export function useNextClass(groupId: string, day: string): Pick<WeekEntry, 'day' | 'startsAt'> | null {
  const entries = useWeek(day).data?.entries ?? [];
  const later = entries.filter(
    (one) =>
      one.group.id === groupId && one.day > day && one.holiday === null && one.movedTo === null && one.class?.cancelledBecause == null,
  );
  return later.toSorted((a, b) => a.day.localeCompare(b.day))[0] ?? null;
}

/** What the items of a class that was taught really took; null where no time was kept. */
export function useTaughtClass(id: string) {
  return useQuery({ queryKey: ['taught', id], queryFn: () => api<TaughtClass>('GET', `classes/${id}/taught`) });
}

/** All that shows the calendar is read anew. */
function readCalendarAnew(): void {
  // it may come a moment later: the step can be taken back at once
  for (const queryKey of [['week'], ['coming'], ['today'], ['group-classes']]) void queryClient.invalidateQueries({ queryKey });
}

export async function addClass(request: AddClassRequest): Promise<ClassResponse> {
  const added = await api<ClassResponse>('POST', 'classes', request);
  readCalendarAnew();
  return added;
}

/** Takes a class off the calendar on which nothing was done yet. */
export async function removeClass(id: string): Promise<void> {
  await api<undefined>('DELETE', `classes/${id}`);
  readCalendarAnew();
}

export async function changeClass(id: string, request: ChangeClassRequest): Promise<ClassResponse> {
  const changed = await api<ClassResponse>('PATCH', `classes/${id}`, request);
  void queryClient.invalidateQueries({ queryKey: classKey(id) });
  readCalendarAnew();
  return changed;
}

export async function addHoliday(request: HolidayRequest): Promise<HolidayResponse> {
  const added = await api<HolidayResponse>('POST', 'holidays', request);
  readCalendarAnew();
  return added;
}

export async function removeHoliday(id: string): Promise<void> {
  await api<undefined>('DELETE', `holidays/${id}`);
  readCalendarAnew();
}
