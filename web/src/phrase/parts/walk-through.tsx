import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { countsOf, rowsAt, type Phrase } from '@leiter/core';
import { memo, useState } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';
import { rowWords } from '../../shared/phrase/row-words';
import type { Practice } from '../../shared/phrase/use-practice';
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
  const [view, setView] = useState<StageView>('front');
  const [count, setCount] = useState(0);
  const counts = countsOf(phrase.rows);
  const shown = Math.min(count, counts);
  const { now } = rowsAt(phrase, Math.min(shown, counts - 0.01) + 1e-6);
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
      </Box>
    </Box>
  );
});
