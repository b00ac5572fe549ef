import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import useMediaQuery from '@mui/material/useMediaQuery';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import { palette } from '../../shared/palette';
import { onPhone } from '../../shared/screen';
import { filterGroups, ownGroup, type ChosenFilters, type FilterGroup } from '../library-filters';

/** The questions at the left, each answer with the number that it would leave; drawn anew when an answer is chosen, not when movements come. */
export const FilterPanel = memo(function FilterPanel({
  programme,
  isEmpty,
  countsFor,
  chosen,
  onChoose,
  onImport,
}: {
  /** Whose terms are a press away. */
  readonly programme: string;
  /** Nothing would be left. */
  readonly isEmpty: boolean;
  readonly countsFor: (group: FilterGroup) => ReadonlyMap<string, number>;
  readonly chosen: ChosenFilters;
  readonly onChoose: (chosen: ChosenFilters) => void;
  /** Null for those who may not change the library. */
  readonly onImport: (() => void) | null;
}) {
  const isPhone = useMediaQuery('(max-width: 699px)');
  const [isOpen, setOpen] = useState(false);
  const count = Object.keys(chosen).length;
  if (isPhone && !isOpen)
    return (
      <Box sx={{ p: 1.5, pb: 0, flexShrink: 0 }}>
        <Button
          variant="outlined"
          fullWidth
          onClick={() => {
            setOpen(true);
          }}
        >
          {count === 0 ? t`Filters` : t`Filters: ${count}`}
        </Button>
      </Box>
    );
  return (
    <Box
      component="section"
      aria-label={t`Filters`}
      tabIndex={0}
      sx={{
        width: 214,
        flexShrink: 0,
        borderRight: `1px solid ${palette.line}`,
        overflowY: 'auto',
        p: 2,
        display: 'grid',
        gap: 1.75,
        alignContent: 'start',
        [onPhone]: { width: 'auto', overflowY: 'visible', borderRight: 0, borderBottom: `1px solid ${palette.line}` },
      }}
    >
      {isPhone && (
        <Button
          variant="contained"
          onClick={() => {
            setOpen(false);
          }}
        >
          <Trans>Show {isEmpty ? t`nothing` : t`what is left`}</Trans>
        </Button>
      )}
      {[...filterGroups, ownGroup].map((group) => (
        <FilterField key={group.id} group={group} countsFor={countsFor} chosen={chosen} onChoose={onChoose} />
      ))}
      {Object.keys(chosen).length > 0 && (
        <Button
          variant="outlined"
          onClick={() => {
            onChoose({});
          }}
        >
          <Trans>Take all filters away</Trans>
        </Button>
      )}
      <Box sx={{ borderTop: `1px solid ${palette.line}`, pt: 2, mt: 1, display: 'grid', gap: 1 }}>
        <Button component={Link} to={`/terms/${programme}`} variant="outlined" size="small">
          <Trans>Terms and quiz</Trans>
        </Button>
        <Button component="a" href="/api/library/export" download="library.json" variant="outlined" size="small">
          <Trans>Export as a file</Trans>
        </Button>
        {onImport && (
          <Button variant="outlined" size="small" onClick={onImport}>
            <Trans>Import a file</Trans>
          </Button>
        )}
      </Box>
    </Box>
  );
});

const noCounts: ReadonlyMap<string, number> = new Map();

/** One question of the filters. How many each answer leaves is counted when its list is opened: with thousands of movements it takes a while. */
function FilterField({
  group,
  countsFor,
  chosen,
  onChoose,
}: {
  readonly group: FilterGroup;
  readonly countsFor: (group: FilterGroup) => ReadonlyMap<string, number>;
  readonly chosen: ChosenFilters;
  readonly onChoose: (filters: ChosenFilters) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  const counts = isOpen ? countsFor(group) : noCounts;
  return (
    <TextField
      select
      label={group.label}
      value={chosen[group.id] ?? ''}
      onChange={(event) => {
        const { [group.id]: _before, ...others } = chosen;
        onChoose(event.target.value === '' ? others : { ...others, [group.id]: event.target.value });
      }}
      slotProps={{
        inputLabel: { shrink: true },
        select: {
          displayEmpty: true,
          open: isOpen,
          onOpen: () => {
            setOpen(true);
          },
          onClose: () => {
            setOpen(false);
          },
        },
      }}
    >
      <MenuItem value="">
        <Trans>any</Trans>
      </MenuItem>
      {group.options.map(({ id, label }) => (
        <MenuItem key={id} value={id} disabled={counts.get(id) === 0}>
          <Box component="span" sx={{ flex: 1, mr: 2 }}>
            {label}
          </Box>
          <Box component="span" sx={{ color: palette.soft }}>
            {counts.get(id)}
          </Box>
        </MenuItem>
      ))}
    </TextField>
  );
}
