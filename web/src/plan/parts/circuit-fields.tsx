import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { circuitLimits, type ClassPlan, type Item, type PlanEdit } from '@leiter/core';
import { plural } from '../../shared/words';
import { circuitWithNext } from '../plan-keys';
import { NumberField } from './dose-fields';

interface Props {
  readonly plan: ClassPlan;
  readonly item: Item;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** The circuit an item is a station of: how often it is gone round, with what rest; or how to begin one. */
export function CircuitFields({ plan, item, onEdit }: Props) {
  const circuit = plan.circuits?.find(({ id }) => id === item.circuit);
  const further = circuitWithNext(plan, item.id);
  const stations = plan.sections.flatMap(({ items }) => items).filter((one) => circuit && one.circuit === circuit.id).length;
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
        {further && (
          <Button
            variant="outlined"
            size="small"
            onClick={() => {
              onEdit([further]);
            }}
          >
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
}
