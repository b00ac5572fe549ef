import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { doseLimits, numbersOf, readDose, writeDose, type Dose, type DoseNumber } from '@leiter/core';
import { memo } from 'react';
import { useStable } from '../../shared/use-stable';
import { useTyped } from '../../shared/use-typed';

const numberWords: Readonly<Record<DoseNumber, string>> = {
  sets: 'Sets',
  reps: 'Reps',
  secondsPerRep: 'Seconds each',
  restSeconds: 'Rest s',
  holdSeconds: 'Hold s',
  seconds: 'Seconds',
  eights: '8-counts',
  bpm: 'Beats a minute',
  repeats: 'Times',
  countIn: 'Count-in',
};

/** A dose as one writes it: `3x8`, `2x20s`, `4 min`, `8x8 @ 96`; what is not written stays as it is. */
export function TypedDose({ dose, onChange }: { readonly dose: Dose; readonly onChange: (dose: Dose) => void }) {
  const [typed, setTyped] = useTyped(writeDose(dose));
  const read = readDose(typed, dose);
  return (
    <TextField
      fullWidth
      label="Dose"
      value={typed}
      error={!read}
      helperText={read ? undefined : 'Write 3x8, 2x20s, 4 min or 8x8 @ 96.'}
      sx={{ mb: 1.25 }}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = readDose(event.target.value, dose);
        if (next) onChange(next);
      }}
    />
  );
}

export function DoseFields({ dose, onChange }: { readonly dose: Dose; readonly onChange: (dose: Dose) => void }) {
  const change = useStable((name: DoseNumber, number: number) => {
    // the name comes from this very dose
    onChange({ ...dose, [name]: number });
  });
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr 1fr', gap: 0.75, mb: 1.25 }}>
      {numbersOf(dose).map(([name, value]) => (
        <DoseNumberField key={name} name={name} value={value} onChange={change} />
      ))}
    </Box>
  );
}

const DoseNumberField = memo(function DoseNumberField({
  name,
  value,
  onChange,
}: {
  readonly name: DoseNumber;
  readonly value: number;
  readonly onChange: (name: DoseNumber, value: number) => void;
}) {
  const change = useStable((number: number) => {
    onChange(name, number);
  });
  const { least, most } = doseLimits[name];
  return <NumberField label={numberWords[name]} value={value} least={least} most={most} onChange={change} />;
});

/** Takes over a number as soon as it is one that can be; until then it stays as typed and says its limits. */
export const NumberField = memo(function NumberField({
  label,
  value,
  least,
  most,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}) {
  const [typed, setTyped] = useTyped(String(value));
  const number = Number(typed);
  const isWrong = typed.trim() === '' || !(number >= least && number <= most);
  return (
    <TextField
      label={label}
      value={typed}
      error={isWrong}
      {...(isWrong ? { helperText: `${String(least)}–${String(most)}` } : {})}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value);
        if (event.target.value.trim() !== '' && next >= least && next <= most) onChange(next);
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
});
