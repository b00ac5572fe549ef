import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { TodayResponse, WeekEntry } from '@leiter/contract';
import { clockText, daysBetween, type Day, type Library } from '@leiter/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { addClass, useOutlook } from '../../queries/calendar.queries';
import { useMay } from '../../queries/may';
import { ButtonLink } from '../../shared/button-link';
import { ClassRungs, stepsOf } from '../../shared/class-rungs';
import { Refused } from '../../shared/page';
import { headingFont, palette } from '../../shared/palette';
import { dayText, daysAway } from '../../shared/words';
import { timeToGo } from './time-to-go';

interface Props {
  readonly next: NonNullable<TodayResponse['next']>;
  readonly entry: WeekEntry | undefined;
  readonly today: Day;
  readonly timeZone: string;
  readonly library: Library;
}

const everyMs = 20_000;

/** The moment it is, again every twenty seconds. */
function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(new Date());
    }, everyMs);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now;
}

/** What comes next: when, how long, planned or not, who comes. */
export function NextClass({ next, entry, today, timeZone, library }: Props) {
  const { coming, children, focus, itemCount } = next;
  const { group, day, startsAt, class: session } = coming;
  const may = useMay();
  const now = useNow();
  const outlook = useOutlook(day).get(session?.id ?? '');
  const lengthMinutes = session?.lengthMinutes ?? group.lengthMinutes;
  const toGo = timeToGo({ day, startsAt, lengthMinutes }, timeZone, now) ?? daysAway(daysBetween(today, day));
  const isPlanned = session?.hasPlan ?? false;
  const away = children.filter(({ attendance }) => attendance === 'absent');
  return (
    <Box component="section" aria-label={t`Next class`} sx={{ mb: 4 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', columnGap: 2, flexWrap: 'wrap' }}>
        <Typography variant="h2" sx={{ fontSize: 34, lineHeight: 1.15, overflowWrap: 'anywhere' }}>
          {session ? <Link to={`/classes/${session.id}`}>{group.name}</Link> : group.name}
        </Typography>
        <Box sx={{ fontFamily: headingFont, fontSize: 26 }}>{toGo}</Box>
        <Box sx={{ color: palette.soft }}>
          <Trans>
            {dayText(day)} · {startsAt} · {lengthMinutes} min
          </Trans>
        </Box>
      </Box>
      <Box
        sx={{
          my: 2,
          p: 2,
          backgroundColor: palette.white,
          border: `1px solid ${palette.line}`,
          borderTop: `4px solid ${palette.ink}`,
          borderRadius: '6px',
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          flexWrap: 'wrap',
        }}
      >
        {entry && <ClassRungs done={stepsOf(entry)} />}
        <Box sx={{ flex: 1, minWidth: 200 }}>
          <Typography variant="h3">
            {isPlanned
              ? outlook
                ? t`Planned: ${clockText(outlook.totalSeconds)} of ${lengthMinutes}:00, ${plural(itemCount, { one: '# item', other: '# items' })}`
                : t`Planned: ${plural(itemCount, { one: '# item', other: '# items' })}`
              : t`Not planned yet`}
          </Typography>
          <Typography variant="body2" sx={{ color: palette.soft }}>
            {focus.length > 0
              ? t`Focus: ${focus.map((slug) => library.get(slug)?.name.toLowerCase() ?? slug).join(', ')}`
              : isPlanned
                ? t`Nothing is in focus.`
                : may.change
                  ? t`A running order that fits the group is ready to start from.`
                  : t`Whoever teaches it plans it.`}
          </Typography>
          {outlook && outlook.stops > 0 && (
            <Box sx={{ color: palette.stop, fontWeight: 700 }}>
              <Trans>
                <Plural value={outlook.stops} one="# stop" other="# stops" /> in the plan to answer
              </Trans>
            </Box>
          )}
        </Box>
        <Ways coming={coming} isPlanned={isPlanned} />
      </Box>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {plural(children.length - away.length, { one: '# child comes', other: '# children come' })}
        {away.length > 0 && t`, ${away.length} away`}
      </Typography>
      <Box
        component="ul"
        sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))', columnGap: 3 }}
      >
        {children.map((child) => (
          <Box
            component="li"
            key={child.id}
            sx={{ borderTop: `1px solid ${palette.line}`, py: 0.6, fontSize: 14.5, overflowWrap: 'anywhere' }}
          >
            <Link to={`/children/${child.id}`} style={child.attendance === 'absent' ? { textDecoration: 'line-through' } : undefined}>
              {child.name}
            </Link>
            <Box component="span" sx={{ color: palette.soft }}>
              {' '}
              {child.ageYears} · {child.attendance === 'absent' ? t`away` : (child.gradeName ?? t`no grade yet`)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Ways({ coming, isPlanned }: { readonly coming: Props['next']['coming']; readonly isPlanned: boolean }) {
  const may = useMay();
  const navigate = useNavigate();
  const [error, setError] = useState<Error | null>(null);
  const { class: session, group, day } = coming;
  const plan = (): void => {
    if (session) void navigate(`/classes/${session.id}/plan`);
    else
      addClass({ groupId: group.id, day }).then(
        ({ id }) => void navigate(`/classes/${id}/plan`),
        (caught: unknown) => {
          setError(caught instanceof Error ? caught : new Error('That did not work.'));
        },
      );
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      <Refused error={error} />
      {may.change && isPlanned && session && (
        <ButtonLink to={`/classes/${session.id}/teach`} variant="contained">
          <Trans>Teach this class</Trans>
        </ButtonLink>
      )}
      {(may.change || isPlanned) && (
        <Button variant={isPlanned || !may.change ? 'outlined' : 'contained'} onClick={plan}>
          {isPlanned ? t`Open the plan` : t`Plan this class`}
        </Button>
      )}
      {session && (
        <ButtonLink to={`/classes/${session.id}`}>
          <Trans>Roll and note</Trans>
        </ButtonLink>
      )}
    </Box>
  );
}
