import { t } from '@lingui/core/macro';
import { DndContext, PointerSensor, closestCenter, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import Box from '@mui/material/Box';
import type { KeyboardEvent, ReactNode } from 'react';
import { palette } from './palette';

interface Props {
  readonly label: string;
  readonly ids: readonly string[];
  /** What a line is called for those who do not see it. */
  readonly nameOf: (id: string) => string;
  /** Moves a line to another place of the list. */
  readonly onMove: (from: number, to: number) => void;
  readonly children: (id: string) => ReactNode;
}

/** A list whose lines are put in order by dragging their handle, or by Alt ↑ and Alt ↓ on it. */
export function SortableList({ label, ids, nameOf, onMove, children }: Props) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const drop = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <Box component="ul" aria-label={label} sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {ids.map((id, index) => (
            <Line
              key={id}
              id={id}
              name={nameOf(id)}
              onKey={(step) => {
                if (index + step >= 0 && index + step < ids.length) onMove(index, index + step);
              }}
            >
              {children(id)}
            </Line>
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}

function Line({
  id,
  name,
  onKey,
  children,
}: {
  readonly id: string;
  readonly name: string;
  readonly onKey: (step: 1 | -1) => void;
  readonly children: ReactNode;
}) {
  const { setNodeRef, setActivatorNodeRef, listeners, transform, isDragging } = useSortable({ id });
  const press = (event: KeyboardEvent): void => {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    onKey(event.key === 'ArrowUp' ? -1 : 1);
  };
  return (
    <Box
      component="li"
      ref={setNodeRef}
      sx={{
        display: 'flex',
        alignItems: 'stretch',
        borderTop: `1px solid ${palette.line}`,
        backgroundColor: palette.paper,
        position: 'relative',
        zIndex: isDragging ? 2 : 0,
        transform: transform ? (CSS.Translate.toString(transform) ?? '') : 'none',
      }}
    >
      <Box
        component="button"
        type="button"
        ref={setActivatorNodeRef}
        {...listeners}
        onKeyDown={press}
        aria-label={t`Move ${name}: Alt and arrow up or down`}
        sx={{
          width: 30,
          flexShrink: 0,
          letterSpacing: '-3px',
          border: 0,
          background: 'none',
          color: palette.soft,
          cursor: 'grab',
          touchAction: 'none',
          fontSize: 16,
          p: 0,
        }}
      >
        ⋮⋮
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>{children}</Box>
    </Box>
  );
}
