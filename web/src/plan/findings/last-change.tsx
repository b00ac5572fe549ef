import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { timeChange, timeChangeWords, type Timeline } from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';

/** What the last change did to the total, and why; nothing until something changed it. */
export function LastChange({ timeline }: { readonly timeline: Timeline }) {
  const [seen, setSeen] = useState<{ readonly timeline: Timeline; readonly words: string | null }>({ timeline, words: null });
  let { words } = seen;
  if (seen.timeline !== timeline) {
    const change = timeChange(seen.timeline, timeline);
    words = change ? timeChangeWords(change) : words;
    setSeen({ timeline, words });
  }
  if (words === null) return null;
  return (
    <Box
      role="status"
      aria-label={t`What changed the total`}
      sx={{ fontSize: 13.5, mb: 1.5, pl: 1, borderLeft: `3px solid ${palette.primary}` }}
    >
      {words}
    </Box>
  );
}
