import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { marks, type Criterion, type LadderRequirement, type Mark, type Movement } from '@leiter/core';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';

const sidesWords: Readonly<Record<Criterion['sides'], string>> = { none: 'no sides', both: 'both sides', lead: 'lead side' };

interface Props {
  readonly requirement: LadderRequirement;
  readonly movement: Movement | undefined;
  readonly onChange: (requirement: LadderRequirement) => void;
  readonly onRemove: () => void;
}

/** One thing a grade asks for: what is to be seen, how well, how often. */
export function RequirementEditor({ requirement, movement, onChange, onRemove }: Props) {
  const { criterion, stage, isPutAway } = requirement;
  const name = movement?.name ?? requirement.movement;
  const ask = (change: Partial<Criterion>): void => {
    onChange({ ...requirement, criterion: { ...criterion, ...change } });
  };
  /** A number that may be left out. */
  const optional = (field: 'leastSeconds' | 'leastReps') => (value: number | null) => {
    const { [field]: _before, ...others } = criterion;
    onChange({ ...requirement, criterion: value === null ? others : { ...others, [field]: value } });
  };
  const correct = (value: number | null): void => {
    const { leastCorrect, ...others } = criterion;
    const of = Math.max(value ?? 0, leastCorrect?.of ?? 0);
    onChange({ ...requirement, criterion: value === null ? others : { ...others, leastCorrect: { correct: value, of } } });
  };
  const always = (field: 'times' | 'days' | 'withinWeeks') => (value: number | null) => {
    if (value !== null) ask({ [field]: value });
  };
  if (isPutAway)
    return (
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, py: 0.75 }}>
        <Figure movement={movement} size={34} />
        <Box sx={{ flex: 1, color: palette.soft }}>{name} – put away</Box>
        <Button
          variant="outlined"
          size="small"
          onClick={() => {
            onChange({ ...requirement, isPutAway: false });
          }}
        >
          Put back
        </Button>
      </Box>
    );
  const stages = movement?.stages ?? [];
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '44px 1fr auto', columnGap: 1.25, alignItems: 'center', py: 0.75 }}>
      <Figure movement={movement} size={42} />
      <Box sx={{ fontWeight: 700 }}>{name}</Box>
      <Button variant="outlined" size="small" onClick={onRemove}>
        Put away
      </Button>
      <Box
        sx={{ gridColumn: '2 / -1', display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.75 }}
        role="group"
        aria-label={`${name}: criterion`}
      >
        {stages.length > 0 && (
          <Choice
            label="Stage"
            width={150}
            value={String(stage ?? 0)}
            options={[['0', 'the whole'], ...stages.map((one, index) => [String(index + 1), `${String(index + 1)}: ${one.name}`] as const)]}
            onChange={(value) => {
              onChange({ ...requirement, stage: value === '0' ? null : Number(value) });
            }}
          />
        )}
        <Choice
          label="Mark"
          width={98}
          value={criterion.leastMark}
          options={marks.map((mark) => [mark, markWords[mark]] as const)}
          onChange={(value) => {
            ask({ leastMark: value as Mark }); // one of the options
          }}
        />
        <Choice
          label="Sides"
          width={124}
          value={criterion.sides}
          options={Object.entries(sidesWords)}
          onChange={(value) => {
            ask({ sides: value as Criterion['sides'] }); // one of the options
          }}
        />
        <Count label="Seconds" value={criterion.leastSeconds} onChange={optional('leastSeconds')} />
        <Count label="Reps" value={criterion.leastReps} onChange={optional('leastReps')} />
        <Count label="Correct" value={criterion.leastCorrect?.correct} onChange={correct} />
        {criterion.leastCorrect && (
          <Count
            label="of"
            value={criterion.leastCorrect.of}
            onChange={(value) => {
              const right = criterion.leastCorrect?.correct ?? 1;
              ask({ leastCorrect: { correct: right, of: Math.max(right, value ?? right) } });
            }}
          />
        )}
        <Count label="Times" value={criterion.times} onChange={always('times')} />
        <Count label="Days" value={criterion.days} onChange={always('days')} />
        <Count label="In weeks" value={criterion.withinWeeks} onChange={always('withinWeeks')} />
      </Box>
    </Box>
  );
}

function Choice({
  label,
  width,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly width: number;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onChange: (value: string) => void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      sx={{ width }}
      onChange={(event) => {
        onChange(event.target.value);
      }}
    >
      {options.map(([id, words]) => (
        <MenuItem key={id} value={id}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** A whole number; null when it is emptied. */
function Count({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | null) => void;
}) {
  return (
    <TextField
      type="number"
      label={label}
      value={value ?? ''}
      sx={{ width: 58, '& input': { px: 1 } }}
      onChange={(event) => {
        onChange(event.target.value === '' ? null : Number(event.target.value));
      }}
      slotProps={{ htmlInput: { min: 1 }, inputLabel: { shrink: true } }}
    />
  );
}
