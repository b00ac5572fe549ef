/** One page: its address, the file that holds it (under src, without `.page.tsx`), and what it asks the API for when it opens. */
interface Address {
  readonly path: string;
  readonly page: string;
  readonly asks: readonly string[];
  /** True for a page outside the shell: nobody is signed in there. */
  readonly isOutside?: boolean;
}

/**
 * Every page. The router opens them by this list; the build writes from it what a browser may fetch at once, together
 * with the first page of HTML, instead of one thing after the other (see first-needs.ts beside vite.config.ts).
 */
export const addresses: readonly Address[] = [
  { path: '/sign-in', page: 'account/sign-in', asks: ['welcome'], isOutside: true },
  { path: '/invitation/:token', page: 'account/invitation', asks: [], isOutside: true },
  { path: '/remote', page: 'remote/remote', asks: [], isOutside: true },
  { path: '/verify/:id', page: 'verify/verify', asks: ['badges/:id'], isOutside: true },
  { path: '/', page: 'today/today', asks: ['today', 'library'] },
  { path: '/week', page: 'week/week', asks: ['groups'] },
  { path: '/week/:day', page: 'week/week', asks: ['groups', 'weeks/:day'] },
  { path: '/classes/:id', page: 'class/class', asks: ['classes/:id', 'library', 'classes/:id/taught'] },
  { path: '/classes/:id/plan', page: 'plan/plan', asks: ['classes/:id', 'library', 'plan-templates'] },
  { path: '/classes/:id/compare', page: 'compare/compare', asks: ['classes/:id', 'library'] },
  { path: '/classes/:id/teach', page: 'teach/teach', asks: ['classes/:id', 'library'] },
  { path: '/classes/:id/rehearse', page: 'teach/rehearsal', asks: ['classes/:id', 'library'] },
  { path: '/classes/:id/beside', page: 'remote/beside', asks: ['classes/:id', 'library'] },
  { path: '/classes/:id/marks', page: 'record/marks', asks: ['classes/:id', 'library'] },
  { path: '/classes/:id/letters', page: 'letters/letters', asks: ['classes/:id/letters'] },
  { path: '/groups/:id', page: 'record/board', asks: ['groups/:id/board', 'library', 'syllabuses'] },
  { path: '/groups/:id/bests', page: 'record/bests', asks: ['groups/:id/bests', 'library'] },
  { path: '/gradings', page: 'grading/gradings', asks: ['gradings', 'syllabuses'] },
  { path: '/gradings/:id', page: 'grading/grading', asks: ['gradings/:id', 'library', 'syllabuses'] },
  { path: '/gradings/:id/letters', page: 'letters/letters', asks: ['gradings/:id/letters'] },
  { path: '/letters', page: 'letters/mailbox', asks: ['letters'] },
  { path: '/children', page: 'children/children', asks: ['children', 'groups', 'boards', 'syllabuses'] },
  { path: '/children/:id', page: 'children/child', asks: ['children/:id', 'library', 'syllabuses', 'groups'] },
  { path: '/clips', page: 'clips/clips', asks: ['clips', 'library'] },
  { path: '/children/:id/clips', page: 'clips/clips', asks: ['children/:id/clips', 'library'] },
  { path: '/syllabus', page: 'syllabus/syllabus', asks: ['syllabuses', 'library'] },
  { path: '/library', page: 'library/library', asks: ['library', 'syllabuses'] },
  { path: '/library/:slug', page: 'library/movement', asks: ['library', 'syllabuses'] },
  { path: '/library/:slug/steps', page: 'phrase/phrase', asks: ['library'] },
  { path: '/terms/:programme', page: 'terms/terms', asks: ['library', 'syllabuses'] },
  { path: '/terms/:programme/quiz', page: 'terms/quiz', asks: ['library', 'syllabuses'] },
  { path: '/club', page: 'club/club', asks: ['groups', 'people', 'syllabuses'] },
  { path: '/club/checks', page: 'club/checks', asks: ['club/checks'] },
  { path: '/reports', page: 'reports/reports', asks: ['library'] },
  { path: '/me', page: 'account/me', asks: [] },
];
