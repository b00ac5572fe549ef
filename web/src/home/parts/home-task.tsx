import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomePageResponse, HomeTaskForChild } from '@leiter/contract';
import type { PracticeFeeling } from '@leiter/core';
import { useState } from 'react';
import { doseWords } from '../../shared/family/dose-words';
import { i18n } from '../../shared/texts';
import { feelingWords } from '../feeling-words';
import type { Tell } from '../home-client';
import { dateText } from '../home-words';
import { LateFigure } from './late-figure';
import { PracticeCounter } from './practice-counter';
import { Section } from './section';
import { palette } from '../../shared/palette';

type TaskItem = HomeTaskForChild['items'][number];

/** What is practised until the next class: a few things, once a day, with a counter that speaks. */
export function HomeTask({ page, tell }: { readonly page: HomePageResponse; readonly tell: Tell }) {
  const { task, child, today, practice } = page;
  const [running, setRunning] = useState<TaskItem | null>(null);
  if (!task) return null;
  const doneToday = (slug: string) => practice.find(({ movement, day }) => movement === slug && day === today);
  const days = new Set(practice.filter(({ day }) => day > task.day).map(({ day }) => day)).size;
  const note = (movement: string, feeling: PracticeFeeling): void => {
    const id = crypto.randomUUID();
    setRunning(null);
    void tell({ method: 'PUT', path: `home/practice/${id}`, body: { day: today, movement, feeling } }, (now) => ({
      ...now,
      practice: [{ id, day: today, movement, feeling }, ...now.practice],
    }));
  };
  return (
    <Section
      title={t`To practise`}
      about={
        task.items.length > 0
          ? t`Once a day, about ${plural(task.minutes, { one: '# minute', other: '# minutes' })} – from ${task.groupName}, ${dateText(task.day)}.`
          : t`From ${task.groupName}, ${dateText(task.day)}.`
      }
    >
      {task.note !== '' && <p>{task.note}</p>}
      {task.items.map((item) => {
        const movement = page.movements.find(({ slug }) => slug === item.movement);
        const done = doneToday(item.movement);
        return (
          <div key={item.movement} className="card task">
            <LateFigure movement={movement} size={84} behind={palette.white} />
            <div>
              <strong>{movement?.name ?? item.movement}</strong>
              <div>{doseWords(i18n, item.dose, item.sides)}</div>
              {movement?.cues[0] !== undefined && <div className="small soft">{movement.cues[0]}</div>}
              {item.isWithAdult && (
                <div className="small caution">
                  <Trans>With an adult beside.</Trans>
                </div>
              )}
              <div className="buttons">
                <button
                  type="button"
                  className={done ? '' : 'main'}
                  onClick={() => {
                    setRunning(item);
                  }}
                >
                  {done ? t`Once more` : t`Start`}
                </button>
                {done ? (
                  <div role="status" className="there">
                    {t`done today: ${feelingWords[done.feeling]}`}
                  </div>
                ) : (
                  <button
                    type="button"
                    onClick={() => {
                      note(item.movement, 'well');
                    }}
                  >
                    <Trans>Done without it</Trans>
                  </button>
                )}
              </div>
            </div>
          </div>
        );
      })}
      <p className="soft on-screen">
        {days === 0
          ? t`Nothing was noted since that class.`
          : t`Practised on ${plural(days, { one: '# day', other: '# days' })} since that class.`}{' '}
        <Trans>It is shown to the instructor beside what is seen in class, never in its place.</Trans>
      </p>
      <button
        type="button"
        className="link"
        onClick={() => {
          window.print();
        }}
      >
        <Trans>Print it</Trans>
      </button>
      {running && (
        <PracticeCounter
          item={running}
          movement={page.movements.find(({ slug }) => slug === running.movement)}
          leadSide={child.leadSide}
          onDone={(feeling) => {
            note(running.movement, feeling);
          }}
          onClose={() => {
            setRunning(null);
          }}
        />
      )}
    </Section>
  );
}
