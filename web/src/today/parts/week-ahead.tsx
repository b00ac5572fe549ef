import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WeekEntry } from '@leiter/contract';
import { daysBetween, type Day } from '@leiter/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { ClassRungs, stepsOf } from '../../shared/class-rungs';
import { palette } from '../../shared/palette';
import { dayText, daysAway, namesText } from '../../shared/words';

/** Today and the six days after it, a line a class. */
export function WeekAhead({ entries, today }: { readonly entries: readonly WeekEntry[]; readonly today: Day }) {
  const shown = entries.filter(({ movedTo }) => movedTo === null);
  return (
    <Box component="section" aria-label={t`The next seven days`} sx={{ mb: 4 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 0.5 }}>
        <Typography variant="h2">
          <Trans>The next seven days</Trans>
        </Typography>
        <Link to="/week">
          <Trans>The whole week</Trans>
        </Link>
      </Box>
      {shown.length === 0 && (
        <Typography variant="body2">
          <Trans>No class in the next seven days.</Trans>
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((entry) => (
          <Line key={`${entry.group.id} ${entry.day}`} entry={entry} today={today} />
        ))}
      </Box>
    </Box>
  );
}

function Line({ entry, today }: { readonly entry: WeekEntry; readonly today: Day }) {
  const { group, day, startsAt, lengthMinutes, class: session, holiday, expectedCount, away } = entry;
  const off = session?.cancelledBecause ?? holiday;
  return (
    <Box
      component="li"
      sx={{
        borderTop: `1px solid ${palette.line}`,
        py: 0.75,
        display: 'flex',
        columnGap: 2,
        rowGap: 0.25,
        alignItems: 'center',
        flexWrap: 'wrap',
        color: off === null ? palette.ink : palette.soft,
      }}
    >
      <ClassRungs done={stepsOf(entry)} height={34} />
      <Box sx={{ width: 150 }}>
        {daysBetween(today, day) < 2 ? daysAway(daysBetween(today, day)) : dayText(day)}, {startsAt}
      </Box>
      <Box sx={{ flex: 1, minWidth: 130, overflowWrap: 'anywhere' }}>
        <Link to={session ? `/classes/${session.id}` : `/week/${day}`}>{group.name}</Link>
        <span style={{ color: palette.soft }}>
          {' '}
          <Trans>{lengthMinutes} min</Trans>
        </span>
      </Box>
      <Box sx={{ minWidth: 190 }}>
        {off !== null ? (
          t`off: ${off}`
        ) : (
          <>
            {session?.hasPlan ? (
              session.taughtAt ? (
                t`taught`
              ) : (
                t`planned`
              )
            ) : (
              <strong style={{ color: palette.caution }}>
                <Trans>not planned</Trans>
              </strong>
            )}{' '}
            · {away.length > 0 ? t`without ${namesText(away)}` : plural(expectedCount, { one: '# child', other: '# children' })}
          </>
        )}
      </Box>
    </Box>
  );
}
