import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { marks, type Criterion, type LadderRequirement, type Mark, type Movement } from '@leiter/core';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';
import { ClauseButton, NumberWord, Sentence, WordChoice } from './sentence';

const sidesWords: Readonly<Record<Criterion['sides'], string>> = { none: 'on any side', both: 'on both sides', lead: 'on the lead side' };

interface Props {
  readonly requirement: LadderRequirement;
  readonly movement: Movement | undefined;
  readonly onChange: (requirement: LadderRequirement) => void;
  readonly onRemove: () => void;
}

/** One thing a grade asks for, as a sentence: what is to be seen, how well, how often. Its words are changed in place. */
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
  const { leastSeconds, leastReps, leastCorrect, times, days, withinWeeks } = criterion;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '44px 1fr auto', columnGap: 1.25, alignItems: 'center', py: 0.75 }}>
      <Figure movement={movement} size={42} />
      <Box sx={{ fontWeight: 700 }}>{name}</Box>
      <Button variant="outlined" size="small" onClick={onRemove}>
        Put away
      </Button>
      <Sentence label={`${name}: criterion`} gridColumn="2 / -1">
        {stages.length > 0 && (
          <WordChoice
            label="Stage"
            value={String(stage ?? 0)}
            options={[
              ['0', 'the whole'],
              ...stages.map((one, index) => [String(index + 1), `stage ${String(index + 1)}: ${one.name}`] as const),
            ]}
            onChange={(value) => {
              onChange({ ...requirement, stage: value === '0' ? null : Number(value) });
            }}
          />
        )}
        <WordChoice
          label="Mark"
          value={criterion.leastMark}
          options={marks.map((mark) => [mark, markWords[mark]] as const)}
          onChange={(value) => {
            ask({ leastMark: value as Mark }); // one of the options
          }}
        />
        <WordChoice
          label="Sides"
          value={criterion.sides}
          options={Object.entries(sidesWords)}
          onChange={(value) => {
            ask({ sides: value as Criterion['sides'] }); // one of the options
          }}
        />
        {leastSeconds !== undefined && (
          <span>
            for <NumberWord label="Seconds" value={leastSeconds} onChange={optional('leastSeconds')} /> s
          </span>
        )}
        {leastReps !== undefined && (
          <span>
            <NumberWord label="Reps" value={leastReps} onChange={optional('leastReps')} /> in a row
          </span>
        )}
        {leastCorrect && (
          <span>
            <NumberWord label="Correct" value={leastCorrect.correct} onChange={correct} /> right of{' '}
            <NumberWord
              label="Out of"
              value={leastCorrect.of}
              onChange={(value) => {
                ask({ leastCorrect: { ...leastCorrect, of: Math.max(leastCorrect.correct, value ?? leastCorrect.correct) } });
              }}
            />
          </span>
        )}
        <span>
          – seen <NumberWord label="Times" value={times} onChange={always('times')} /> {times === 1 ? 'time' : 'times'} on{' '}
          <NumberWord label="Days" value={days} onChange={always('days')} /> {days === 1 ? 'day' : 'days'} within{' '}
          <NumberWord label="In weeks" value={withinWeeks} onChange={always('withinWeeks')} /> {withinWeeks === 1 ? 'week' : 'weeks'}
        </span>
        {leastSeconds === undefined && (
          <ClauseButton
            words="seconds"
            onAdd={() => {
              optional('leastSeconds')(5);
            }}
          />
        )}
        {leastReps === undefined && (
          <ClauseButton
            words="reps"
            onAdd={() => {
              optional('leastReps')(5);
            }}
          />
        )}
        {!leastCorrect && (
          <ClauseButton
            words="right of"
            onAdd={() => {
              ask({ leastCorrect: { correct: 3, of: 4 } });
            }}
          />
        )}
      </Sentence>
    </Box>
  );
}
