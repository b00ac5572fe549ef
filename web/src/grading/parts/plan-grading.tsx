import { t } from '@lingui/core/macro';
import MenuItem from '@mui/material/MenuItem';
import { addDays, weekdayOf, type Day } from '@leiter/core';
import { useNavigate } from 'react-router';
import { useSyllabuses } from '../../queries/syllabus.queries';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { addGrading } from '../../queries/grading.queries';

/** Three weeks are enough to tell families and to look at what is open. */
const weeksAhead = 3;

/** A grading day is planned: the first that is asked is the programme and the day; all else has a usual value. */
export function PlanGradingDialog({
  today,
  programme,
  onClose,
}: {
  readonly today: Day;
  readonly programme?: string;
  readonly onClose: () => void;
}) {
  const syllabuses = useSyllabuses().data ?? [];
  const navigate = useNavigate();
  // a Saturday
  const day = addDays(today, weeksAhead * 7 + ((6 - weekdayOf(today) + 7) % 7));
  const { form, submit } = useServerForm(
    { programme: programme ?? syllabuses[0]?.programme ?? '', day, startsAt: '10:00' },
    async (values) => {
      const { grading } = await addGrading(values);
      await navigate(`/gradings/${grading.id}`);
    },
  );
  const { control, formState } = form;
  return (
    <FormDialog title={t`Plan a grading day`} action={t`Plan it`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="programme" label={t`Programme`} select autoFocus>
        {syllabuses.map((one) => (
          <MenuItem key={one.programme} value={one.programme}>
            {one.programmeName}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="day" label={t`Day`} type="date" />
      <FormField control={control} name="startsAt" label={t`The first warm-up begins at`} placeholder="10:00" />
    </FormDialog>
  );
}
