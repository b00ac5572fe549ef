import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { isChange, ladderLines, type LadderVersion } from '@leiter/core';
import type { StoredDocument } from '../../shared/document-session/document-kind';
import { SettleButtons } from '../../shared/document-session/settle-buttons';
import { lineWords } from '../editing/line-words';

interface Props {
  readonly current: StoredDocument<LadderVersion>;
  readonly yours: LadderVersion;
  readonly onSettle: (chosen: LadderVersion, current: StoredDocument<LadderVersion>) => void;
}

/** Somebody saved the ladder meanwhile: shows what keeping one's own would change in it, and asks which one counts. */
export function LadderConflict({ current, yours, onSettle }: Props) {
  const lines = ladderLines(current.content, yours).filter(isChange);
  return (
    <Dialog open aria-labelledby="ladder-conflict-title" maxWidth="sm" fullWidth>
      <DialogTitle id="ladder-conflict-title">
        <Trans>Somebody saved version {current.version} of this ladder meanwhile</Trans>
      </DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1 }}>
          <Trans>Nothing is lost yet. Keeping yours would change in version {current.version}:</Trans>
        </Typography>
        <ul>
          {lines.map((line, index) => (
            <li key={index}>{lineWords(line)}</li>
          ))}
          {lines.length === 0 && (
            <li>
              <Trans>nothing: both say the same</Trans>
            </li>
          )}
        </ul>
      </DialogContent>
      <DialogActions>
        <SettleButtons
          current={current}
          keep={t`Go on with mine`}
          onTake={({ content }) => {
            onSettle(content, current);
          }}
          onKeep={() => {
            onSettle(yours, current);
          }}
        />
      </DialogActions>
    </Dialog>
  );
}
