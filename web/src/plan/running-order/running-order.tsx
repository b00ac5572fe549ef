import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useDroppable } from '@dnd-kit/core';
import styled from '@emotion/styled';
import Box from '@mui/material/Box';
import type { Presence } from '@leiter/contract';
import {
  bodyAt,
  firstRounds,
  versionCounts,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Finding,
  type Severity,
  type Library,
} from '@leiter/core';
import { type ReactNode, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { palette } from '../../shared/palette';
import { answerWords, askedBy, type Asked } from '../editing/answers';
import { bodyWords } from '../editing/body-words';
import type { WritingPlace } from '../editing/plan-actions';
import { rulerOf, type Ruler } from '../editing/ruler';
import { CircuitMarks } from './circuit-marks';
import { EffortRibbon } from './effort-ribbon';
import { ClockMarks, SectionLabels } from './ladder-margin';
import { RegionColumns, RegionHeads } from './region-columns';
import { Rung, RungLine, Rungs } from './rung-line';

interface Props {
  readonly plan: ClassPlan;
  readonly evaluation: Evaluation;
  readonly library: Library;
  readonly context: EvaluationContext;
  /** The names of the children, by id. */
  readonly names: ReadonlyMap<string, string>;
  readonly startsAt: string;
  readonly chosen: string | null;
  readonly chosenSection: string | null;
  readonly onChoose: (itemId: string) => void;
  readonly onChooseSection: (sectionId: string) => void;
  /** A line to write on, below an item or at the end of a section, while there is one; it is told how far from the top it stands. */
  readonly writing: {
    readonly at: WritingPlace;
    readonly line: (top: number) => ReactNode;
  } | null;
  /** Who else has the plan open, and on which item. */
  readonly others: readonly Presence[];
}

// drawn anew at every key: see ladder-margin
const Frame = styled.section({ flex: 1, minWidth: 0, overflowY: 'auto', overflowX: 'hidden', '&:focus-visible': { outlineOffset: -3 } });
const Columns = styled.div({
  display: 'grid',
  gridTemplateColumns: '48px 80px minmax(300px, 1fr) 60px auto',
  columnGap: 6,
  padding: '6px 12px 16px',
});
const Rails = styled.div({
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
});
/** Marks where the item pointed at stands in what is drawn beside the ladder. */
const Band = styled.div({
  position: 'absolute',
  left: -6,
  right: 0,
  backgroundColor: '#DDEAEA',
  borderTop: `1px solid ${palette.primary}`,
  borderBottom: `1px solid ${palette.primary}`,
  mixBlendMode: 'multiply',
  pointerEvents: 'none',
});
const BodyLine = styled.div({
  position: 'sticky',
  bottom: 0,
  minHeight: 30,
  padding: '5px 12px',
  fontSize: 13,
  lineHeight: 1.35,
  backgroundColor: palette.paper,
  borderTop: `1px solid ${palette.line}`,
  zIndex: 4,
});

/** The running order as a ladder that leans on a clock: ruler, sections, rungs, effort, regions on one axis. */
export function RunningOrder(props: Props) {
  const { plan, evaluation, startsAt } = props;
  const { items, totalSeconds } = evaluation.timeline;
  const frame = useRef<HTMLDivElement>(null);
  const room = useRoom(frame);
  const ruler = useMemo(() => rulerOf(plan, items, room), [plan, items, room]);
  const worst = useMemo(() => worstByItem(evaluation.findings), [evaluation.findings]);
  const counts = useMemo(() => versionCounts(evaluation.versions), [evaluation.versions]);
  const { library } = props;
  const nameOf = useCallback((movement: string) => library.get(movement)?.name ?? movement, [library]);
  const [pointed, setPointed] = useState<string | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const shown = ruler.rungs.get(pointed ?? props.chosen ?? '');
  const body = shown && bodyAt(evaluation, shown.itemId);
  const answer = asked ? answerWords(asked, props) : null;
  const below = props.writing && placeOf(props.writing.at, ruler);
  const whoIsOn = useMemo(() => namesByItem(props.others), [props.others]);
  return (
    <Frame
      ref={frame}
      aria-label={t`Running order`}
      tabIndex={0}
      onPointerOver={({ target }) => {
        const next = askedBy(target);
        setAsked((before) => (before?.what === next?.what && before?.id === next?.id ? before : next));
      }}
      onPointerLeave={() => {
        setAsked(null);
      }}
    >
      <Columns>
        <div style={{ gridColumn: 4, fontSize: 12, color: palette.soft }}>
          <Trans>effort</Trans>
        </div>
        <div style={{ gridColumn: 5 }}>
          <RegionHeads items={items} />
        </div>
        <ClockMarks ruler={ruler} startsAt={startsAt} totalSeconds={totalSeconds} />
        <SectionLabels
          plan={plan}
          timeline={evaluation.timeline}
          ruler={ruler}
          chosen={props.chosenSection}
          onChoose={props.onChooseSection}
        />
        <Rails style={{ height: ruler.height }}>
          {plan.sections.map((section) => section.items.length === 0 && <EmptyRung key={section.id} id={section.id} ruler={ruler} />)}
          <CircuitMarks plan={plan} ruler={ruler} onChoose={props.onChoose} />
          {props.writing && below && props.writing.line(below.top + below.height)}
          <Rungs aria-label={t`Items`}>
            {firstRounds(items).map((timed) => (
              <Rung
                key={timed.item.id}
                top={ruler.rungs.get(timed.item.id)?.top ?? 0}
                height={ruler.rungs.get(timed.item.id)?.height ?? 0}
                isChosen={timed.item.id === props.chosen}
              >
                <RungLine
                  timed={timed}
                  startsAt={startsAt}
                  isChosen={timed.item.id === props.chosen}
                  isFocus={plan.focus.includes(timed.movement.slug)}
                  worst={worst.get(timed.item.id) ?? null}
                  others={whoIsOn.get(timed.item.id) ?? ''}
                  counts={counts.get(timed.item.id)}
                  nameOf={nameOf}
                  onChoose={props.onChoose}
                  onPoint={setPointed}
                />
              </Rung>
            ))}
          </Rungs>
        </Rails>
        <div style={{ gridRow: 2, gridColumn: 4, position: 'relative' }}>
          {shown && <Band aria-hidden="true" style={{ top: shown.top, height: shown.height }} />}
          <EffortRibbon curve={evaluation.effort} ruler={ruler} />
        </div>
        <div style={{ gridRow: 2, gridColumn: 5, position: 'relative' }}>
          {shown && <Band aria-hidden="true" style={{ top: shown.top, height: shown.height }} />}
          <RegionColumns items={items} ruler={ruler} />
        </div>
      </Columns>
      <BodyLine
        role="status"
        aria-label={t`What it asks of bodies`}
        style={{ color: answer !== null || body ? palette.ink : palette.soft }}
      >
        {answer ??
          (body
            ? bodyWords(body)
            : t`Point at an item, or choose one: here is what it asks of bodies. Point at a figure: here is how it was reckoned.`)}
      </BodyLine>
    </Frame>
  );
}

/** Where a line is written, in pixels from the top. */
function placeOf(at: WritingPlace, ruler: Ruler): { readonly top: number; readonly height: number } | undefined {
  return at.at === 'after' ? ruler.rungs.get(at.item) : ruler.sections.find(({ id }) => id === at.section);
}

/** The names of those who are on an item, as one reads them. */
function namesByItem(others: readonly Presence[]): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  for (const { itemId, person } of others) {
    if (itemId === null) continue;
    const before = names.get(itemId);
    const own = person.name.split(' ')[0] ?? person.name;
    names.set(itemId, before === undefined ? own : `${before}, ${own}`);
  }
  return names;
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
      <Trans>nothing yet</Trans>
    </Box>
  );
}
