import { queryClient } from '../shared/query-client';
import { childQuery, childrenQuery } from './children.queries';
import { classQuery } from './class.queries';
import { groupsQuery } from './groups.queries';
import { libraryQuery } from './library.queries';
import { boardsQuery, groupBoardQuery } from './record.queries';
import { sessionQuery } from './session.queries';
import { syllabusesQuery } from './syllabus.queries';

type Asked = (id: string) => Promise<unknown>;

/** How what a page asks of the API is kept, by its path there: what most pages ask, and what takes longest. */
const asked: readonly (readonly [RegExp, Asked])[] = [
  [/^session$/, () => queryClient.query(sessionQuery)],
  [/^library$/, () => queryClient.query(libraryQuery)],
  [/^syllabuses$/, () => queryClient.query(syllabusesQuery)],
  [/^groups$/, () => queryClient.query(groupsQuery)],
  [/^children$/, () => queryClient.query(childrenQuery)],
  [/^boards$/, () => queryClient.query(boardsQuery)],
  [/^classes\/([^/]+)$/, (id) => queryClient.query(classQuery(id))],
  [/^children\/([^/]+)$/, (id) => queryClient.query(childQuery(id))],
  [/^groups\/([^/]+)\/board$/, (id) => queryClient.query(groupBoardQuery(id))],
];

/**
 * Reads what the server named in the HTML as asked for by this page (see `addresses.ts`): the browser is fetching it already, and the page
 * is drawn with it at once, instead of empty, then for who is signed in, and then once more with each answer.
 */
export function askFirst(): void {
  for (const { href } of document.head.querySelectorAll<HTMLLinkElement>('link[rel="preload"][as="fetch"]')) {
    const path = new URL(href).pathname.replace('/api/', '');
    for (const [pattern, ask] of asked) {
      const found = pattern.exec(path);
      // what comes of an error is told by the part that shows it
      if (found) ask(found[1] ?? '').catch(() => undefined);
    }
  }
}
