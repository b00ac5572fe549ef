import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { CallListKind } from '@leiter/core';
import { useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { palette } from '../../shared/palette';
import { Choice, Row } from './choices';
import type { Calling, RoundWanted } from '../voice/use-calls';

export const callListWords: Readonly<Record<CallListKind, string>> = {
  shapes: t`Shapes`,
  stances: t`Stances`,
  techniques: t`Techniques`,
  steps: t`Steps`,
  terms: t`Terms`,
  'body-parts': t`Body parts`,
  'left-right': t`Left and right`,
  numbers: t`Numbers`,
  directions: t`Directions`,
};

const tempi = [
  { name: t`slow`, every: { first: 6, last: 6 } },
  { name: t`brisk`, every: { first: 4, last: 4 } },
  { name: t`quick`, every: { first: 2.5, last: 2.5 } },
  { name: t`quicker and quicker`, every: { first: 6, last: 2 } },
] as const;
const lengths = [30, 60, 90, 120] as const;
const shownWords: Readonly<Record<RoundWanted['shown'], string>> = {
  word: t`the word`,
  figure: t`the figure`,
  neither: t`nothing: by themselves`,
};
const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];

/** Something to call out at once: what, how quick, for how long. The lists have the keys 1 to 9. */
export function CallerPanel({ calling, onClose }: { readonly calling: Calling; readonly onClose: () => void }) {
  const [wanted, setWanted] = useState<RoundWanted>({
    every: tempi[1].every,
    mostAtOnce: 1,
    gaps: 'even',
    order: 'chance',
    shown: 'word',
    withMusic: false,
  });
  const [seconds, setSeconds] = useState<number>(60);
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    panel.current?.focus();
  }, []);
  const begin = (index: number): void => {
    const list = calling.lists[index];
    if (!list) return;
    calling.begin(list, wanted, seconds);
    onClose();
  };
  useHotkeys(keys, (event) => {
    begin(keys.indexOf(event.key));
  });
  useHotkeys('escape', onClose);
  const set = (change: Partial<RoundWanted>): void => {
    setWanted({ ...wanted, ...change });
  };
  return (
    <Box
      ref={panel}
      tabIndex={-1}
      role="dialog"
      aria-label={t`Call out`}
      sx={{
        position: 'absolute',
        inset: '112px 8px 16px 36px',
        p: 3,
        zIndex: 4,
        backgroundColor: palette.nightShade,
        borderRadius: '6px',
        overflowY: 'auto',
        outline: 'none',
      }}
    >
      <Row label={t`How quick`}>
        {tempi.map(({ name, every }) => (
          <Choice
            key={name}
            isChosen={wanted.every === every}
            onChoose={() => {
              set({ every });
            }}
          >
            {name}
          </Choice>
        ))}
      </Row>
      <Row label={t`How long`}>
        {lengths.map((one) => (
          <Choice
            key={one}
            isChosen={seconds === one}
            onChoose={() => {
              setSeconds(one);
            }}
          >
            <Trans>{one} s</Trans>
          </Choice>
        ))}
      </Row>
      <Row label={t`How`}>
        <Choice
          isChosen={wanted.mostAtOnce === 3}
          onChoose={() => {
            set({ mostAtOnce: wanted.mostAtOnce === 3 ? 1 : 3 });
          }}
        >
          <Trans>one, then two, then three at once</Trans>
        </Choice>
        <Choice
          isChosen={wanted.gaps === 'random'}
          onChoose={() => {
            set({ gaps: wanted.gaps === 'random' ? 'even' : 'random' });
          }}
        >
          <Trans>at moments nobody foresees</Trans>
        </Choice>
        <Choice
          isChosen={wanted.order === 'in-turn'}
          onChoose={() => {
            set({ order: wanted.order === 'in-turn' ? 'chance' : 'in-turn' });
          }}
        >
          <Trans>in turn</Trans>
        </Choice>
        <Choice
          isChosen={wanted.withMusic}
          onChoose={() => {
            set({ withMusic: !wanted.withMusic });
          }}
        >
          <Trans>when the music stops</Trans>
        </Choice>
      </Row>
      <Row label={t`On the screen`}>
        {(['word', 'figure', 'neither'] as const).map((shown) => (
          <Choice
            key={shown}
            isChosen={wanted.shown === shown}
            onChoose={() => {
              set({ shown });
            }}
          >
            {shownWords[shown]}
          </Choice>
        ))}
      </Row>
      <Row label={t`Call`}>
        {calling.lists.map(({ kind, calls }, index) => (
          <Button
            key={kind}
            variant="outlined"
            title={calls.map(({ text }) => text).join(', ')}
            sx={{ color: palette.cream, fontSize: 20, borderColor: '#E6C35C' }}
            onClick={() => {
              begin(index);
            }}
          >
            {`${String(index + 1)} · ${callListWords[kind]}`}
          </Button>
        ))}
      </Row>
      <Button variant="text" sx={{ color: palette.cream, fontSize: 17 }} onClick={onClose}>
        <Trans>Close</Trans>
      </Button>
    </Box>
  );
}
