import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { clockText, musicSettings, trackLimits, type MusicGap, type Track } from '@leiter/core';
import { memo } from 'react';
import { useOwnTracks } from '../../shared/music/use-own-tracks';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';
import { readLength } from '../editing/track-length';

interface Props {
  readonly music: Track | undefined;
  readonly gap: MusicGap | undefined;
  /** How long a track is taken to be before somebody says it: what is done now. */
  readonly startSeconds: number;
  readonly onChange: (music: Track | null) => void;
  readonly onFit: () => void;
}

/** The music of a section or an item: its length and beat, and how far it and what is done to it are apart. */
export const MusicFields = memo(function MusicFields({ music, gap, startSeconds, onChange, onFit }: Props) {
  const begin = (): void => {
    const { least, most } = trackLimits.seconds;
    onChange({ name: '', seconds: Math.max(least, Math.min(most, Math.round(startSeconds))), bpm: null });
  };
  return (
    <Box component="section" aria-label={t`Music`} sx={{ mt: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.75 }}>
        {music ? t`To music` : t`Without music`}
      </Typography>
      {!music && (
        <Button variant="outlined" size="small" onClick={begin}>
          <Trans>Do it to a piece of music</Trans>
        </Button>
      )}
      {music && (
        <>
          <OwnTracks onChoose={onChange} />
          <TrackFields music={music} onChange={onChange} />
          {gap && (
            <Box role="status" sx={{ fontSize: 14, my: 1 }}>
              {gapWords(gap)}
            </Box>
          )}
          <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
            {gap && Math.abs(gap.gapSeconds) >= 0.5 && (
              <Button variant="outlined" size="small" onClick={onFit}>
                <Trans>Fit it to the music</Trans>
              </Button>
            )}
            <Button
              variant="outlined"
              size="small"
              onClick={() => {
                onChange(null);
              }}
            >
              <Trans>Without music</Trans>
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
});

/** The files of this browser, one press away. */
function OwnTracks({ onChoose }: { readonly onChoose: (track: Track) => void }) {
  const tracks = useOwnTracks();
  if (tracks.length === 0) return null;
  return (
    <Box
      component="select"
      aria-label={t`A file of mine`}
      value=""
      onChange={(event) => {
        const track = tracks.find(({ id }) => id === event.target.value);
        if (track) onChoose({ name: track.name, seconds: track.seconds, bpm: track.bpm });
      }}
      sx={{
        mb: 1,
        width: '100%',
        p: 0.75,
        font: 'inherit',
        fontSize: 14,
        border: `1px solid ${palette.line}`,
        backgroundColor: palette.paper,
      }}
    >
      <option value="">{t`a file of mine …`}</option>
      {tracks.map(({ id, name, seconds, bpm }) => (
        <option key={id} value={id}>
          {`${name}, ${clockText(seconds)}${bpm === null ? '' : `, ${String(bpm)} bpm`}`}
        </option>
      ))}
    </Box>
  );
}

/** How far a track and what is done to it are apart, as a sentence. */
export function gapWords({ doneSeconds, gapSeconds }: MusicGap): string {
  const done = t`Moving to it takes ${clockText(doneSeconds)}`;
  if (Math.abs(gapSeconds) <= musicSettings.togetherSeconds) return t`${done}: it ends with the music.`;
  return gapSeconds > 0
    ? t`${done}: ${clockText(gapSeconds)} of music are left over.`
    : t`${done}: the music ends ${clockText(Math.abs(gapSeconds))} too early.`;
}

function TrackFields({ music, onChange }: { readonly music: Track; readonly onChange: (music: Track) => void }) {
  const [name, setName] = useTyped(music.name);
  const [length, setLength] = useTyped(clockText(music.seconds));
  const [bpm, setBpm] = useTyped(music.bpm === null ? '' : String(music.bpm));
  const seconds = lengthWithin(length);
  const beat = beatWithin(bpm);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 68px 68px', gap: 0.75, color: palette.ink }}>
      <TextField
        label={t`Its name`}
        value={name}
        onChange={(event) => {
          setName(event.target.value);
        }}
        onBlur={() => {
          if (name !== music.name) onChange({ ...music, name: name.trim() });
        }}
        slotProps={{ htmlInput: { maxLength: 120 } }}
      />
      <TextField
        label={t`Length`}
        value={length}
        error={seconds === null}
        {...(seconds === null ? { helperText: t`like 3:20` } : {})}
        onChange={(event) => {
          setLength(event.target.value);
        }}
        onBlur={() => {
          if (seconds !== null && seconds !== music.seconds) onChange({ ...music, seconds });
        }}
      />
      <TextField
        label={t`bpm`}
        value={bpm}
        error={beat === undefined}
        {...(beat === undefined ? { helperText: `${String(trackLimits.bpm.least)}–${String(trackLimits.bpm.most)}` } : {})}
        onChange={(event) => {
          setBpm(event.target.value);
        }}
        onBlur={() => {
          if (beat !== undefined && beat !== music.bpm) onChange({ ...music, bpm: beat });
        }}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
    </Box>
  );
}

function lengthWithin(typed: string): number | null {
  const seconds = readLength(typed);
  const { least, most } = trackLimits.seconds;
  return seconds !== null && seconds >= least && seconds <= most ? seconds : null;
}

/** Null for nothing typed, undefined for what is no beat. */
function beatWithin(typed: string): number | null | undefined {
  if (typed.trim() === '') return null;
  const { least, most } = trackLimits.bpm;
  const beat = Number(typed);
  return beat >= least && beat <= most ? beat : undefined;
}
