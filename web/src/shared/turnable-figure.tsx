import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { viewOf, type Movement, type View } from '@leiter/core';
import { useMemo, useRef, useState } from 'react';
import { Figure } from './figure';
import { palette } from './palette';

const degreesAPixel = 0.7;
const keyDegrees = 15;
const highest = 75;

/** A large figure that is turned with the finger, the mouse or the arrow keys; a double press turns it back. */
export function TurnableFigure({
  movement,
  size,
}: {
  readonly movement: Pick<Movement, 'figure' | 'view' | 'plainMeaning' | 'dose'>;
  readonly size: number;
}) {
  const own = viewOf(movement.view?.facing ?? 'front');
  const [turn, setTurn] = useState<View>({ azimuth: 0, elevation: 0 });
  const held = useRef<{ readonly x: number; readonly y: number; readonly turn: View } | null>(null);
  const isTurned = turn.azimuth !== 0 || turn.elevation !== 0;
  const from = useMemo(
    () => ({ azimuth: own.azimuth + turn.azimuth, elevation: Math.max(0, Math.min(highest, own.elevation + turn.elevation)) }),
    [own, turn],
  );
  const by = (azimuth: number, elevation: number): void => {
    setTurn({ azimuth: turn.azimuth + azimuth, elevation: turn.elevation + elevation });
  };
  return (
    <Box
      tabIndex={0}
      role="group"
      aria-label={t`${movement.plainMeaning}. Arrow keys turn the figure.`}
      onPointerDown={(event) => {
        held.current = { x: event.clientX, y: event.clientY, turn };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        const { current } = held;
        if (!current) return;
        setTurn({
          azimuth: current.turn.azimuth - (event.clientX - current.x) * degreesAPixel,
          elevation: current.turn.elevation + (event.clientY - current.y) * degreesAPixel,
        });
      }}
      onPointerUp={() => {
        held.current = null;
      }}
      onPointerCancel={() => {
        held.current = null;
      }}
      onDoubleClick={() => {
        setTurn({ azimuth: 0, elevation: 0 });
      }}
      onKeyDown={(event) => {
        const [across, up] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key] ?? [0, 0];
        if (event.key === 'Home') setTurn({ azimuth: 0, elevation: 0 });
        if (across === 0 && up === 0) return;
        event.preventDefault();
        by((across ?? 0) * keyDegrees, (up ?? 0) * keyDegrees);
      }}
      sx={{ cursor: 'grab', touchAction: 'pan-y', width: size, '&:active': { cursor: 'grabbing' }, userSelect: 'none' }}
    >
      <Figure movement={movement} size={size} from={from} isDecoration={false} />
      <Box sx={{ fontSize: 13, color: palette.soft, textAlign: 'center' }}>
        {isTurned ? <Trans>a double press turns it back</Trans> : <Trans>drag to turn it</Trans>}
      </Box>
    </Box>
  );
}
