import { t } from '@lingui/core/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { circuitText, type Movement } from '@leiter/core';
import { useMemo, useState } from 'react';
import { movementSearch } from '../../shared/movement-search';
import { palette } from '../../shared/palette';
import { readBlock, readWritten, type WrittenBlock } from '../editing/written-item';

interface Props {
  /** What can be named. */
  readonly movements: readonly Movement[];
  /** Where the line stands, in pixels from the top of the ladder. */
  readonly top: number;
  readonly onAdd: (movement: Movement, dose: string) => void;
  /** Told a block that was written: `a + b each side`. */
  readonly onAddBlock: (movements: readonly Movement[], block: WrittenBlock) => void;
  readonly onClose: () => void;
}

const mostOffered = 8;

function blockWords({ of, rounds }: WrittenBlock): string {
  return circuitText({ kind: of, rounds, restSeconds: 0 });
}

/** A line to write on, at the place where the next item is wanted: a name, and after it a dose if one likes. */
export function WriteHere({ movements, top, onAdd, onAddBlock, onClose }: Props) {
  const search = useMemo(() => movementSearch(movements), [movements]);
  const [line, setLine] = useState('');
  const written = readWritten(line);
  const block = readBlock(line);
  const stations = block?.parts.flatMap(({ name }) => search(name)[0] ?? []) ?? [];
  const isBlock = block !== null && stations.length === block.parts.length;
  const offered = isBlock ? stations.slice(0, 1) : written.name === '' ? [] : search(written.name).slice(0, mostOffered);
  return (
    <Box sx={{ position: 'absolute', top: top - 3, left: 6, right: 6, zIndex: 5 }}>
      <Autocomplete
        key={top}
        open={offered.length > 0}
        autoHighlight
        disablePortal
        forcePopupIcon={false}
        options={offered}
        filterOptions={(options) => options}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ slug }) => slug}
        inputValue={line}
        onInputChange={(_event, typed, reason) => {
          if (reason === 'input') setLine(typed);
        }}
        value={null}
        onChange={(_event, movement) => {
          if (!movement) return;
          setLine('');
          if (isBlock) onAddBlock(stations, block);
          else onAdd(movement, written.dose);
        }}
        onClose={(_event, reason) => {
          if (reason === 'escape') onClose();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') onClose();
        }}
        onBlur={onClose}
        noOptionsText={t`Nothing like this`}
        renderOption={({ key, ...rest }, { name, plainMeaning }) => (
          <Box component="li" key={key} {...rest} sx={{ display: 'flex', gap: 1, fontSize: 14.5 }}>
            <span>{isBlock ? stations.map((one) => one.name).join(' + ') : name}</span>
            <Box
              component="span"
              sx={{ color: palette.soft, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', minWidth: 0 }}
            >
              {isBlock ? blockWords(block) : written.dose === '' ? plainMeaning : written.dose}
            </Box>
          </Box>
        )}
        renderInput={(params) => (
          <TextField
            {...params}
            autoFocus
            placeholder={t`Write what comes here, like: forward roll 3x4, or a + b each side`}
            slotProps={{
              ...params.slotProps,
              htmlInput: { ...params.slotProps.htmlInput, 'aria-label': t`Write what comes here` },
            }}
            sx={{ '& .MuiInputBase-root': { backgroundColor: palette.white, py: '0 !important', fontSize: 14.5 } }}
          />
        )}
      />
    </Box>
  );
}
