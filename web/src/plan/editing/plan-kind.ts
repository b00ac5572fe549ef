import type { StoredPlan } from '@leiter/contract';
import { openPlan, writePlan, type ClassPlan } from '@leiter/core';
import type { DocumentKind, StoredDocument } from '../../shared/document-session/document-kind';
import { noteStoredPlan, readClassPage, savePlan } from '../../queries/class.queries';

const documentOf = ({ version, plan, savedBy }: StoredPlan): StoredDocument<ClassPlan> => ({ version, content: plan, savedBy });

/** The plan of a class as a document; its id is that of the class. */
export const planKind: DocumentKind<ClassPlan> = {
  name: 'plan',
  open: (kept) => {
    const opened = openPlan(kept);
    return opened.ok ? opened.value : null;
  },
  write: writePlan,
  save: async (classId, version, plan) => {
    const stored = { ...(await savePlan(classId, version, plan)), plan };
    noteStoredPlan(classId, stored);
    return documentOf(stored);
  },
  read: async (classId) => {
    const { stored } = await readClassPage(classId);
    return stored && documentOf(stored);
  },
  currentIn: (problem) => {
    // a 409 of this route carries what is stored: see PlanConflict
    const { current = null } = (problem ?? {}) as { readonly current?: StoredPlan | null };
    return current && documentOf(current);
  },
};

export const storedDocument = (stored: StoredPlan | null): StoredDocument<ClassPlan> | null => stored && documentOf(stored);
