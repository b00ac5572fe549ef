import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import type { Role } from '@leiter/contract';
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
    <Dialog open onClose={onClose} aria-labelledby="person-title" maxWidth="xs" fullWidth>
      <Box component="form" onSubmit={submit} noValidate>
        <DialogTitle id="person-title">Add a person</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1.75, pt: '8px !important' }}>
          {formState.errors.root?.message && <Alert severity="error">{formState.errors.root.message}</Alert>}
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
        </DialogContent>
        <DialogActions sx={{ p: 2 }}>
          <Button variant="outlined" onClick={onClose}>
            Leave it
          </Button>
          <Button type="submit" variant="contained" disabled={formState.isSubmitting}>
            Add the person
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
