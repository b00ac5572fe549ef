import type { TaughtClass } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';

/** The last classes of the group that were taught before a class, the newest first. */
export function useTaughtBefore(classId: string) {
  return useQuery({
    queryKey: ['taught-before', classId],
    queryFn: () => api<readonly TaughtClass[]>('GET', `classes/${classId}/earlier`),
  });
}
