import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useDraggable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import ToggleButton from '@mui/material/ToggleButton';
import type { MovementResponse } from '@leiter/contract';
import { regionWord, type Movement, type SectionKind } from '@leiter/core';
import { memo, useMemo, useState, type KeyboardEvent, type RefObject } from 'react';
import { EffortBand } from '../../shared/effort-band';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { kindWords, sectionWords } from '../../shared/words';
import { movementSearch } from '../../shared/movement-search';
import { useIsSettled } from '../../shared/use-is-settled';
import { dragFromLibrary } from '../running-order/plan-drag';

interface Props {
  readonly movements: readonly MovementResponse[];
  readonly programme: string;
  /** The section that what is added goes to: its movements are offered first. */
  readonly section: SectionKind | null;
  readonly input: RefObject<HTMLInputElement | null>;
  readonly onAdd: (movement: Movement) => void;
}

/** More than one reads through while planning; drawing hundreds of figures would make the page wait. */
const mostShown = 60;
/** As many as there is room for before one scrolls. */
const shownAtOnce = 11;

type Filter = 'section' | 'standing' | 'floor' | 'needs-nothing';

/** The library beside the plan: typed into, filtered, added from by Enter or click. */
export const LibraryDrawer = memo(function LibraryDrawer({ movements, programme, section, input, onAdd }: Props) {
  const [text, setText] = useState('');
  const [filters, setFilters] = useState<ReadonlySet<Filter>>(new Set(['section']));
  const [active, setActive] = useState(0);
  const isSettled = useIsSettled();
  const own = useMemo(
    () => movements.filter((one) => !one.isPutAway && (one.programmes.length === 0 || one.programmes.includes(programme))),
    [movements, programme],
  );
  const search = useMemo(() => movementSearch(own), [own]);
  const found = useMemo(() => {
    // what is typed is looked for everywhere: the section filter helps to browse, not to find
    const wanted = text.trim() === '' ? filters : new Set([...filters].filter((filter) => filter !== 'section'));
    return search(text).filter((movement) => fits(movement, wanted, section));
  }, [search, text, filters, section]);
  const marked = Math.min(active, found.length - 1, mostShown - 1);
  const toggle = (filter: Filter): void => {
    const next = new Set(filters);
    if (!next.delete(filter)) next.add(filter);
    setFilters(next);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const movement = found[marked];
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp')
      setActive(Math.max(0, Math.min(found.length - 1, marked + (event.key === 'ArrowDown' ? 1 : -1))));
    else if (event.key === 'Enter' && movement) onAdd(movement);
    else if (event.key === 'Escape') {
      setText('');
      input.current?.blur();
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const options: readonly (readonly [Filter, string])[] = [
    ...(section ? ([['section', t`For ${sectionWords[section].toLowerCase()}`]] as const) : []),
    ['standing', t`Standing`],
    ['floor', t`On the floor`],
    ['needs-nothing', t`Needs nothing`],
  ];
  return (
    <Box
      component="section"
      aria-label={t`Library`}
      sx={{ width: 216, flexShrink: 0, borderRight: `1px solid ${palette.line}`, display: 'flex', flexDirection: 'column', minHeight: 0 }}
    >
      <Box sx={{ p: 1.5, pb: 1 }}>
        <InputBase
          inputRef={input}
          value={text}
          placeholder={t`Find a movement`}
          onChange={(event) => {
            setText(event.target.value);
            setActive(0);
          }}
          onKeyDown={onKeyDown}
          inputProps={{
            'aria-label': t`Find a movement`,
            role: 'combobox',
            'aria-expanded': true,
            'aria-controls': 'found-movements',
            'aria-activedescendant': found[marked] ? `found-${found[marked].slug}` : undefined,
          }}
          endAdornment={
            <Box component="kbd" sx={{ fontFamily: 'inherit', color: palette.soft, fontWeight: 700 }}>
              /
            </Box>
          }
          sx={{
            width: '100%',
            border: `1px solid ${palette.edge}`,
            borderRadius: '6px',
            px: 1.25,
            py: 0.5,
            backgroundColor: palette.white,
            fontSize: 15,
          }}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.6, mt: 1 }}>
          {options.map(([filter, label]) => (
            <ToggleButton
              key={filter}
              value={filter}
              selected={filters.has(filter)}
              onChange={() => {
                toggle(filter);
              }}
              sx={{ fontSize: 12.5, py: '1px', px: 1, lineHeight: 1.7 }}
            >
              {label}
            </ToggleButton>
          ))}
        </Box>
      </Box>
      <Box
        id="found-movements"
        role="listbox"
        aria-label={t`Movements found`}
        tabIndex={0}
        sx={{ overflowY: 'auto', flex: 1, px: 1.5, pb: 1, '&:focus-visible': { outlineOffset: '-3px' } }}
      >
        {found.slice(0, isSettled ? mostShown : shownAtOnce).map((movement, index) => (
          <Card key={movement.slug} movement={movement} isActive={index === marked && text !== ''} onAdd={onAdd} />
        ))}
        {found.length > mostShown && (
          <Box sx={{ py: 1.5, color: palette.soft, fontSize: 14 }}>
            <Trans>{found.length - mostShown} more: type, or choose a filter.</Trans>
          </Box>
        )}
        {found.length === 0 && (
          <Box sx={{ py: 2, color: palette.soft, fontSize: 14 }}>
            <Trans>Nothing like this. Take away a filter or type less.</Trans>
          </Box>
        )}
      </Box>
    </Box>
  );
});

function fits(movement: Movement, filters: ReadonlySet<Filter>, section: SectionKind | null): boolean {
  if (filters.has('section') && section && !movement.sections.includes(section)) return false;
  if (filters.has('standing') && movement.level === 'floor') return false;
  if (filters.has('floor') && movement.level === 'standing') return false;
  const needsNothing =
    movement.needs.equipment.length === 0 && !movement.needs.wall && !movement.needs.partner && movement.needs.adult === 'none';
  return !filters.has('needs-nothing') || needsNothing;
}

interface CardProps {
  readonly movement: Movement;
  readonly isActive: boolean;
  readonly onAdd: (movement: Movement) => void;
}

const Card = memo(function Card({ movement, isActive, onAdd }: CardProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: dragFromLibrary(movement.slug) });
  return (
    <Box
      ref={setNodeRef}
      {...listeners}
      id={`found-${movement.slug}`}
      role="option"
      aria-selected={isActive}
      title={t`Click to add it, or drag it to its place`}
      onClick={() => {
        onAdd(movement);
      }}
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        py: 0.75,
        borderTop: `1px solid ${palette.line}`,
        cursor: 'grab',
        opacity: isDragging ? 0.5 : 1,
        backgroundColor: isActive ? palette.chosen : 'transparent',
        '&:hover': { backgroundColor: palette.chosen },
      }}
    >
      <EffortBand effort={movement.effort} width={5} />
      <Figure movement={movement} size={40} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontSize: 14.5, lineHeight: 1.25 }}>{movement.name}</Box>
        <Box sx={{ fontSize: 12.5, color: palette.soft, lineHeight: 1.3 }}>{aboutOf(movement)}</Box>
      </Box>
    </Box>
  );
});

function aboutOf(movement: Movement): string {
  const [prepared] = movement.prepares;
  const heavy = movement.loads.find(({ amount }) => amount >= 2);
  if (heavy) return t`${kindWords[movement.kind]} · loads ${regionWord(heavy.region)}`;
  return prepared ? t`${kindWords[movement.kind]} · readies ${regionWord(prepared)}` : kindWords[movement.kind];
}
