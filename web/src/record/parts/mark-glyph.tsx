import Box from '@mui/material/Box';
import { marks, type Mark } from '@leiter/core';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';

/** A mark as three rungs of which none to all are climbed, with its word. */
export function MarkGlyph({ mark, isWaiting = false }: { readonly mark: Mark; readonly isWaiting?: boolean }) {
  const climbed = marks.indexOf(mark);
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75, whiteSpace: 'nowrap' }}>
      <svg width="14" height="18" viewBox="0 0 14 18" aria-hidden="true">
        <path d="M2 1v16M12 1v16" stroke={palette.ink} strokeWidth="1.4" strokeLinecap="round" />
        {[0, 1, 2].map((rung) => (
          <line
            key={rung}
            x1="2"
            x2="12"
            y1={14 - rung * 5}
            y2={14 - rung * 5}
            stroke={rung < climbed ? palette.primary : palette.line}
            strokeWidth={rung < climbed ? 3 : 1.4}
          />
        ))}
      </svg>
      {markWords[mark]}
      {isWaiting && (
        <Box component="span" title="kept here, not sent yet" sx={{ color: palette.caution }}>
          …
        </Box>
      )}
    </Box>
  );
}
