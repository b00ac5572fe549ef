import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { palette } from './palette';

/** A label and its figure, on a thin line; within a `dl`. */
export function FigureRow({ label, value }: { readonly label: ReactNode; readonly value: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, py: 0.5, borderTop: `1px solid ${palette.line}`, fontSize: 14 }}>
      <Box component="dt" sx={{ color: palette.soft }}>
        {label}
      </Box>
      <Box component="dd" sx={{ m: 0, textAlign: 'right' }}>
        {value}
      </Box>
    </Box>
  );
}
