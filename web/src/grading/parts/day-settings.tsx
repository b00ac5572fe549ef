import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ChangeGradingRequest, GradingPageResponse } from '@leiter/contract';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Panel, Refused } from '../../shared/page';
import { useTyped } from '../../shared/use-typed';
import { changeGrading, removeGrading } from '../../queries/grading.queries';

/** Day, time, who looks and how: what the timetable is made from. */
export function DaySettings({ page: { grading, people, marks } }: { readonly page: GradingPageResponse }) {
  const navigate = useNavigate();
  const change = useMutation({ mutationFn: (request: ChangeGradingRequest) => changeGrading(grading.id, request) });
  const remove = useMutation({
    mutationFn: async () => {
      await removeGrading(grading.id);
      await navigate('/gradings');
    },
  });
  const [isRemoving, setRemoving] = useState(false);
  const isClosed = grading.closedAt !== null;
  // what was pressed is shown at once, and the next press goes on from it
  const examinerIds = (change.isPending ? change.variables.examinerIds : undefined) ?? grading.examinerIds;
  const choice = (
    label: string,
    value: number,
    choices: readonly (readonly [number, string])[],
    requestOf: (chosen: number) => ChangeGradingRequest,
  ) => (
    <TextField
      select
      fullWidth
      label={label}
      value={value}
      disabled={isClosed}
      onChange={(event) => {
        change.mutate(requestOf(Number(event.target.value)));
      }}
    >
      {choices.map(([one, words]) => (
        <MenuItem key={one} value={one}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
  const minutes = (...all: readonly number[]): readonly (readonly [number, string])[] => all.map((one) => [one, t`${one} minutes`]);
  return (
    <Panel label={t`The day`} width={300}>
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        <Trans>The day</Trans>
      </Typography>
      <Refused error={change.error ?? remove.error} />
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Written
          label={t`Day`}
          type="date"
          value={grading.day}
          isDisabled={isClosed}
          onWritten={(day) => {
            change.mutate({ day });
          }}
        />
        <Written
          label={t`The first warm-up begins at`}
          value={grading.startsAt}
          isDisabled={isClosed}
          onWritten={(startsAt) => {
            change.mutate({ startsAt });
          }}
        />
        {choice(t`Warm-up`, grading.warmUpMinutes, minutes(5, 10, 15, 20), (warmUpMinutes) => ({ warmUpMinutes }))}
        {choice(
          t`Seen together`,
          grading.together,
          [
            [1, t`one child at a time`],
            [2, t`up to two of a grade`],
            [3, t`up to three of a grade`],
            [4, t`up to four of a grade`],
          ],
          (together) => ({ together }),
        )}
        {choice(t`Steps of the timetable`, grading.slotMinutes, minutes(3, 5, 10), (slotMinutes) => ({ slotMinutes }))}
        {choice(
          t`Who looks at a child`,
          grading.perVisit,
          [
            [1, t`one examiner`],
            [2, t`two examiners`],
          ],
          (perVisit) => ({ perVisit }),
        )}
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }} disabled={isClosed}>
          <Typography component="legend" variant="h3" sx={{ mb: 0.5 }}>
            <Trans>Examiners</Trans>
          </Typography>
          {people.map(({ id, name }) => {
            const looks = examinerIds.includes(id);
            return (
              <Box key={id} component="label" sx={{ display: 'flex', gap: 1, alignItems: 'center', minHeight: 32, cursor: 'pointer' }}>
                <input
                  type="checkbox"
                  checked={looks}
                  onChange={() => {
                    change.mutate({ examinerIds: looks ? examinerIds.filter((one) => one !== id) : [...examinerIds, id] });
                  }}
                />
                {name}
              </Box>
            );
          })}
        </Box>
        {!isClosed && marks.length === 0 && (
          <Box>
            {isRemoving && (
              <Box role="alert" sx={{ mb: 1 }}>
                <Trans>It goes with all who were entered.</Trans>
              </Box>
            )}
            <Button
              variant="outlined"
              color={isRemoving ? 'error' : 'inherit'}
              onClick={() => {
                if (isRemoving) remove.mutate();
                else setRemoving(true);
              }}
              onBlur={() => {
                setRemoving(false);
              }}
            >
              {isRemoving ? t`Take it off the calendar` : t`Call this day off`}
            </Button>
          </Box>
        )}
      </Box>
    </Panel>
  );
}

/** A field that is sent when it is left. */
function Written({
  label,
  value,
  type = 'text',
  isDisabled,
  onWritten,
}: {
  readonly label: string;
  readonly value: string;
  readonly type?: 'text' | 'date';
  readonly isDisabled: boolean;
  readonly onWritten: (value: string) => void;
}) {
  const [typed, setTyped] = useTyped(value);
  const send = (): void => {
    if (typed !== value && typed.trim() !== '') onWritten(typed.trim());
  };
  return (
    <TextField
      label={label}
      type={type}
      value={typed}
      disabled={isDisabled}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={send}
      onKeyDown={(event) => {
        if (event.key === 'Enter') send();
      }}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
}
