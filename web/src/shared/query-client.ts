import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './api';

/** Reads that get no answer are tried again until there is one; a refusal is an answer. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (_count, error) => error instanceof ApiError && error.isAway,
      retryDelay: 2000,
      staleTime: 5000,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});
