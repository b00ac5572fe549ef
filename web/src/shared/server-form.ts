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
      // the server names the fields of what was sent, which are the fields of this form
      for (const [nth, { field, message }] of (error.problem?.errors ?? []).entries())
        // the first one is brought into sight: a long form says what is missing where one looks
        form.setError(field as Path<Values>, { message }, { shouldFocus: nth === 0 });
      if (!error.problem?.errors?.length)
        form.setError('root', {
          message: error.isAway ? t`No answer just now. What you typed is kept; try again in a moment.` : error.message,
        });
    }
  });
  return {
    form,
    submit: (event) => {
      event.preventDefault();
      void submit();
    },
  };
}
