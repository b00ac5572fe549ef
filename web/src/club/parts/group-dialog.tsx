import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import MenuItem from '@mui/material/MenuItem';
import { classLengths } from '@leiter/core';
import type { GroupResponse, PersonResponse, SyllabusResponse } from '@leiter/contract';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { onlyChanged } from '../../shared/only-changed';
import { useServerForm } from '../../shared/server-form';
import { weekdayWords } from '../../shared/words';
import { addGroup, changeGroup } from '../../queries/groups.queries';

interface Props {
  readonly group: GroupResponse | null;
  readonly people: readonly PersonResponse[];
  readonly programmes: readonly SyllabusResponse[];
  readonly onClose: () => void;
}

/** Adds a group or changes one: its name, programme, weekly slot, length and who teaches it. */
export function GroupDialog({ group, people, programmes, onClose }: Props) {
  const start = {
    name: group?.name ?? '',
    programme: group?.programme ?? programmes[0]?.programme ?? '',
    weekday: group?.weekday ?? 1,
    startsAt: group?.startsAt ?? '16:00',
    lengthMinutes: group?.lengthMinutes ?? 45,
    instructorId: group?.instructorId ?? '',
  };
  const { form, submit } = useServerForm(start, async ({ programme, ...values }) => {
    const whole = (one: typeof values) => ({ ...one, instructorId: one.instructorId === '' ? null : one.instructorId });
    const { programme: _same, ...before } = start;
    await (group ? changeGroup(group.id, onlyChanged(whole(before), whole(values))) : addGroup({ ...whole(values), programme }));
    onClose();
  });
  const { control, formState } = form;
  return (
    <FormDialog
      title={group ? t`Change ${group.name}` : t`Make a group`}
      action={group ? t`Save the changes` : t`Make the group`}
      width="xs"
      state={formState}
      onSubmit={submit}
      onClose={onClose}
    >
      <FormField control={control} name="name" label={t`Name`} autoFocus />
      <FormField control={control} name="programme" label={t`Programme`} select disabled={group !== null}>
        {programmes.map(({ programme, programmeName }) => (
          <MenuItem key={programme} value={programme}>
            {programmeName}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="weekday" label={t`Day`} select>
        {weekdayWords.map((word, index) => (
          <MenuItem key={word} value={index + 1}>
            {word}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="startsAt" label={t`Starts at`} placeholder="16:30" />
      <FormField control={control} name="lengthMinutes" label={t`Length`} select>
        {classLengths.map((minutes) => (
          <MenuItem key={minutes} value={minutes}>
            <Plural value={minutes} one="# minute" other="# minutes" />
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="instructorId" label={t`Taught by`} select>
        <MenuItem value="">
          <Trans>nobody yet</Trans>
        </MenuItem>
        {people.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </FormField>
    </FormDialog>
  );
}
