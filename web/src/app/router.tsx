import { t } from '@lingui/core/macro';
import type { ComponentType } from 'react';
import { createBrowserRouter, Navigate, useRouteError, type RouteObject } from 'react-router';
import { Message } from '../shared/page';
import { addresses } from './addresses';
import { Shell } from './shell';

const pages = import.meta.glob<ComponentType>('../*/*.page.tsx', { import: 'Page' });

function pageAt({ path, page }: (typeof addresses)[number]): RouteObject {
  const load = pages[`../${page}.page.tsx`];
  if (!load) throw new Error(`${path} has no page`);
  return { path, lazy: async () => ({ Component: await load() }), HydrateFallback: Nothing };
}

/** Every page is its own chunk: the first one is small. */
export const router = createBrowserRouter([
  ...addresses.filter(({ isOutside }) => isOutside).map(pageAt),
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: Broken,
    HydrateFallback: Nothing,
    children: [
      ...addresses.filter(({ isOutside }) => !isOutside).map(pageAt),
      { path: 'plan', element: <Navigate to="/week" replace /> },
      { path: 'teach', element: <Navigate to="/week" replace /> },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);

function Nothing() {
  return null;
}

/** A page that broke: says so, offers a way on; nothing that was saved is touched. */
function Broken() {
  const error = useRouteError();
  console.error(error);
  return (
    <Message
      title={t`This page broke`}
      text={t`Nothing that was saved is lost. Load it again; if it breaks again, tell the person who runs Leiter what you did.`}
      action={{
        label: t`Load it again`,
        onClick: () => {
          window.location.reload();
        },
      }}
    />
  );
}
