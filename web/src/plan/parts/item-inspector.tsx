import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  clockText,
  doseLimits,
  familiarities,
  numbersOf,
  readDose,
  sidesText,
  sidesToChoose,
  tierNames,
  writeDose,
  type ClassPlan,
  type Dose,
  type DoseNumber,
  type ItemSides,
  type PlanEdit,
  type TierName,
  type TimedItem,
} from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';
import { FigureRow } from '../../shared/figure-row';

interface Props {
  readonly plan: ClassPlan;
  readonly timed: TimedItem;
  readonly paceItems: number;
  readonly pace: number;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** One item: how much, which sides, which versions, what to say, and what its time is made of. */
export function ItemInspector({ plan, timed, pace, paceItems, onEdit }: Props) {
  const { item, movement } = timed;
  const sides = sidesToChoose(movement.sides);
  const available = tierNames.filter((name) => movement.tiers[name]);
  const isFocus = plan.focus.includes(movement.slug);
  return (
    <Box component="section" aria-label={`Item ${movement.name}`} sx={{ mb: 2.5 }}>
      <Typography variant="h2">{movement.name}</Typography>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1.25 }}>
        {movement.plainMeaning}
      </Typography>
      <TypedDose
        key={`typed ${item.id}`}
        dose={item.dose}
        onChange={(dose) => {
          onEdit([{ kind: 'set-dose', item: item.id, dose }]);
        }}
      />
      <DoseFields
        key={item.id}
        dose={item.dose}
        onChange={(dose) => {
          onEdit([{ kind: 'set-dose', item: item.id, dose }]);
        }}
      />
      {sides.length > 1 && (
        <Labelled label="Sides">
          <ToggleButtonGroup
            exclusive
            size="small"
            value={item.sides}
            aria-label="Sides"
            onChange={(_event, value: ItemSides | null) => {
              if (value) onEdit([{ kind: 'set-sides', item: item.id, sides: value }]);
            }}
          >
            {sides.map((side) => (
              <ToggleButton key={side} value={side}>
                {sidesText(side).replace(' only', '').replace(' sides', '')}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Labelled>
      )}
      {available.length > 0 && (
        <Labelled label="Versions in use">
          {available.map((name) => (
            <TierToggle
              key={name}
              name={name}
              what={movement.tiers[name]?.what ?? ''}
              from={movement.tiers[name]?.fromGrade ?? null}
              isUsed={item.tiers.includes(name)}
              onToggle={() => {
                const tiers = tierNames.filter((tier) => (tier === name ? !item.tiers.includes(tier) : item.tiers.includes(tier)));
                if (tiers.length > 0) onEdit([{ kind: 'set-tiers', item: item.id, tiers }]);
              }}
            />
          ))}
        </Labelled>
      )}
      <Box sx={{ display: 'flex', gap: 1, mb: 1.25 }}>
        <TextField
          select
          label="The group knows it"
          size="small"
          value={item.familiarity ?? 'from-record'}
          onChange={(event) => {
            const chosen = familiarities.find((one) => one === event.target.value) ?? 'from-record';
            onEdit([{ kind: 'set-familiarity', item: item.id, familiarity: chosen }]);
          }}
          sx={{ flex: 1 }}
        >
          <MenuItem value="from-record">from the record: {item.familiarity ? '…' : timed.familiarity}</MenuItem>
          {familiarities.map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant={isFocus ? 'contained' : 'outlined'}
          aria-pressed={isFocus}
          onClick={() => {
            onEdit([
              { kind: 'set-focus', focus: isFocus ? plan.focus.filter((slug) => slug !== movement.slug) : [...plan.focus, movement.slug] },
            ]);
          }}
          sx={{ px: 1 }}
        >
          {isFocus ? 'In focus' : 'Put in focus'}
        </Button>
      </Box>
      <WordsField
        key={`words ${item.id}`}
        cue={item.cue ?? ''}
        note={item.note ?? ''}
        suggestion={movement.cues[0] ?? ''}
        onChange={(words) => {
          onEdit([{ kind: 'set-words', item: item.id, ...words }]);
        }}
      />
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        This item takes {clockText(timed.seconds)}
      </Typography>
      <TimeParts timed={timed} pace={pace} paceItems={paceItems} />
    </Box>
  );
}

function Labelled({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Box sx={{ mb: 1.25 }}>
      <Typography variant="caption" component="div" sx={{ mb: 0.4 }}>
        {label}
      </Typography>
      {children}
    </Box>
  );
}

function TierToggle({
  name,
  what,
  from,
  isUsed,
  onToggle,
}: {
  readonly name: TierName;
  readonly what: string;
  readonly from: string | null;
  readonly isUsed: boolean;
  readonly onToggle: () => void;
}) {
  return (
    <Box
      component="label"
      sx={{
        display: 'grid',
        gridTemplateColumns: '20px 54px 1fr',
        alignItems: 'start',
        fontSize: 13.5,
        py: 0.4,
        borderTop: `1px solid ${palette.line}`,
        cursor: 'pointer',
        color: isUsed ? palette.ink : palette.soft,
      }}
    >
      <input
        type="checkbox"
        checked={isUsed}
        onChange={onToggle}
        style={{ margin: '3px 0 0', accentColor: palette.primary, width: 15, height: 15 }}
      />
      <strong>{name}</strong>
      <span>
        {what}
        {from !== null && ` (from ${from.replaceAll('-', ' ')})`}
      </span>
    </Box>
  );
}

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
function TypedDose({ dose, onChange }: { readonly dose: Dose; readonly onChange: (dose: Dose) => void }) {
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

function DoseFields({ dose, onChange }: { readonly dose: Dose; readonly onChange: (dose: Dose) => void }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr 1fr', gap: 0.75, mb: 1.25 }}>
      {numbersOf(dose).map(([name, value]) => (
        <NumberField
          key={name}
          label={numberWords[name]}
          value={value}
          least={doseLimits[name].least}
          most={doseLimits[name].most}
          onChange={(number) => {
            // the name comes from this very dose
            onChange({ ...dose, [name]: number });
          }}
        />
      ))}
    </Box>
  );
}

/** Takes over a number as soon as it is one that can be; until then it stays as typed and says its limits. */
function NumberField({
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
}

function WordsField({
  cue,
  note,
  suggestion,
  onChange,
}: {
  readonly cue: string;
  readonly note: string;
  readonly suggestion: string;
  readonly onChange: (words: { cue: string; note: string }) => void;
}) {
  const [words, setWords] = useState({ cue, note });
  const leave = (): void => {
    if (words.cue !== cue || words.note !== note) onChange(words);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <TextField
        label="Your cue"
        value={words.cue}
        placeholder={suggestion}
        onBlur={leave}
        onChange={(event) => {
          setWords({ ...words, cue: event.target.value });
        }}
        slotProps={{ htmlInput: { maxLength: 200 }, inputLabel: { shrink: true } }}
      />
      <TextField
        label="Note to yourself"
        value={words.note}
        multiline
        onBlur={leave}
        onChange={(event) => {
          setWords({ ...words, note: event.target.value });
        }}
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
    </Box>
  );
}

function TimeParts({ timed, pace, paceItems }: { readonly timed: TimedItem; readonly pace: number; readonly paceItems: number }) {
  const { parts, item, familiarity } = timed;
  const rows: readonly (readonly [string, number])[] = [
    [`Explain, ${familiarity}${item.tiers.length > 1 ? `, ${String(item.tiers.length)} versions` : ''}`, parts.explain],
    ['Going there from the item before', parts.goTo],
    ['Setting up', parts.setUp],
    [item.sides === 'both' ? 'Doing it, both sides' : 'Doing it', parts.work],
    ['Change of side', parts.sideChange],
  ];
  return (
    <Box component="dl" sx={{ m: 0 }}>
      {rows
        .filter(([, seconds]) => seconds > 0)
        .map(([label, seconds]) => (
          <FigureRow key={label} label={label} value={clockText(seconds)} />
        ))}
      {paceItems > 0 && <FigureRow label={`Your own pace, from ${String(paceItems)} items taught`} value={`× ${pace.toFixed(2)}`} />}
    </Box>
  );
}
