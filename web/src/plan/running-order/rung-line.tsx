import { t } from '@lingui/core/macro';
import { versionsTold } from '../editing/versions-told';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import styled from '@emotion/styled';
import { clockText, doseText, sidesText, teachingText, timeOfDay, type Severity, type TimedItem, type VersionCounts } from '@leiter/core';
import { memo, useEffect, useRef, type ReactNode } from 'react';
import { EffortBand } from '../../shared/effort-band';
import { Figure } from '../../shared/figure';
import { headingFont, palette } from '../../shared/palette';
import { answering } from '../editing/answers';
import { SeverityMark } from '../../shared/severity-mark';

interface RungProps {
  readonly timed: TimedItem;
  readonly startsAt: string;
  readonly isChosen: boolean;
  readonly isFocus: boolean;
  readonly worst: Severity | null;
  /** Who else looks at it just now; empty for nobody. */
  readonly others: string;
  /** How many children do which version; undefined where nobody is expected. */
  readonly counts: VersionCounts | undefined;
  /** The name of what some do instead. */
  readonly nameOf: (movement: string) => string;
  readonly onChoose: (itemId: string) => void;
  /** Told the item under the pointer, and null when it leaves. */
  readonly onPoint: (itemId: string | null) => void;
}

/** Everybody does the version of the day: not worth a word. */
const chosenPaper = palette.chosen;

/**
 * The list of the rungs. The styles of all its parts are made once, for the list: a styled part in each of fifty rungs would
 * be worked out anew at every key. What changes – the place – is an attribute.
 */
export const Rungs = styled.ul({
  listStyle: 'none',
  margin: 0,
  padding: 0,
  '& > li': { position: 'absolute', left: 4, right: 4 },
  // above its neighbours while it is dragged
  '& > li:has(> [data-dragged])': { zIndex: '3 !important' },
  '& > li > button': {
    display: 'flex',
    alignItems: 'center',
    gap: 8,
    width: '100%',
    height: '100%',
    padding: '0 10px 0 0',
    border: 0,
    borderBottom: `2px solid ${palette.line}`,
    outlineOffset: -1,
    backgroundColor: palette.white,
    font: 'inherit',
    color: palette.ink,
    cursor: 'grab',
    textAlign: 'left',
    overflow: 'hidden',
  },
  '& > li > button[data-over]': { borderBottomColor: palette.primary },
  '& > li > button[aria-current]': { outline: `2px solid ${palette.primary}`, backgroundColor: chosenPaper },
  '& .name, & .dose, & .versions': { whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' },
  '& .name': { fontSize: 14.5, flexShrink: 0, maxWidth: '55%' },
  '& .name[data-strong]': { fontWeight: 700 },
  '& .dose': { fontSize: 13, color: palette.soft, flexShrink: 0, maxWidth: '38%' },
  '& .versions': {
    fontSize: 11.5,
    color: palette.primary,
    border: `1px solid ${palette.line}`,
    borderRadius: 4,
    padding: '0 5px',
    minWidth: 34,
    flexShrink: 20,
    backgroundColor: palette.paper,
  },
  '& .others': {
    fontSize: 11.5,
    color: palette.white,
    backgroundColor: palette.primary,
    borderRadius: 4,
    padding: '0 6px',
    whiteSpace: 'nowrap',
    flexShrink: 0,
  },
  '& .takes': { marginLeft: 'auto', fontFamily: headingFont, fontSize: 13.5, paddingLeft: 8, flexShrink: 0 },
});

/** A place in the ladder, as tall as its item is long: most keys move the rungs below and change nothing in them. */
export function Rung({
  top,
  height,
  isChosen,
  children,
}: {
  readonly top: number;
  readonly height: number;
  readonly isChosen: boolean;
  readonly children: ReactNode;
}) {
  return <li style={{ top, height, zIndex: isChosen ? 2 : 1 }}>{children}</li>;
}

/** One item of the running order, dragged or chosen; it fills its place. */
export const RungLine = memo(function RungLine({
  timed,
  startsAt,
  isChosen,
  isFocus,
  worst,
  others,
  counts,
  nameOf,
  onChoose,
  onPoint,
}: RungProps) {
  const { item, movement } = timed;
  const line = useRef<HTMLButtonElement>(null);
  const { setNodeRef: setDragged, listeners, transform, isDragging } = useDraggable({ id: item.id });
  const { setNodeRef: setTarget, isOver } = useDroppable({ id: `item:${item.id}` });
  useEffect(() => {
    if (isChosen) line.current?.scrollIntoView({ block: 'nearest' });
  }, [isChosen]);
  const sides = sidesText(item.sides);
  const taught = teachingText(item, nameOf);
  const versionsText = versionsTold(counts, nameOf);
  return (
    <button
      type="button"
      ref={(element) => {
        line.current = element;
        setDragged(element);
        setTarget(element);
      }}
      {...listeners}
      data-dragged={isDragging ? '' : undefined}
      style={transform ? { transform: `translateY(${String(transform.y)}px)` } : undefined}
      aria-current={isChosen ? 'true' : undefined}
      data-over={isOver ? '' : undefined}
      aria-label={t`${timeOfDay(startsAt, timed.startSecond)} ${movement.name}, ${doseText(item.dose)}${sides ? `, ${sides}` : ''}${taught ? `, ${taught}` : ''}, takes ${clockText(timed.seconds)}`}
      onClick={() => {
        onChoose(item.id);
      }}
      onPointerEnter={() => {
        onPoint(item.id);
      }}
      onPointerLeave={() => {
        onPoint(null);
      }}
    >
      <EffortBand effort={movement.effort} />
      <Figure movement={movement} size={26} behind={isChosen ? chosenPaper : palette.white} />
      <span className="name" data-strong={isFocus || isChosen ? '' : undefined}>
        {movement.name}
      </span>
      <span className="dose">
        {doseText(item.dose)}
        {sides && `, ${sides}`}
        {taught && ` · ${taught}`}
      </span>
      {versionsText !== '' && (
        <span className="versions" {...answering('versions', item.id)}>
          {versionsText}
        </span>
      )}
      {others !== '' && <span className="others">{others}</span>}
      {worst && (
        <span {...answering('findings', item.id)}>
          <SeverityMark severity={worst} />
        </span>
      )}
      <span className="takes" {...answering('takes', item.id)}>
        {clockText(timed.seconds)}
      </span>
    </button>
  );
}, isSameRung);

/** A rung is drawn anew only when something of it reads differently; its times are new objects after every key. */
function isSameRung(before: RungProps, after: RungProps): boolean {
  const { timed: one, counts: counted, ...plain } = before;
  const { timed: other, counts, ...rest } = after;
  return (
    one.item === other.item &&
    one.movement === other.movement &&
    timeOfDay(before.startsAt, one.startSecond) === timeOfDay(after.startsAt, other.startSecond) &&
    clockText(one.seconds) === clockText(other.seconds) &&
    versionsTold(counted, before.nameOf) === versionsTold(counts, after.nameOf) &&
    (Object.keys(plain) as (keyof typeof plain)[]).every((key) => plain[key] === rest[key])
  );
}
