import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { isOtherSideOf, partnerOn, phraseLimits, phraseRead, type Position, type WrittenPhrase, type Side } from '@leiter/core';
import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { palette } from '../../shared/palette';
import { doneWords, rowWords } from '../../shared/phrase/row-words';
import { usePractice } from '../../shared/phrase/use-practice';
import { WalkingStage } from '../../shared/phrase/walking-stage';
import { Choice, Row } from './choices';
import { InsteadOfStage } from './stage-overlay';

const step = 4;
const keys = ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9'];

interface Props {
  readonly written: WrittenPhrase;
  /** Where the class waits: it begins with the segment that is built up there. */
  readonly position: Position;
  /** The side that works there; null where none does. */
  readonly side: Side | null;
  /** Goes on with the class. */
  readonly onGoOn: () => void;
}

/** Whether a phrase is done the other way about for the side that works now. */
function isOtherNow(written: WrittenPhrase, side: Side | null): boolean {
  const own = phraseRead(written);
  return own !== null && isOtherSideOf(own, side);
}

/** The one segment that is built up now; null for several, or the whole. */
function segmentNow({ step }: Position): number | null {
  if (!step || !('learning' in step)) return null;
  const { segments } = step.learning;
  return segments.length === 1 ? (segments[0] ?? null) : null;
}

/** An eight again and again, slower or quicker, to either side, while the class waits: until told to go on. */
export function PhraseLoop({ written, position, side, onGoOn }: Props) {
  const [isOther, setOther] = useState(() => isOtherNow(written, side));
  const [segment, setSegment] = useState(() => segmentNow(position));
  const [isFromBehind, setFromBehind] = useState(false);
  const phrase = phraseRead(written, isOther);
  const [bpm, setBpm] = useState(written.learnBpm);
  const practice = usePractice(phrase);
  const { start, row, isSilent, countNow } = practice;
  useEffect(() => {
    start({ bpm, segment });
    // begins anew with what is chosen; `start` is new in each drawing and is no choice
    // oxlint-disable-next-line react/exhaustive-deps
  }, [bpm, segment, phrase]);
  const by = (change: number): void => {
    const { least, most } = phraseLimits.bpm;
    setBpm(Math.min(most, Math.max(least, bpm + change)));
  };
  const choose = (next: number | null): void => {
    if (next === null || (phrase && next < phrase.segments.length)) setSegment(next);
  };
  useHotkeys(
    ['+', '='],
    () => {
      by(step);
    },
    { useKey: true },
  );
  useHotkeys(
    '-',
    () => {
      by(-step);
    },
    { useKey: true },
  );
  useHotkeys(keys, (event) => {
    choose(event.key === '0' ? null : keys.indexOf(event.key) - 1);
  });
  useHotkeys('x', () => {
    setOther(!isOther);
  });
  useHotkeys('f', () => {
    setFromBehind(!isFromBehind);
  });
  useHotkeys('escape', onGoOn);
  if (!phrase) return null;
  const now = row === null ? null : phrase.rows[row];
  const theirs = row === null ? undefined : partnerOn(phrase, row)[0];
  return (
    <InsteadOfStage label={t`Again and again`}>
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        <Row label={t`What`}>
          <Choice
            isChosen={segment === null}
            onChoose={() => {
              choose(null);
            }}
          >
            <Trans>the whole (0)</Trans>
          </Choice>
          {phrase.segments.length > 1 &&
            phrase.segments.map(({ name }, index) => (
              <Choice
                key={index}
                isChosen={segment === index}
                onChoose={() => {
                  choose(index);
                }}
              >
                {name === '' ? t`the beginning` : name} ({index + 1})
              </Choice>
            ))}
        </Row>
        <Row label={t`How`}>
          <Choice
            isChosen={false}
            onChoose={() => {
              by(-step);
            }}
          >
            <Trans>slower (-)</Trans>
          </Choice>
          <Box
            component="output"
            aria-label={t`Counts a minute`}
            sx={{ fontSize: 20, minWidth: 130, textAlign: 'center', alignSelf: 'center' }}
          >
            {t`${bpm} a minute`}
          </Box>
          <Choice
            isChosen={false}
            onChoose={() => {
              by(step);
            }}
          >
            <Trans>quicker (+)</Trans>
          </Choice>
          <Choice
            isChosen={isOther !== isOtherNow(written, side)}
            onChoose={() => {
              setOther(!isOther);
            }}
          >
            <Trans>the other side (X)</Trans>
          </Choice>
          <Choice
            isChosen={isFromBehind}
            onChoose={() => {
              setFromBehind(!isFromBehind);
            }}
          >
            <Trans>from behind (F)</Trans>
          </Choice>
          <Choice isChosen onChoose={onGoOn}>
            <Trans>go on with the class (E)</Trans>
          </Choice>
        </Row>
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex', gap: 4, alignItems: 'center' }}>
        <WalkingStage
          phrase={phrase}
          countNow={countNow}
          count={-1}
          view={isFromBehind ? 'back' : 'front'}
          width={420}
          height={360}
          tone="night"
          label={t`The figure dances it`}
        />
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontSize: 52, lineHeight: 1.1, minHeight: 120 }}>{now ? rowWords(now) : <Trans>counted in</Trans>}</Box>
          <Box sx={{ fontSize: 40, color: palette.glow, minHeight: 56 }}>{now?.say}</Box>
          <Box sx={{ fontSize: 26, color: palette.nightSoft, minHeight: 36 }}>{now?.arms != null && t`arms ${now.arms}`}</Box>
          {phrase.partner && (
            <Box sx={{ fontSize: 26, color: palette.nightSoft, minHeight: 36 }}>{theirs && t`the partner: ${doneWords(theirs)}`}</Box>
          )}
          {isSilent && (
            <Box role="alert" sx={{ fontSize: 22 }}>
              <Trans>There is no sound on this device.</Trans>
            </Box>
          )}
        </Box>
      </Box>
    </InsteadOfStage>
  );
}
