import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { marks, type Mark } from '@leiter/core';
import { palette } from '../shared/palette';
import { Rungs } from '../shared/rungs';
import { markWords } from '../shared/words';

/** A mark as three rungs of which none to all are climbed, with its word. */
export function MarkGlyph({ mark, isWaiting = false }: { readonly mark: Mark; readonly isWaiting?: boolean }) {
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75, whiteSpace: 'nowrap' }}>
      <Rungs climbed={marks.indexOf(mark)} />
      {markWords[mark]}
      {isWaiting && (
        <Box component="span" title={t`kept here, not sent yet`} sx={{ color: palette.caution }}>
          …
        </Box>
      )}
    </Box>
  );
}
