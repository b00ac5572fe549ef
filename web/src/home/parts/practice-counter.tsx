import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomeMovement, HomeTaskForChild } from '@leiter/contract';
import { practiceFeelings, type PracticeFeeling, type PracticeStep, type Side } from '@leiter/core';
import { useEffect, useRef } from 'react';
import { doseWords } from '../../shared/family/dose-words';
import { i18n } from '../../shared/texts';
import { feelingWords } from '../feeling-words';
import { usePracticeRun } from '../use-practice-run';
import { LateFigure } from './late-figure';

const sideWords = (side: Side): string => (side === 'left' ? t`left` : t`right`);

/** What a step begins with, as it is said and shown. */
function stepWords({ kind, side, set, sets }: PracticeStep): string {
  const which = side ? sideWords(side) : '';
  switch (kind) {
    case 'ready':
      return [t`Get ready`, which].filter((part) => part !== '').join(', ');
    case 'change':
      return t`Change: ${which}`;
    case 'rest':
      return t`Rest`;
    case 'work':
      return [t`Go`, which, sets > 1 ? t`${set} of ${sets}` : ''].filter((part) => part !== '').join(', ');
  }
}

/** One thing of the home task, done with a counter that speaks: seen from some metres away. */
export function PracticeCounter({
  item,
  movement,
  leadSide,
  onDone,
  onClose,
}: {
  readonly item: HomeTaskForChild['items'][number];
  readonly movement: HomeMovement | undefined;
  readonly leadSide: Side;
  readonly onDone: (feeling: PracticeFeeling) => void;
  readonly onClose: () => void;
}) {
  const run = usePracticeRun(item.dose, item.sides, leadSide, (step) => (step === 'over' ? t`Done. Well practised!` : stepWords(step)));
  const { step } = run;
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  return (
    <dialog ref={dialog} aria-label={t`Practise ${movement?.name ?? item.movement}`} onClose={onClose}>
      <div className="counter">
        <h1>{movement?.name ?? item.movement}</h1>
        <div className="soft">{doseWords(i18n, item.dose, 'none')}</div>
        <LateFigure movement={movement} size={240} />
        {step ? (
          <>
            <div role="status" className="large" style={{ fontSize: 30 }}>
              {stepWords(step)}
            </div>
            <div aria-hidden="true" className="number">
              {run.left}
            </div>
            {movement?.cues.slice(0, 2).map((cue) => (
              <div key={cue}>{cue}</div>
            ))}
            <div className="buttons">
              <button type="button" className="main" onClick={run.isPaused ? run.goOn : run.pause}>
                {run.isPaused ? t`Go on` : t`Pause`}
              </button>
              <button type="button" onClick={onClose}>
                <Trans>Stop</Trans>
              </button>
            </div>
            <div className="soft">
              <Trans>Stop when it hurts.</Trans>
            </div>
          </>
        ) : (
          <>
            <div role="status" className="large" style={{ fontSize: 30, marginBottom: 12 }}>
              <Trans>Done! How was it?</Trans>
            </div>
            <div className="feelings">
              {practiceFeelings.map((feeling) => (
                <button
                  key={feeling}
                  type="button"
                  className={feeling === 'well' ? 'main' : ''}
                  onClick={() => {
                    onDone(feeling);
                  }}
                >
                  {feelingWords[feeling]}
                </button>
              ))}
            </div>
          </>
        )}
      </div>
    </dialog>
  );
}
