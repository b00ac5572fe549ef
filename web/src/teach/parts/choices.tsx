import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { palette } from '../../shared/palette';

/** One of several ways, in the dark. */
export function Choice({
  isChosen,
  onChoose,
  children,
}: {
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Button
      variant="outlined"
      aria-pressed={isChosen}
      onClick={onChoose}
      sx={{
        color: palette.cream,
        borderColor: palette.soft,
        fontSize: 17,
        '&[aria-pressed="true"]': { backgroundColor: palette.cream, color: palette.night },
      }}
    >
      {children}
    </Button>
  );
}

/** What is chosen, beside its name. */
export function Row({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box role="group" aria-label={label} sx={{ display: 'flex', gap: 1.25, mb: 2.25 }}>
      <Box aria-hidden="true" sx={{ width: 150, flexShrink: 0, fontSize: 19, pt: 0.75, color: palette.nightSoft }}>
        {label}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>{children}</Box>
    </Box>
  );
}
