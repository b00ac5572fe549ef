import { createBrowserRouter, Navigate, useRouteError } from 'react-router';
import { Message } from '../shared/page';
import { Shell } from './shell';

/** Every page is its own chunk: the first one is small. */
export const router = createBrowserRouter([
  { path: '/sign-in', lazy: async () => ({ Component: (await import('../account/sign-in.page')).SignInPage }), HydrateFallback: Nothing },
  {
    path: '/invitation/:token',
    lazy: async () => ({ Component: (await import('../account/invitation.page')).InvitationPage }),
    HydrateFallback: Nothing,
  },
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: Broken,
    HydrateFallback: Nothing,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../today/today.page')).TodayPage }) },
      { path: 'week', lazy: async () => ({ Component: (await import('../week/week.page')).WeekPage }) },
      { path: 'week/:day', lazy: async () => ({ Component: (await import('../week/week.page')).WeekPage }) },
      { path: 'plan', element: <Navigate to="/week" replace /> },
      { path: 'teach', element: <Navigate to="/week" replace /> },
      { path: 'classes/:id', lazy: async () => ({ Component: (await import('../class/class.page')).ClassPage }) },
      { path: 'classes/:id/plan', lazy: async () => ({ Component: (await import('../plan/plan.page')).PlanPage }) },
      { path: 'classes/:id/compare', lazy: async () => ({ Component: (await import('../compare/compare.page')).ComparePage }) },
      { path: 'classes/:id/teach', lazy: async () => ({ Component: (await import('../teach/teach.page')).TeachPage }) },
      { path: 'classes/:id/marks', lazy: async () => ({ Component: (await import('../record/marks.page')).MarksPage }) },
      { path: 'groups/:id', lazy: async () => ({ Component: (await import('../record/board.page')).BoardPage }) },
      { path: 'children', lazy: async () => ({ Component: (await import('../children/children.page')).ChildrenPage }) },
      { path: 'children/:id', lazy: async () => ({ Component: (await import('../children/child.page')).ChildPage }) },
      { path: 'syllabus', lazy: async () => ({ Component: (await import('../syllabus/syllabus.page')).SyllabusPage }) },
      { path: 'library', lazy: async () => ({ Component: (await import('../library/library.page')).LibraryPage }) },
      { path: 'library/:slug', lazy: async () => ({ Component: (await import('../library/movement.page')).MovementPage }) },
      { path: 'club', lazy: async () => ({ Component: (await import('../club/club.page')).ClubPage }) },
      { path: 'me', lazy: async () => ({ Component: (await import('../account/me.page')).MePage }) },
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
      title="This page broke"
      text="Nothing that was saved is lost. Load it again; if it breaks again, tell the person who runs Leiter what you did."
      action={{
        label: 'Load it again',
        onClick: () => {
          window.location.reload();
        },
      }}
    />
  );
}
