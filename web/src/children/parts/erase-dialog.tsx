import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ChildResponse } from '@leiter/contract';
import { useNavigate } from 'react-router';
import { useEraseChild } from '../../queries/children.queries';
import { EraseForGood } from '../../shared/erase-for-good';

/** Erases a child and all that is kept of it. */
export function EraseDialog({ child, onClose }: { readonly child: ChildResponse; readonly onClose: () => void }) {
  const erase = useEraseChild(child.id);
  const navigate = useNavigate();
  return (
    <EraseForGood
      title={t`Erase ${child.givenName} ${child.familyInitial} for good?`}
      name={child.givenName}
      error={erase.error}
      isPending={erase.isPending}
      onErase={() => {
        erase.mutate(undefined, { onSuccess: () => void navigate('/children') });
      }}
      onClose={onClose}
    >
      <Trans>
        Marks, grades, attendance, health notes, clips, letters and what plans say of this child go, and nobody can bring them back. A child
        that only pauses is archived.
      </Trans>
    </EraseForGood>
  );
}
