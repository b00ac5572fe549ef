import { t } from '@lingui/core/macro';
import { useQuery } from '@tanstack/react-query';
import type { LiveEvent } from '@leiter/contract';
import { useCallback, useEffect, useState } from 'react';
import { onLiveEvent, onLiveMissed, useLive } from '../live/live-events';
import type { DocumentKind, StoredDocument } from './document-kind';
import type { DocumentSession } from './use-document-session';

interface Watch<Content> {
  readonly kind: DocumentKind<Content>;
  readonly id: string;
  readonly session: Pick<DocumentSession<Content>, 'isNews' | 'goOnFrom'>;
  /** The version that an event tells of; null for one about something else. */
  readonly versionIn: (event: LiveEvent) => number | null;
  /** Asks which version is stored, where nobody tells. */
  readonly askVersion: () => Promise<number>;
  readonly onShown?: (stored: StoredDocument<Content>) => void;
}

const askedAgainMilliseconds = 3000;

/**
 * Shows what somebody else saves to the document that is open, as it happens; where the server cannot tell, it is asked every few
 * seconds. One's own unsaved change is never replaced: its save ends in the difference that is to be settled.
 * @returns who changed it last in this way; null where nobody did
 */
export function useOthersChanges<Content>({ kind, id, session, versionIn, askVersion, onShown }: Watch<Content>): string | null {
  const { isNews, goOnFrom } = session;
  const isTold = useLive((live) => live.isTold);
  const [changedBy, setChangedBy] = useState<string | null>(null);
  const show = useCallback(
    async (version: number): Promise<void> => {
      if (!isNews(version)) return;
      const stored = await kind.read(id);
      if (!stored || !goOnFrom(stored)) return;
      setChangedBy(stored.savedBy ?? t`Somebody else`);
      onShown?.(stored);
    },
    [goOnFrom, id, isNews, kind, onShown],
  );
  useEffect(() => {
    const showNow = (version: number): void => {
      // without an answer it is told or asked again
      void show(version).catch(() => undefined);
    };
    const stopEvents = onLiveEvent((event) => {
      const version = versionIn(event);
      if (version !== null) showNow(version);
    });
    const stopMissed = onLiveMissed(() => {
      void askVersion().then(showNow, () => undefined);
    });
    return () => {
      stopEvents();
      stopMissed();
    };
  }, [askVersion, show, versionIn]);
  useQuery({
    queryKey: [`${kind.name}-version`, id],
    queryFn: async () => {
      const version = await askVersion();
      await show(version);
      return version;
    },
    enabled: !isTold,
    refetchInterval: askedAgainMilliseconds,
    retry: false,
    gcTime: 0,
  });
  return changedBy;
}
