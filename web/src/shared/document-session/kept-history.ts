import { hashKey } from '@tanstack/react-query';
import Dexie, { type Table } from 'dexie';
import type { DocumentKind } from './document-kind';
import type { DocumentStore, History } from './document-store';

/** What was before and what was taken back, as the browser kept it; so that undo reaches over a reload. */
export interface KeptHistory<Content> extends History<Content> {
  readonly content: Content;
}

interface Step {
  /** The kind of a document and its id. */
  readonly document: string;
  readonly nth: number;
  readonly content: object;
}

interface Head {
  readonly document: string;
  /** Which step is the document now. */
  readonly nth: number;
  readonly keptOn: string;
}

/** Steps as they were kept while only plans had a history. */
interface PlanStep {
  readonly classId: string;
  readonly nth: number;
  readonly plan: object;
}

class HistoryStore extends Dexie {
  readonly documentSteps!: Table<Step, [string, number]>;
  readonly documentHeads!: Table<Head, string>;

  constructor() {
    super('leiter-plan-history');
    this.version(1).stores({ steps: '[classId+nth], classId', heads: 'classId, keptOn' });
    this.version(2)
      .stores({ documentSteps: '[document+nth], document', documentHeads: 'document, keptOn' })
      .upgrade(async (older) => {
        const steps: readonly PlanStep[] = await older.table<PlanStep>('steps').toArray();
        const heads = await older.table<{ classId: string; nth: number; keptOn: string }>('heads').toArray();
        await older
          .table('documentSteps')
          .bulkPut(steps.map(({ classId, nth, plan }) => ({ document: `plan ${classId}`, nth, content: plan })));
        await older.table('documentHeads').bulkPut(heads.map(({ classId, ...head }) => ({ document: `plan ${classId}`, ...head })));
      });
    this.version(3).stores({ steps: null, heads: null });
  }
}

const store = new HistoryStore();
const keptDays = 90;
const writtenAfterMilliseconds = 40;

/** @returns what was kept of a document; null where nothing was. Histories that nobody touched for three months are dropped. */
export async function historyOf<Content>(kind: DocumentKind<Content>, id: string, today: Date): Promise<KeptHistory<Content> | null> {
  const document = `${kind.name} ${id}`;
  const oldest = new Date(today.getTime() - keptDays * 86_400_000).toISOString();
  for (const { document: old } of await store.documentHeads.where('keptOn').below(oldest).toArray()) await dropHistory(old);
  const head = await store.documentHeads.get(document);
  const steps = (await store.documentSteps.where({ document }).sortBy('nth')).map(({ content }) => kind.open(content));
  const content = head ? steps[head.nth] : undefined;
  if (!head || !content) return null;
  const readable = (some: readonly (Content | null)[]): readonly Content[] => some.flatMap((one) => one ?? []);
  return { past: readable(steps.slice(0, head.nth)), content, future: readable(steps.slice(head.nth + 1)) };
}

async function dropHistory(document: string): Promise<void> {
  await store.documentSteps.where({ document }).delete();
  await store.documentHeads.delete(document);
}

/** Forgets all that can be undone: who signs out leaves nothing of it behind. */
export async function forgetHistories(): Promise<void> {
  await store.documentSteps.clear();
  await store.documentHeads.clear();
}

/** The history with which a document goes on. Where it is not what was left, somebody else changed it: one more step. */
export function historyOn<Content>(content: Content, kept: KeptHistory<Content> | null): History<Content> {
  if (!kept) return { past: [], future: [] };
  return isSame(kept.content, content) ? kept : { past: [...kept.past, kept.content], future: [] };
}

/** Whether two documents say the same, in whatever order their fields come. */
export function isSame(one: unknown, other: unknown): boolean {
  return one === other || hashKey([one]) === hashKey([other]);
}

/** Keeps the history of a document as it grows: each change writes what is new and no more. @returns what ends it. */
export function keepHistory<Content>(
  kind: DocumentKind<Content>,
  id: string,
  written: DocumentStore<Content>,
  now: () => Date,
): () => void {
  const document = `${kind.name} ${id}`;
  let kept: readonly Content[] = [];
  let writing: Promise<unknown> = Promise.resolve();
  const keep = (): void => {
    const { pastStates, futureStates } = written.temporal.getState();
    // of what was taken back, the newest comes last
    const all = [...pastStates, written.getState(), ...futureStates.toReversed()].flatMap(({ content }) => content ?? []);
    let same = 0;
    while (same < all.length && all[same] === kept[same]) same += 1;
    const steps = all.slice(same).map((content, index) => ({ document, nth: same + index, content: kind.write(content) }));
    const surplus = Math.max(0, kept.length - all.length);
    kept = all;
    writing = writing
      .then(() =>
        store.transaction('rw', store.documentSteps, store.documentHeads, async () => {
          await store.documentSteps.bulkPut(steps);
          if (surplus > 0)
            await store.documentSteps.where('[document+nth]').between([document, all.length], [document, Dexie.maxKey]).delete();
          await store.documentHeads.put({ document, nth: pastStates.length, keptOn: now().toISOString() });
        }),
      )
      // a browser that keeps nothing, or is full, still writes: only undo does not reach over a reload then
      .catch(() => undefined);
  };
  keep();
  let later: ReturnType<typeof setTimeout> | undefined;
  // of the two, what can be undone changes last; it is written once the key is painted
  const stop = written.temporal.subscribe(() => {
    clearTimeout(later);
    later = setTimeout(keep, writtenAfterMilliseconds);
  });
  return () => {
    clearTimeout(later);
    stop();
    keep();
  };
}
