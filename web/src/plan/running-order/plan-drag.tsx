import {
  DndContext,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragStartEvent,
} from '@dnd-kit/core';
import Box from '@mui/material/Box';
import type { Library, Movement, Place } from '@leiter/core';
import { useState, type ReactNode } from 'react';
import { palette } from '../../shared/palette';

/** What is dragged from the library is named so, to tell it from an item of the plan. */
export const dragFromLibrary = (slug: string): string => `library:${slug}`;

interface Props {
  readonly library: Library;
  readonly onMove: (itemId: string, place: Place) => void;
  readonly onAdd: (movement: Movement, place: Place) => void;
  readonly children: ReactNode;
}

/** One object for good: a new one would draw everything that can be dragged anew at every key. */
const pointer = { activationConstraint: { distance: 6 } } as const;

/** Dragging on the Plan page: an item to another place, a movement from the library to where it is wanted. */
export function PlanDrag({ library, onMove, onAdd, children }: Props) {
  const sensors = useSensors(useSensor(PointerSensor, pointer));
  const [carried, setCarried] = useState<Movement | null>(null);
  const fromLibrary = (id: string): Movement | undefined => library.get(id.replace(/^library:/, ''));
  const start = ({ active }: DragStartEvent): void => {
    setCarried(String(active.id).startsWith('library:') ? (fromLibrary(String(active.id)) ?? null) : null);
  };
  const drop = (event: DragEndEvent): void => {
    setCarried(null);
    const place = placeOf(event);
    if (!place) return;
    const id = String(event.active.id);
    const movement = id.startsWith('library:') ? fromLibrary(id) : undefined;
    if (movement) onAdd(movement, place);
    else onMove(id, place);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={start}
      onDragEnd={drop}
      onDragCancel={() => {
        setCarried(null);
      }}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {carried && (
          <Box
            sx={{
              px: 1.25,
              py: 0.5,
              border: `1px solid ${palette.primary}`,
              borderRadius: '6px',
              backgroundColor: palette.white,
              fontSize: 14.5,
              width: 'max-content',
            }}
          >
            {carried.name}
          </Box>
        )}
      </DragOverlay>
    </DndContext>
  );
}

/** Where it was let go: an item that moves goes past the one it is dropped on; a new one above or below, whichever half it is dropped on. */
function placeOf({ active, over, activatorEvent, delta }: DragEndEvent): Place | null {
  if (!over) return null;
  const [kind, id = ''] = String(over.id).split(':');
  if (kind === 'section') return { at: 'end-of', section: id };
  if (!String(active.id).startsWith('library:'))
    return { at: over.rect.top < (active.rect.current.initial?.top ?? 0) ? 'before' : 'after', item: id };
  const y = activatorEvent instanceof PointerEvent ? activatorEvent.clientY + delta.y : over.rect.top;
  return { at: y < over.rect.top + over.rect.height / 2 ? 'before' : 'after', item: id };
}
