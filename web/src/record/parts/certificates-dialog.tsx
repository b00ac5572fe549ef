import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { addDays, isDay, type Day } from '@leiter/core';
import { useState } from 'react';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';

/** Grades that were given in the last weeks are asked for most often. */
const daysBack = 30;

/** The certificates of all grades that a group was given from a day on, as one file to print. */
export function CertificatesDialog({
  groupId,
  groupName,
  today,
  onClose,
}: {
  readonly groupId: string;
  readonly groupName: string;
  readonly today: Day;
  readonly onClose: () => void;
}) {
  const [failed, setFailed] = useState<string | null>(null);
  const { form, submit } = useServerForm({ since: addDays(today, -daysBack) }, async ({ since }) => {
    setFailed(null);
    const answer = isDay(since) ? await fetch(`/api/groups/${groupId}/certificates?since=${since}`) : null;
    if (!answer?.ok) {
      if (answer === null) setFailed(t`Choose a day.`);
      else
        setFailed(
          answer.status === 404 ? t`Nobody of this group was given a grade since then.` : t`They could not be made. Try again in a moment.`,
        );
      return;
    }
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await answer.blob());
    link.download = `${groupName}-${since}.pdf`;
    link.click();
    URL.revokeObjectURL(link.href);
    onClose();
  });
  return (
    <FormDialog title={t`Certificates`} action={t`Make the file`} width="xs" state={form.formState} onSubmit={submit} onClose={onClose}>
      <Typography>
        <Trans>One page for every grade that was given, to be printed and signed.</Trans>
      </Typography>
      <FormField control={form.control} name="since" label={t`Given from this day on`} type="date" />
      {failed !== null && (
        <Box role="alert" sx={{ color: palette.stop }}>
          {failed}
        </Box>
      )}
    </FormDialog>
  );
}
