import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomeWord } from '@leiter/contract';
import { quizOf, type Question, type QuizWay } from '@leiter/core';
import { useState } from 'react';
import { canHear, HearIt } from './hear-it';

/** Whether there are words enough to choose from. */
export const canBeAsked = (words: readonly HomeWord[]): boolean => quizOf(words, ['meaning'], 1).length > 1;

/** Ten questions about the words of the next grade: what a word means, what something is called, and by ear where the phone can speak. */
export function WordQuiz({ words, onEnd }: { readonly words: readonly HomeWord[]; readonly onEnd: () => void }) {
  const [seed, setSeed] = useState(() => Math.floor(performance.timeOrigin + performance.now()));
  const [given, setGiven] = useState<readonly HomeWord[]>([]);
  const [isShown, setShown] = useState(false);
  const ways: readonly QuizWay[] = canHear() ? ['meaning', 'word', 'ear'] : ['meaning', 'word'];
  const questions = quizOf(words, ways, seed);
  const at = isShown ? given.length - 1 : given.length;
  const question = questions[at];
  if (!question) {
    const missed = questions.filter(({ asked }, index) => given[index] !== asked);
    const right = questions.length - missed.length;
    return (
      <div className="card" role="group" aria-label={t`Result`}>
        <div className="large" style={{ fontSize: 24 }}>{t`${right} of ${questions.length} right`}</div>
        {missed.length > 0 && (
          <>
            <div className="soft">
              <Trans>To look at again:</Trans>
            </div>
            <ul>
              {missed.map(({ asked }) => (
                <li key={asked.text}>
                  <strong>{asked.text}</strong> – {asked.meaning}
                </li>
              ))}
            </ul>
          </>
        )}
        <div className="buttons">
          <button
            type="button"
            className="main"
            onClick={() => {
              setSeed(seed + 1);
              setGiven([]);
            }}
          >
            <Trans>Ask me again</Trans>
          </button>
          <button type="button" onClick={onEnd}>
            <Trans>To the words</Trans>
          </button>
        </div>
      </div>
    );
  }
  return (
    <Asked
      key={at}
      question={question}
      place={t`${at + 1} of ${questions.length}`}
      given={isShown ? given[at] : undefined}
      isLast={at + 1 === questions.length}
      onAnswer={(word) => {
        setGiven([...given, word]);
        setShown(true);
      }}
      onNext={() => {
        setShown(false);
      }}
    />
  );
}

function Asked({
  question: { way, asked, choices },
  place,
  given,
  isLast,
  onAnswer,
  onNext,
}: {
  readonly question: Question<HomeWord>;
  readonly place: string;
  /** What was answered; undefined as long as nothing was. */
  readonly given: HomeWord | undefined;
  readonly isLast: boolean;
  readonly onAnswer: (word: HomeWord) => void;
  readonly onNext: () => void;
}) {
  const asks: Readonly<Record<QuizWay, string>> = {
    meaning: t`What does it mean?`,
    word: t`What is it called?`,
    ear: t`What did you hear?`,
  };
  const isOver = given !== undefined;
  return (
    <div className="card" role="group" aria-label={asks[way]}>
      <div className="small soft">
        {place} · {asks[way]}
      </div>
      {way === 'ear' ? (
        <div className="buttons">
          <HearIt word={asked} />
        </div>
      ) : (
        <div className="large" style={{ fontSize: way === 'meaning' ? 26 : 18, margin: '6px 0' }}>
          {way === 'meaning' ? asked.text : asked.meaning}
        </div>
      )}
      <div className="answers">
        {choices.map((choice) => {
          const isRight = isOver && choice === asked;
          const isWrong = isOver && choice === given && choice !== asked;
          return (
            <button
              key={choice.text}
              type="button"
              className={isRight ? 'right' : isWrong ? 'wrong' : undefined}
              disabled={isOver}
              onClick={() => {
                onAnswer(choice);
              }}
            >
              <span>{way === 'meaning' ? choice.meaning : choice.text}</span>
              {isRight && <span className="rest">{t`correct`}</span>}
              {isWrong && <span className="rest">{t`not this one`}</span>}
            </button>
          );
        })}
      </div>
      <div role="status">
        {isOver && (
          <p style={{ margin: '8px 0 0' }}>
            <strong>{asked.text}</strong> {asked.sayIt !== null && <span className="soft">{t`say: ${asked.sayIt}`} </span>}– {asked.meaning}
          </p>
        )}
      </div>
      {isOver && (
        <div className="buttons">
          <button type="button" className="main" autoFocus onClick={onNext}>
            {isLast ? t`How many were right?` : t`Next question`}
          </button>
          <HearIt word={asked} />
        </div>
      )}
    </div>
  );
}
