import type { ClipsRequest, ClipsResponse } from '@leiter/contract';
import { clipKey, type ClipWanted } from '@leiter/core';
import { api } from '../api';
import { keepClipKeys, keptClipKeys } from './kept-clip-keys';

/** As many as the server takes at once. */
const askedAtOnce = 30;
const fetchedAtOnce = 6;

export interface ClipsProgress {
  readonly there: number;
  readonly of: number;
}

/** False where no voice is installed beside the server. */
interface Loaded {
  readonly isInstalled: boolean;
  /** How many could not be had: no answer, or nothing was spoken. */
  readonly missing: number;
}

/** Where clips are to be had: from the server; without an answer, from what it said before. */
async function keysOf(clips: readonly ClipWanted[]): Promise<{ readonly isInstalled: boolean; readonly keys: readonly (string | null)[] }> {
  const request: ClipsRequest = { clips: clips.map(({ text, language, isQuick }) => ({ text, language, isQuick })) };
  const answer = await api<ClipsResponse>('POST', 'voice/clips', request).catch(() => null);
  if (!answer) return { isInstalled: true, keys: await keptClipKeys(clips.map(clipKey)) };
  const keys = answer.clips.map((found) => found?.key ?? null);
  await keepClipKeys(clips.flatMap((clip, index) => (keys[index] == null ? [] : [{ clip: clipKey(clip), key: keys[index] }])));
  return { isInstalled: answer.isInstalled, keys };
}

/**
 * Fetches the clips of a class, in the order in which they are needed; what cannot be had is left out, and the class goes on without it.
 * @param put told each clip as it comes
 */
export async function loadClips<Sound>(
  wanted: readonly ClipWanted[],
  decode: (file: ArrayBuffer) => Promise<Sound>,
  put: (key: string, clip: Sound) => void,
  onProgress: (progress: ClipsProgress) => void,
  signal: AbortSignal,
): Promise<Loaded> {
  let there = 0;
  let isInstalled = true;
  onProgress({ there, of: wanted.length });
  for (let from = 0; from < wanted.length && !signal.aborted; from += askedAtOnce) {
    const some = wanted.slice(from, from + askedAtOnce);
    const answer = await keysOf(some);
    isInstalled &&= answer.isInstalled;
    const queue = some.flatMap((clip, index) => {
      const key = answer.keys[index];
      return key == null ? [] : [{ clip, key }];
    });
    const fetchNext = async (): Promise<void> => {
      for (let next = queue.shift(); next && !signal.aborted; next = queue.shift()) {
        const { clip, key } = next;
        const sound = await fetchClip(key, decode);
        if (!sound) continue;
        put(clipKey(clip), sound);
        there += 1;
        onProgress({ there, of: wanted.length });
      }
    };
    await Promise.all(Array.from({ length: fetchedAtOnce }, fetchNext));
  }
  return { isInstalled, missing: wanted.length - there };
}

async function fetchClip<Sound>(key: string, decode: (file: ArrayBuffer) => Promise<Sound>): Promise<Sound | null> {
  try {
    const response = await fetch(`/api/voice/clips/${key}`, { credentials: 'same-origin' });
    return response.ok ? await decode(await response.arrayBuffer()) : null;
  } catch {
    return null;
  }
}
