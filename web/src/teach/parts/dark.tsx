import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { palette } from '../../shared/palette';

/** The whole screen in the dark, to be read from afar. */
export function Dark({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      component="main"
      sx={{
        height: '100%',
        backgroundColor: palette.night,
        color: palette.cream,
        overflow: 'hidden',
        '& *:focus-visible': { outlineColor: palette.cream },
      }}
    >
      {children}
    </Box>
  );
}
