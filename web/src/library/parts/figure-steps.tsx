import { Trans } from '@lingui/react/macro';
import { t } from '@lingui/core/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { canBeTaken, mostSteps, poseNames, readStep, stepWordGroups, writtenStep, type FigureStep } from '@leiter/core';
import { useState } from 'react';
import { useController, useWatch, type Control } from 'react-hook-form';
import { Figure } from '../../shared/figure';
import { newId } from '../../shared/new-id';
import { palette } from '../../shared/palette';
import { onPhone } from '../../shared/screen';
import { SortableList } from '../../shared/sortable-list';
import type { MovementForm } from './movement-form';

const plain = (word: string): string => word.replaceAll('-', ' ');
const groupWords = { taken: t`how it is taken`, body: t`arms, hands, head, turned`, things: t`things` } as const;
type Group = keyof typeof groupWords;
const groups = Object.keys(stepWordGroups) as Group[]; // its own keys
const options = groups.flatMap((group) => stepWordGroups[group]);
const groupOf = (word: string): Group => groups.find((group) => stepWordGroups[group].includes(word)) ?? 'body';

/** The poses of a figure one under the other, each with what is changed of it; put in order like the grades of a ladder. */
export function FigureSteps({ control }: { readonly control: Control<MovementForm> }) {
  const { field, fieldState } = useController({ control, name: 'facts.figure' });
  const facing = useWatch({ control, name: 'facts.facing' });
  const steps = field.value;
  const [ids, setIds] = useState(() => steps.map(newId));
  const change = (next: readonly string[], nextIds: readonly string[]): void => {
    setIds([...nextIds]);
    field.onChange([...next]);
  };
  const move = (from: number, to: number): void => {
    change(moved(steps, from, to), moved(ids, from, to));
  };
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 0.5 }}>
        <Trans>Poses in their order, up to {mostSteps}; where the last is the first, it goes round.</Trans>
      </Typography>
      <SortableList label={t`Poses`} ids={ids} nameOf={(id) => t`Pose ${ids.indexOf(id) + 1}`} onMove={move}>
        {(id) => {
          const index = ids.indexOf(id);
          const text = steps[index] ?? '';
          return (
            <StepRow
              text={text}
              number={index + 1}
              facing={facing}
              onChange={(next) => {
                change(oneShown(steps.with(index, next), index), ids);
              }}
              onRemove={
                steps.length > 1
                  ? () => {
                      change(steps.toSpliced(index, 1), ids.toSpliced(index, 1));
                    }
                  : null
              }
            />
          );
        }}
      </SortableList>
      {fieldState.error && (
        <Typography variant="body2" role="alert" sx={{ color: palette.stop }}>
          {fieldState.error.message}
        </Typography>
      )}
      {steps.length < mostSteps && (
        <Button
          size="small"
          onClick={() => {
            change([...steps, bare(steps.at(-1) ?? 'stand')], [...ids, newId()]);
          }}
        >
          <Trans>Add a pose</Trans>
        </Button>
      )}
    </Box>
  );
}

/** The next pose begins as the last, taken as usual. */
function bare(text: string): string {
  const step = readStep(text);
  return step ? writtenStep({ ...step, isShown: false, paces: [] }) : text;
}

/** One pose stands for all: the one chosen last. */
function oneShown(steps: readonly string[], last: number): readonly string[] {
  if (readStep(steps[last] ?? '')?.isShown !== true) return steps;
  return steps.map((text, index) => {
    const step = readStep(text);
    return step?.isShown && index !== last ? writtenStep({ ...step, isShown: false }) : text;
  });
}

const moved = <T,>(list: readonly T[], from: number, to: number): readonly T[] => {
  const one = list[from];
  return one === undefined ? list : list.toSpliced(from, 1).toSpliced(to, 0, one);
};

interface StepProps {
  readonly text: string;
  readonly number: number;
  readonly facing: MovementForm['facts']['facing'];
  readonly onChange: (text: string) => void;
  /** Null for the only one. */
  readonly onRemove: (() => void) | null;
}

const noStep: FigureStep = { pose: 'stand', isMirrored: false, isShown: false, additions: [], paces: [] };

function StepRow({ text, number, facing, onChange, onRemove }: StepProps) {
  const step = readStep(text) ?? noStep;
  const words = writtenStep(step).split(' ').slice(1);
  const isTaken = canBeTaken(text);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '56px minmax(0, 2fr) minmax(0, 3fr) auto',
        gap: 1,
        alignItems: 'center',
        py: 0.75,
        flex: 1,
        [onPhone]: { gridTemplateColumns: '56px minmax(0, 1fr) auto', '& > :nth-of-type(2)': { gridColumn: '1 / -1', gridRow: 2 } },
      }}
    >
      <Figure
        movement={{ figure: [text], view: { facing: facing === '' ? 'front' : facing, framing: 'standing' }, plainMeaning: '' }}
        size={54}
      />
      <Autocomplete
        size="small"
        disableClearable
        options={[...poseNames]}
        value={step.pose}
        getOptionLabel={plain}
        onChange={(_event, pose) => {
          onChange(writtenStep({ ...step, pose }));
        }}
        renderInput={(params) => <TextField {...params} label={t`Pose ${number}`} />}
      />
      <Autocomplete
        multiple
        size="small"
        options={options}
        groupBy={(word) => groupWords[groupOf(word)]}
        value={words}
        getOptionLabel={plain}
        onChange={(_event, chosen) => {
          onChange([step.pose, ...chosen].join(' '));
        }}
        renderInput={(params) => (
          <TextField
            {...params}
            label={t`With pose ${number}`}
            error={!isTaken}
            helperText={isTaken ? undefined : t`A child’s joints cannot take this.`}
          />
        )}
      />
      <Box sx={{ width: 76, textAlign: 'right' }}>
        {onRemove && (
          <Button size="small" aria-label={t`Remove pose ${number}`} onClick={onRemove}>
            <Trans>Remove</Trans>
          </Button>
        )}
      </Box>
    </Box>
  );
}
