import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { countsOf, partnerAtCount, rowsAt, type Phrase } from '@leiter/core';
import { memo, useState } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';
import { doneWords, rowWords } from '../../shared/phrase/row-words';
import type { Practice } from '../../shared/phrase/use-practice';
import { bodiesOf } from '../../shared/phrase/two-bodies';
import { WalkingStage, type StageView } from '../../shared/phrase/walking-stage';
import { countSign } from './score';

const views: readonly { readonly value: StageView; readonly words: string }[] = [
  { value: 'front', words: t`from the front` },
  { value: 'back', words: t`from behind` },
  { value: 'side', words: t`from the side` },
];
const size = { width: 400, height: 250 };

/** The figure that walks the phrase: with the voice while it is said, count by count while it is not. */
export const WalkThrough = memo(function WalkThrough({ phrase, practice }: { readonly phrase: Phrase; readonly practice: Practice }) {
  const [chosenView, setView] = useState<StageView | null>(null);
  const view = chosenView ?? (bodiesOf(phrase).isBestFromSide ? 'side' : 'front');
  const [count, setCount] = useState(0);
  const counts = countsOf(phrase.rows);
  const shown = Math.min(count, counts);
  const seen = Math.min(shown, counts - 0.01) + 1e-6;
  const { now } = rowsAt(phrase, seen);
  const theirs = partnerAtCount(phrase, seen);
  return (
    <Box sx={{ width: size.width, maxWidth: '100%' }}>
      <WalkingStage
        phrase={phrase}
        countNow={practice.countNow}
        count={shown}
        view={view}
        {...size}
        label={t`The figure on count ${countSign(Math.floor(shown), phrase.beats)}`}
      />
      <ChoiceBar
        label={t`Seen`}
        choices={views}
        value={view}
        isGrowing
        onChange={(next) => {
          if (next) setView(next);
        }}
      />
      <Slider
        aria-label={t`Count by count`}
        value={shown}
        min={0}
        max={counts}
        step={0.5}
        disabled={practice.isOn}
        getAriaValueText={(value) => countSign(value, phrase.beats)}
        onChange={(_event, value) => {
          setCount(value);
        }}
      />
      <Box sx={{ fontSize: 14, color: palette.soft, minHeight: 21 }}>
        {practice.isOn ? <Trans>It goes with the voice.</Trans> : now ? `${countSign(now.at, phrase.beats)} · ${rowWords(now)}` : null}
        {!practice.isOn && theirs && <div>{t`with: ${doneWords(theirs)}`}</div>}
      </Box>
    </Box>
  );
});
