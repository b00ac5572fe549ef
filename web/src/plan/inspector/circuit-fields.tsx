import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { circuitKinds, circuitLimits, newCircuit, type Circuit, type CircuitKind, type PlanEdit } from '@leiter/core';
import { memo } from 'react';
import { NumberField } from './dose-fields';

interface Props {
  readonly circuit: Circuit | undefined;
  readonly stations: number;
  /** Whether something comes after it that can be taken in. */
  readonly hasNext: boolean;
  readonly onJoin: () => void;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

const kindWords: Readonly<Record<CircuitKind, string>> = {
  circuit: t`Circuit: round again from the first`,
  chain: t`Chain: all on the left, then all on the right`,
  pair: t`Pair: one does, the other helps; then they change`,
};

/** The circuit an item is a station of: how often it is gone round, with what rest; or how to begin one. */
export const CircuitFields = memo(function CircuitFields({ circuit, stations, hasNext, onJoin, onEdit }: Props) {
  return (
    <Box component="section" aria-label={t`Circuit`} sx={{ mt: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.75 }}>
        {circuit ? t`A ${circuit.kind ?? t`circuit`} of ${plural(stations, { one: '# item', other: '# items' })}` : t`On its own`}
      </Typography>
      {circuit && (
        <TextField
          select
          fullWidth
          label={t`What is done with them`}
          value={circuit.kind ?? 'circuit'}
          onChange={(event) => {
            const of = circuitKinds.find((one) => one === event.target.value);
            // a chain is usually done once on each side, a pair once by each
            const rounds = of === 'circuit' ? newCircuit.rounds : 1;
            if (of) onEdit([{ kind: 'set-circuit', circuit: circuit.id, rounds, restSeconds: circuit.restSeconds, of }]);
          }}
          sx={{ mb: 1 }}
        >
          {circuitKinds.map((kind) => (
            <MenuItem key={kind} value={kind}>
              {kindWords[kind]}
            </MenuItem>
          ))}
        </TextField>
      )}
      {circuit && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.75, mb: 1 }}>
          <NumberField
            label={circuit.kind === 'chain' ? t`Times each side` : circuit.kind === 'pair' ? t`Times each` : t`Rounds`}
            value={circuit.rounds}
            {...circuitLimits.rounds}
            onChange={(rounds) => {
              onEdit([{ kind: 'set-circuit', circuit: circuit.id, rounds, restSeconds: circuit.restSeconds }]);
            }}
          />
          <NumberField
            label={t`Rest between, s`}
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
            {circuit ? t`Take in the next item` : t`Circuit with the next item`}
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
            <Trans>Take it apart</Trans>
          </Button>
        )}
      </Box>
    </Box>
  );
});
