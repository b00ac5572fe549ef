import { Trans } from '@lingui/react/macro';
import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { effortWord, type Movement } from '@leiter/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { EffortBand } from '../../shared/effort-band';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { useIsSettled } from '../../shared/use-is-settled';
import { kindWords } from '../../shared/words';

export type GridLook = 'words' | 'figures';

const looks: Readonly<Record<GridLook, { readonly leastWidth: number; readonly rowHeight: number }>> = {
  words: { leastWidth: 300, rowHeight: 96 },
  figures: { leastWidth: 128, rowHeight: 156 },
};

/** Movements in columns; only the rows that can be seen are drawn, so that a library of thousands scrolls as well. */
export function MovementGrid({ movements, look }: { readonly movements: readonly Movement[]; readonly look: GridLook }) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(900);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(entry.contentRect.width);
    });
    observer.observe(frame.current);
    return () => {
      observer.disconnect();
    };
  }, []);
  const { leastWidth, rowHeight } = looks[look];
  const columns = Math.max(1, Math.floor(width / leastWidth));
  // words first: a name can be read and pressed before its figure is worked out
  const isDrawn = useIsSettled();
  // oxlint-disable-next-line react/incompatible-library -- no compiler memoizes this component
  const rows = useVirtualizer({
    count: Math.ceil(movements.length / columns),
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 2,
    // rows that come into sight may be drawn a frame later: better than holding up the scrolling
    useFlushSync: false,
  });
  useEffect(() => {
    rows.measure();
  }, [rows, rowHeight]);
  return (
    <Box
      ref={frame}
      component="section"
      aria-label={t`Movements`}
      tabIndex={0}
      sx={{ flex: 1, minWidth: 0, overflowY: 'auto', px: 2.25, py: 1.5, '&:focus-visible': { outlineOffset: '-3px' } }}
    >
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, position: 'relative', height: rows.getTotalSize() }}>
        {rows
          .getVirtualItems()
          .flatMap((row) =>
            movements
              .slice(row.index * columns, (row.index + 1) * columns)
              .map((movement, column) => (
                <Card
                  key={movement.slug}
                  movement={movement}
                  look={look}
                  isDrawn={isDrawn}
                  count={movements.length}
                  position={row.index * columns + column + 1}
                  top={row.start}
                  column={column}
                  columns={columns}
                />
              )),
          )}
      </Box>
    </Box>
  );
}

interface CardProps {
  readonly movement: Movement;
  readonly look: GridLook;
  /** False while the page opens: the place of the figure is kept. */
  readonly isDrawn: boolean;
  readonly count: number;
  readonly position: number;
  readonly top: number;
  readonly column: number;
  readonly columns: number;
}

/** One movement at its place; while the list is scrolled only the cards that come into sight are drawn. */
const Card = memo(function Card({ movement, look, isDrawn, count, position, top, column, columns }: CardProps) {
  return (
    <li
      aria-setsize={count}
      aria-posinset={position}
      style={{
        position: 'absolute',
        top,
        height: looks[look].rowHeight,
        left: `${String((100 / columns) * column)}%`,
        width: `calc(${String(100 / columns)}% - 18px)`,
        borderTop: `1px solid ${palette.line}`,
        overflow: 'hidden',
      }}
    >
      {look === 'words' ? <WordCard movement={movement} isDrawn={isDrawn} /> : <FigureCard movement={movement} isDrawn={isDrawn} />}
    </li>
  );
});

// plain elements: a styled one costs more than the figure in it, and dozens come into sight at once
function WordCard({ movement, isDrawn }: Pick<CardProps, 'movement' | 'isDrawn'>) {
  return (
    <div style={{ height: '100%', padding: '8px 0', display: 'flex', gap: 10, alignItems: 'center' }}>
      <EffortBand effort={movement.effort} width={8} />
      <Figure movement={isDrawn ? movement : undefined} size={58} />
      <div style={{ minWidth: 0 }}>
        <Link to={`/library/${movement.slug}`}>{movement.name}</Link>
        <div
          style={{
            fontSize: 13.5,
            color: palette.soft,
            lineHeight: 1.3,
            display: '-webkit-box',
            WebkitLineClamp: 2,
            // oxlint-disable-next-line typescript/no-deprecated -- lines are cut off by it alone
            WebkitBoxOrient: 'vertical',
            overflow: 'hidden',
          }}
        >
          {movement.plainMeaning}
        </div>
        <div style={{ fontSize: 12.5, color: palette.soft }}>
          <Trans>
            {kindWords[movement.kind]} · {effortWord(movement.effort)} · from {movement.leastAge} years
          </Trans>
        </div>
      </div>
    </div>
  );
}

function FigureCard({ movement, isDrawn }: Pick<CardProps, 'movement' | 'isDrawn'>) {
  return (
    <div style={{ paddingTop: 6, textAlign: 'center' }}>
      <div style={{ display: 'flex', justifyContent: 'center' }}>
        <Figure movement={isDrawn ? movement : undefined} size={112} />
      </div>
      <Link to={`/library/${movement.slug}`} style={{ fontSize: 13.5, lineHeight: 1.2, display: 'block' }}>
        {movement.name}
      </Link>
    </div>
  );
}
