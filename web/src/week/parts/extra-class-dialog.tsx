import { t } from '@lingui/core/macro';
import { Plural } from '@lingui/react/macro';
import type { GroupResponse } from '@leiter/contract';
import { classLengths } from '@leiter/core';
import MenuItem from '@mui/material/MenuItem';
import { addClass, removeClass } from '../../queries/calendar.queries';
import { useSession } from '../../queries/session.queries';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { offerUndo } from '../../shared/undo-bar';
import { dayText } from '../../shared/words';

/** Puts a class beside the weekly slots: a make-up class, a trial, a day of holidays. */
export function ExtraClassDialog({
  groups,
  day,
  onClose,
}: {
  readonly groups: readonly GroupResponse[];
  readonly day: string;
  readonly onClose: () => void;
}) {
  const ownId = useSession().data?.person.id;
  const group = groups.find(({ instructorId }) => instructorId === ownId) ?? groups[0];
  const { form, submit } = useServerForm(
    { groupId: group?.id ?? '', day, startsAt: group?.startsAt ?? '16:00', lengthMinutes: group?.lengthMinutes ?? 45 },
    async (values) => {
      const added = await addClass(values);
      offerUndo(t`${added.groupName} has a class on ${dayText(added.day)}`, () => removeClass(added.id));
      onClose();
    },
  );
  const { control, formState } = form;
  return (
    <FormDialog title={t`Add a class`} action={t`Add the class`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="groupId" label={t`Group`} select autoFocus>
        {groups.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="day" label={t`Day`} type="date" />
      <FormField control={control} name="startsAt" label={t`Starts at`} placeholder="16:30" />
      <FormField control={control} name="lengthMinutes" label={t`Length`} select>
        {classLengths.map((minutes) => (
          <MenuItem key={minutes} value={minutes}>
            <Plural value={minutes} one="# minute" other="# minutes" />
          </MenuItem>
        ))}
      </FormField>
    </FormDialog>
  );
}
