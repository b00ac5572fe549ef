// @vitest-environment jsdom
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { queryClient } from '../shared/query-client';
import { useLibraryFront, useMovements } from './library.queries';

afterEach(() => {
  cleanup();
  queryClient.clear();
  vi.unstubAllGlobals();
});

/** The library as the server sends it, stopped after so many entries until it is told to go on. */
function libraryThatStops(count: number, after: number): () => void {
  let goOn: () => void = () => undefined;
  const told = new Promise<void>((resolve) => {
    goOn = resolve;
  });
  const line = (_: unknown, index: number): string => JSON.stringify({ slug: `step-${String(index)}`, says: 'x'.repeat(2000) });
  const lines = Array.from({ length: count }, line);
  const bytes = new TextEncoder();
  const body = new ReadableStream({
    async start(controller) {
      controller.enqueue(bytes.encode(`[\n${lines.slice(0, after).join(',\n')},\n`));
      await told;
      controller.enqueue(bytes.encode(`${lines.slice(after).join(',\n')}\n]`));
      controller.close();
    },
  });
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { headers: { 'leiter-count': String(count) } })));
  return goOn;
}

const library = () =>
  renderHook(() => ({ all: useMovements().data?.length, front: useLibraryFront()?.map(({ slug }) => slug) }), {
    wrapper: ({ children }: { readonly children: ReactNode }) => <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>,
  }).result;

describe('the library', () => {
  it('of thousands shows its first entries while the others are coming, and is whole only when all have come', async () => {
    // reading is slow here: it has to stop for the page after every entry
    let now = 0;
    vi.spyOn(performance, 'now').mockImplementation(() => (now += 9));
    const goOn = libraryThatStops(1200, 200);
    const shown = library();
    await waitFor(() => {
      expect(shown.current.front?.length).toBe(120);
    });
    expect([shown.current.all, shown.current.front?.[119]]).toEqual([undefined, 'step-119']);
    vi.restoreAllMocks();
    goOn();
    await waitFor(() => {
      expect(shown.current.all).toBe(1200);
    });
  });

  it('of hundreds comes at once, without a beginning that is drawn twice', async () => {
    const goOn = libraryThatStops(300, 200);
    const shown = library();
    goOn();
    await waitFor(() => {
      expect(shown.current.all).toBe(300);
    });
    expect(shown.current.front).toBeUndefined();
  });
});
