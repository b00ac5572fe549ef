import { Trans } from '@lingui/react/macro';
import Button from '@mui/material/Button';
import type { StoredDocument } from './document-kind';

/** What one can do where somebody else saved meanwhile: take theirs, where there still is something, or keep one's own. */
export function SettleButtons<Content>({
  current,
  keep,
  onTake,
  onKeep,
}: {
  readonly current: StoredDocument<Content> | null;
  /** How keeping one's own is called here. */
  readonly keep: string;
  readonly onTake: (current: StoredDocument<Content>) => void;
  readonly onKeep: () => void;
}) {
  return (
    <>
      {current && (
        <Button
          variant="outlined"
          onClick={() => {
            onTake(current);
          }}
        >
          <Trans>Take theirs</Trans>
        </Button>
      )}
      <Button variant="contained" onClick={onKeep}>
        {keep}
      </Button>
    </>
  );
}
