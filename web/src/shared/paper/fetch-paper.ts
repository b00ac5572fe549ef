import { t } from '@lingui/core/macro';
import type { Problem } from '@leiter/contract';
import { paperWithProgress, type PaperLine } from '@leiter/contract/paper';
import { ApiError } from '../api';

/** How far a file is: pages that are set. */
export interface PaperProgress {
  readonly set: number;
  readonly of: number;
}

export interface Paper {
  readonly name: string;
  readonly file: Blob;
}

const newline = 0x0a;

/**
 * Fetches a PDF that takes its time.
 * @param path after `/api/` @param onProgress told now and then how far it is @param signal ends it, also on the server
 * @throws ApiError where it was refused, broke off or there was no answer
 */
export async function fetchPaper(path: string, onProgress: (progress: PaperProgress) => void, signal: AbortSignal): Promise<Paper> {
  const response = await fetch(`/api/${path}`, { headers: { accept: paperWithProgress }, signal }).catch(() => null);
  if (!response) throw new ApiError(0, null);
  if (!response.ok) {
    const problem = (await response.json().catch(() => null)) as Problem | null; // the server's errors are problem documents
    throw new ApiError(response.status, problem);
  }
  const reader = response.body?.getReader();
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let file: { readonly name: string; readonly bytes: number } | null = null;
  let rest = new Uint8Array();
  for (;;) {
    const { value, done } = (await reader?.read().catch(() => null)) ?? { value: undefined, done: true };
    if (done) break;
    if (file) {
      parts.push(value);
      continue;
    }
    rest = joined(rest, value);
    for (let end = rest.indexOf(newline); end >= 0 && !file; end = rest.indexOf(newline)) {
      const line = JSON.parse(new TextDecoder().decode(rest.slice(0, end))) as PaperLine; // what the contract says
      rest = rest.slice(end + 1);
      if ('refused' in line) throw new ApiError(503, { type: 'about:blank', title: line.refused, status: 503, detail: line.refused });
      if ('set' in line) {
        onProgress(line);
        continue;
      }
      file = line;
      parts.push(rest);
    }
  }
  const blob = new Blob(parts, { type: 'application/pdf' });
  if (file?.bytes !== blob.size) throw new ApiError(0, null);
  return { name: file.name, file: blob };
}

function joined(one: Uint8Array, other: Uint8Array): Uint8Array<ArrayBuffer> {
  const both = new Uint8Array(one.length + other.length);
  both.set(one);
  both.set(other, one.length);
  return both;
}

/** What is said where it did not come. */
export const paperFailure = (error: unknown): string =>
  error instanceof ApiError && error.status !== 0 ? error.message : t`The file did not come whole. Try again in a moment.`;
