import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ComingClass } from '@leiter/contract';
import { daysBetween } from '@leiter/core';
import { useNavigate } from 'react-router';
import { useSession } from '../queries/session.queries';
import { Loaded, Message, Page, Panel, Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { dayText, daysAway, plural } from '../shared/words';
import { useAddClass, useComingClasses } from '../queries/class.queries';

/** The next class of every group: what is planned, what is not. */
export function PlansPage({ purpose }: { readonly purpose: 'plan' | 'teach' }) {
  const coming = useComingClasses();
  return (
    <Page title={purpose === 'plan' ? 'Plan' : 'Teach'} about={purpose === 'plan' ? 'The next class of each group' : 'Which class is it?'}>
      <Panel label="Coming classes">
        <Loaded query={coming} what="classes">
          {(classes) =>
            classes.length === 0 ? (
              <Message
                title="No groups yet"
                text="Make a group with its weekly slot; then its next class stands here."
                action={{ label: 'Make a group', href: '/club' }}
              />
            ) : (
              <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, maxWidth: 860 }}>
                {classes.map((one) => (
                  <ComingLine key={one.group.id} coming={one} purpose={purpose} />
                ))}
              </Box>
            )
          }
        </Loaded>
      </Panel>
    </Page>
  );
}

function ComingLine({ coming, purpose }: { readonly coming: ComingClass; readonly purpose: 'plan' | 'teach' }) {
  const addClass = useAddClass();
  const navigate = useNavigate();
  const today = useSession().data?.today ?? coming.day;
  const isPlanned = coming.class?.hasPlan ?? false;
  const go = (what: 'plan' | 'teach' | 'marks'): void => {
    if (coming.class) void navigate(`/classes/${coming.class.id}/${what}`);
    else addClass.mutate({ groupId: coming.group.id, day: coming.day }, { onSuccess: ({ id }) => void navigate(`/classes/${id}/${what}`) });
  };
  return (
    <Box
      component="li"
      sx={{
        borderTop: `1px solid ${palette.line}`,
        py: 1.75,
        display: 'grid',
        gridTemplateColumns: '180px 220px 1fr auto',
        gap: 2,
        alignItems: 'center',
      }}
    >
      <Box>
        <Typography variant="h2">{coming.group.name}</Typography>
        <Typography variant="caption">{plural(coming.group.childCount, 'child', 'children')}</Typography>
      </Box>
      <Box>
        {dayText(coming.day)} · {coming.startsAt} · {coming.group.lengthMinutes} min
        <Typography variant="caption" component="div">
          {daysAway(daysBetween(today, coming.day))}
        </Typography>
      </Box>
      <Box sx={{ color: isPlanned ? palette.ink : palette.caution, fontWeight: isPlanned ? 400 : 700 }}>
        {isPlanned ? 'planned' : 'no plan yet'}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Refused error={addClass.error} />
        {purpose === 'teach' && isPlanned ? (
          <>
            <Button
              variant="outlined"
              onClick={() => {
                go('marks');
              }}
            >
              Mark
            </Button>
            <Button
              variant="contained"
              onClick={() => {
                go('teach');
              }}
            >
              Teach this class
            </Button>
          </>
        ) : (
          <Button
            variant={isPlanned ? 'outlined' : 'contained'}
            disabled={addClass.isPending}
            aria-label={`${isPlanned ? 'Open the plan' : 'Plan the class'} of ${coming.group.name}`}
            onClick={() => {
              go('plan');
            }}
          >
            {isPlanned ? 'Open the plan' : 'Plan this class'}
          </Button>
        )}
      </Box>
    </Box>
  );
}
