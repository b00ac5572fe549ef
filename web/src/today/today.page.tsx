import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BoardRow, TodayResponse } from '@leiter/contract';
import { daysBetween, type Day, type Library } from '@leiter/core';
import { Link, useNavigate } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useLibrary } from '../queries/library.queries';
import { useAddClass } from '../queries/class.queries';
import { logWords } from '../shared/log-words';
import { LadderMark } from '../shared/ladder-mark';
import { Loaded, Message, Page, Panel, Refused } from '../shared/page';
import { headingFont, palette } from '../shared/palette';
import { dateText, dayText, daysAway, plural } from '../shared/words';
import { useToday } from './today.queries';

/** What a person starts the day with. */
export function TodayPage() {
  const today = useToday();
  const session = useSession();
  const library = useLibrary();
  const day = session.data?.today ?? '';
  return (
    <Page title="Today" about={day === '' ? '' : `${dayText(day)} · ${session.data?.club.name ?? ''}`}>
      <Loaded query={today} what="day">
        {(data) =>
          data.next ? (
            <>
              <Panel label="The day">
                <NextClass next={data.next} today={day} library={library} />
                <Waiting data={data} today={day} />
                <Notices notices={data.notices} />
              </Panel>
              <Panel label="Children to look at" width={380}>
                <CloseToGrade rows={data.next.board} groupName={data.next.coming.group.name} />
                <NotSeenLately rows={data.next.board} today={day} />
              </Panel>
            </>
          ) : (
            <Message
              title="Nobody to teach yet"
              text="Make a group with its weekly slot, then add the children. From then on this page shows the next class."
              action={{ label: 'Make a group', href: '/club' }}
            />
          )
        }
      </Loaded>
    </Page>
  );
}

function NextClass({
  next,
  today,
  library,
}: {
  readonly next: NonNullable<TodayResponse['next']>;
  readonly today: Day;
  readonly library: Library;
}) {
  const { coming, children, focus, itemCount } = next;
  const addClass = useAddClass();
  const navigate = useNavigate();
  const isPlanned = coming.class?.hasPlan ?? false;
  const plan = (): void => {
    if (coming.class) void navigate(`/classes/${coming.class.id}/plan`);
    else addClass.mutate({ groupId: coming.group.id, day: coming.day }, { onSuccess: ({ id }) => void navigate(`/classes/${id}/plan`) });
  };
  const here = children.filter(({ attendance }) => attendance !== 'absent');
  return (
    <Box component="section" aria-label="Next class" sx={{ mb: 4 }}>
      <Typography variant="caption">Next class, {daysAway(daysBetween(today, coming.day))}</Typography>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap' }}>
        <Typography variant="h2" sx={{ fontSize: 34, lineHeight: 1.15 }}>
          {coming.group.name}
        </Typography>
        <Box sx={{ fontFamily: headingFont, fontSize: 26 }}>{coming.startsAt}</Box>
        <Box sx={{ color: palette.soft }}>
          {dayText(coming.day)} · {coming.group.lengthMinutes} minutes
        </Box>
      </Box>
      <Box
        sx={{
          my: 2,
          p: 2,
          backgroundColor: '#FFFFFF',
          border: `1px solid ${palette.line}`,
          borderRadius: '6px',
          display: 'flex',
          alignItems: 'center',
          gap: 2,
        }}
      >
        <Box sx={{ color: palette.primary }}>
          <LadderMark size={44} rungs={6} filled={isPlanned ? 6 : 0} />
        </Box>
        <Box sx={{ flex: 1 }}>
          <Typography variant="h3">{isPlanned ? `Planned: ${plural(itemCount, 'item', 'items')}` : 'Not planned yet'}</Typography>
          <Typography variant="body2" sx={{ color: palette.soft }}>
            {focus.length > 0
              ? `Focus: ${focus.map((slug) => library.get(slug)?.name.toLowerCase() ?? slug).join(', ')}`
              : 'A running order that fits the group is ready to start from.'}
          </Typography>
        </Box>
        <Refused error={addClass.error} />
        {isPlanned && coming.class && (
          <Button component={Link} to={`/classes/${coming.class.id}/teach`} variant="contained">
            Teach this class
          </Button>
        )}
        <Button variant={isPlanned ? 'outlined' : 'contained'} onClick={plan} disabled={addClass.isPending}>
          {isPlanned ? 'Open the plan' : 'Plan this class'}
        </Button>
      </Box>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {plural(here.length, 'child', 'children')} coming
      </Typography>
      <Box
        component="ul"
        sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(210px, 1fr))', columnGap: 3 }}
      >
        {children.map((child) => (
          <Box component="li" key={child.id} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.6, fontSize: 14.5 }}>
            <Link to={`/children/${child.id}`}>{child.name}</Link>
            <Box component="span" sx={{ color: palette.soft }}>
              {' '}
              {child.ageYears} · {child.attendance === 'absent' ? 'away' : (child.gradeName ?? 'no grade yet')}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Waiting({ data, today }: { readonly data: TodayResponse; readonly today: Day }) {
  const soon = data.coming.filter(
    ({ day, class: session }) => daysBetween(today, day) <= 7 && !session?.hasPlan && day !== data.next?.coming.day,
  );
  return (
    <Box component="section" aria-label="Waiting to be done">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Waiting to be done
      </Typography>
      {soon.length === 0 && data.withoutMarks.length === 0 && (
        <Typography variant="body2">Nothing: every class this week is planned, every class taught has marks.</Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {data.withoutMarks.map((session) => (
          <Line key={session.id}>
            <Link to={`/classes/${session.id}/marks`}>Mark {session.groupName}</Link>, taught {dayText(session.day)}: nobody was marked
          </Line>
        ))}
        {soon.map(({ group, day, startsAt }) => (
          <Line key={group.id}>
            <Link to="/plan">Plan {group.name}</Link>, {dayText(day)} {startsAt}
          </Line>
        ))}
      </Box>
    </Box>
  );
}

function Line({ children }: { readonly children: React.ReactNode }) {
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75 }}>
      {children}
    </Box>
  );
}

const closeWithin = 2;

function CloseToGrade({ rows, groupName }: { readonly rows: readonly BoardRow[]; readonly groupName: string }) {
  const close = rows
    .filter((row) => row.cells.length > 0 && row.cells.length - row.metCount <= closeWithin)
    .toSorted((a, b) => a.cells.length - a.metCount - (b.cells.length - b.metCount));
  return (
    <Box component="section" aria-label="Close to a grade" sx={{ mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Close to a grade in {groupName}
      </Typography>
      {close.length === 0 && <Typography variant="body2">Nobody is within two requirements of the next grade.</Typography>}
      {close.map((row) => (
        <Box key={row.childId} sx={{ borderTop: `1px solid ${palette.line}`, py: 1 }}>
          <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
            <Link to={`/children/${row.childId}`}>{row.name}</Link>
            <Box component="span" sx={{ fontWeight: row.isEarned ? 700 : 400, color: row.isEarned ? palette.primary : palette.ink }}>
              {row.isEarned ? `has earned ${row.nextGradeName ?? ''}` : row.nextGradeName}
            </Box>
          </Box>
          <RungMeter met={row.metCount} of={row.cells.length} />
        </Box>
      ))}
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
          backgroundColor: '#E4DCCA',
          borderLeft: `4px solid ${palette.ink}`,
          borderRight: `4px solid ${palette.ink}`,
        }}
      >
        <Box sx={{ width: `${String((met / of) * 100)}%`, height: '100%', backgroundColor: palette.primary }} />
      </Box>
      <Box sx={{ fontSize: 13, color: palette.soft }}>
        {met} of {of}
      </Box>
    </Box>
  );
}

const unseenDays = 12;

function NotSeenLately({ rows, today }: { readonly rows: readonly BoardRow[]; readonly today: Day }) {
  const unseen = rows.filter(({ lastSeenOn }) => lastSeenOn === null || daysBetween(lastSeenOn, today) > unseenDays);
  return (
    <Box component="section" aria-label="Not seen lately">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Not seen lately
      </Typography>
      {unseen.length === 0 && <Typography variant="body2">Every child of this group was marked in the last twelve days.</Typography>}
      {unseen.map(({ childId, name, lastSeenOn }) => (
        <Box key={childId} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, display: 'flex', justifyContent: 'space-between' }}>
          <Link to={`/children/${childId}`}>{name}</Link>
          <span>{lastSeenOn === null ? 'never marked' : daysAway(-daysBetween(lastSeenOn, today))}</span>
        </Box>
      ))}
    </Box>
  );
}

/** What others changed about who sees the children that one teaches. */
function Notices({ notices }: { readonly notices: TodayResponse['notices'] }) {
  if (notices.length === 0) return null;
  return (
    <Box component="section" aria-label="Changes by others" sx={{ mt: 4 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Changed by others
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
              – {notice.by ?? 'somebody who is gone'}, {dateText(notice.at.slice(0, 10))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
