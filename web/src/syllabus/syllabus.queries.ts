import type { SyllabusResponse } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';

export function useSyllabuses() {
  return useQuery({ queryKey: ['syllabuses'], queryFn: () => api<readonly SyllabusResponse[]>('GET', 'syllabuses'), staleTime: 60_000 });
}
