import { t } from '@lingui/core/macro';
import type { WeekEntry } from '@leiter/contract';
import Box from '@mui/material/Box';
import { palette } from './palette';

export const classSteps = ['planned', 'rehearsed', 'taught', 'marked'] as const;
export type ClassStep = (typeof classSteps)[number];

/** What was done for a class; marked is who was there and has a mark, all of them. */
export function stepsOf({ class: session, markedCount, presentCount }: WeekEntry): readonly ClassStep[] {
  const done: Readonly<Record<ClassStep, boolean>> = {
    planned: session?.hasPlan ?? false,
    rehearsed: session?.rehearsedAt != null,
    taught: session?.taughtAt != null,
    marked: markedCount > 0 && markedCount >= presentCount,
  };
  return classSteps.filter((step) => done[step]);
}

/** How far a class has come, as a ladder of four rungs from planned to marked; said in words as well. */
export function ClassRungs({ done, height = 58 }: { readonly done: readonly ClassStep[]; readonly height?: number }) {
  return (
    <Box
      component="svg"
      viewBox="0 0 24 58"
      role="img"
      aria-label={done.length === 0 ? t`nothing done yet` : done.join(', ')}
      sx={{ height, width: (height * 24) / 58, flexShrink: 0, color: palette.primary }}
    >
      <title>{classSteps.map((step) => `${step}: ${done.includes(step) ? 'yes' : 'no'}`).join(' · ')}</title>
      <g stroke="currentColor" strokeLinecap="round">
        <path d="M4 2v54M20 2v54" strokeWidth="2" />
        {classSteps.map((step, index) => {
          const y = 49 - index * 13.6;
          return done.includes(step) ? (
            <line key={step} x1="4" x2="20" y1={y} y2={y} strokeWidth="6.5" strokeLinecap="butt" />
          ) : (
            <line key={step} x1="4" x2="20" y1={y} y2={y} strokeWidth="1.4" strokeDasharray="2.5 2.5" />
          );
        })}
      </g>
    </Box>
  );
}
