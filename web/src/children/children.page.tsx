import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useChildren } from '../queries/children.queries';
import { useGroups } from '../queries/groups.queries';
import { useMay } from '../queries/may';
import { useBoards } from '../queries/record.queries';
import { useSession } from '../queries/session.queries';
import { useSyllabuses } from '../queries/syllabus.queries';
import { ButtonLink } from '../shared/button-link';
import { ExportMenu } from '../shared/export-menu';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { ChildDialog } from './parts/child-dialog';
import { ChildrenImport } from './parts/children-import';
import { ChooseSeveral } from './wall/choose-several';
import { FilteredWall } from './wall/filtered-wall';
import { standingOf } from './wall/wall';

/** All children of the club as ladders at a wall, by group: who stands where, who is close, who was not seen. */
function ChildrenPage() {
  const children = useChildren();
  const groups = useGroups();
  const boards = useBoards();
  const ladders = useSyllabuses();
  const today = useSession().data?.today ?? '';
  const may = useMay();
  const [open, setOpen] = useState<'add' | 'import' | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const standing = useMemo(
    () =>
      children.data && groups.data
        ? standingOf({ children: children.data, groups: groups.data, boards: boards.data ?? [], ladders: ladders.data ?? [], today })
        : [],
    [children.data, groups.data, boards.data, ladders.data, today],
  );
  const count = (children.data ?? []).filter(({ archived }) => !archived).length;
  return (
    <Page
      title={t`Children`}
      about={children.data ? plural(count, { one: '# child', other: '# children' }) : ''}
      actions={
        may.change && (
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <ButtonLink to="/gradings">
              <Trans>Grading days</Trans>
            </ButtonLink>
            <ExportMenu files={[{ label: t`All children as a spreadsheet`, href: '/api/children/table', name: 'children.csv' }]} />
            <Button
              variant="outlined"
              onClick={() => {
                setOpen('import');
              }}
            >
              <Trans>Import a list</Trans>
            </Button>
            <Button
              variant="outlined"
              aria-pressed={chosen !== null}
              onClick={() => {
                setChosen(chosen ? null : new Set());
              }}
            >
              <Trans>Several at once</Trans>
            </Button>
            <Button
              variant="contained"
              onClick={() => {
                setOpen('add');
              }}
            >
              <Trans>Add a child</Trans>
            </Button>
          </Box>
        )
      }
    >
      <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
        {chosen && (
          <ChooseSeveral
            chosen={(children.data ?? []).filter(({ id }) => chosen.has(id))}
            groups={(groups.data ?? []).filter(({ archived }) => !archived)}
            onDone={() => {
              setChosen(null);
            }}
          />
        )}
        <Panel label={t`Children by group`}>
          <Loaded query={groups} what={t`groups`}>
            {(allGroups) => (
              <Loaded query={children} what={t`children`}>
                {(all) => (
                  <>
                    <FilteredWall
                      standing={standing}
                      isEmpty={all.length === 0}
                      hasArchived={all.some(({ archived }) => archived)}
                      chosen={chosen}
                      onChoose={setChosen}
                      nobody={<Nobody isEmpty={all.length === 0} mayAdd={may.change} onAdd={setOpen} />}
                    />
                    {open === 'add' && <ChildDialog child={null} groups={allGroups} onClose={close} />}
                    {open === 'import' && <ChildrenImport onClose={close} />}
                  </>
                )}
              </Loaded>
            )}
          </Loaded>
        </Panel>
      </Box>
    </Page>
  );
}

function Nobody({
  isEmpty,
  mayAdd,
  onAdd,
}: {
  readonly isEmpty: boolean;
  readonly mayAdd: boolean;
  readonly onAdd: (what: 'add' | 'import') => void;
}) {
  if (!isEmpty)
    return (
      <Typography>
        <Trans>Nobody is like that.</Trans>
      </Typography>
    );
  if (!mayAdd) return <Message title={t`No children yet`} text={t`Whoever teaches adds them.`} />;
  return (
    <Message
      title={t`No children yet`}
      text={t`Add them one by one, or import the list that you have as a spreadsheet: names, birth dates, groups and grades.`}
      action={{
        label: t`Import a list`,
        onClick: () => {
          onAdd('import');
        },
      }}
    />
  );
}

export { ChildrenPage as Page };
