import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { Trans } from '@lingui/react/macro';
import { mirroredPhrase, readPhrase, rowsAt, writtenSide, type Movement, type Phrase, type Position } from '@leiter/core';
import { useMemo } from 'react';
import { palette } from '../../shared/palette';
import { rowWords } from '../../shared/phrase-words';

/** What is done on this count of a phrase, and what comes next: to the side that works. */
export function PhraseNow({ position: { timed, step, stepRemainingSeconds } }: { readonly position: Position }) {
  const phrase = usePhrase(timed?.movement ?? null, step && 'side' in step ? step.side : null);
  if (!phrase || (step?.kind !== 'counts' && step?.kind !== 'count-in') || step.beats !== phrase.beats) return null;
  const elapsed = (1 - stepRemainingSeconds / step.seconds) * step.counts;
  // a hair, for a clock that is read a moment before the count it shows
  const { now, next } = rowsAt(phrase, step.kind === 'count-in' ? -1 : Math.max(0, elapsed) + 1e-6);
  return (
    <Box component="section" aria-label={t`On this count`} sx={{ mt: 1 }}>
      <Box sx={{ fontSize: 40, lineHeight: 1.15, minHeight: 46, color: palette.cream }}>
        {now &&
          [rowWords(now), now.arms === null ? null : t`arms ${now.arms}`, now.say === null ? null : `“${now.say}”`]
            .filter((part) => part !== null && part !== '')
            .join(' · ')}
      </Box>
      {next && (
        <Box sx={{ fontSize: 23, color: palette.nightSoft }}>
          <Trans>then {rowWords(next)}</Trans>
        </Box>
      )}
    </Box>
  );
}

function usePhrase(movement: Movement | null, side: string | null): Phrase | null {
  const written = movement?.phrase;
  return useMemo(() => {
    if (!written) return null;
    const read = readPhrase(written);
    if (!read.ok) return null;
    const own = writtenSide(read.value);
    return (side === 'left' || side === 'right') && own !== null && own !== side ? mirroredPhrase(read.value) : read.value;
  }, [written, side]);
}
