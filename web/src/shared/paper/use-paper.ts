import { useCallback, useEffect, useRef, useState } from 'react';
import { ApiError } from '../api';
import { fetchPaper, paperFailure, type PaperProgress } from './fetch-paper';

export interface PaperState {
  /** Null while none is being made. */
  readonly progress: PaperProgress | null;
  /** What went wrong the last time, in words. */
  readonly failed: string | null;
  /** Makes the file and saves it. @returns whether it came @throws ApiError where fields were refused: they are said there */
  readonly make: (path: string) => Promise<boolean>;
}

/** A PDF that takes its time: how far it is, and given up when the page is left. */
export function usePaper(): PaperState {
  const [progress, setProgress] = useState<PaperProgress | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const make = useCallback(async (path: string): Promise<boolean> => {
    stop.current?.abort();
    const own = new AbortController();
    stop.current = own;
    setFailed(null);
    setProgress({ set: 0, of: 0 });
    try {
      const { name, file } = await fetchPaper(path, setProgress, own.signal);
      const link = document.createElement('a');
      link.href = URL.createObjectURL(file);
      link.download = name;
      link.click();
      // the browser has to have begun to save it
      setTimeout(() => {
        URL.revokeObjectURL(link.href);
      }, 10_000);
      return true;
    } catch (error) {
      if (error instanceof ApiError && error.problem?.errors) throw error;
      if (!own.signal.aborted) setFailed(paperFailure(error));
      return false;
    } finally {
      if (stop.current === own) setProgress(null);
    }
  }, []);
  return { progress, failed, make };
}
