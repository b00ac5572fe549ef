import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { HomePageResponse, HomeTaskForChild } from '@leiter/contract';
import { doseText, sidesText, type PracticeFeeling } from '@leiter/core';
import { useState } from 'react';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { dateText } from '../../shared/words';
import type { Tell } from '../home.page';
import { PracticeCounter } from './practice-counter';
import { Section } from './section';

type TaskItem = HomeTaskForChild['items'][number];

export const feelingWords: Readonly<Record<PracticeFeeling, string>> = { well: t`went well`, hard: t`was hard`, hurt: t`it hurt` };

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
      {task.note !== '' && <Box sx={{ mb: 1, fontStyle: 'italic' }}>{task.note}</Box>}
      {task.items.map((item) => {
        const movement = page.movements.find(({ slug }) => slug === item.movement);
        const done = doneToday(item.movement);
        const sides = sidesText(item.sides);
        return (
          <Box
            key={item.movement}
            sx={{
              display: 'grid',
              gridTemplateColumns: '84px minmax(0, 1fr)',
              gap: 1.25,
              backgroundColor: '#FFFFFF',
              border: `1px solid ${palette.line}`,
              borderRadius: 2,
              p: 1.25,
              mb: 1,
            }}
          >
            <Figure movement={movement} size={84} behind="#FFFFFF" />
            <Box>
              <strong style={{ fontSize: 17 }}>{movement?.name ?? item.movement}</strong>
              <Box>{[doseText(item.dose), sides].filter((part) => part !== '').join(', ')}</Box>
              {movement?.cues[0] !== undefined && <Box sx={{ color: palette.soft, fontSize: 14.5 }}>{movement.cues[0]}</Box>}
              {item.isWithAdult && (
                <Box sx={{ color: palette.caution, fontSize: 14.5 }}>
                  <Trans>With an adult beside.</Trans>
                </Box>
              )}
              <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mt: 1 }}>
                <Button
                  variant={done ? 'outlined' : 'contained'}
                  onClick={() => {
                    setRunning(item);
                  }}
                >
                  {done ? t`Once more` : t`Start`}
                </Button>
                {done ? (
                  <Box role="status" sx={{ color: palette.primary, fontWeight: 700 }}>
                    {t`done today: ${feelingWords[done.feeling]}`}
                  </Box>
                ) : (
                  <Button
                    variant="outlined"
                    onClick={() => {
                      note(item.movement, 'well');
                    }}
                  >
                    <Trans>Done without it</Trans>
                  </Button>
                )}
              </Box>
            </Box>
          </Box>
        );
      })}
      <Box sx={{ color: palette.soft }}>
        {days === 0
          ? t`Nothing was noted since that class.`
          : t`Practised on ${plural(days, { one: '# day', other: '# days' })} since that class.`}{' '}
        <Trans>It is shown to the instructor beside what is seen in class, never in its place.</Trans>
      </Box>
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
