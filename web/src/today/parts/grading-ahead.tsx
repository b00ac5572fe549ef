import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { daysBetween, type Day } from '@leiter/core';
import { Link } from 'react-router';
import { useGradings } from '../../queries/grading.queries';
import { useProgrammeName } from '../../queries/syllabus.queries';
import { palette } from '../../shared/palette';
import { dayText, daysAway } from '../../shared/words';

/** So far ahead a grading day is said on the first page. */
const mostDaysAhead = 42;

/** The grading days to come, and those that were not closed. */
export function GradingAhead({ today }: { readonly today: Day }) {
  const gradings = useGradings().data ?? [];
  const programmeName = useProgrammeName();
  const ahead = gradings
    .filter(({ closedAt, day }) => closedAt === null && today !== '' && daysBetween(today, day) <= mostDaysAhead)
    .toReversed();
  if (ahead.length === 0) return null;
  return (
    <Box component="section" aria-label={t`Grading days`} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Grading days</Trans>
      </Typography>
      {ahead.map(({ id, programme, day, entered }) => (
        <Box key={id} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
          <Link to={`/gradings/${id}`}>{programmeName(programme)}</Link>
          {day < today
            ? t`, ${dayText(day)}: to be closed`
            : t`, ${dayText(day)}, ${daysAway(daysBetween(today, day))}: ${plural(entered, { one: '# child', other: '# children' })}`}
        </Box>
      ))}
    </Box>
  );
}
