import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HolidayResponse } from '@leiter/contract';
import type { Day } from '@leiter/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { addHoliday, removeHoliday } from '../../queries/calendar.queries';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';
import { dateText } from '../../shared/words';
import { HolidaysFromFile } from './holidays-from-file';

/** The holidays of the club: no slot counts in them, and a class that stood there is cancelled until the holiday is taken away. */
export function HolidaysSheet({
  holidays,
  today,
  onClose,
}: {
  readonly holidays: readonly HolidayResponse[];
  readonly today: Day;
  readonly onClose: () => void;
}) {
  const { form, submit } = useServerForm({ name: '', fromDay: '', toDay: '' }, async ({ name, fromDay, toDay }) => {
    // one day is a holiday as well
    const added = await addHoliday({ name, fromDay, toDay: toDay === '' ? fromDay : toDay });
    offerUndo(
      t`${added.name} is a holiday${added.cancelledCount > 0 ? t`; ${plural(added.cancelledCount, { one: '# class is', other: '# classes are' })} cancelled` : ''}`,
      () => removeHoliday(added.id),
    );
    onClose();
  });
  const { control, formState } = form;
  return (
    <FormDialog title={t`Holidays`} action={t`Add the holiday`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      {holidays.length > 0 && (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {holidays.map((holiday) => (
            <Box component="li" key={holiday.id} sx={{ borderBottom: `1px solid ${palette.line}`, py: 0.75, display: 'flex', gap: 2 }}>
              <Box sx={{ mr: 'auto' }}>
                <strong>{holiday.name}</strong>
                <Box sx={{ fontSize: 14, color: palette.soft }}>
                  {dateText(holiday.fromDay)}
                  {holiday.toDay !== holiday.fromDay && t` to ${dateText(holiday.toDay)}`}
                  {holiday.cancelledCount > 0 &&
                    t` · ${plural(holiday.cancelledCount, { one: '# class', other: '# classes' })} cancelled for it`}
                </Box>
              </Box>
              <TextButton
                label={t`Remove`}
                onClick={() => {
                  void removeHoliday(holiday.id).then(() => {
                    offerUndo(t`${holiday.name} is no holiday any more`, () =>
                      addHoliday({ name: holiday.name, fromDay: holiday.fromDay, toDay: holiday.toDay }),
                    );
                  });
                }}
              />
            </Box>
          ))}
        </Box>
      )}
      <HolidaysFromFile holidays={holidays} today={today} onDone={onClose} />
      <Typography variant="h3">
        <Trans>Add one</Trans>
      </Typography>
      <FormField control={control} name="name" label={t`Name`} placeholder={t`Winter break`} />
      <FormField control={control} name="fromDay" label={t`First day`} type="date" />
      <FormField control={control} name="toDay" label={t`Last day (empty: that one day)`} type="date" />
    </FormDialog>
  );
}
