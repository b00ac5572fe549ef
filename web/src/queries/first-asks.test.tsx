// @vitest-environment jsdom
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { addresses } from '../app/addresses';
import { queryClient } from '../shared/query-client';
import { askFirst } from './first-asks';
import { useMovements } from './library.queries';
import { useSession } from './session.queries';

afterEach(() => {
  cleanup();
  queryClient.clear();
  vi.unstubAllGlobals();
  document.head.innerHTML = '';
});

/** The HTML of a page as the server sends it, and an API that answers; @returns what is asked of it. */
function pageThatAsks(asks: readonly string[], status = 200): readonly string[] {
  document.head.innerHTML = asks.map((ask) => `<link rel="preload" as="fetch" crossorigin href="/api/${ask}">`).join('');
  const asked: string[] = [];
  vi.stubGlobal('fetch', (url: string) => {
    asked.push(url);
    return Promise.resolve(new Response('[]', { status }));
  });
  return asked;
}

const wrapper = ({ children }: { readonly children: ReactNode }) => (
  <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>
);
const drawn = () => renderHook(() => ({ session: useSession().data, movements: useMovements().data }), { wrapper }).result;

describe('what a page asks first', () => {
  it('is there when the page is drawn, and is not asked for again', async () => {
    const asked = pageThatAsks(['session', 'library', 'classes/4f-2']);
    askFirst();
    await waitFor(() => {
      expect(queryClient.isFetching()).toBe(0);
    });
    expect(drawn().current).toEqual({ session: [], movements: [] });
    expect(asked).toEqual(['/api/session', '/api/library', '/api/classes/4f-2']);
  });

  it('is asked for once where the page is drawn before the answer', async () => {
    const asked = pageThatAsks(['session', 'library']);
    askFirst();
    const shown = drawn();
    expect(shown.current.movements).toBeUndefined();
    await waitFor(() => {
      expect(shown.current).toEqual({ session: [], movements: [] });
    });
    expect(asked).toEqual(['/api/session', '/api/library']);
  });

  it('says that nobody is signed in any more where the server does', async () => {
    pageThatAsks(['session', 'library'], 401);
    askFirst();
    const shown = drawn();
    await waitFor(() => {
      expect(shown.current.session).toBeNull();
    });
  });

  it('is known by the names that pages give it', () => {
    const named = new Set(addresses.flatMap(({ asks }) => asks.map((ask) => ask.replace(':id', '4f-2'))));
    const asked = pageThatAsks([...named, 'session']);
    askFirst();
    expect([...new Set(asked)].toSorted()).toEqual(
      ['boards', 'children', 'children/4f-2', 'classes/4f-2', 'groups', 'groups/4f-2/board', 'library', 'session', 'syllabuses'].map(
        (path) => `/api/${path}`,
      ),
    );
  });
});
