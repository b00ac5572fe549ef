import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { useStable } from '../../shared/use-stable';
import { wallOf, type standingOf, type Wanted, type WallFilter, type WallOrder } from './wall';
import { Wall } from './wall-of-ladders';

const filterWords: Readonly<Record<WallFilter, string>> = {
  everybody: t`everybody`,
  earned: t`earned`,
  close: t`close`,
  unseen: t`not seen`,
  home: t`home not told`,
};
const orderWords: Readonly<Record<WallOrder, string>> = { name: t`by name`, grade: t`by grade`, seen: t`longest not seen` };

const everybody: Wanted = { text: '', filter: 'everybody', order: 'name', showsArchived: false };

/** The wall and what narrows it: a filter draws this anew, and nothing of the page around it. */
export function FilteredWall({
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
