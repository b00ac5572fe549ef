import { DndContext, PointerSensor, useDroppable, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import { versionCounts, timeOfDay, type ClassPlan, type Evaluation, type Finding, type Place, type Severity } from '@leiter/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { palette } from '../../shared/palette';
import { sectionWords } from '../../shared/words';
import { rulerMarks, rulerOf, type Ruler } from '../ruler';
import { EffortRibbon } from './effort-ribbon';
import { RegionColumns, RegionHeads } from './region-columns';
import { RungLine } from './rung-line';

interface Props {
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly startsAt: string;
  readonly chosen: string | null;
  readonly chosenSection: string | null;
  readonly onChoose: (itemId: string) => void;
  readonly onChooseSection: (sectionId: string) => void;
  readonly onMove: (itemId: string, place: Place) => void;
}

/** The running order as a ladder that leans on a clock: ruler, sections, rungs, effort, regions on one axis. */
export function RunningOrder(props: Props) {
  const { plan, evaluation, startsAt } = props;
  const { items, totalSeconds } = evaluation.timeline;
  const frame = useRef<HTMLDivElement>(null);
  const room = useRoom(frame);
  const ruler = useMemo(() => rulerOf(plan, items, room), [plan, items, room]);
  const worst = useMemo(() => worstByItem(evaluation.findings), [evaluation.findings]);
  const counts = useMemo(() => versionCounts(evaluation.versions), [evaluation.versions]);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const drop = ({ active, over }: DragEndEvent): void => {
    if (!over) return;
    const [kind, id = ''] = String(over.id).split(':');
    props.onMove(
      String(active.id),
      kind === 'section'
        ? { at: 'end-of', section: id }
        : { at: over.rect.top < (active.rect.current.initial?.top ?? 0) ? 'before' : 'after', item: id },
    );
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <Box
        ref={frame}
        component="section"
        aria-label="Running order"
        tabIndex={0}
        sx={{ flex: 1, minWidth: 0, overflowY: 'auto', overflowX: 'hidden', '&:focus-visible': { outlineOffset: '-3px' } }}
      >
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: '52px 78px minmax(300px, 1fr) 62px auto',
            columnGap: '6px',
            px: 1.5,
            pt: 0.75,
            pb: 2,
          }}
        >
          <Box sx={{ gridColumn: '4', fontSize: 12, color: palette.soft }}>effort</Box>
          <Box sx={{ gridColumn: '5' }}>
            <RegionHeads items={items} />
          </Box>
          <ClockMarks ruler={ruler} startsAt={startsAt} totalSeconds={totalSeconds} />
          <SectionLabels plan={plan} ruler={ruler} chosen={props.chosenSection} onChoose={props.onChooseSection} />
          <Box
            sx={{
              gridRow: 2,
              gridColumn: 3,
              position: 'relative',
              height: ruler.height,
              '&::before, &::after': {
                content: '""',
                position: 'absolute',
                top: -4,
                bottom: -4,
                width: 4,
                borderRadius: 2,
                backgroundColor: palette.ink,
              },
              '&::before': { left: 0 },
              '&::after': { right: 0 },
            }}
          >
            {plan.sections.map((section) => section.items.length === 0 && <EmptyRung key={section.id} id={section.id} ruler={ruler} />)}
            <Box component="ul" aria-label="Items" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {items.map((timed) => (
                <RungLine
                  key={timed.item.id}
                  timed={timed}
                  ruler={ruler}
                  startsAt={startsAt}
                  isChosen={timed.item.id === props.chosen}
                  isFocus={plan.focus.includes(timed.movement.slug)}
                  worst={worst.get(timed.item.id) ?? null}
                  counts={counts.get(timed.item.id)}
                  onChoose={props.onChoose}
                />
              ))}
            </Box>
          </Box>
          <Box sx={{ gridRow: 2, gridColumn: 4 }}>
            <EffortRibbon curve={evaluation.effort} ruler={ruler} />
          </Box>
          <Box sx={{ gridRow: 2, gridColumn: 5 }}>
            <RegionColumns items={items} ruler={ruler} />
          </Box>
        </Box>
      </Box>
    </DndContext>
  );
}

/** The height the running order can fill, in pixels. */
function useRoom(frame: React.RefObject<HTMLDivElement | null>): number {
  const [room, setRoom] = useState(680);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setRoom(entry.contentRect.height - 44);
    });
    observer.observe(frame.current);
    return () => {
      observer.disconnect();
    };
  }, [frame]);
  return room;
}

function worstByItem(findings: readonly Finding[]): ReadonlyMap<string, Severity> {
  const worst = new Map<string, Severity>();
  // findings come worst first; a finding on a whole stretch of the class is shown in the panel only
  for (const { itemIds, severity, acceptedBecause } of findings)
    if (itemIds.length <= 4 && acceptedBecause === undefined) for (const id of itemIds) if (!worst.has(id)) worst.set(id, severity);
  return worst;
}

function ClockMarks({
  ruler,
  startsAt,
  totalSeconds,
}: {
  readonly ruler: Ruler;
  readonly startsAt: string;
  readonly totalSeconds: number;
}) {
  return (
    <Box aria-hidden="true" sx={{ gridRow: 2, gridColumn: 1, position: 'relative', fontSize: 13, color: palette.ink }}>
      {rulerMarks(startsAt, totalSeconds).map((second) => (
        <Box
          key={second}
          sx={{ position: 'absolute', top: ruler.yOf(second) - 9, right: 0, display: 'flex', alignItems: 'center', gap: '5px' }}
        >
          {timeOfDay(startsAt, second)}
          <Box sx={{ width: 8, borderTop: `1px solid ${palette.soft}` }} />
        </Box>
      ))}
    </Box>
  );
}

function SectionLabels({
  plan,
  ruler,
  chosen,
  onChoose,
}: {
  readonly plan: ClassPlan;
  readonly ruler: Ruler;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}) {
  return (
    <Box sx={{ gridRow: 2, gridColumn: 2, position: 'relative' }}>
      {plan.sections.map((section, index) => (
        <Box
          key={section.id}
          component="button"
          type="button"
          aria-pressed={section.id === chosen}
          title={`Put what is added at the end of “${sectionWords[section.kind]}”`}
          onClick={() => {
            onChoose(section.id);
          }}
          sx={{
            position: 'absolute',
            top: ruler.sections[index]?.top ?? 0,
            height: ruler.sections[index]?.height ?? 0,
            left: 0,
            right: 0,
            border: 0,
            borderTop: `1px solid ${palette.line}`,
            background: section.id === chosen ? palette.shade : 'none',
            font: 'inherit',
            fontSize: 12.5,
            textAlign: 'left',
            color: section.id === chosen ? palette.primary : palette.soft,
            fontWeight: section.id === chosen ? 700 : 400,
            cursor: 'pointer',
            p: '3px 4px',
            display: 'flex',
            alignItems: 'flex-start',
          }}
        >
          {sectionWords[section.kind]}
        </Box>
      ))}
    </Box>
  );
}

function EmptyRung({ id, ruler }: { readonly id: string; readonly ruler: Ruler }) {
  const { setNodeRef, isOver } = useDroppable({ id: `section:${id}` });
  const place = ruler.sections.find((section) => section.id === id);
  if (!place) return null;
  return (
    <Box
      ref={setNodeRef}
      sx={{
        position: 'absolute',
        top: place.top + 1,
        height: place.height - 2,
        left: 8,
        right: 8,
        borderTop: `1px dashed ${palette.line}`,
        backgroundColor: isOver ? palette.cautionPaper : 'transparent',
        fontSize: 12,
        color: palette.soft,
        pl: 1,
        lineHeight: `${String(place.height - 3)}px`,
      }}
    >
      nothing yet
    </Box>
  );
}
