import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { palette } from '../../shared/palette';

/** What is said before the first movement: made from this plan, and from the floors of these children. */
export function SafetyTalkDialog({ lines, onClose }: { readonly lines: readonly string[]; readonly onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="talk-title" maxWidth="sm" fullWidth>
      <DialogTitle id="talk-title">
        <Trans>Before the first movement</Trans>
      </DialogTitle>
      <DialogContent>
        <Typography variant="body2" sx={{ color: palette.soft, mb: 1 }}>
          <Trans>Made from this plan and the floors of those who come. Teach shows it while you say it.</Trans>
        </Typography>
        <Box component="ul" aria-label={t`Safety talk`} sx={{ m: 0, pl: 2.5, fontSize: 16, lineHeight: 1.7 }}>
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Box>
        <Typography variant="body2" sx={{ color: palette.soft, mt: 2 }}>
          <Trans>Usual cautions only. Your governing body’s rules, your training and medical advice come first.</Trans>
        </Typography>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button
          variant="outlined"
          onClick={() => {
            void navigator.clipboard.writeText(lines.join('\n'));
          }}
        >
          <Trans>Copy it</Trans>
        </Button>
        <Button variant="contained" onClick={onClose}>
          <Trans>Close</Trans>
        </Button>
      </DialogActions>
    </Dialog>
  );
}
