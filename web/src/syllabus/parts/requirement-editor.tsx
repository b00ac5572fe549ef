import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { marks, type Criterion, type LadderRequirement, type Mark, type Movement } from '@leiter/core';
import { Figure } from '../../shared/figure';
import { palette } from '../../shared/palette';
import { markWords } from '../../shared/words';
import { ClauseButton, NumberWord, Sentence, WordChoice } from './sentence';

const sidesWords: Readonly<Record<Criterion['sides'], string>> = {
  none: t`on any side`,
  both: t`on both sides`,
  lead: t`on the lead side`,
};

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
        <Box sx={{ flex: 1, color: palette.soft }}>
          <Trans>{name} – put away</Trans>
        </Box>
        <Button
          variant="outlined"
          size="small"
          onClick={() => {
            onChange({ ...requirement, isPutAway: false });
          }}
        >
          <Trans>Put back</Trans>
        </Button>
      </Box>
    );
  const stages = movement?.stages ?? [];
  // of what has no sides none is asked
  const hasSides = criterion.sides !== 'none' || movement?.sides !== 'none';
  const { leastSeconds, leastReps, leastCorrect, times, days, withinWeeks } = criterion;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '44px 1fr auto', columnGap: 1.25, alignItems: 'center', py: 0.75 }}>
      <Figure movement={movement} size={42} />
      <Box sx={{ fontWeight: 700 }}>{name}</Box>
      <Button variant="outlined" size="small" onClick={onRemove}>
        <Trans>Put away</Trans>
      </Button>
      <Sentence label={t`${name}: criterion`} gridColumn="2 / -1">
        {stages.length > 0 && (
          <WordChoice
            label={t`Stage`}
            value={String(stage ?? 0)}
            options={[['0', t`the whole`], ...stages.map((one, index) => [String(index + 1), t`stage ${index + 1}: ${one.name}`] as const)]}
            onChange={(value) => {
              onChange({ ...requirement, stage: value === '0' ? null : Number(value) });
            }}
          />
        )}
        <WordChoice
          label={t`Mark`}
          value={criterion.leastMark}
          options={marks.map((mark) => [mark, markWords[mark]] as const)}
          onChange={(value) => {
            ask({ leastMark: value as Mark }); // one of the options
          }}
        />
        {hasSides && (
          <WordChoice
            label={t`Sides`}
            value={criterion.sides}
            options={Object.entries(sidesWords)}
            onChange={(value) => {
              ask({ sides: value as Criterion['sides'] }); // one of the options
            }}
          />
        )}
        {leastSeconds !== undefined && (
          <span>
            <Trans>for</Trans> <NumberWord label={t`Seconds`} value={leastSeconds} onChange={optional('leastSeconds')} /> s
          </span>
        )}
        {leastReps !== undefined && (
          <span>
            <NumberWord label={t`Reps`} value={leastReps} onChange={optional('leastReps')} /> <Trans>in a row</Trans>
          </span>
        )}
        {leastCorrect && (
          <span>
            <NumberWord label={t`Correct`} value={leastCorrect.correct} onChange={correct} /> <Trans>right of </Trans>
            <NumberWord
              label={t`Out of`}
              value={leastCorrect.of}
              onChange={(value) => {
                ask({ leastCorrect: { ...leastCorrect, of: Math.max(leastCorrect.correct, value ?? leastCorrect.correct) } });
              }}
            />
          </span>
        )}
        <span>
          <Trans>– seen</Trans> <NumberWord label={t`Times`} value={times} onChange={always('times')} />{' '}
          <Trans>{plural(times, { one: 'time', other: 'times' })} on </Trans>
          <NumberWord label={t`Days`} value={days} onChange={always('days')} />{' '}
          <Trans>{plural(days, { one: 'day', other: 'days' })} within </Trans>
          <NumberWord label={t`In weeks`} value={withinWeeks} onChange={always('withinWeeks')} />{' '}
          {plural(withinWeeks, { one: 'week', other: 'weeks' })}
        </span>
        {leastSeconds === undefined && (
          <ClauseButton
            words={t`seconds`}
            onAdd={() => {
              optional('leastSeconds')(5);
            }}
          />
        )}
        {leastReps === undefined && (
          <ClauseButton
            words={t`reps`}
            onAdd={() => {
              optional('leastReps')(5);
            }}
          />
        )}
        {!leastCorrect && (
          <ClauseButton
            words={t`right of`}
            onAdd={() => {
              ask({ leastCorrect: { correct: 3, of: 4 } });
            }}
          />
        )}
      </Sentence>
    </Box>
  );
}
