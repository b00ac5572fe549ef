// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { planKind } from '../plan/editing/plan-kind';
import { keptDraft } from '../shared/document-session/kept-draft';
import { keptRun } from '../teach/run/run-store';
import kept from './fixtures/browser-2026-11.json';
import { answerWith } from './makers';

/** What Leiter of November 2026 left in a browser; every later one opens it. */
beforeAll(async () => {
  // other tests may have opened these stores as today's version
  vi.resetModules();
  for (const name of await Dexie.getDatabaseNames()) await Dexie.delete(name);
  for (const [key, value] of Object.entries(kept.localStorage)) localStorage.setItem(key, value);
  const history = new Dexie('leiter-plan-history');
  history.version(1).stores({ steps: '[classId+nth], classId', heads: 'classId, keptOn' });
  await history.table('steps').bulkPut(kept['leiter-plan-history'].steps);
  await history.table('heads').bulkPut(kept['leiter-plan-history'].heads);
  history.close();
  const marks = new Dexie('leiter-marks');
  marks.version(1).stores({ marks: 'id, personId, givenAt' });
  await marks.table('marks').bulkPut(kept['leiter-marks'].marks);
  marks.close();
});

describe('a browser of November 2026', () => {
  it('still has the plan that was not saved yet, and the version it was written on', () => {
    const draft = keptDraft(planKind, 'class');
    expect(draft?.version).toBe(2);
    expect(draft?.content.sections[0]?.items[0]?.movement).toBe('cartwheel');
  });

  it('still has every step of a plan to undo and do again', async () => {
    const { historyOf } = await import('../shared/document-session/kept-history');
    const history = await historyOf(planKind, 'class', new Date('2026-11-26T12:00:00Z'));
    expect(history?.past).toEqual([{ sections: [], focus: [] }]);
    expect(history?.content.sections).toHaveLength(1);
    expect(history?.future.map(({ focus }) => focus)).toEqual([['cartwheel']]);
  });

  it('goes on with a class where it was', () => {
    expect(keptRun('class')).toMatchObject({ itemIndex: 1, itemStartedAt: 61_000, realSeconds: { a: 60 } });
  });

  it('sends the marks that waited in it', async () => {
    const sent = answerWith(({ body }) => ({ status: 200, body }));
    const { openMarkQueue } = await import('../queries/mark-queue');
    await openMarkQueue('tomasz', () => undefined);
    expect(sent.map(({ path }) => path)).toEqual(['/api/observations/6f9d3a4e-0c55-4d2b-9a51-0d3c7d1f2a10']);
  });
});
