import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import { FileButton } from '../../shared/file-button';
import { palette } from '../../shared/palette';
import { Picture } from './picture';
import type { DoorPictures } from './use-door-pictures';

/** Pictures that families sent: looked through by whoever teaches, before anybody sees them. */
export function PicturesDialog({
  door: { pictures, refused, isAgreed, agree, add, remove, clear },
  onClose,
}: {
  readonly door: DoorPictures;
  readonly onClose: () => void;
}) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="door-pictures" maxWidth="sm" fullWidth>
      <DialogTitle id="door-pictures">
        <Trans>Pictures for the door</Trans>
      </DialogTitle>
      <DialogContent>
        <Box sx={{ mb: 1.5 }}>
          <Trans>
            What families sent for today: each is shown once at the door, for eight seconds. The pictures stay in this browser, are never
            sent to Leiter, and are gone when the class begins.
          </Trans>
        </Box>
        <FileButton
          isMultiple
          label={t`Pictures that families sent`}
          accept="image/*"
          onFiles={(files) => {
            void add(files);
          }}
        >
          <Trans>Choose pictures</Trans>
        </FileButton>
        {refused.length > 0 && (
          <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
            {refused.map((sentence) => (
              <div key={sentence}>{sentence}</div>
            ))}
          </Box>
        )}
        {pictures.length > 0 && (
          <Box
            component="ul"
            aria-label={t`Pictures`}
            sx={{
              listStyle: 'none',
              p: 0,
              mt: 2,
              mb: 1,
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(120px, 1fr))',
              gap: 1,
            }}
          >
            {pictures.map((picture) => (
              <Box component="li" key={picture.id} sx={{ border: `1px solid ${palette.line}`, p: 0.5 }}>
                <Box sx={{ height: 90 }}>
                  <Picture picture={picture} />
                </Box>
                <Button
                  size="small"
                  fullWidth
                  aria-label={t`Leave ${picture.name} out`}
                  onClick={() => {
                    remove(picture.id);
                  }}
                >
                  <Trans>Leave out</Trans>
                </Button>
              </Box>
            ))}
          </Box>
        )}
        {pictures.length > 0 && (
          <FormControlLabel
            control={
              <Checkbox
                checked={isAgreed}
                onChange={(event) => {
                  agree(event.target.checked);
                }}
              />
            }
            label={t`The families who sent them agreed that this group sees them`}
          />
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        {pictures.length > 0 && (
          <Button variant="outlined" onClick={clear} sx={{ mr: 'auto' }}>
            <Trans>Leave all out</Trans>
          </Button>
        )}
        <Button variant="contained" onClick={onClose}>
          {pictures.length === 0
            ? t`Close`
            : isAgreed
              ? t`${plural(pictures.length, { one: '# picture', other: '# pictures' })} for the door`
              : t`Close: none is shown yet`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
