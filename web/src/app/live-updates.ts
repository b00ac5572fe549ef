import type { ClassPageResponse, LiveEvent } from '@leiter/contract';
import { classKey } from '../queries/class.queries';
import { noteArrivedMark } from '../queries/record.queries';
import { putIn } from '../shared/put-in';
import { refreshSoon } from '../shared/refresh-soon';
import { queryClient } from '../shared/query-client';

/** Puts what happened elsewhere where pages read it. */
export function showLiveEvent(event: LiveEvent): void {
  switch (event.topic) {
    case 'mark':
      noteArrivedMark(event.mark);
      return;
    case 'attendance':
      putIn<ClassPageResponse>(classKey(event.classId), (page) => {
        const children = page.children.map((child) => (child.id === event.childId ? { ...child, attendance: event.status } : child));
        return { ...page, children };
      });
      refreshSoon(['week']);
      refreshSoon(['today']);
      return;
    case 'class':
      refreshSoon(classKey(event.classId));
      refreshSoon(['coming']);
      refreshSoon(['today']);
      refreshSoon(['group-classes']);
      refreshSoon(['week']);
      refreshSoon(['taught', event.classId]);
      return;
    case 'calendar':
      refreshSoon(['class']);
      refreshSoon(['coming']);
      refreshSoon(['today']);
      refreshSoon(['week']);
      return;
    case 'plan':
      // the page of the plan itself shows it step by step; others read it when they are looked at
      void queryClient.invalidateQueries({ queryKey: classKey(event.classId), refetchType: 'none' });
      refreshSoon(['week']);
      refreshSoon(['outlook']);
      refreshSoon(['coming']);
      refreshSoon(['today']);
      return;
    case 'ladder':
      refreshSoon(['syllabuses']);
      refreshSoon(['board']);
      return;
    case 'phrase':
      // the page of the steps shows it by itself; others read it when they are opened
      void queryClient.invalidateQueries({ queryKey: ['library'], refetchType: 'none' });
      return;
    case 'grading':
      refreshSoon(['grading', event.gradingId]);
      refreshSoon(['gradings']);
      return;
    case 'checks':
      refreshSoon(['checks']);
      refreshSoon(['class']);
      refreshSoon(['outlook']);
      return;
    case 'presence':
    case 'press':
      return;
  }
}

/** What happened meanwhile may be lost: all that is shown is read anew. */
export function readAllAnew(): void {
  void queryClient.invalidateQueries();
}
