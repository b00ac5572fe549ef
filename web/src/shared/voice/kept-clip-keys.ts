import Dexie, { type Table } from 'dexie';

interface KeptKey {
  /** What is spoken, in which language and pace. */
  readonly clip: string;
  /** Under which key the server has it. */
  readonly key: string;
}

class ClipKeyStore extends Dexie {
  declare readonly keys: Table<KeptKey, string>;

  constructor() {
    super('leiter-clips');
    this.version(1).stores({ keys: 'clip' });
  }
}

const store = new ClipKeyStore();

/** Keeps where clips are to be had, for when nobody can be asked. A browser without a store of its own goes without. */
export async function keepClipKeys(keys: readonly KeptKey[]): Promise<void> {
  await store.keys.bulkPut([...keys]).catch(() => undefined);
}

/** @returns the key of each clip, in their order; null for one that was never asked for here */
export async function keptClipKeys(clips: readonly string[]): Promise<readonly (string | null)[]> {
  const found = await store.keys.bulkGet([...clips]).catch(() => []);
  return clips.map((_, index) => found[index]?.key ?? null);
}
