import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { metres, tappedBpm } from '@leiter/core';
import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import { palette } from '../../shared/palette';
import { Choice, Row } from '../parts/choices';
import { StageDialog } from '../parts/stage-overlay';
import { rates, type Music } from './use-music';

/** The music of this class: how loud, how quick, an eight again and again, and what plays on the spot. */
export function MusicPanel({ music, onClose }: { readonly music: Music; readonly onClose: () => void }) {
  const { chosen } = music;
  const [bpm, setBpm] = useState(chosen?.kind === 'beat' ? chosen.bpm : 112);
  const [metre, setMetre] = useState<(typeof metres)[number]>(4);
  const taps = useRef<number[]>([]);
  useHotkeys('escape', onClose);
  const play = (nextBpm: number, nextMetre: (typeof metres)[number]): void => {
    setBpm(nextBpm);
    setMetre(nextMetre);
    if (chosen?.kind === 'beat') music.choose({ kind: 'beat', bpm: nextBpm, metre: nextMetre });
  };
  const tap = (): void => {
    const now = performance.now();
    // after a pause one taps something else
    if (now - (taps.current.at(-1) ?? now) > 2500) taps.current = [];
    taps.current = [...taps.current, now].slice(-12);
    const found = tappedBpm(taps.current);
    if (found !== null && found >= 30 && found <= 240) play(Math.round(found), metre);
  };
  return (
    <StageDialog label={t`Music`}>
      <Box role="status" sx={{ fontSize: 22, mb: 2 }}>
        {music.missing
          ? t`“${music.missing.name}” is not in this browser. Take it in under You, Music.`
          : music.playing === null
            ? t`Nothing of a name plays now.`
            : t`Now: “${music.playing}”`}
      </Box>
      <Row label={t`Music`}>
        <Choice
          isChosen={music.isOn}
          onChoose={() => {
            music.switchOn(!music.isOn);
          }}
        >
          {music.isOn ? t`on` : t`off`}
        </Choice>
        <input
          type="range"
          aria-label={t`How loud`}
          min={0}
          max={1}
          step={0.05}
          value={music.loudness}
          onChange={(event) => {
            music.setLoudness(Number(event.target.value));
          }}
          style={{ width: 220, accentColor: palette.glow }}
        />
      </Row>
      <Row label={t`How quick`}>
        {rates.map((rate) => (
          <Choice
            key={rate}
            isChosen={music.rate === rate}
            onChoose={() => {
              music.setRate(rate);
            }}
          >
            {`${String(Math.round(rate * 100))} %`}
          </Choice>
        ))}
      </Row>
      <Row label={t`Again and again`}>
        <Choice
          isChosen={music.isEight}
          onChoose={() => {
            music.setEight(!music.isEight);
          }}
        >
          <Trans>eight counts from here</Trans>
        </Choice>
      </Row>
      <Row label={t`A beat of our own`}>
        <Choice
          isChosen={chosen?.kind === 'beat'}
          onChoose={() => {
            music.choose(chosen?.kind === 'beat' ? null : { kind: 'beat', bpm, metre });
          }}
        >
          {chosen?.kind === 'beat' ? t`stop it` : t`play it`}
        </Choice>
        <Choice
          isChosen={false}
          onChoose={() => {
            play(Math.max(30, bpm - 4), metre);
          }}
        >
          −4
        </Choice>
        <Box sx={{ fontSize: 22, alignSelf: 'center', minWidth: 96, textAlign: 'center' }}>
          <Trans>{bpm} bpm</Trans>
        </Box>
        <Choice
          isChosen={false}
          onChoose={() => {
            play(Math.min(240, bpm + 4), metre);
          }}
        >
          +4
        </Choice>
        <Choice isChosen={false} onChoose={tap}>
          <Trans>tap it</Trans>
        </Choice>
        {metres.map((one) => (
          <Choice
            key={one}
            isChosen={metre === one}
            onChoose={() => {
              play(bpm, one);
            }}
          >
            <Trans>in {one}</Trans>
          </Choice>
        ))}
      </Row>
      <Row label={t`A file of mine`}>
        {music.tracks.length === 0 && (
          <Box sx={{ fontSize: 18, color: palette.nightSoft, pt: 0.75 }}>
            <Trans>
              None is in this browser yet.{' '}
              <Link to="/me" style={{ color: palette.cream }}>
                Take some in
              </Link>{' '}
              before class.
            </Trans>
          </Box>
        )}
        {music.tracks.map((track) => {
          const isChosen = chosen?.kind === 'file' && chosen.id === track.id;
          return (
            <Choice
              key={track.id}
              isChosen={isChosen}
              onChoose={() => {
                music.choose(isChosen ? null : { kind: 'file', id: track.id });
              }}
            >
              {track.name}
            </Choice>
          );
        })}
      </Row>
      <Button variant="text" sx={{ color: palette.cream, fontSize: 17 }} onClick={onClose}>
        <Trans>Close</Trans>
      </Button>
    </StageDialog>
  );
}
