import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { writtenPattern } from '@leiter/core';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { palette } from '../../shared/palette';
import { Choice, Row } from './choices';
import { StageDialog } from './stage-overlay';
import type { Calling, RoundList, RoundWanted } from '../voice/use-calls';

export const callListWords: Readonly<Record<RoundList['kind'], string>> = {
  own: t`Own words`,
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
    byChildren: false,
  });
  const [own, setOwn] = useState('');
  const pattern = writtenPattern(own);
  const [seconds, setSeconds] = useState<number>(60);
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
    <StageDialog label={t`Call out`}>
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
        <Choice
          isChosen={wanted.byChildren}
          onChoose={() => {
            set({ byChildren: !wanted.byChildren });
          }}
        >
          <Trans>the children call, in turn</Trans>
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
            sx={{ color: palette.cream, fontSize: 20, borderColor: palette.glow }}
            onClick={() => {
              begin(index);
            }}
          >
            {`${String(index + 1)} · ${callListWords[kind]}`}
          </Button>
        ))}
      </Row>
      <Row label={t`Own words`}>
        <Box
          component="input"
          aria-label={t`Own words, with commas between`}
          placeholder={t`block, block, kick`}
          value={own}
          maxLength={400}
          onChange={(event) => {
            setOwn(event.target.value);
          }}
          sx={{
            width: 420,
            p: '8px 12px',
            font: 'inherit',
            fontSize: 18,
            color: palette.cream,
            backgroundColor: palette.night,
            border: `1px solid ${palette.soft}`,
            borderRadius: '4px',
            '&::placeholder': { color: palette.nightSoft },
          }}
        />
        <Button
          variant="outlined"
          disabled={!pattern}
          sx={{
            color: palette.cream,
            fontSize: 18,
            borderColor: palette.glow,
            '&.Mui-disabled': { color: palette.nightSoft, borderColor: palette.soft },
          }}
          onClick={() => {
            if (!pattern) return;
            calling.begin({ kind: 'own', calls: pattern }, wanted, seconds);
            onClose();
          }}
        >
          {wanted.order === 'in-turn' ? t`Call them in turn` : t`Call them by chance`}
        </Button>
      </Row>
      <Button variant="text" sx={{ color: palette.cream, fontSize: 17 }} onClick={onClose}>
        <Trans>Close</Trans>
      </Button>
    </StageDialog>
  );
}
