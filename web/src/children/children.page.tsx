import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import type { ChildResponse, GroupResponse } from '@leiter/contract';
import { ageOn } from '@leiter/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useGroups } from '../queries/groups.queries';
import { ExportMenu } from '../shared/export-menu';
import { Loaded, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { plural, surfaceWords } from '../shared/words';
import { useChildren } from '../queries/children.queries';
import { ChildrenImport } from './parts/children-import';
import { ChildDialog } from './parts/child-dialog';

/** All children of the club, by group. */
export function ChildrenPage() {
  const children = useChildren();
  const groups = useGroups();
  const session = useSession();
  const [text, setText] = useState('');
  const [isAdding, setAdding] = useState(false);
  const [isTakingIn, setTakingIn] = useState(false);
  const [showsArchived, setShowsArchived] = useState(false);
  const mayChange = session.data?.person.role !== 'assistant';
  return (
    <Page
      title="Children"
      about={children.data ? plural(children.data.filter(({ archived }) => !archived).length, 'child', 'children') : ''}
      actions={
        <>
          <TextField
            placeholder="Find a child"
            value={text}
            onChange={(event) => {
              setText(event.target.value);
            }}
            slotProps={{ htmlInput: { 'aria-label': 'Find a child' } }}
          />
          <ToggleButton
            value="archived"
            selected={showsArchived}
            onChange={() => {
              setShowsArchived(!showsArchived);
            }}
          >
            Show archived
          </ToggleButton>
          {mayChange && (
            <>
              <ExportMenu files={[{ label: 'All children as a spreadsheet', href: '/api/children/table', name: 'children.csv' }]} />
              <Button
                variant="outlined"
                onClick={() => {
                  setTakingIn(true);
                }}
              >
                Import a list
              </Button>
            </>
          )}
          {mayChange && (
            <Button
              variant="contained"
              onClick={() => {
                setAdding(true);
              }}
            >
              Add a child
            </Button>
          )}
        </>
      }
    >
      {isTakingIn && (
        <ChildrenImport
          onClose={() => {
            setTakingIn(false);
          }}
        />
      )}
      <Panel label="Children by group">
        <Loaded query={groups} what="groups">
          {(allGroups) => (
            <Loaded query={children} what="children">
              {(all) => {
                const shown = all.filter(
                  ({ givenName, familyInitial, archived }) =>
                    (showsArchived || !archived) && `${givenName} ${familyInitial}`.toLowerCase().includes(text.trim().toLowerCase()),
                );
                const without = shown.filter(({ groupIds }) => groupIds.length === 0);
                return (
                  <>
                    {allGroups
                      .filter(({ archived }) => !archived)
                      .map((group) => (
                        <GroupOfChildren
                          key={group.id}
                          group={group}
                          members={shown.filter(({ groupIds }) => groupIds.includes(group.id))}
                          today={session.data?.today ?? ''}
                        />
                      ))}
                    {without.length > 0 && <GroupOfChildren group={null} members={without} today={session.data?.today ?? ''} />}
                    {shown.length === 0 && (
                      <Typography>{text === '' ? 'No children yet: add the first one.' : 'No child has this name.'}</Typography>
                    )}
                    {isAdding && (
                      <ChildDialog
                        child={null}
                        groups={allGroups}
                        onClose={() => {
                          setAdding(false);
                        }}
                      />
                    )}
                  </>
                );
              }}
            </Loaded>
          )}
        </Loaded>
      </Panel>
    </Page>
  );
}

function GroupOfChildren({
  group,
  members,
  today,
}: {
  readonly group: GroupResponse | null;
  readonly members: readonly ChildResponse[];
  readonly today: string;
}) {
  if (members.length === 0) return null;
  return (
    <Box component="section" aria-label={group?.name ?? 'Without a group'} sx={{ mb: 3, maxWidth: 980 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Typography variant="h2">{group?.name ?? 'In no group now'}</Typography>
        {group && <Link to={`/groups/${group.id}`}>Board</Link>}
      </Box>
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          tableLayout: 'fixed',
          '& td, & th': { textAlign: 'left', py: 0.6, pr: 2, borderTop: `1px solid ${palette.line}`, fontWeight: 400, fontSize: 14.5 },
          '& thead th': { color: palette.soft, fontSize: 13, borderTop: 0 },
        }}
      >
        <thead>
          <tr>
            <th>Name</th>
            <th>Age</th>
            <th>Grade</th>
            <th>Leads</th>
            <th>Floor</th>
            <th>Clear space</th>
          </tr>
        </thead>
        <tbody>
          {members.map((child) => (
            <tr key={child.id}>
              <th scope="row">
                <Link to={`/children/${child.id}`}>
                  {child.givenName} {child.familyInitial}
                </Link>
                {child.archived && <span style={{ color: palette.caution }}> archived</span>}
              </th>
              <td>{today === '' ? '' : ageOn(child.birthDate, today)}</td>
              <td>{child.grades.find(({ programme }) => group === null || programme === group.programme)?.gradeName ?? 'none yet'}</td>
              <td>{child.leadSide}</td>
              <td>{surfaceWords[child.household.surface]}</td>
              <td>
                {child.household.clearLengthM.toFixed(1)} × {child.household.clearWidthM.toFixed(1)} m
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}
