import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { useChildren } from '../queries/children.queries';
import { useGroups } from '../queries/groups.queries';
import { useMay } from '../queries/may';
import { useBoards } from '../queries/record.queries';
import { useSession } from '../queries/session.queries';
import { useSyllabuses } from '../queries/syllabus.queries';
import { ButtonLink } from '../shared/button-link';
import { ChoiceBar } from '../shared/choice-bar';
import { ExportMenu } from '../shared/export-menu';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { useStable } from '../shared/use-stable';
import { ChildDialog } from './parts/child-dialog';
import { ChildrenImport } from './parts/children-import';
import { ChooseSeveral } from './wall/choose-several';
import { Wall } from './wall/wall-of-ladders';
import { standingOf, wallOf, type Wanted, type WallFilter, type WallOrder } from './wall/wall';

const filterWords: Readonly<Record<WallFilter, string>> = {
  everybody: t`everybody`,
  earned: t`earned`,
  close: t`close`,
  unseen: t`not seen`,
  home: t`home not told`,
};
const orderWords: Readonly<Record<WallOrder, string>> = { name: t`by name`, grade: t`by grade`, seen: t`longest not seen` };

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

const everybody: Wanted = { text: '', filter: 'everybody', order: 'name', showsArchived: false };

/** The wall and what narrows it: a filter draws this anew, and nothing of the page around it. */
function FilteredWall({
  standing,
  isEmpty,
  hasArchived,
  chosen,
  onChoose,
  nobody,
}: {
  readonly standing: ReturnType<typeof standingOf>;
  readonly isEmpty: boolean;
  readonly hasArchived: boolean;
  readonly chosen: ReadonlySet<string> | null;
  readonly onChoose: (chosen: ReadonlySet<string>) => void;
  /** What is said where nobody is left. */
  readonly nobody: ReactNode;
}) {
  const [wanted, setWanted] = useState(everybody);
  const wall = useMemo(() => wallOf(standing, wanted), [standing, wanted]);
  return (
    <>
      {!isEmpty && <Filters wanted={wanted} onChange={setWanted} hasArchived={hasArchived} />}
      <Wall standing={standing} wall={wall} order={wanted.order} chosen={chosen} onChoose={onChoose} />
      {wall.length === 0 && nobody}
    </>
  );
}

function Filters({
  wanted,
  onChange,
  hasArchived,
}: {
  readonly wanted: Wanted;
  readonly onChange: (wanted: Wanted) => void;
  readonly hasArchived: boolean;
}) {
  const change = useStable((part: Partial<Wanted>) => {
    onChange({ ...wanted, ...part });
  });
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 2 }}>
      <Finding text={wanted.text} onChange={change} />
      <Box sx={{ overflowX: 'auto', maxWidth: '100%' }}>
        <ChoiceBar
          label={t`Who is shown`}
          choices={(Object.keys(filterWords) as WallFilter[]).map((value) => ({ value, words: filterWords[value] }))} // the keys of the record
          value={wanted.filter}
          onChange={(filter) => {
            change({ filter: filter ?? 'everybody' });
          }}
        />
      </Box>
      <Ordering order={wanted.order} onChange={change} />
      {hasArchived && (
        <label style={{ cursor: 'pointer' }}>
          <input
            type="checkbox"
            checked={wanted.showsArchived}
            onChange={(event) => {
              change({ showsArchived: event.target.checked });
            }}
          />
          <Trans>Show archived</Trans>
        </label>
      )}
    </Box>
  );
}

// fields of the kit cost more than the whole wall: each is drawn anew only when its own value changes
const Finding = memo(function Finding({ text, onChange }: { readonly text: string; readonly onChange: (part: Partial<Wanted>) => void }) {
  return (
    <TextField
      placeholder={t`Find a child`}
      value={text}
      sx={{ width: 190 }}
      onChange={(event) => {
        onChange({ text: event.target.value });
      }}
      slotProps={{ htmlInput: { 'aria-label': t`Find a child`, type: 'search' } }}
    />
  );
});

const Ordering = memo(function Ordering({
  order,
  onChange,
}: {
  readonly order: WallOrder;
  readonly onChange: (part: Partial<Wanted>) => void;
}) {
  return (
    <TextField
      select
      value={order}
      sx={{ width: 170 }}
      onChange={(event) => {
        onChange({ order: event.target.value as WallOrder }); // of the choices below
      }}
      slotProps={{ htmlInput: { 'aria-label': t`In which order` } }}
    >
      {Object.entries(orderWords).map(([value, words]) => (
        <MenuItem key={value} value={value}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
});

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
