import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WeekEntry, WeekResponse } from '@leiter/contract';
import { addDays } from '@leiter/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { useOutlook, useWeek } from '../queries/calendar.queries';
import { useMay } from '../queries/may';
import { useSession } from '../queries/session.queries';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { headingFont, palette } from '../shared/palette';
import { onPhone, onTouch, onWide } from '../shared/screen';
import { ButtonLink } from '../shared/button-link';
import { dateText, dayOnly, weekdayWords } from '../shared/words';
import { useGroups } from '../queries/groups.queries';
import { ClassCard } from './parts/class-card';
import { HolidaysSheet } from './parts/holidays-sheet';
import { ExtraClassDialog } from './parts/extra-class-dialog';

/** The classes of a week and the one after it, past or coming, each with how far it has come and the ways into it. */
function WeekPage() {
  const session = useSession().data;
  const today = session?.today ?? '';
  const { day = today } = useParams();
  const week = useWeek(day);
  const groups = useGroups();
  const outlook = useOutlook(day);
  const may = useMay();
  const [open, setOpen] = useState<'holidays' | 'extra' | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  return (
    <Page
      title={t`Week`}
      about={week.data ? t`${dayOnly(week.data.fromDay)} to ${dateText(week.data.toDay)}` : ''}
      actions={
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <ButtonLink to={`/week/${addDays(day, -7)}`} name={t`The week before`}>
            ←
          </ButtonLink>
          <ButtonLink to="/week">
            <Trans>This week</Trans>
          </ButtonLink>
          <ButtonLink to={`/week/${addDays(day, 7)}`} name={t`The week after`}>
            →
          </ButtonLink>
          {may.change && (
            <>
              <Button
                variant="outlined"
                onClick={() => {
                  setOpen('holidays');
                }}
              >
                <Trans>Holidays</Trans>
              </Button>
              <Button
                variant="outlined"
                onClick={() => {
                  setOpen('extra');
                }}
              >
                <Trans>Add a class</Trans>
              </Button>
            </>
          )}
        </Box>
      }
    >
      <Loaded query={week} what={t`week`}>
        {(data) =>
          groups.data?.length === 0 ? (
            <Message
              title={t`No groups yet`}
              text={t`Make a group with its weekly slot; then its classes stand here, week by week.`}
              action={{ label: t`Make a group`, href: '/club' }}
            />
          ) : (
            <Days week={data} today={today} ownId={session?.person.role === 'instructor' ? session.person.id : null} outlook={outlook} />
          )
        }
      </Loaded>
      {open === 'holidays' && week.data && <HolidaysSheet holidays={week.data.holidays} today={today} onClose={close} />}
      {open === 'extra' && groups.data && (
        <ExtraClassDialog groups={groups.data.filter(({ archived }) => !archived)} day={day < today ? today : day} onClose={close} />
      )}
    </Page>
  );
}

interface DaysProps {
  readonly week: WeekResponse;
  readonly today: string;
  /** Of an instructor: classes of others are told apart. */
  readonly ownId: string | null;
  readonly outlook: ReturnType<typeof useOutlook>;
}

/** Seven days beside each other; on a phone under each other, with a strip of days to go by. */
function Days({ week, today, ownId, outlook }: DaysProps) {
  const on = (day: string): readonly WeekEntry[] => week.entries.filter((entry) => entry.day === day);
  const days = Array.from({ length: 14 }, (_, index) => addDays(week.fromDay, index));
  const hasClass = [0, 1, 2, 3, 4, 5, 6].map((index) => on(days[index] ?? '').length + on(days[index + 7] ?? '').length > 0);
  const todayRef = useRef<HTMLDivElement>(null);
  const isNow = days.includes(today);
  useEffect(() => {
    // on a phone the day that matters is in sight at once
    if (isNow && todayRef.current && window.innerWidth < 700) todayRef.current.scrollIntoView({ block: 'start' });
  }, [isNow, week.fromDay]);
  return (
    <Panel label={t`Days of the week`} padding={1.5}>
      <Box
        component="nav"
        aria-label={t`Days`}
        sx={{
          display: 'none',
          [onPhone]: {
            display: 'flex',
            position: 'sticky',
            top: -1,
            zIndex: 2,
            mx: -1.5,
            mt: -1.5,
            mb: 1.5,
            backgroundColor: palette.paper,
            borderBottom: `1px solid ${palette.line}`,
          },
        }}
      >
        {days.slice(0, 7).map((day, index) => (
          <Box
            key={day}
            component="a"
            href={`#day-${day}`}
            aria-label={`${weekdayWords[index % 7] ?? ''}, ${plural(on(day).length, { one: '# class', other: '# classes' })}`}
            onClick={(event: React.MouseEvent) => {
              event.preventDefault();
              document.getElementById(`day-${day}`)?.scrollIntoView({ block: 'start' });
            }}
            sx={{
              flex: 1,
              minHeight: 48,
              display: 'grid',
              placeItems: 'center',
              alignContent: 'center',
              textDecoration: 'none',
              color: day === today ? palette.primary : palette.ink,
              fontWeight: day === today ? 700 : 400,
              lineHeight: 1.15,
              fontSize: 14,
              [onTouch]: { minHeight: 48 },
            }}
          >
            {weekdayWords[index % 7]?.slice(0, 2)}
            <Box aria-hidden="true" sx={{ display: 'flex', gap: '3px', height: 8, mt: 0.5 }}>
              {on(day).map((entry, nth) => (
                <Box
                  key={nth}
                  sx={{
                    width: 12,
                    height: 4,
                    backgroundColor: entry.class?.hasPlan ? palette.primary : 'transparent',
                    border: `1px solid ${palette.primary}`,
                  }}
                />
              ))}
            </Box>
          </Box>
        ))}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          [onWide]: {
            gridTemplateColumns: hasClass.map((has) => (has ? 'minmax(0, 1fr)' : 'minmax(52px, 0.32fr)')).join(' '),
            minHeight: '100%',
            gap: 0,
          },
        }}
      >
        {days.map((day, index) => (
          <Box
            key={day}
            ref={day === today ? todayRef : undefined}
            id={`day-${day}`}
            component="section"
            aria-label={`${weekdayWords[index % 7] ?? ''} ${dayOnly(day)}`}
            sx={{
              scrollMarginTop: 56,
              minWidth: 0,
              [onWide]: {
                px: 1,
                borderLeft: index % 7 === 0 ? 0 : `1px solid ${palette.line}`,
                backgroundColor: day === today ? palette.cream : 'transparent',
                pb: 2,
              },
            }}
          >
            <Box
              sx={{
                fontFamily: headingFont,
                fontSize: 15,
                py: 0.75,
                color: day < today ? palette.soft : palette.ink,
                display: 'flex',
                flexWrap: 'wrap',
                columnGap: 0.75,
                alignItems: 'baseline',
              }}
            >
              <strong>{weekdayWords[index % 7]?.slice(0, 3)}</strong> {dayOnly(day)}
              {day === today && (
                <span style={{ color: palette.primary, fontWeight: 700 }}>
                  <Trans>today</Trans>
                </span>
              )}
            </Box>
            <Box sx={{ display: 'grid', gap: 1 }}>
              {on(day).map((entry) => (
                <ClassCard
                  key={`${entry.group.id} ${entry.startsAt}`}
                  entry={entry}
                  outlook={outlook.get(entry.class?.id ?? '')}
                  today={today}
                  isOwn={ownId === null || (entry.class?.instructorId ?? entry.group.instructorId) === ownId}
                />
              ))}
              {on(day).length === 0 && (
                <Box sx={{ color: palette.soft, fontSize: 13.5, display: 'none', [onPhone]: { display: 'block' } }}>
                  <Trans>no class</Trans>
                </Box>
              )}
            </Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}

export { WeekPage as Page };
