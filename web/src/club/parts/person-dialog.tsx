import MenuItem from '@mui/material/MenuItem';
import type { Role } from '@leiter/contract';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { addPerson } from '../groups.queries';

const roleWords: Readonly<Record<Role, string>> = {
  owner: 'owner: everything',
  instructor: 'instructor: plans, teaches, changes children and groups',
  assistant: 'assistant: looks and marks',
};

/** Adds somebody who works in the club. */
export function PersonDialog({ onClose }: { readonly onClose: () => void }) {
  const { form, submit } = useServerForm<{ name: string; email: string; role: Role; password: string }>(
    { name: '', email: '', role: 'instructor', password: '' },
    async (values) => {
      await addPerson(values);
      onClose();
    },
  );
  const { control, formState } = form;
  return (
    <FormDialog title="Add a person" action="Add the person" width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="name" label="Name" autoFocus />
      <FormField control={control} name="email" label="E-mail address" type="email" />
      <FormField control={control} name="role" label="Role" select>
        {Object.entries(roleWords).map(([role, words]) => (
          <MenuItem key={role} value={role}>
            {words}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="password" label="First password, at least 10 characters" autoComplete="off" />
    </FormDialog>
  );
}
