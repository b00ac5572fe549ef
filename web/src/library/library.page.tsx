import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { MovementResponse, SyllabusResponse } from '@leiter/contract';
import type { Movement } from '@leiter/core';
import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useOwnProgramme } from '../queries/groups.queries';
import { useMay } from '../queries/may';
import { useProgrammeName, useSyllabuses } from '../queries/syllabus.queries';
import { ImportDialog } from '../shared/import-dialog';
import { Loaded, Page } from '../shared/page';
import { onPhone } from '../shared/screen';
import { jsonOf } from '../shared/read-file';
import { countsOf, filtered, type ChosenFilters, type FilterGroup } from './library-filters';
import { lookAtImport, takeIn, undoImport, useLibraryFront, useMovements } from '../queries/library.queries';
import { movementSearch } from '../shared/movement-search';
import { FilterPanel } from './parts/filter-panel';
import { MovementDialog } from './parts/movement-dialog';
import { blankMovement } from './parts/movement-facts';
import { MovementGrid, type GridLook } from './parts/movement-grid';

/** All, what every programme uses, or the slug of a programme after `of `. */
type Part = 'all' | 'general' | `of ${string}`;

function isIn({ programmes }: Movement, part: Part): boolean {
  if (part === 'all') return true;
  return part === 'general' ? programmes.length === 0 : programmes.includes(part.slice('of '.length));
}

/** The programmes of the club in the order of its ladders, then those that only its library names. */
function partsOf(ladders: readonly SyllabusResponse[], movements: readonly Movement[]): readonly Part[] {
  const slugs = new Set([...ladders.map(({ programme }) => programme), ...movements.flatMap(({ programmes }) => programmes)]);
  return ['all', 'general', ...[...slugs].map((slug): Part => `of ${slug}`)];
}

const noMovements: readonly MovementResponse[] = [];

/** Every movement the club can teach: searched as one types, narrowed by what it asks, as words or as figures. */
function LibraryPage() {
  const movements = useMovements();
  const all = movements.data ?? noMovements;
  const [text, setText] = useState('');
  const [part, setPart] = useState<Part>('all');
  const [look, setLook] = useState<GridLook>('words');
  const [chosen, setChosen] = useState<ChosenFilters>({});
  const [isTakingIn, setTakingIn] = useState(false);
  const ladders = useSyllabuses();
  const programmeName = useProgrammeName();
  const parts = useMemo(() => partsOf(ladders.data ?? [], all), [ladders.data, all]);
  const { change: mayChange } = useMay();
  const ownProgramme = useOwnProgramme();
  const navigate = useNavigate();
  const [isMaking, setMaking] = useState(false);
  const search = useMemo(() => movementSearch(all), [all]);
  const found = useMemo(() => search(text), [search, text]);
  const inPart = useMemo(() => found.filter((movement) => isIn(movement, part)), [found, part]);
  const shown = useMemo(() => filtered(inPart, chosen), [inPart, chosen]);
  const isWhole = movements.data !== undefined;
  const isAsked = text.trim() !== '' || part !== 'all' || Object.keys(chosen).length > 0;
  const current = useRef(inPart);
  useLayoutEffect(() => {
    current.current = inPart;
  }, [inPart]);
  const countsFor = useCallback((group: FilterGroup) => countsOf(group, current.current, chosen), [chosen]);
  const openImport = useCallback(() => {
    setTakingIn(true);
  }, []);
  return (
    <Page
      title={t`Library`}
      about={isWhole ? plural(shown.length, { one: '# movement', other: '# movements' }) : ''}
      actions={
        <>
          <TextField
            placeholder={t`Name, term or meaning`}
            autoFocus={window.innerWidth >= 700}
            sx={{ width: 176, [onPhone]: { width: '100%' } }}
            value={text}
            onChange={(event) => {
              setText(event.target.value);
            }}
            slotProps={{ htmlInput: { 'aria-label': t`Find a movement` } }}
          />
          <ToggleButtonGroup
            exclusive
            size="small"
            value={part}
            aria-label={t`Programme`}
            sx={{ '& .MuiToggleButton-root': { px: 1 } }}
            onChange={(_event, value: Part | null) => {
              if (value) setPart(value);
            }}
          >
            {parts.map((one) => (
              <ToggleButton key={one} value={one}>
                {one === 'all' ? t`All` : one === 'general' ? t`General` : programmeName(one.slice('of '.length))}{' '}
                {isWhole && found.filter((movement) => !movement.isPutAway && isIn(movement, one)).length}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={look}
            aria-label={t`Look`}
            onChange={(_event, value: GridLook | null) => {
              if (value) setLook(value);
            }}
          >
            <ToggleButton value="words">
              <Trans>Words</Trans>
            </ToggleButton>
            <ToggleButton value="figures">
              <Trans>Figures</Trans>
            </ToggleButton>
          </ToggleButtonGroup>
          {mayChange && (
            <Button
              variant="contained"
              onClick={() => {
                setMaking(true);
              }}
            >
              <Trans>New movement</Trans>
            </Button>
          )}
        </>
      }
    >
      <FilterPanel
        programme={part.startsWith('of ') ? part.slice('of '.length) : (ownProgramme ?? ladders.data?.[0]?.programme ?? 'dance')}
        isEmpty={inPart.length === 0}
        countsFor={countsFor}
        chosen={chosen}
        onChoose={setChosen}
        onImport={mayChange ? openImport : null}
      />
      {isMaking && (
        <MovementDialog
          movement={{ ...blankMovement(ownProgramme ?? 'gymnastics'), isOwn: true, isPutAway: false, ownCue: null }}
          isCopy={false}
          isNew
          onClose={() => {
            setMaking(false);
          }}
          onSaved={(slug) => void navigate(`/library/${slug}`)}
        />
      )}
      {isTakingIn && (
        <ImportDialog
          title={t`Import a library file`}
          about={t`A leiter-library/1 file, as “Export” writes it, or the steps of one movement (leiter-phrase/1).`}
          accept=".json,application/json"
          read={(text) => {
            const input = jsonOf(text);
            return input === null ? { why: t`This file is not JSON.` } : { input };
          }}
          look={lookAtImport}
          takeIn={takeIn}
          undo={undoImport}
          onClose={() => {
            setTakingIn(false);
          }}
        />
      )}
      <MovementList movements={movements} shown={shown} isAsked={isAsked} look={look} />
    </Page>
  );
}

/** The movements found; of thousands the first ones while the others are coming, unless something is looked for: it may be among those. */
function MovementList({
  movements,
  shown,
  isAsked,
  look,
}: {
  readonly movements: ReturnType<typeof useMovements>;
  readonly shown: readonly MovementResponse[];
  readonly isAsked: boolean;
  readonly look: GridLook;
}) {
  const front = useLibraryFront();
  const list = movements.data ? shown : front && !isAsked ? filtered(front, {}) : null;
  if (list === null)
    return (
      <Loaded query={movements} what={t`library`}>
        {() => null}
      </Loaded>
    );
  if (list.length === 0)
    return (
      <Box sx={{ p: 3 }}>
        <Trans>Nothing like this. Type less, or take away a filter.</Trans>
      </Box>
    );
  return <MovementGrid movements={list} look={look} />;
}

export { LibraryPage as Page };
