import type { TodayResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';

export function useToday() {
  return useQuery({ queryKey: ['today'], queryFn: () => api<TodayResponse>('GET', 'today'), refetchInterval: 5 * 60_000 });
}
