import type { ClipsRequest, ClipsResponse } from '@leiter/contract';
import { clipKey, type ClipWanted } from '@leiter/core';
import { api } from '../api';

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

/**
 * Fetches the clips of a class, in the order in which they are needed; what cannot be had is left out, and the class goes on without it.
 * @param put told each clip as it comes
 */
export async function loadClips(
  wanted: readonly ClipWanted[],
  decode: (file: ArrayBuffer) => Promise<AudioBuffer>,
  put: (key: string, clip: AudioBuffer) => void,
  onProgress: (progress: ClipsProgress) => void,
  signal: AbortSignal,
): Promise<Loaded> {
  let there = 0;
  let isInstalled = true;
  onProgress({ there, of: wanted.length });
  for (let from = 0; from < wanted.length && !signal.aborted; from += askedAtOnce) {
    const some = wanted.slice(from, from + askedAtOnce);
    const request: ClipsRequest = { clips: some.map(({ text, language, isQuick }) => ({ text, language, isQuick })) };
    const answer = await api<ClipsResponse>('POST', 'voice/clips', request).catch(() => null);
    if (!answer) continue;
    isInstalled &&= answer.isInstalled;
    const queue = some.flatMap((clip, index) => {
      const found = answer.clips[index];
      return found ? [{ clip, key: found.key }] : [];
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

async function fetchClip(key: string, decode: (file: ArrayBuffer) => Promise<AudioBuffer>): Promise<AudioBuffer | null> {
  try {
    const response = await fetch(`/api/voice/clips/${key}`, { credentials: 'same-origin' });
    return response.ok ? await decode(await response.arrayBuffer()) : null;
  } catch {
    return null;
  }
}
