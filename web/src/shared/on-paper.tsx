import Box from '@mui/material/Box';
import GlobalStyles from '@mui/material/GlobalStyles';
import { useSyncExternalStore, type ReactNode } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { palette } from './palette';

interface Props {
  /** Where a page has several papers, `plan` gives way to the one that is opened over it. */
  readonly name: 'plan' | 'families' | 'phrase' | 'terms';
  /** Asked only when there is paper. */
  readonly children: () => ReactNode;
}

/** What the browser prints instead of the screen. On the screen nothing of it is made. */
export function OnPaper({ name, children }: Props) {
  const isPrinting = useSyncExternalStore(watchPrinting, printing);
  if (!isPrinting) return null;
  return createPortal(
    <>
      <GlobalStyles
        styles={{
          '@page': { size: 'A4', margin: '12mm' },
          '@media print': {
            '#root, .MuiModal-root': { display: 'none !important' },
            'html, body': { height: 'auto !important', overflow: 'visible !important', backgroundColor: `${palette.white} !important` },
            'body:has(.families-on-paper) .plan-on-paper': { display: 'none !important' },
          },
        }}
      />
      <Box
        className={`on-paper ${name}-on-paper`}
        aria-hidden="true"
        sx={{
          display: 'none',
          '@media print': { display: 'block' },
          color: '#000000',
          fontSize: '9.5pt',
          lineHeight: 1.25,
          // what tells left from right is coloured
          printColorAdjust: 'exact',
        }}
      >
        {children()}
      </Box>
    </>,
    document.body,
  );
}

const printMedia = window.matchMedia('print');
let isAskedToPrint = false;
const printing = (): boolean => isAskedToPrint || printMedia.matches;

function watchPrinting(changed: () => void): () => void {
  const begin = (): void => {
    isAskedToPrint = true;
    // what is not there by the end of this event is not on the paper
    flushSync(changed);
  };
  const end = (): void => {
    isAskedToPrint = false;
    changed();
  };
  printMedia.addEventListener('change', changed);
  window.addEventListener('beforeprint', begin);
  window.addEventListener('afterprint', end);
  return () => {
    printMedia.removeEventListener('change', changed);
    window.removeEventListener('beforeprint', begin);
    window.removeEventListener('afterprint', end);
  };
}
