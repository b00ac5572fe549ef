import { useDraggable, useDroppable } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import { clockText, countsText, doseText, sidesText, timeOfDay, type Severity, type TimedItem, type VersionCounts } from '@leiter/core';
import { useEffect, useRef } from 'react';
import { EffortBand } from '../../shared/effort-band';
import { Figure } from '../../shared/figure';
import { headingFont, palette } from '../../shared/palette';
import type { Ruler } from '../ruler';
import { SeverityMark } from './severity-mark';

interface RungProps {
  readonly timed: TimedItem;
  readonly ruler: Ruler;
  readonly startsAt: string;
  readonly isChosen: boolean;
  readonly isFocus: boolean;
  readonly worst: Severity | null;
  /** How many children do which version; undefined where nobody is expected. */
  readonly counts: VersionCounts | undefined;
  readonly onChoose: (itemId: string) => void;
  /** Told the item under the pointer, and null when it leaves. */
  readonly onPoint: (itemId: string | null) => void;
}

/** Everybody does the version of the day: not worth a word. */
const isAllCore = ({ easier, harder, instead, none }: VersionCounts): boolean => easier + harder + instead + none === 0;

/** One item of the running order: as tall as it is long, dragged or chosen. */
export function RungLine({ timed, ruler, startsAt, isChosen, isFocus, worst, counts, onChoose, onPoint }: RungProps) {
  const { item, movement } = timed;
  const rung = ruler.rungs.get(item.id);
  const line = useRef<HTMLLIElement>(null);
  const { setNodeRef: setDragged, listeners, transform, isDragging } = useDraggable({ id: item.id });
  const { setNodeRef: setTarget, isOver } = useDroppable({ id: `item:${item.id}` });
  useEffect(() => {
    if (isChosen) line.current?.scrollIntoView({ block: 'nearest' });
  }, [isChosen]);
  if (!rung) return null;
  const shift = transform ? `translateY(${String(transform.y)}px)` : undefined;
  const sides = sidesText(item.sides);
  const versionsText = counts && !isAllCore(counts) ? countsText(counts) : '';
  return (
    <Box
      component="li"
      ref={(element: HTMLLIElement | null) => {
        line.current = element;
        setTarget(element);
      }}
      sx={{
        position: 'absolute',
        top: rung.top,
        left: 4,
        right: 4,
        height: rung.height,
        zIndex: isDragging ? 3 : isChosen ? 2 : 1,
        transform: shift,
      }}
    >
      <Box
        component="button"
        type="button"
        ref={setDragged}
        {...listeners}
        aria-current={isChosen ? 'true' : undefined}
        aria-label={`${timeOfDay(startsAt, timed.startSecond)} ${movement.name}, ${doseText(item.dose)}${sides ? `, ${sides}` : ''}, takes ${clockText(timed.seconds)}`}
        onClick={() => {
          onChoose(item.id);
        }}
        onPointerEnter={() => {
          onPoint(item.id);
        }}
        onPointerLeave={() => {
          onPoint(null);
        }}
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          width: '100%',
          height: '100%',
          p: 0,
          pr: 1.25,
          border: 0,
          borderBottom: `2px solid ${isOver ? palette.primary : palette.line}`,
          outline: isChosen ? `2px solid ${palette.primary}` : 'none',
          outlineOffset: '-1px',
          backgroundColor: isChosen ? '#EAF2F2' : '#FFFFFF',
          font: 'inherit',
          color: palette.ink,
          cursor: 'grab',
          textAlign: 'left',
          overflow: 'hidden',
        }}
      >
        <EffortBand effort={movement.effort} />
        <Figure movement={movement} size={26} behind={isChosen ? '#EAF2F2' : '#FFFFFF'} />
        <Box
          component="span"
          sx={{
            fontSize: 14.5,
            fontWeight: isFocus || isChosen ? 700 : 400,
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            flexShrink: 0,
            maxWidth: '55%',
          }}
        >
          {movement.name}
        </Box>
        <Box
          component="span"
          sx={{ fontSize: 13, color: palette.soft, whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis', minWidth: 0 }}
        >
          {doseText(item.dose)}
          {sides && `, ${sides}`}
        </Box>
        {versionsText !== '' && (
          <Box
            component="span"
            sx={{
              fontSize: 11.5,
              color: palette.primary,
              border: `1px solid ${palette.line}`,
              borderRadius: '4px',
              px: 0.6,
              flexShrink: 0,
              backgroundColor: palette.paper,
            }}
          >
            {versionsText}
          </Box>
        )}
        {worst && <SeverityMark severity={worst} />}
        <Box component="span" sx={{ ml: 'auto', fontFamily: headingFont, fontSize: 13.5, pl: 1, flexShrink: 0 }}>
          {clockText(timed.seconds)}
        </Box>
      </Box>
    </Box>
  );
}
