import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { PaperProgress } from './paper-progress';
import { usePaper } from './use-paper';

/** Makes a PDF that takes its time, says how far it is, and saves it. */
export function PaperButton({
  path,
  variant,
  children,
}: {
  readonly path: string;
  readonly variant: 'contained' | 'outlined';
  readonly children: ReactNode;
}) {
  const paper = usePaper();
  return (
    <Box>
      <Button
        variant={variant}
        disabled={paper.progress !== null}
        onClick={() => {
          void paper.make(path);
        }}
      >
        {children}
      </Button>
      <PaperProgress paper={paper} />
    </Box>
  );
}
