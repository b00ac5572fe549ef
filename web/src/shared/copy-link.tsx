import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** A link that is told once: to be copied and handed on. */
export function CopyLink({ label, path }: { readonly label: string; readonly path: string }) {
  const [isCopied, setCopied] = useState(false);
  const link = `${window.location.origin}${path}`;
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}>
      <TextField
        fullWidth
        label={label}
        value={link}
        onFocus={(event) => {
          event.target.select();
        }}
        slotProps={{ htmlInput: { readOnly: true } }}
      />
      <Button
        variant="contained"
        onClick={() => {
          void navigator.clipboard.writeText(link).then(
            () => {
              setCopied(true);
            },
            () => undefined,
          );
        }}
      >
        {isCopied ? t`Copied` : t`Copy`}
      </Button>
    </Box>
  );
}
