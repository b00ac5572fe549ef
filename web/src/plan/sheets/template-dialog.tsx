import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { ageBandOf, meanAge, type ClassLength, type ClassPlan } from '@leiter/core';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { keepTemplate } from '../../queries/class.queries';

interface Props {
  readonly page: ClassPageResponse;
  readonly plan: ClassPlan;
  readonly onClose: () => void;
  readonly onKept: (name: string) => void;
}

/** Keeps the plan as a running order that any class of the programme can start from. */
export function TemplateDialog({ page, plan, onClose, onKept }: Props) {
  const { form, submit } = useServerForm<{ name: string }>({ name: '' }, async ({ name }) => {
    const { programme, lengthMinutes } = page.class;
    await keepTemplate({
      name,
      programme,
      // a class has one of the three lengths: its table says so
      lengthMinutes: lengthMinutes as ClassLength,
      ageBand: ageBandOf(meanAge(evaluationContextOf(page).agesYears)),
      // what the page saves, in the same shape
      plan: structuredClone(plan) as never,
    });
    onKept(name);
  });
  return (
    <FormDialog title={t`Keep as a template`} action={t`Keep it`} width="xs" state={form.formState} onSubmit={submit} onClose={onClose}>
      <FormField
        control={form.control}
        name="name"
        label={t`Name`}
        autoFocus
        helperText={t`Any class of this programme can start from it.`}
      />
    </FormDialog>
  );
}
