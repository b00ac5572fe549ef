import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { GroupResponse } from '@leiter/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../queries/session.queries';
import { ButtonLink } from '../shared/button-link';
import { Loaded, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { onPhone } from '../shared/screen';
import { offerUndo } from '../shared/undo-bar';
import { weekdayWords } from '../shared/words';
import { useProgrammeName, useSyllabuses } from '../queries/syllabus.queries';
import { changeGroup, useGroups } from '../queries/groups.queries';
import { ClubLook } from './parts/club-look';
import { GroupDialog } from './parts/group-dialog';
import { PeopleList } from './parts/people-list';
import { useMay } from '../queries/may';
import { usePeople } from '../queries/people.queries';

/** The club: its groups with their weekly slots, and the people who work in it. */
function ClubPage() {
  const groups = useGroups();
  const people = usePeople();
  const programmes = useSyllabuses();
  const programmeName = useProgrammeName();
  const session = useSession();
  const [changing, setChanging] = useState<GroupResponse | 'new' | null>(null);
  const may = useMay();
  return (
    <Page
      title={t`Club`}
      about={session.data?.club.name}
      actions={
        <Box sx={{ display: 'flex', gap: 1 }}>
          <ButtonLink to="/club/checks">{t`Checks`}</ButtonLink>
          {may.change && <ButtonLink to="/letters">{t`Letters`}</ButtonLink>}
          {may.change && <ButtonLink to="/reports">{t`Reports`}</ButtonLink>}
        </Box>
      }
    >
      <Panel label={t`Groups`}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1 }}>
          <Typography variant="h2" sx={{ mr: 'auto' }}>
            <Trans>Groups</Trans>
          </Typography>
          {may.change && (
            <Button
              variant="contained"
              onClick={() => {
                setChanging('new');
              }}
            >
              <Trans>Make a group</Trans>
            </Button>
          )}
        </Box>
        <Loaded query={groups} what={t`groups`}>
          {(all) => (
            <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
              {all.map((group) => (
                <Box
                  component="li"
                  key={group.id}
                  sx={{
                    borderTop: `1px solid ${palette.line}`,
                    py: 1.1,
                    display: 'grid',
                    gridTemplateColumns: '1fr 1.4fr 100px auto',
                    gap: 2,
                    alignItems: 'center',
                    [onPhone]: { gridTemplateColumns: '1fr', gap: 0.5 },
                    opacity: group.archived ? 0.75 : 1,
                  }}
                >
                  <Box>
                    <Link to={`/groups/${group.id}`}>{group.name}</Link>
                    <Box sx={{ fontSize: 13.5, color: palette.soft }}>{programmeName(group.programme)}</Box>
                  </Box>
                  <Box>
                    <Trans>
                      {weekdayWords[group.weekday - 1]} {group.startsAt}, {group.lengthMinutes} minutes
                      <Box sx={{ fontSize: 13.5, color: palette.soft }}>
                        {people.data?.find(({ id }) => id === group.instructorId)?.name ?? t`nobody teaches it yet`}
                      </Box>
                    </Trans>
                  </Box>
                  <Box>{group.archived ? t`archived` : plural(group.childCount, { one: '# child', other: '# children' })}</Box>
                  {may.change && (
                    <Box sx={{ display: 'flex', gap: 1 }}>
                      <Button
                        size="small"
                        variant="outlined"
                        aria-label={t`Change ${group.name}`}
                        onClick={() => {
                          setChanging(group);
                        }}
                      >
                        <Trans>Change</Trans>
                      </Button>
                      <Button
                        size="small"
                        variant="outlined"
                        aria-label={`${group.archived ? t`Put back` : t`Archive`} ${group.name}`}
                        onClick={() => {
                          void changeGroup(group.id, { archived: !group.archived }).then(() => {
                            offerUndo(t`${group.name} is ${group.archived ? t`put back` : 'archived'}`, () =>
                              changeGroup(group.id, { archived: group.archived }),
                            );
                          });
                        }}
                      >
                        {group.archived ? t`Put back` : t`Archive`}
                      </Button>
                    </Box>
                  )}
                </Box>
              ))}
              {all.length === 0 && (
                <Typography component="li">
                  <Trans>No groups yet. Make one with its weekly slot; then add the children.</Trans>
                </Typography>
              )}
            </Box>
          )}
        </Loaded>
        {may.run && session.data && <ClubLook clubName={session.data.club.name} />}
      </Panel>
      <Panel label={t`People`} width={400}>
        <Loaded query={people} what={t`people`}>
          {(all) => <PeopleList people={all} isOwner={may.run} ownId={session.data?.person.id ?? ''} />}
        </Loaded>
      </Panel>
      {changing && people.data && programmes.data && (
        <GroupDialog
          group={changing === 'new' ? null : changing}
          people={people.data.filter(({ isPutAway }) => !isPutAway)}
          programmes={programmes.data}
          onClose={() => {
            setChanging(null);
          }}
        />
      )}
    </Page>
  );
}

export { ClubPage as Page };
