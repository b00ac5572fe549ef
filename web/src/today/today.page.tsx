import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { BoardRow, CloseToGrade, TodayResponse, WeekEntry } from '@leiter/contract';
import { daysBetween, type Day, type Library } from '@leiter/core';
import { Link } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useLibrary } from '../queries/library.queries';
import { forecastWords } from '../shared/forecast-words';
import { logWords } from '../shared/log-words';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dateText, dayText, daysAway } from '../shared/words';
import { GradingAhead } from './parts/grading-ahead';
import { NextClass } from './parts/next-class';
import { WeekAhead } from './parts/week-ahead';
import { useToday } from './today.queries';

/** What a person starts the day with. */
function TodayPage() {
  const today = useToday();
  const session = useSession();
  const library = useLibrary();
  const day = session.data?.today ?? '';
  return (
    <Page title={t`Today`} about={day === '' ? '' : `${dayText(day)} · ${session.data?.club.name ?? ''}`}>
      <Loaded query={today} what={t`day`}>
        {(data) =>
          data.next ? (
            <>
              <Panel label={t`The day`}>
                <NextClass
                  next={data.next}
                  entry={data.entries.find((entry) => entry.group.id === data.next?.coming.group.id && entry.day === data.next.coming.day)}
                  today={day}
                  timeZone={session.data?.club.timeZone ?? 'UTC'}
                  library={library}
                />
                <WeekAhead entries={data.entries} today={day} />
                <Unfinished entries={data.unfinished} />
                <Notices notices={data.notices} />
              </Panel>
              <Panel label={t`Children to look at`} width={380}>
                <HurtAtHome hurt={data.hurt} library={library} />
                <ClipsFromHome clips={data.clips} library={library} />
                <GradingAhead today={day} />
                <Close close={data.close} />
                <NotSeenLately rows={data.next.board} groupName={data.next.coming.group.name} today={day} />
              </Panel>
            </>
          ) : (
            <Message
              title={t`Nobody to teach yet`}
              text={t`Make a group with its weekly slot, then add the children. From then on this page shows the next class.`}
              action={{ label: t`Make a group`, href: '/club' }}
            />
          )
        }
      </Loaded>
    </Page>
  );
}

/** Taught and not finished: the roll or marks are missing. */
function Unfinished({ entries }: { readonly entries: TodayResponse['unfinished'] }) {
  return (
    <Box component="section" aria-label={t`To be finished`} sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>To be finished</Trans>
      </Typography>
      {entries.length === 0 && (
        <Typography variant="body2">
          <Trans>Every class of the last two weeks has its roll and its marks.</Trans>
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {entries.map((entry) => (
          <Line key={entry.class?.id}>
            {entry.class?.taughtAt ? (
              <>
                <Link to={`/classes/${entry.class.id}/marks`}>
                  <Trans>Mark {entry.group.name}</Trans>
                </Link>
                <Trans>
                  , taught {dayText(entry.day)}: {unfinishedWords(entry)}
                </Trans>
              </>
            ) : (
              <>
                <Link to={`/classes/${entry.class?.id ?? ''}`}>{entry.group.name}</Link>
                <Trans>, {dayText(entry.day)}: was it taught?</Trans>
              </>
            )}
          </Line>
        ))}
      </Box>
    </Box>
  );
}

function unfinishedWords({ rollCount, expectedCount, markedCount, presentCount }: WeekEntry): string {
  const roll = rollCount < expectedCount ? t`roll of ${rollCount} of ${expectedCount}` : '';
  const marks = markedCount === 0 ? t`nobody marked` : markedCount < presentCount ? t`${markedCount} of ${presentCount} marked` : '';
  return [roll, marks].filter((part) => part !== '').join(', ');
}

function Line({ children }: { readonly children: React.ReactNode }) {
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
      {children}
    </Box>
  );
}

/** What hurt when it was practised at home: to be asked about before the next class. */
function HurtAtHome({ hurt, library }: { readonly hurt: TodayResponse['hurt']; readonly library: Library }) {
  if (hurt.length === 0) return null;
  return (
    <Box component="section" aria-label={t`It hurt at home`} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5, color: palette.stop }}>
        <Trans>It hurt at home</Trans>
      </Typography>
      {hurt.map(({ childId, childName, movement, day }) => (
        <Box key={`${childId} ${movement} ${day}`} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
          <Link to={`/children/${childId}`}>{childName}</Link>
          {t`: ${library.get(movement)?.name ?? movement}, ${dayText(day)}`}
        </Box>
      ))}
    </Box>
  );
}

/** What families sent and nobody looked at yet. */
function ClipsFromHome({ clips, library }: { readonly clips: TodayResponse['clips']; readonly library: Library }) {
  if (clips.length === 0) return null;
  return (
    <Box component="section" aria-label={t`Clips from home`} sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Clips from home</Trans>
      </Typography>
      {clips.map(({ id, childName, movement, day }) => (
        <Box key={id} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
          <Link to={`/clips?clip=${id}`}>{t`${childName}: ${library.get(movement)?.name ?? movement}`}</Link>
          {t`, ${dayText(day)}`}
        </Box>
      ))}
    </Box>
  );
}

const mostClose = 8;

/** Who earned a grade, in whichever group, and who is near to one. */
function Close({ close }: { readonly close: readonly CloseToGrade[] }) {
  const earned = close.filter(({ isEarned }) => isEarned);
  const near = close.filter(({ isEarned }) => !isEarned);
  return (
    <>
      <Box component="section" aria-label={t`Earned`} sx={{ mb: 3 }}>
        <Typography variant="h2" sx={{ mb: 0.5 }}>
          <Trans>Earned, to be given</Trans>
        </Typography>
        {earned.length === 0 && (
          <Typography variant="body2">
            <Trans>Nobody has all of a grade just now.</Trans>
          </Typography>
        )}
        {earned.map((one) => (
          <CloseLine key={`${one.childId} ${one.groupId}`} one={one} />
        ))}
      </Box>
      <Box component="section" aria-label={t`Close to a grade`} sx={{ mb: 3 }}>
        <Typography variant="h2" sx={{ mb: 0.5 }}>
          <Trans>Close to a grade</Trans>
        </Typography>
        {near.length === 0 && (
          <Typography variant="body2">
            <Trans>Nobody is within two requirements of the next grade.</Trans>
          </Typography>
        )}
        {near.slice(0, mostClose).map((one) => (
          <CloseLine key={`${one.childId} ${one.groupId}`} one={one} />
        ))}
        {near.length > mostClose && (
          <Typography variant="body2" sx={{ borderTop: `1px solid ${palette.line}`, pt: 0.75 }}>
            <Trans>and {near.length - mostClose} more:</Trans>{' '}
            <Link to="/children">
              <Trans>the wall of ladders</Trans>
            </Link>
          </Typography>
        )}
      </Box>
    </>
  );
}

/** `Cartwheel, left`: what would bring the grade. */
function openWords(open: CloseToGrade['open'], library: Library): string {
  return open
    .map(({ movement, sides }) => [library.get(movement)?.name ?? movement, ...(sides.length === 1 ? sides : [])].join(', '))
    .join('; ');
}

function CloseLine({ one }: { readonly one: CloseToGrade }) {
  const { childId, name, groupName, gradeName, metCount, ofCount, isEarned, open, forecast } = one;
  const library = useLibrary();
  const today = useSession().data?.today ?? '';
  return (
    <Box sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
          <Link to={`/children/${childId}`}>{name}</Link>
          <span style={{ color: palette.soft }}> {groupName}</span>
        </Box>
        <Box component="span" sx={{ fontWeight: isEarned ? 700 : 400, color: isEarned ? palette.primary : palette.ink, flexShrink: 0 }}>
          {gradeName}
        </Box>
      </Box>
      {!isEarned && <RungMeter met={metCount} of={ofCount} />}
      {!isEarned && (
        <Box sx={{ fontSize: 14, color: palette.soft, mt: 0.25 }}>
          {open.length > 0 && <Trans>would bring it: {openWords(open, library)}</Trans>}
          {forecast?.kind === 'span' && today !== '' && <Box>{forecastWords(forecast, today)}</Box>}
        </Box>
      )}
    </Box>
  );
}

/** The rung above a child, filled from the left as requirements are met. */
function RungMeter({ met, of }: { readonly met: number; readonly of: number }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
      <Box
        aria-hidden="true"
        sx={{
          flex: 1,
          height: 7,
          backgroundColor: palette.faint,
          borderLeft: `4px solid ${palette.ink}`,
          borderRight: `4px solid ${palette.ink}`,
        }}
      >
        <Box sx={{ width: `${String((met / of) * 100)}%`, height: '100%', backgroundColor: palette.primary }} />
      </Box>
      <Box sx={{ fontSize: 13, color: palette.soft }}>
        <Trans>
          {met} of {of}
        </Trans>
      </Box>
    </Box>
  );
}

const unseenDays = 12;

function NotSeenLately({
  rows,
  groupName,
  today,
}: {
  readonly rows: readonly BoardRow[];
  readonly groupName: string;
  readonly today: Day;
}) {
  const unseen = rows.filter(({ lastSeenOn }) => lastSeenOn === null || daysBetween(lastSeenOn, today) > unseenDays);
  return (
    <Box component="section" aria-label={t`Not seen lately`}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Not seen lately in {groupName}</Trans>
      </Typography>
      {unseen.length === 0 && (
        <Typography variant="body2">
          <Trans>Every child of this group was marked in the last twelve days.</Trans>
        </Typography>
      )}
      {unseen.map(({ childId, name, lastSeenOn }) => (
        <Box key={childId} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, display: 'flex', justifyContent: 'space-between' }}>
          <Link to={`/children/${childId}`}>{name}</Link>
          <span>{lastSeenOn === null ? t`never marked` : daysAway(-daysBetween(lastSeenOn, today))}</span>
        </Box>
      ))}
    </Box>
  );
}

/** What others changed about who sees the children that one teaches. */
function Notices({ notices }: { readonly notices: TodayResponse['notices'] }) {
  if (notices.length === 0) return null;
  return (
    <Box component="section" aria-label={t`Changes by others`} sx={{ mt: 4 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Changed by others</Trans>
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {notices.slice(0, 6).map((notice) => (
          <Box
            component="li"
            key={`${notice.at} ${notice.childId} ${notice.kind}`}
            sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, fontSize: 14.5 }}
          >
            <Link to={`/children/${notice.childId}`}>{notice.childName}</Link>: {logWords(notice)}
            <Box component="span" sx={{ color: palette.soft }}>
              {' '}
              – {notice.by ?? t`somebody who is gone`}, {dateText(notice.at.slice(0, 10))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

export { TodayPage as Page };
