import Box from '@mui/material/Box';
import { useEffect, useRef, type ReactNode } from 'react';
import { palette } from '../../shared/palette';

/** What lies over the stage and the children beside it, below the presses. */
const overStage = { position: 'absolute', inset: '112px 8px 16px 36px', zIndex: 4 } as const;

/** Something to choose from, over the stage. */
export function StageDialog({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    panel.current?.focus();
  }, []);
  return (
    <Box
      ref={panel}
      tabIndex={-1}
      role="dialog"
      aria-label={label}
      sx={{ ...overStage, p: 3, backgroundColor: palette.nightShade, borderRadius: '6px', overflowY: 'auto', outline: 'none' }}
    >
      {children}
    </Box>
  );
}

/** Something else to be seen in the place of the stage. */
export function InsteadOfStage({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{ ...overStage, backgroundColor: palette.night, display: 'flex', flexDirection: 'column' }}
    >
      {children}
    </Box>
  );
}
