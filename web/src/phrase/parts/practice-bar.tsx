import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { phraseLimits, type Phrase } from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import type { Practice } from '../../shared/phrase/use-practice';

/** So much slower or quicker at once. */
const step = 4;

/** Plays a phrase or a part of it again and again, as slow as it is learnt or as quick as it is done. */
export function PracticeBar({ phrase, practice }: { readonly phrase: Phrase; readonly practice: Practice }) {
  const [segment, setSegment] = useState<number | null>(null);
  const [ownBpm, setBpm] = useState<number | null>(null);
  const { isOn, isSilent, start, stop } = practice;
  const bpm = ownBpm ?? phrase.learnBpm;
  const chosen = segment !== null && segment < phrase.segments.length ? segment : null;
  const go = (next: number): void => {
    const { least, most } = phraseLimits.bpm;
    const kept = Math.min(most, Math.max(least, next));
    setBpm(kept);
    if (isOn) start({ bpm: kept, segment: chosen });
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 2 }}>
      <Button
        variant={isOn ? 'outlined' : 'contained'}
        onClick={() => {
          if (isOn) stop();
          else start({ bpm, segment: chosen });
        }}
      >
        {isOn ? t`Stop` : t`Say it aloud`}
      </Button>
      {phrase.segments.length > 1 && (
        <TextField
          select
          size="small"
          aria-label={t`What is said`}
          value={chosen ?? ''}
          onChange={(event) => {
            const next = event.target.value === '' ? null : Number(event.target.value);
            setSegment(next);
            if (isOn) start({ bpm, segment: next });
          }}
          slotProps={{ select: { native: true }, htmlInput: { 'aria-label': t`What is said` } }}
        >
          <option value="">{t`the whole`}</option>
          {phrase.segments.map(({ name, from }, index) => (
            <option key={from} value={index}>
              {name === '' ? t`the beginning` : name}
            </option>
          ))}
        </TextField>
      )}
      <Button
        variant="outlined"
        onClick={() => {
          go(bpm - step);
        }}
      >
        <Trans>Slower</Trans>
      </Button>
      <Box component="output" aria-label={t`Counts a minute`} sx={{ minWidth: 92, textAlign: 'center' }}>
        {t`${bpm} a minute`}
      </Box>
      <Button
        variant="outlined"
        onClick={() => {
          go(bpm + step);
        }}
      >
        <Trans>Quicker</Trans>
      </Button>
      {isSilent && (
        <Box role="alert" sx={{ color: palette.caution }}>
          <Trans>There is no sound on this device.</Trans>
        </Box>
      )}
    </Box>
  );
}
