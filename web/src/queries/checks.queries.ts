import type { CheckNumberRequest, ClubChecksResponse, TurnCheckRequest } from '@leiter/contract';
import type { RuleValue } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

const key = ['checks'];

/** What the club holds otherwise than usual of the checks. */
export function useChecks() {
  return useQuery({ queryKey: key, queryFn: () => api<ClubChecksResponse>('GET', 'club/checks') });
}

/** Plans are judged by other rules from now on: what was asked of classes is asked again. */
const anew = async (): Promise<void> => {
  await queryClient.invalidateQueries({ queryKey: key });
  void queryClient.invalidateQueries({ queryKey: ['class'] });
  void queryClient.invalidateQueries({ queryKey: ['outlook'] });
};

export async function turnCheck(check: string, to: TurnCheckRequest): Promise<void> {
  await api<undefined>('PUT', `club/checks/${check}`, to);
  await anew();
}

/** @param to undefined for what is usual */
export async function setCheckNumber(number: string, to: RuleValue | undefined): Promise<void> {
  if (to === undefined) await api<undefined>('DELETE', `club/check-numbers/${number}`);
  else {
    const body: CheckNumberRequest = typeof to === 'number' ? { value: to } : { steps: to.map((step) => ({ ...step })) };
    await api<undefined>('PUT', `club/check-numbers/${number}`, body);
  }
  await anew();
}
