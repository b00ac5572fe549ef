import type { HolidayResponse } from '@leiter/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { addHoliday, removeHoliday } from '../../queries/calendar.queries';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';
import { dateText, plural } from '../../shared/words';

/** The holidays of the club: no slot counts in them, and a class that stood there is cancelled until the holiday is taken away. */
export function HolidaysSheet({ holidays, onClose }: { readonly holidays: readonly HolidayResponse[]; readonly onClose: () => void }) {
  const { form, submit } = useServerForm({ name: '', fromDay: '', toDay: '' }, async ({ name, fromDay, toDay }) => {
    // one day is a holiday as well
    const added = await addHoliday({ name, fromDay, toDay: toDay === '' ? fromDay : toDay });
    offerUndo(
      `${added.name} is a holiday${added.cancelledCount > 0 ? `; ${plural(added.cancelledCount, 'class is', 'classes are')} cancelled` : ''}`,
      () => removeHoliday(added.id),
    );
    onClose();
  });
  const { control, formState } = form;
  return (
    <FormDialog title="Holidays" action="Add the holiday" width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      {holidays.length > 0 && (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {holidays.map((holiday) => (
            <Box component="li" key={holiday.id} sx={{ borderBottom: `1px solid ${palette.line}`, py: 0.75, display: 'flex', gap: 2 }}>
              <Box sx={{ mr: 'auto' }}>
                <strong>{holiday.name}</strong>
                <Box sx={{ fontSize: 14, color: palette.soft }}>
                  {dateText(holiday.fromDay)}
                  {holiday.toDay !== holiday.fromDay && ` to ${dateText(holiday.toDay)}`}
                  {holiday.cancelledCount > 0 && ` · ${plural(holiday.cancelledCount, 'class', 'classes')} cancelled for it`}
                </Box>
              </Box>
              <TextButton
                label="Remove"
                onClick={() => {
                  void removeHoliday(holiday.id).then(() => {
                    offerUndo(`${holiday.name} is no holiday any more`, () =>
                      addHoliday({ name: holiday.name, fromDay: holiday.fromDay, toDay: holiday.toDay }),
                    );
                  });
                }}
              />
            </Box>
          ))}
        </Box>
      )}
      <Typography variant="h3">Add one</Typography>
      <FormField control={control} name="name" label="Name" placeholder="Winter break" />
      <FormField control={control} name="fromDay" label="First day" type="date" />
      <FormField control={control} name="toDay" label="Last day (empty: that one day)" type="date" />
    </FormDialog>
  );
}
