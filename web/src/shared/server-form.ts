import { t } from '@lingui/core/macro';
import { useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import { ApiError } from './api';

/**
 * A form whose rules are the server's: what it refuses stands at the field it names, and what was typed stays.
 * @param send resolves when it is stored.
 */
export function useServerForm<Values extends FieldValues>(
  defaultValues: DefaultValues<Values>,
  send: (values: Values) => Promise<unknown>,
): { readonly form: UseFormReturn<Values>; readonly submit: (event: { preventDefault: () => void }) => void } {
  const form = useForm<Values>({ defaultValues });
  const submit = form.handleSubmit(async (values) => {
    try {
      await send(values);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      // the server names the fields of what was sent, which are the fields of this form; what has no field here is said for the whole
      const errors = error.problem?.errors ?? [];
      const here = errors.filter(({ field }) => form.getValues(field as Path<Values>) !== undefined);
      for (const [nth, { field, message }] of here.entries())
        // the first one is brought into sight: a long form says what is missing where one looks
        form.setError(field as Path<Values>, { message }, { shouldFocus: nth === 0 });
      const elsewhere = errors.filter((one) => !here.includes(one)).map(({ field, message }) => `${field}: ${message}`);
      if (elsewhere.length > 0) form.setError('root', { message: elsewhere.join(' ') });
      if (errors.length === 0)
        form.setError('root', {
          message: error.isAway ? t`No answer just now. What you typed is kept; try again in a moment.` : error.message,
        });
    }
  });
  return {
    form,
    submit: (event) => {
      event.preventDefault();
      // what was said of the last try is not said of this one; one that belongs to no field would keep it from being sent
      form.clearErrors();
      void submit();
    },
  };
}
