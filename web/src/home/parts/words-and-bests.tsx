import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomePageResponse, HomeWord } from '@leiter/contract';
import { daysBetween, type MeasuredLine } from '@leiter/core';
import { useState } from 'react';
import { dateText } from '../home-words';
import { HearIt } from './hear-it';
import { Section } from './section';
import { canBeAsked, WordQuiz } from './word-quiz';

/** Words the next grade asks, the child's bests, and what the instructor wrote. */
export function WordsAndBests({ page }: { readonly page: HomePageResponse }) {
  const { words, bests, notes, movements } = page;
  const nameOf = (slug: string): string => movements.find((one) => one.slug === slug)?.name ?? slug;
  return (
    <>
      {words.length > 0 && (
        <Section title={t`Words to know`} about={t`Look at the word, say what it means, then turn it over; or be asked about all of them.`}>
          <Words words={words} />
        </Section>
      )}
      {bests.length > 0 && (
        <Section title={t`Bests`}>
          {bests.map((line) => (
            <div key={[line.movement, line.stage, line.side, line.measuredIn].join(' ')} className="line">
              <span>
                {nameOf(line.movement)}
                {line.side !== 'none' && `, ${line.side === 'left' ? t`left` : t`right`}`}
              </span>
              <span className="rest">
                {isNew(line, page.today) && <span className="there">{t`new best`} </span>}
                <strong>{valueWords(line)}</strong> <span className="small soft">{dateText(line.best.day)}</span>
              </span>
            </div>
          ))}
        </Section>
      )}
      {notes.length > 0 && (
        <Section title={t`Written by the instructor`}>
          {notes.map(({ day, movement, note }) => (
            <div key={`${day} ${movement} ${note}`} className="line" style={{ display: 'block' }}>
              {note}
              <div className="small soft">
                {nameOf(movement)}, {dateText(day)}
              </div>
            </div>
          ))}
        </Section>
      )}
    </>
  );
}

/** A best of the last two weeks that is better than one before it. */
const isNew = ({ best, points }: MeasuredLine, today: string): boolean =>
  daysBetween(best.day, today) < 14 && points.some(({ day }) => day < best.day);

function valueWords({ best, measuredIn }: MeasuredLine): string {
  if (measuredIn === 'seconds') return t`${String(Math.round(best.value * 10) / 10)} s`;
  return measuredIn === 'reps' ? t`${String(best.value)} in a row` : t`${String(Math.round(best.value * 100))} %`;
}

/** The words as cards, or a quiz about them. */
function Words({ words }: { readonly words: readonly HomeWord[] }) {
  const [isAsked, setAsked] = useState(false);
  if (isAsked)
    return (
      <WordQuiz
        words={words}
        onEnd={() => {
          setAsked(false);
        }}
      />
    );
  return (
    <>
      <Cards words={words} />
      {canBeAsked(words) && (
        <button
          type="button"
          onClick={() => {
            setAsked(true);
          }}
        >
          <Trans>Ask me</Trans>
        </button>
      )}
    </>
  );
}

/** One word after the other, as cards that are turned over. */
function Cards({ words }: { readonly words: readonly HomeWord[] }) {
  const [at, setAt] = useState(0);
  const [isTurned, setTurned] = useState(false);
  const word = words[at % words.length];
  if (!word) return null;
  return (
    <div className="card" style={{ textAlign: 'center' }}>
      <div className="small soft">{t`${(at % words.length) + 1} of ${words.length}`}</div>
      <div className="large" style={{ fontSize: 26 }}>
        {word.text}
      </div>
      <div role="status" className="turn">
        {isTurned && (
          <>
            {word.meaning}
            {word.sayIt !== null && <div className="small soft">{t`say: ${word.sayIt}`}</div>}
          </>
        )}
      </div>
      <div className="buttons" style={{ justifyContent: 'center' }}>
        <HearIt word={word} />
        <button
          type="button"
          className="main"
          onClick={() => {
            if (isTurned) setAt(at + 1);
            setTurned(!isTurned);
          }}
        >
          {isTurned ? t`Next word` : t`Turn it over`}
        </button>
      </div>
    </div>
  );
}
