import type { ClassPageResponse, MovementResponse, SessionResponse, TemplateResponse } from '@leiter/contract';
import { usualVoice, type Movement } from '@leiter/core';
import { QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { queryClient } from '../shared/query-client';
import { answerWith, type Sent } from './makers';

interface Server {
  readonly classes: Readonly<Record<string, ClassPageResponse>>;
  readonly movements: readonly Movement[];
  readonly templates?: readonly TemplateResponse[];
}

/** Stands for the server: classes by id, a library, templates. A saved plan is there when the class is read again. */
export function serverWith({ classes, movements, templates = [] }: Server): readonly Sent[] {
  const pages = new Map(Object.entries(classes));
  const library: readonly MovementResponse[] = movements.map((one) => ({ ...one, isOwn: false, isPutAway: false, ownCue: null }));
  return answerWith(({ method, path, body }) => {
    const [, id = '', rest = ''] = /^\/api\/classes\/([^/]+)\/?(.*)$/.exec(path) ?? [];
    const page = pages.get(id);
    if (path === '/api/library') return { status: 200, body: library };
    if (path === '/api/plan-templates') return { status: 200, body: templates };
    if (rest === 'presence') return { status: 200, body: [] };
    if (page && rest === 'plan' && method === 'PUT') {
      const { version, plan } = body as { version: number; plan: NonNullable<ClassPageResponse['stored']>['plan'] };
      const stored = { version: version + 1, plan, savedAt: '2026-03-01T12:00:00Z', savedBy: 'Somebody' };
      pages.set(id, { ...page, stored });
      return { status: 200, body: stored };
    }
    if (page && rest === 'plan/version') return { status: 200, body: { version: page.stored?.version ?? 0, savedBy: null } };
    if (page && rest === '') return { status: 200, body: page };
    return { status: 404, body: { status: 404, title: 'Not found', type: 'about:blank' } };
  });
}

/** Who is signed in: somebody who teaches. */
const instructor = {
  person: { id: 'tomasz', name: 'Tomasz', email: 'tomasz@club.example', role: 'instructor', isPutAway: false },
  club: { name: 'Club', isDemo: false, timeZone: 'Europe/London' },
  room: null,
  style: 'as-it-comes',
  voice: usualVoice,
  today: '2026-03-01',
} satisfies SessionResponse;

/** A page at an address, with all that pages stand in. @returns what leads it to another address */
export function renderAt(address: string, pattern: string, page: ReactNode): { readonly go: (address: string) => Promise<void> } {
  queryClient.clear();
  queryClient.setQueryData(['session'], instructor);
  const router = createMemoryRouter([{ path: pattern, element: page }], { initialEntries: [address] });
  render(
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return { go: (next) => router.navigate(next) };
}
