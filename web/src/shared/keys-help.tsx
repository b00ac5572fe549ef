import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { memo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

/** The keys of a page, shown by `?`. */
export const KeysHelp = memo(function KeysHelp({ keys }: { readonly keys: readonly (readonly [string, string])[] }) {
  const [isOpen, setOpen] = useState(false);
  useHotkeys(
    'shift+slash, ?',
    () => {
      setOpen(true);
    },
    { useKey: true },
  );
  return (
    <Dialog
      open={isOpen}
      onClose={() => {
        setOpen(false);
      }}
      aria-labelledby="keys-title"
    >
      <DialogTitle id="keys-title">
        <Trans>Keys of this page</Trans>
      </DialogTitle>
      <DialogContent>
        <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '6px 20px', m: 0 }}>
          {keys.map(([key, does]) => (
            <Box key={key} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {key}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {does}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
    </Dialog>
  );
});
