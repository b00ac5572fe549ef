import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import type { MadeInvitation, Role } from '@leiter/contract';
import { useState } from 'react';
import { CopyLink } from '../../shared/copy-link';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { invitationPath, invite } from '../../queries/people.queries';
import { roleWords } from './role-words';

/** Invites somebody who is to work in the club: the link is given once, to be handed on. */
export function InviteDialog({ onClose }: { readonly onClose: () => void }) {
  const [made, setMade] = useState<MadeInvitation | null>(null);
  const { form, submit } = useServerForm<{ name: string; email: string; role: Role }>(
    { name: '', email: '', role: 'instructor' },
    async (values) => {
      setMade(await invite(values));
    },
  );
  const { control, formState } = form;
  if (made) return <LinkDialog made={made} onClose={onClose} />;
  return (
    <FormDialog title={t`Invite a person`} action={t`Make the link`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="name" label={t`Name`} autoFocus />
      <FormField control={control} name="email" label={t`E-mail address`} type="email" />
      <FormField control={control} name="role" label={t`Role`} select>
        {Object.entries(roleWords).map(([role, words]) => (
          <MenuItem key={role} value={role}>
            {words}
          </MenuItem>
        ))}
      </FormField>
    </FormDialog>
  );
}

/** The link of an invitation, or of a new password. */
export function LinkDialog({ made, onClose }: { readonly made: MadeInvitation; readonly onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="link-title" maxWidth="sm" fullWidth>
      <DialogTitle id="link-title">
        {made.kind === 'join' ? t`A link for ${made.name} to join` : t`A link for ${made.name} to set a new password`}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.75, pt: '8px !important' }}>
        <Typography variant="body2">
          <Trans>Hand it to {made.name} yourself. Whoever has it can follow it, once, within a week; it is shown only now.</Trans>
        </Typography>
        <CopyLink label={t`Link`} path={invitationPath(made.token)} />
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={onClose}>
          <Trans>Done</Trans>
        </Button>
      </DialogActions>
    </Dialog>
  );
}
