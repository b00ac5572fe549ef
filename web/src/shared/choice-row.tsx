import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { palette } from './palette';

/** One of a list of which one is shown beside it: the chosen one has a rail. */
export function ChoiceRow({
  isChosen,
  onChoose,
  children,
}: {
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly children: ReactNode;
}) {
  return (
    <li>
      <Box
        component="button"
        type="button"
        aria-pressed={isChosen}
        onClick={onChoose}
        sx={{
          display: 'block',
          width: '100%',
          minHeight: 44,
          px: 1.25,
          py: 0.9,
          border: 0,
          borderTop: `1px solid ${palette.line}`,
          borderLeft: `5px solid ${isChosen ? palette.primary : 'transparent'}`,
          background: isChosen ? palette.shade : 'none',
          font: 'inherit',
          color: palette.ink,
          textAlign: 'left',
          cursor: 'pointer',
        }}
      >
        {children}
      </Box>
    </li>
  );
}

/** The list around them. */
export function ChoiceRows({ children }: { readonly children: ReactNode }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {children}
    </Box>
  );
}
