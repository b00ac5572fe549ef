import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { Trans } from '@lingui/react/macro';
import { partnerAtCount, phraseInStep, rowsAt, type BuildUpStep, type Phrase, type Position } from '@leiter/core';
import { useCallback, useEffect, useRef } from 'react';
import { palette } from '../../shared/palette';
import { buildUpWords } from '../../shared/phrase/phrase-words';
import { doneWords, rowWords } from '../../shared/phrase/row-words';
import { WalkingStage } from '../../shared/phrase/walking-stage';

/** What of a phrase is done at a moment of a class. */
export interface Dancing {
  readonly phrase: Phrase;
  /** Counts from the beginning of the phrase, or of the segments that are done; below 0 in the count-in. */
  readonly count: number;
  readonly countsPerSecond: number;
  readonly learning: BuildUpStep | null;
  /** Which pass it is, from 1; 0 in the count-in. */
  readonly pass: number;
  readonly passes: number;
}

/** @returns null where no phrase is danced */
export function dancingAt({ timed, step, stepRemainingSeconds }: Position): Dancing | null {
  if (!timed || (step?.kind !== 'counts' && step?.kind !== 'count-in')) return null;
  const shown = phraseInStep(timed, step);
  if (!shown) return null;
  const { phrase, passCounts, passes } = shown;
  const begins = Math.floor(phrase.rows[0]?.at ?? 0);
  const elapsed = Math.max(0, (1 - stepRemainingSeconds / step.seconds) * step.counts);
  const isIn = step.kind === 'counts';
  return {
    phrase,
    count: isIn ? begins + (elapsed % passCounts) : begins + elapsed - step.counts,
    countsPerSecond: step.counts / step.seconds,
    learning: step.learning ?? null,
    pass: isIn ? Math.floor(elapsed / passCounts) + 1 : 0,
    passes,
  };
}

/** What is done on this count of a phrase, and what comes next: to the side that works. */
export function PhraseNow({ dancing }: { readonly dancing: Dancing }) {
  const { phrase, count, learning, pass, passes } = dancing;
  // a hair, for a clock that is read a moment before the count it shows
  const { now, next } = rowsAt(phrase, count < 0 || pass === 0 ? -1 : count + 1e-6);
  const theirs = count < 0 || pass === 0 ? null : partnerAtCount(phrase, count + 1e-6);
  const named = learning ? learning.segments.flatMap((_, index) => phrase.segments[index]?.name ?? []).filter((name) => name !== '') : [];
  return (
    <Box component="section" aria-label={t`On this count`} sx={{ mt: 1 }}>
      {learning && (
        <Box sx={{ fontSize: 25, color: palette.cream, mb: 0.5 }}>
          {[named.join(' + '), buildUpWords[learning.way], ...(passes > 1 && pass > 0 ? [t`${pass} of ${passes}`] : [])]
            .filter((part) => part !== '')
            .join(' · ')}
        </Box>
      )}
      <Box sx={{ fontSize: 40, lineHeight: 1.15, minHeight: 46, color: palette.cream }}>
        {now &&
          [rowWords(now), now.arms === null ? null : t`arms ${now.arms}`, now.say === null ? null : `“${now.say}”`]
            .filter((part) => part !== null && part !== '')
            .join(' · ')}
      </Box>
      {theirs && (
        <Box sx={{ fontSize: 25, color: palette.nightSoft }}>
          <Trans>the partner: {doneWords(theirs)}</Trans>
        </Box>
      )}
      {now?.watch != null && (
        <Box sx={{ fontSize: 23, color: palette.nightSoft }}>
          <Trans>watch {now.watch}</Trans>
        </Box>
      )}
      {next && (
        <Box sx={{ fontSize: 23, color: palette.nightSoft }}>
          <Trans>then {rowWords(next)}</Trans>
        </Box>
      )}
    </Box>
  );
}

/** The figure that walks the phrase on the clock of the class: from behind where the leader is turned as the children are. */
export function PhraseFigure({
  dancing,
  isPaused,
  isFromBehind,
  size,
}: {
  readonly dancing: Dancing;
  readonly isPaused: boolean;
  readonly isFromBehind: boolean;
  readonly size: number;
}) {
  const { phrase, count, countsPerSecond } = dancing;
  // between two looks at the clock it goes on by itself
  const seen = useRef({ count, at: 0, rate: 0 });
  useEffect(() => {
    seen.current = { count, at: performance.now(), rate: isPaused ? 0 : countsPerSecond };
  }, [count, countsPerSecond, isPaused]);
  const countNow = useCallback(() => seen.current.count + ((performance.now() - seen.current.at) / 1000) * seen.current.rate, []);
  return (
    <WalkingStage
      phrase={phrase}
      countNow={countNow}
      count={count}
      view={isFromBehind ? 'back' : 'front'}
      width={size}
      height={size}
      tone="night"
      label={t`The figure dances it`}
    />
  );
}
