import { useDroppable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import { bodyAt, firstRounds, versionCounts, type ClassPlan, type Evaluation, type Finding, type Severity } from '@leiter/core';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { palette } from '../../shared/palette';
import { bodyWords } from '../body-words';
import { rulerOf, type Ruler } from '../ruler';
import { CircuitMarks } from './circuit-marks';
import { EffortRibbon } from './effort-ribbon';
import { ClockMarks, SectionLabels } from './ladder-margin';
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
  /** A line to write on below an item, while there is one; it is told how far from the top it stands. */
  readonly writing: { readonly after: string; readonly line: (top: number) => ReactNode } | null;
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
  const [pointed, setPointed] = useState<string | null>(null);
  const shown = ruler.rungs.get(pointed ?? props.chosen ?? '');
  const body = shown && bodyAt(evaluation.timeline, shown.itemId);
  const below = props.writing && ruler.rungs.get(props.writing.after);
  return (
    <>
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
            gridTemplateColumns: '48px 74px minmax(300px, 1fr) 60px auto',
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
          <SectionLabels
            plan={plan}
            timeline={evaluation.timeline}
            ruler={ruler}
            chosen={props.chosenSection}
            onChoose={props.onChooseSection}
          />
          <Box
            style={{ height: ruler.height }}
            sx={{
              gridRow: 2,
              gridColumn: 3,
              position: 'relative',
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
            <CircuitMarks plan={plan} ruler={ruler} onChoose={props.onChoose} />
            {props.writing && below && props.writing.line(below.top + below.height)}
            <Box component="ul" aria-label="Items" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {firstRounds(items).map((timed) => (
                <RungLine
                  key={timed.item.id}
                  timed={timed}
                  top={ruler.rungs.get(timed.item.id)?.top ?? 0}
                  height={ruler.rungs.get(timed.item.id)?.height ?? 0}
                  startsAt={startsAt}
                  isChosen={timed.item.id === props.chosen}
                  isFocus={plan.focus.includes(timed.movement.slug)}
                  worst={worst.get(timed.item.id) ?? null}
                  counts={counts.get(timed.item.id)}
                  onChoose={props.onChoose}
                  onPoint={setPointed}
                />
              ))}
            </Box>
          </Box>
          <Box sx={{ gridRow: 2, gridColumn: 4, position: 'relative' }}>
            {shown && <Band top={shown.top} height={shown.height} />}
            <EffortRibbon curve={evaluation.effort} ruler={ruler} />
          </Box>
          <Box sx={{ gridRow: 2, gridColumn: 5, position: 'relative' }}>
            {shown && <Band top={shown.top} height={shown.height} />}
            <RegionColumns items={items} ruler={ruler} />
          </Box>
        </Box>
        <Box
          role="status"
          aria-label="What it asks of bodies"
          sx={{
            position: 'sticky',
            bottom: 0,
            minHeight: 30,
            px: 1.5,
            py: 0.6,
            fontSize: 13,
            lineHeight: 1.35,
            backgroundColor: palette.paper,
            borderTop: `1px solid ${palette.line}`,
            color: body ? palette.ink : palette.soft,
            zIndex: 4,
          }}
        >
          {body ? bodyWords(body) : 'Point at an item, or choose one: here is what it asks of bodies.'}
        </Box>
      </Box>
    </>
  );
}

/** Marks where the item pointed at stands in what is drawn beside the ladder. */
function Band({ top, height }: { readonly top: number; readonly height: number }) {
  return (
    <Box
      aria-hidden="true"
      style={{ top, height }}
      sx={{
        position: 'absolute',
        left: -6,
        right: 0,
        backgroundColor: '#DDEAEA',
        borderTop: `1px solid ${palette.primary}`,
        borderBottom: `1px solid ${palette.primary}`,
        mixBlendMode: 'multiply',
        pointerEvents: 'none',
      }}
    />
  );
}

/** The height the running order can fill, in pixels. */
function useRoom(frame: React.RefObject<HTMLDivElement | null>): number {
  const [room, setRoom] = useState(680);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setRoom(entry.contentRect.height - 74);
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
