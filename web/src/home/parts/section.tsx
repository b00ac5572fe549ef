import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A part of the page of a family. */
export function Section({ title, about, children }: { readonly title: string; readonly about?: string; readonly children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mt: 3 }}>
      <Typography variant="h2" sx={{ fontSize: 21, mb: 0.75 }}>
        {title}
      </Typography>
      {about !== undefined && <Typography sx={{ mb: 1 }}>{about}</Typography>}
      {children}
    </Box>
  );
}
