import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { clockText, tappedBpm, trackLimits } from '@leiter/core';
import { useEffect, useRef, useState } from 'react';
import { bytesOf, changeTrack, putTrack, removeTrack, takeTrackIn, type OwnTrack, type TrackRefusal } from '../shared/music/music-store';
import { readTracksAnew, useOwnTracks } from '../shared/music/use-own-tracks';
import { FileButton } from '../shared/file-button';
import { palette } from '../shared/palette';
import { offerUndo } from '../shared/undo-bar';
import { useTyped } from '../shared/use-typed';

const refusalWords: Readonly<Record<TrackRefusal, string>> = {
  'no-music': t`is no music that this browser can play, or shorter than five seconds`,
  'too-large': t`is larger than 60 MB`,
  'too-long': t`is longer than an hour`,
  'no-room': t`does not fit: this browser has no room left`,
  'keeps-nothing': t`cannot be kept: this browser keeps no files`,
};

/** Music of one's own, kept in this browser and nowhere else: its beat is found, and can be tapped. */
export function OwnMusic() {
  const tracks = useOwnTracks();
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(0);
  const [heard, setHeard] = useState<string | null>(null);
  const take = async (files: readonly File[]): Promise<void> => {
    setRefused([]);
    setBusy(files.length);
    for (const file of files) {
      const taken = await takeTrackIn(file);
      if (typeof taken === 'string') setRefused((all) => [...all, t`“${file.name}” ${refusalWords[taken]}.`]);
      setBusy((left) => left - 1);
      await readTracksAnew();
    }
  };
  return (
    <Box component="section" aria-label={t`Music`} sx={{ mt: 4, maxWidth: 720 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Music</Trans>
      </Typography>
      <Typography variant="body2" sx={{ mb: 1, color: palette.soft }}>
        <Trans>Files of your own, kept in this browser and sent nowhere. A plan names them; Teach plays them.</Trans>
      </Typography>
      <FileButton
        isMultiple
        disabled={busy > 0}
        label={t`Files of music`}
        accept="audio/*"
        onFiles={(files) => {
          void take(files);
        }}
      >
        {busy > 0 ? t`Finding the beat …` : t`Take files in`}
      </FileButton>
      <Box role="alert" sx={{ color: palette.stop, fontSize: 14, mt: 0.5 }}>
        {refused.join(' ')}
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
        {tracks.map((track) => (
          <TrackRow
            key={track.id}
            track={track}
            isHeard={heard === track.id}
            onHear={(isHeard) => {
              setHeard(isHeard ? track.id : null);
            }}
          />
        ))}
      </Box>
    </Box>
  );
}

async function remove(track: OwnTrack): Promise<void> {
  const bytes = await bytesOf(track.id);
  await removeTrack(track.id);
  await readTracksAnew();
  if (bytes)
    offerUndo(t`“${track.name}” is not in this browser any more`, async () => {
      await putTrack(track, bytes);
      await readTracksAnew();
    });
}

function TrackRow({
  track,
  isHeard,
  onHear,
}: {
  readonly track: OwnTrack;
  readonly isHeard: boolean;
  readonly onHear: (isHeard: boolean) => void;
}) {
  const { least, most } = trackLimits.bpm;
  const [typed, setTyped] = useTyped(track.bpm === null ? '' : String(track.bpm));
  const taps = useRef<number[]>([]);
  const keep = async (bpm: number | null): Promise<void> => {
    await changeTrack(track.id, { bpm });
    await readTracksAnew();
  };
  const bpm = typed.trim() === '' ? null : Number(typed);
  const isFine = bpm === null || (bpm >= least && bpm <= most);
  return (
    <Box component="li" sx={{ display: 'flex', alignItems: 'center', gap: 1, borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
      <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
        {track.name} <span style={{ color: palette.soft }}>{clockText(track.seconds)}</span>
      </Box>
      <TextField
        label={t`bpm`}
        size="small"
        value={typed}
        error={!isFine}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (isFine && bpm !== track.bpm) void keep(bpm);
        }}
        slotProps={{ htmlInput: { inputMode: 'decimal', 'aria-label': t`bpm of ${track.name}` } }}
        sx={{ width: 84 }}
      />
      <Button
        variant="outlined"
        size="small"
        onClick={() => {
          const now = performance.now();
          // after a pause one begins anew
          if (now - (taps.current.at(-1) ?? now) > 2500) taps.current = [];
          taps.current = [...taps.current, now].slice(-12);
          const found = tappedBpm(taps.current);
          if (found !== null && found >= least && found <= most) void keep(found);
        }}
      >
        <Trans>Tap</Trans>
      </Button>
      <Button
        variant="outlined"
        size="small"
        aria-pressed={isHeard}
        onClick={() => {
          onHear(!isHeard);
        }}
      >
        {isHeard ? t`Stop` : t`Listen`}
      </Button>
      {isHeard && <Heard id={track.id} />}
      <Button
        variant="outlined"
        size="small"
        onClick={() => {
          void remove(track);
        }}
      >
        <Trans>Remove</Trans>
      </Button>
    </Box>
  );
}

/** Sounds as long as it is there. */
function Heard({ id }: { readonly id: string }) {
  useEffect(() => {
    const context = new AudioContext();
    const play = async (): Promise<void> => {
      const bytes = await bytesOf(id);
      if (!bytes) return;
      const source = context.createBufferSource();
      source.buffer = await context.decodeAudioData(bytes);
      source.connect(context.destination);
      source.start();
    };
    void play().catch(() => undefined);
    return () => {
      void context.close();
    };
  }, [id]);
  return null;
}
