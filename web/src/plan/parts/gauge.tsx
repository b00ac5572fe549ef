import Box from '@mui/material/Box';
import { clockText, timeOfDay } from '@leiter/core';
import { headingFont, palette } from '../../shared/palette';

/** How much of the slot the plan takes, and when it ends on the clock. */
export function Gauge({
  totalSeconds,
  lengthMinutes,
  startsAt,
}: {
  readonly totalSeconds: number;
  readonly lengthMinutes: number;
  readonly startsAt: string;
}) {
  const slot = lengthMinutes * 60;
  const inHand = slot - Math.round(totalSeconds);
  const isOver = inHand < 0;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25 }}>
      <Box
        aria-hidden="true"
        sx={{
          width: 130,
          height: 12,
          border: `1.5px solid ${palette.ink}`,
          borderRadius: '7px',
          overflow: 'hidden',
          backgroundColor: '#FFFFFF',
        }}
      >
        <Box
          sx={{
            width: `${String(Math.min(100, (totalSeconds / slot) * 100))}%`,
            height: '100%',
            backgroundColor: isOver ? palette.stop : palette.primary,
          }}
        />
      </Box>
      <Box role="status" aria-label="Time of the plan" sx={{ fontFamily: headingFont, fontSize: 15.5, whiteSpace: 'nowrap' }}>
        <strong>{clockText(totalSeconds)}</strong> of {lengthMinutes}:00 ·{' '}
        <Box component="span" sx={{ color: isOver ? palette.stop : 'inherit', fontWeight: isOver ? 700 : 400 }}>
          {isOver ? `${clockText(-inHand)} over` : `${clockText(inHand)} in hand`}
        </Box>{' '}
        · ends {timeOfDay(startsAt, totalSeconds)}
      </Box>
    </Box>
  );
}
