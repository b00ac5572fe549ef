import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { HomePageResponse, HomeWord } from '@leiter/contract';
import type { MeasuredLine } from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { computerVoice } from '../../shared/voice/computer-voice';
import { dateText } from '../../shared/words';
import { Section } from './section';

/** Words the next grade asks, the child's bests, and what the instructor wrote. */
export function WordsAndBests({ page }: { readonly page: HomePageResponse }) {
  const { words, bests, notes, movements } = page;
  const nameOf = (slug: string): string => movements.find((one) => one.slug === slug)?.name ?? slug;
  return (
    <>
      {words.length > 0 && (
        <Section title={t`Words to know`} about={t`Look at the word, say what it means, then turn it over.`}>
          <Cards words={words} />
        </Section>
      )}
      {bests.length > 0 && (
        <Section title={t`Bests`}>
          <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {bests.map((line) => (
              <Box
                component="li"
                key={[line.movement, line.stage, line.side, line.measuredIn].join(' ')}
                sx={{ display: 'flex', gap: 1, justifyContent: 'space-between', borderTop: `1px solid ${palette.line}`, py: 0.75 }}
              >
                <span>
                  {nameOf(line.movement)}
                  {line.side !== 'none' && `, ${line.side}`}
                </span>
                <span>
                  <strong>{valueWords(line)}</strong> <span style={{ color: palette.soft, fontSize: 14 }}>{dateText(line.best.day)}</span>
                </span>
              </Box>
            ))}
          </Box>
        </Section>
      )}
      {notes.length > 0 && (
        <Section title={t`Written by the instructor`}>
          {notes.map(({ day, movement, note }) => (
            <Box key={`${day} ${movement} ${note}`} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
              {note}
              <Box sx={{ fontSize: 14, color: palette.soft }}>
                {nameOf(movement)}, {dateText(day)}
              </Box>
            </Box>
          ))}
        </Section>
      )}
    </>
  );
}

function valueWords({ best, measuredIn }: MeasuredLine): string {
  if (measuredIn === 'seconds') return t`${String(Math.round(best.value * 10) / 10)} s`;
  return measuredIn === 'reps' ? t`${String(best.value)} in a row` : t`${String(Math.round(best.value * 100))} %`;
}

/** One word after the other, as cards that are turned over. */
function Cards({ words }: { readonly words: readonly HomeWord[] }) {
  const [at, setAt] = useState(0);
  const [isTurned, setTurned] = useState(false);
  const word = words[at % words.length];
  if (!word) return null;
  return (
    <Box sx={{ backgroundColor: '#FFFFFF', border: `1px solid ${palette.line}`, borderRadius: 2, p: 2, textAlign: 'center' }}>
      <Box sx={{ fontSize: 14, color: palette.soft }}>{t`${(at % words.length) + 1} of ${words.length}`}</Box>
      <Box sx={{ fontSize: 26, fontWeight: 700 }}>{word.text}</Box>
      <Box role="status" sx={{ minHeight: 52, py: 0.5 }}>
        {isTurned && (
          <>
            {word.meaning}
            {word.sayIt !== null && <Box sx={{ color: palette.soft, fontSize: 14 }}>{t`say: ${word.sayIt}`}</Box>}
          </>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, justifyContent: 'center', flexWrap: 'wrap' }}>
        {'speechSynthesis' in window && (
          <Button
            variant="outlined"
            onClick={() => {
              computerVoice(1)?.say(word.spoken.text, 0);
            }}
          >
            <Trans>Hear it</Trans>
          </Button>
        )}
        {isTurned ? (
          <Button
            variant="contained"
            onClick={() => {
              setTurned(false);
              setAt(at + 1);
            }}
          >
            <Trans>Next word</Trans>
          </Button>
        ) : (
          <Button
            variant="contained"
            onClick={() => {
              setTurned(true);
            }}
          >
            <Trans>Turn it over</Trans>
          </Button>
        )}
      </Box>
    </Box>
  );
}
