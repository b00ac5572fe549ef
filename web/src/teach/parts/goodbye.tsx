import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse } from '@leiter/contract';
import { homeTaskLines, newBests, type ClassPlan, type KnownMark, type Library } from '@leiter/core';
import type { ReactNode } from 'react';
import { useNextClass } from '../../queries/calendar.queries';
import { headingFont, palette } from '../../shared/palette';
import { dayText, markWords } from '../../shared/words';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly library: Library;
  /** What was known of each child when the class began. */
  readonly before: ReadonlyMap<string, readonly KnownMark[]>;
  readonly onClose: () => void;
}

/** The screen that is shared as the class ends: what is done at home, who went up a rung, and when we meet again. */
export function Goodbye({ page, plan, library, before, onClose }: Props) {
  const next = useNextClass(page.class.groupId, page.class.day);
  const tasks = homeTaskLines(plan.homeTask, library);
  const up = newBests(page.observations, before);
  const nameOf = (id: string): string => page.children.find((child) => child.id === id)?.name ?? '';
  return (
    <Box
      role="dialog"
      aria-label={t`Goodbye`}
      sx={{
        position: 'fixed',
        inset: 0,
        zIndex: 6,
        backgroundColor: palette.night,
        color: palette.cream,
        p: '48px 64px',
        fontSize: 28,
        lineHeight: 1.4,
        overflowY: 'auto',
      }}
    >
      <Box component="h1" sx={{ m: 0, fontFamily: headingFont, fontSize: 96, lineHeight: 1, color: palette.glow }}>
        <Trans>Goodbye!</Trans>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 6, mt: 4 }}>
        {tasks.length > 0 && (
          <Part title={t`At home`}>
            {tasks.map((line) => (
              <div key={line}>{line}</div>
            ))}
          </Part>
        )}
        {up.length > 0 && (
          <Part title={t`Up a rung today`}>
            {up.slice(0, 8).map(({ child, movement, mark }) => (
              <div key={`${child} ${movement}`}>
                {nameOf(child)}: {library.get(movement)?.name ?? movement}{' '}
                <span style={{ color: palette.nightSoft }}>{markWords[mark]}</span>
              </div>
            ))}
          </Part>
        )}
        {next && (
          <Part title={t`We meet again`}>
            {dayText(next.day)}, {next.startsAt}
          </Part>
        )}
      </Box>
      <Button variant="outlined" onClick={onClose} sx={{ mt: 5, color: palette.cream, borderColor: palette.soft }}>
        <Trans>Close</Trans>
      </Button>
    </Box>
  );
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box component="section" aria-label={title}>
      <Box component="h2" sx={{ m: 0, fontFamily: headingFont, fontSize: 36 }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
