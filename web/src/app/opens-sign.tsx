import Box from '@mui/material/Box';

/** The sign at the end of a field that opens a choice. */
export function Opens({ className }: { readonly className?: string }) {
  return (
    <Box
      component="svg"
      className={className ?? ''}
      viewBox="0 0 12 12"
      aria-hidden="true"
      sx={{ width: 12, height: 12, pointerEvents: 'none' }}
    >
      <path d="M2 4.2 6 8.2 10 4.2" fill="none" stroke="currentColor" strokeWidth="1.8" />
    </Box>
  );
}
