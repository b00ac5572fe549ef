import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { circuitLimits, type Circuit, type PlanEdit } from '@leiter/core';
import { memo } from 'react';
import { plural } from '../../shared/words';
import { NumberField } from './dose-fields';

interface Props {
  readonly circuit: Circuit | undefined;
  readonly stations: number;
  /** Whether something comes after it that can be taken in. */
  readonly hasNext: boolean;
  readonly onJoin: () => void;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** The circuit an item is a station of: how often it is gone round, with what rest; or how to begin one. */
export const CircuitFields = memo(function CircuitFields({ circuit, stations, hasNext, onJoin, onEdit }: Props) {
  return (
    <Box component="section" aria-label="Circuit" sx={{ mt: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.75 }}>
        {circuit ? `A circuit of ${plural(stations, 'station', 'stations')}` : 'On its own'}
      </Typography>
      {circuit && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.75, mb: 1 }}>
          <NumberField
            label="Rounds"
            value={circuit.rounds}
            {...circuitLimits.rounds}
            onChange={(rounds) => {
              onEdit([{ kind: 'set-circuit', circuit: circuit.id, rounds, restSeconds: circuit.restSeconds }]);
            }}
          />
          <NumberField
            label="Rest between, s"
            value={circuit.restSeconds}
            {...circuitLimits.restSeconds}
            onChange={(restSeconds) => {
              onEdit([{ kind: 'set-circuit', circuit: circuit.id, rounds: circuit.rounds, restSeconds }]);
            }}
          />
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}>
        {hasNext && (
          <Button variant="outlined" size="small" onClick={onJoin}>
            {circuit ? 'Take in the next item' : 'Circuit with the next item'}
          </Button>
        )}
        {circuit && (
          <Button
            variant="outlined"
            size="small"
            onClick={() => {
              onEdit([{ kind: 'break-circuit', circuit: circuit.id }]);
            }}
          >
            Take it apart
          </Button>
        )}
      </Box>
    </Box>
  );
});
