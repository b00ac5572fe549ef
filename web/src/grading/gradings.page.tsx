import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { GradingResponse } from '@leiter/contract';
import { daysBetween } from '@leiter/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMay } from '../queries/may';
import { useSession } from '../queries/session.queries';
import { useProgrammeName } from '../queries/syllabus.queries';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dateText, daysAway, dayText } from '../shared/words';
import { useGradings } from '../queries/grading.queries';
import { PlanGradingDialog } from './parts/plan-grading';

/** The grading days of the club, those to come first. */
function GradingsPage() {
  const gradings = useGradings();
  const today = useSession().data?.today ?? '';
  const may = useMay();
  const [isPlanning, setPlanning] = useState(false);
  const plan = (): void => {
    setPlanning(true);
  };
  return (
    <Page
      title={t`Grading days`}
      actions={
        may.change && (
          <Button variant="contained" onClick={plan}>
            <Trans>Plan a grading day</Trans>
          </Button>
        )
      }
    >
      <Loaded query={gradings} what={t`grading days`}>
        {(all) =>
          all.length === 0 ? (
            <Message
              title={t`No grading day yet`}
              text={t`On a grading day children show what their next grade asks. Leiter says who is ready, makes the timetable and the mark sheets, and gives the grades.`}
              {...(may.change ? { action: { label: t`Plan a grading day`, onClick: plan } } : {})}
            />
          ) : (
            <Panel label={t`Grading days`}>
              <Days title={t`To come`} days={all.filter(({ closedAt }) => closedAt === null).toReversed()} today={today} />
              <Days title={t`Over`} days={all.filter(({ closedAt }) => closedAt !== null)} today={today} />
            </Panel>
          )
        }
      </Loaded>
      {isPlanning && (
        <PlanGradingDialog
          today={today}
          onClose={() => {
            setPlanning(false);
          }}
        />
      )}
    </Page>
  );
}

function Days({ title, days, today }: { readonly title: string; readonly days: readonly GradingResponse[]; readonly today: string }) {
  const programmeName = useProgrammeName();
  if (days.length === 0) return null;
  return (
    <Box component="section" aria-label={title} sx={{ mb: 4, maxWidth: 760 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {days.map((one) => (
          <Box
            component="li"
            key={one.id}
            sx={{ borderTop: `1px solid ${palette.line}`, py: 1, display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'baseline' }}
          >
            <Box sx={{ minWidth: 250 }}>
              <Link to={`/gradings/${one.id}`}>
                <strong>{programmeName(one.programme)}</strong>, {one.closedAt === null ? dayText(one.day) : dateText(one.day)}
              </Link>
            </Box>
            <Box sx={{ color: palette.soft }}>
              {one.closedAt === null
                ? t`${one.startsAt} · ${plural(one.entered, { one: '# child', other: '# children' })} · ${today === '' ? '' : daysAway(daysBetween(today, one.day))}`
                : t`${plural(one.granted, { one: '# grade', other: '# grades' })} given to ${plural(one.entered, { one: '# child', other: '# children' })} who came`}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

export { GradingsPage as Page };
