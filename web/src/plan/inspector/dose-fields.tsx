import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import {
  doseKinds,
  unevenOf,
  doseLimits,
  doseText,
  numbersOf,
  readTeaching,
  sameDose,
  sameTeaching,
  writeTeaching,
  type Dose,
  type DoseNumber,
  type Item,
  type WrittenTeaching,
} from '@leiter/core';
import { memo } from 'react';
import { useStable } from '../../shared/use-stable';
import { numberIn } from '../../shared/number-in';
import { useTyped } from '../../shared/use-typed';

const numberWords: Readonly<Record<DoseNumber, string>> = {
  sets: t`Sets`,
  reps: t`Reps`,
  secondsPerRep: t`Seconds each`,
  restSeconds: t`Rest s`,
  holdSeconds: t`Hold s`,
  seconds: t`Seconds`,
  eights: t`8-counts`,
  bpm: t`Beats a minute`,
  repeats: t`Times`,
  countIn: t`Count-in`,
  beats: t`Counts each`,
  learnBpm: t`Learnt at`,
  learnTimes: t`Learnt, times`,
  lengths: t`Lengths`,
  metres: t`Metres`,
  secondsPerMetre: t`Seconds a metre`,
};

/**
 * A dose as one writes it, with how it is taught: `3x8`, `2x20s`, `4 min`, `8x8 @ 96`, `3x8 flow`, `talk 90s`; the tempo and rest that
 * are not written stay as they are. It counts when it is written to its end – with Enter, or as the field is left: `3x30s` is no `3`
 * and no `3x3` on the way.
 */
export function TypedTeaching({ item, onChange }: { readonly item: Item; readonly onChange: (written: WrittenTeaching) => void }) {
  const written = writeTeaching(item);
  const [typed, setTyped] = useTyped(written);
  const read = readTeaching(typed, item);
  const take = (): void => {
    if (!read || typed === written) return;
    if (sameDose(read.dose, item.dose) && sameTeaching(read.teaching, item)) setTyped(written);
    else onChange(read);
  };
  return (
    <TextField
      fullWidth
      label={t`Dose`}
      value={typed}
      error={!read}
      helperText={
        !read
          ? t`Write 3x8, 10/30/60s, 4 min, 8x8 @ 96, 4 lengths of 5 m; 3x8 flow; talk 90s.`
          : typed === written
            ? undefined
            : doseText(read.dose)
      }
      sx={{ mb: 1.25 }}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key === 'Escape') setTyped(written);
      }}
    />
  );
}

export function DoseFields({ dose, onChange }: { readonly dose: Dose; readonly onChange: (dose: Dose) => void }) {
  const change = useStable((name: DoseNumber, number: number) => {
    // the name comes from this very dose; a number of sets or reps makes uneven sets even again, a tempo is that of all
    const { uneven: _sets, tempos: _tempos, ...even } = { uneven: undefined, tempos: undefined, ...dose };
    const isEven = name === 'sets' || name === doseKinds[dose.kind].uneven;
    const uneven = unevenOf(dose);
    const kept = isEven ? even : name === 'secondsPerRep' && uneven ? { ...even, uneven } : dose;
    onChange({ ...kept, [name]: number }); // the fields of its kind, one of them another number
  });
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(58px, 1fr))', gap: 0.75, mb: 1.25 }}>
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
  const { least, most, isWhole } = doseLimits[name];
  return <NumberField label={numberWords[name]} value={value} least={least} most={most} isWhole={isWhole} onChange={change} />;
});

/** Takes over a number as soon as it is one that can be; until then it stays as typed and says its limits. */
export const NumberField = memo(function NumberField({
  label,
  value,
  least,
  most,
  isWhole = false,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly isWhole?: boolean;
  readonly onChange: (value: number) => void;
}) {
  const [typed, setTyped] = useTyped(String(value));
  const number = numberIn(typed);
  const isRight = number !== null && number >= least && number <= most && (!isWhole || Number.isInteger(number));
  return (
    <TextField
      label={label}
      value={typed}
      error={!isRight}
      {...(isRight ? {} : { helperText: `${isWhole ? 'whole, ' : ''}${String(least)}–${String(most)}` })}
      onChange={(event) => {
        const next = numberIn(event.target.value);
        const fits = next !== null && next >= least && next <= most && (!isWhole || Number.isInteger(next));
        setTyped(event.target.value, fits ? String(next) : String(value));
        if (fits && next !== value) onChange(next);
      }}
      slotProps={{ htmlInput: { inputMode: isWhole ? 'numeric' : 'decimal' } }}
    />
  );
});
