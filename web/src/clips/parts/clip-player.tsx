import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClipResponse } from '@leiter/contract';
import { useImperativeHandle, useRef, useState, type Ref } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';

const speeds = ['0.25', '0.5', '1'] as const;
type Speed = (typeof speeds)[number];
const speedWords: Readonly<Record<Speed, string>> = { '0.25': '¼', '0.5': '½', '1': '1' };

/** What keys of the page do with a clip. */
export interface Player {
  readonly keys: Readonly<Record<string, () => void>>;
}

/** A clip: played at its speed, at half and a quarter, and picture by picture. */
export function ClipPlayer({ clip, ref }: { readonly clip: ClipResponse; readonly ref: Ref<Player> }) {
  const video = useRef<HTMLVideoElement>(null);
  const [speed, setSpeed] = useState<Speed>('1');
  const [at, setAt] = useState(0);
  const [isPlaying, setPlaying] = useState(false);
  const [isBroken, setBroken] = useState(false);
  const seconds = clip.seconds ?? 0;
  const frame = 1 / (clip.framesPerSecond ?? 30);
  const go = (to: number): void => {
    if (!video.current) return;
    video.current.pause();
    video.current.currentTime = Math.max(0, Math.min(seconds - frame / 2, to));
  };
  // to the middle of the picture: its edges belong to two
  const step = (by: number): void => {
    go((Math.floor((video.current?.currentTime ?? 0) / frame + 1e-3) + by + 0.5) * frame);
  };
  const play = (): void => {
    const { current } = video;
    if (!current) return;
    if (current.paused) void current.play().catch(() => undefined);
    else current.pause();
  };
  const choose = (to: Speed): void => {
    setSpeed(to);
    if (video.current) video.current.playbackRate = Number(to);
  };
  const other = (by: number): void => {
    const next = speeds[Math.max(0, Math.min(speeds.length - 1, speeds.indexOf(speed) + by))];
    if (next) choose(next);
  };
  useImperativeHandle(ref, () => ({
    keys:
      clip.kind === 'picture'
        ? {}
        : {
            ' ': play,
            ArrowLeft: () => {
              step(-1);
            },
            ArrowRight: () => {
              step(1);
            },
            ArrowDown: () => {
              other(-1);
            },
            ArrowUp: () => {
              other(1);
            },
          },
  }));
  const source = `/api/clips/${clip.id}/file`;
  const look = { display: 'block', maxWidth: '100%', maxHeight: 430, background: palette.night, borderRadius: 6 } as const;
  if (clip.kind === 'picture')
    return (
      <img
        src={source}
        alt={t`What ${clip.childName} sent`}
        width={clip.width}
        height={clip.height}
        style={{ ...look, height: 'auto', maxWidth: 560 }}
      />
    );
  return (
    <Box sx={{ flex: '2 1 420px', minWidth: 280, maxWidth: 560 }}>
      <video
        ref={video}
        src={source}
        width={clip.width}
        height={clip.height}
        style={{
          ...look,
          width: '100%',
          height: 'auto',
          objectFit: 'contain',
          aspectRatio: `${String(clip.width)} / ${String(clip.height)}`,
        }}
        preload="auto"
        playsInline
        loop
        aria-label={t`What ${clip.childName} sent`}
        onClick={play}
        onPlay={() => {
          setPlaying(true);
        }}
        onPause={() => {
          setPlaying(false);
        }}
        onTimeUpdate={(event) => {
          setAt(event.currentTarget.currentTime);
        }}
        onSeeked={(event) => {
          setAt(event.currentTarget.currentTime);
        }}
        onError={() => {
          setBroken(true);
        }}
      />
      {isBroken && (
        <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
          <Trans>This browser does not show this clip. Try another browser, or ask for it once more.</Trans>
        </Box>
      )}
      <input
        type="range"
        min={0}
        max={seconds}
        step={frame}
        value={at}
        aria-label={t`Where in the clip`}
        aria-valuetext={t`${at.toFixed(2)} of ${seconds.toFixed(1)} seconds`}
        style={{ width: '100%', accentColor: palette.primary, minHeight: 32 }}
        onChange={(event) => {
          go(Number(event.target.value));
        }}
      />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" size="small" onClick={play} sx={{ minWidth: 70 }}>
          {isPlaying ? t`Stop` : t`Play`}
        </Button>
        <Button
          variant="outlined"
          size="small"
          aria-label={t`One picture back`}
          onClick={() => {
            step(-1);
          }}
        >
          ‹
        </Button>
        <Button
          variant="outlined"
          size="small"
          aria-label={t`One picture on`}
          onClick={() => {
            step(1);
          }}
        >
          ›
        </Button>
        <ChoiceBar
          label={t`Speed`}
          choices={speeds.map((value) => ({ value, words: speedWords[value], name: t`${value} times the speed` }))}
          value={speed}
          onChange={(chosen) => {
            choose(chosen ?? speed);
          }}
          isSmall
        />
        <Box sx={{ ml: 'auto', fontSize: 14, color: palette.soft, fontVariantNumeric: 'tabular-nums' }}>
          {t`${at.toFixed(2)} of ${seconds.toFixed(1)} s`}
        </Box>
      </Box>
    </Box>
  );
}
