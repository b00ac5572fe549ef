import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Tooltip from '@mui/material/Tooltip';
import { clockText, spanWords, timeOfDay, type Span, type Timeline } from '@leiter/core';
import { useState } from 'react';
import { FigureRow } from '../../shared/figure-row';
import { headingFont, palette } from '../../shared/palette';
import { onPhone } from '../../shared/screen';
import { totalParts } from '../editing/class-parts';

/** How much of the slot the plan takes, and when it ends on the clock. */
export function Gauge({
  timeline,
  span,
  lengthMinutes,
  startsAt,
}: {
  readonly timeline: Timeline;
  readonly span: Span;
  readonly lengthMinutes: number;
  readonly startsAt: string;
}) {
  const { totalSeconds } = timeline;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const slot = lengthMinutes * 60;
  const inHand = slot - Math.round(totalSeconds);
  const isOver = inHand < 0;
  const made = totalParts(timeline)
    .map(([name, value]) => `${name.toLowerCase()} ${value}`)
    .join(', ');
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25 }}>
      <Box
        aria-hidden="true"
        sx={{
          width: 96,
          flexShrink: 0,
          height: 12,
          border: `1.5px solid ${palette.ink}`,
          borderRadius: '7px',
          overflow: 'hidden',
          backgroundColor: palette.white,
        }}
      >
        <div
          style={{
            width: `${String(Math.min(100, (totalSeconds / slot) * 100))}%`,
            height: '100%',
            backgroundColor: isOver ? palette.stop : palette.primary,
          }}
        />
      </Box>
      <Tooltip title={made} describeChild>
        <Box
          role="status"
          aria-label={t`Time of the plan`}
          sx={{ fontFamily: headingFont, fontSize: 15.5, whiteSpace: 'nowrap', [onPhone]: { whiteSpace: 'normal' } }}
        >
          <Trans>
            <strong>{clockText(totalSeconds)}</strong> of {lengthMinutes}:00 ·{' '}
            <span style={{ color: isOver ? palette.stop : 'inherit', fontWeight: isOver ? 700 : 400 }}>
              {isOver ? t`${clockText(-inHand)} over` : t`${clockText(inHand)} in hand`}
            </span>{' '}
            · ends {timeOfDay(startsAt, totalSeconds)}
          </Trans>
          {totalSeconds > 0 && (
            <Box component="span" sx={{ display: 'block', fontSize: 12.5, lineHeight: 1.2, color: palette.soft }}>
              <Trans>likely {spanWords(span)}</Trans>
            </Box>
          )}
        </Box>
      </Tooltip>
      <Button
        size="small"
        aria-label={t`What the time is made of`}
        aria-haspopup="dialog"
        onClick={(event) => {
          setAnchor(event.currentTarget);
        }}
        sx={{ minWidth: 0, px: 0.75 }}
      >
        …
      </Button>
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => {
            setAnchor(null);
          }}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
          transformOrigin={{ vertical: 'top', horizontal: 'right' }}
          slotProps={{ paper: { role: 'dialog', 'aria-label': t`What the time is made of` } }}
        >
          <Box component="dl" sx={{ m: 0, p: 1.5, width: 270 }}>
            {totalParts(timeline).map(([name, value]) => (
              <FigureRow key={name} label={name} value={value} />
            ))}
            <FigureRow label={isOver ? t`Over` : t`In hand`} value={clockText(Math.abs(inHand))} />
          </Box>
        </Popover>
      )}
    </Box>
  );
}
