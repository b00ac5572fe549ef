import Box from '@mui/material/Box';
import { effortWord, type Movement } from '@leiter/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { EffortBand } from '../../shared/effort-band';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
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
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoizes this component
  const rows = useVirtualizer({
    count: Math.ceil(movements.length / columns),
    getScrollElement: () => frame.current,
    estimateSize: () => rowHeight,
    overscan: 3,
  });
  useEffect(() => {
    rows.measure();
  }, [rows, rowHeight]);
  return (
    <Box
      ref={frame}
      component="section"
      aria-label="Movements"
      tabIndex={0}
      sx={{ flex: 1, minWidth: 0, overflowY: 'auto', px: 2.25, py: 1.5, '&:focus-visible': { outlineOffset: '-3px' } }}
    >
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, position: 'relative', height: rows.getTotalSize() }}>
        {rows.getVirtualItems().flatMap((row) =>
          movements.slice(row.index * columns, (row.index + 1) * columns).map((movement, column) => (
            <Box
              component="li"
              key={movement.slug}
              aria-setsize={movements.length}
              aria-posinset={row.index * columns + column + 1}
              sx={{
                position: 'absolute',
                top: row.start,
                height: rowHeight,
                left: `${String((100 / columns) * column)}%`,
                width: `calc(${String(100 / columns)}% - 18px)`,
                borderTop: `1px solid ${palette.line}`,
                overflow: 'hidden',
              }}
            >
              {look === 'words' ? <WordCard movement={movement} /> : <FigureCard movement={movement} />}
            </Box>
          )),
        )}
      </Box>
    </Box>
  );
}

function WordCard({ movement }: { readonly movement: Movement }) {
  return (
    <Box sx={{ height: '100%', py: 1, display: 'flex', gap: 1.25, alignItems: 'center' }}>
      <EffortBand effort={movement.effort} width={8} />
      <Figure movement={movement} size={58} />
      <Box sx={{ minWidth: 0 }}>
        <Link to={`/library/${movement.slug}`}>{movement.name}</Link>
        <Box
          sx={{
            fontSize: 13.5,
            color: palette.soft,
            lineHeight: 1.3,
            display: '-webkit-box',
            WebkitLineClamp: 2,
            WebkitBoxOrient: 'vertical',
            overflow: 'hidden',
          }}
        >
          {movement.plainMeaning}
        </Box>
        <Box sx={{ fontSize: 12.5, color: palette.soft }}>
          {kindWords[movement.kind]} · {effortWord(movement.effort)} · from {movement.leastAge} years
        </Box>
      </Box>
    </Box>
  );
}

function FigureCard({ movement }: { readonly movement: Movement }) {
  return (
    <Box sx={{ pt: 0.75, textAlign: 'center' }}>
      <Box sx={{ display: 'flex', justifyContent: 'center' }}>
        <Figure movement={movement} size={112} />
      </Box>
      <Link to={`/library/${movement.slug}`} style={{ fontSize: 13.5, lineHeight: 1.2, display: 'block' }}>
        {movement.name}
      </Link>
    </Box>
  );
}
