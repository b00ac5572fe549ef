import Box from '@mui/material/Box';
import { palette } from './palette';

/** An action inside a sentence. */
export function TextButton({ label, onClick }: { readonly label: string; readonly onClick: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      onClick={onClick}
      sx={{
        border: 0,
        background: 'none',
        p: 0,
        font: 'inherit',
        fontWeight: 700,
        color: palette.primary,
        textDecoration: 'underline',
        cursor: 'pointer',
        textAlign: 'left',
        minHeight: 24,
      }}
    >
      {label}
    </Box>
  );
}
