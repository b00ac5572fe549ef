import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Typography from '@mui/material/Typography';
import { addDays, type Day } from '@leiter/core';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { usePaper } from '../../shared/paper/use-paper';
import { useServerForm } from '../../shared/server-form';

/** Grades that were given in the last weeks are asked for most often. */
const daysBack = 30;

/** The certificates of all grades that a group was given from a day on, as one file to print. */
export function CertificatesDialog({
  groupId,
  today,
  onClose,
}: {
  readonly groupId: string;
  readonly today: Day;
  readonly onClose: () => void;
}) {
  const paper = usePaper();
  const { form, submit } = useServerForm({ since: addDays(today, -daysBack) }, async ({ since }) => {
    if (await paper.make(`groups/${groupId}/certificates?since=${since}`)) onClose();
  });
  return (
    <FormDialog title={t`Certificates`} action={t`Make the file`} width="xs" state={form.formState} onSubmit={submit} onClose={onClose}>
      <Typography>
        <Trans>One page for every grade that was given, to be printed and signed.</Trans>
      </Typography>
      <FormField control={form.control} name="since" label={t`Given from this day on`} type="date" />
      <PaperProgress paper={paper} />
    </FormDialog>
  );
}
