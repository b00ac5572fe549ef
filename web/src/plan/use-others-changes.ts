import type { StoredPlan } from '@leiter/contract';
import { useEffect, useState } from 'react';
import { readClassPage, usePlanVersion } from './class.queries';

interface Watch {
  readonly classId: string;
  readonly isNews: (version: number) => boolean;
  /** Shows what somebody else saved; false where one's own change came in between. */
  readonly onNews: (stored: StoredPlan) => boolean;
}

/**
 * Shows what somebody else saves to the plan that is open, a few seconds after; one's own unsaved change is never replaced: its
 * save ends in the difference that is to be settled.
 * @returns who changed it last in this way; null where nobody did
 */
export function useOthersChanges({ classId, isNews, onNews }: Watch): string | null {
  const { data, dataUpdatedAt } = usePlanVersion(classId);
  const [changedBy, setChangedBy] = useState<string | null>(null);
  useEffect(() => {
    if (!data || !isNews(data.version)) return;
    const look = async (): Promise<void> => {
      const { stored } = await readClassPage(classId);
      if (stored && onNews(stored)) setChangedBy(stored.savedBy ?? 'Somebody else');
    };
    // without an answer it is looked for again a few seconds later
    void look().catch(() => undefined);
  }, [data, dataUpdatedAt, classId, isNews, onNews]);
  return changedBy;
}
