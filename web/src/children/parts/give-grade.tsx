import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ChildLadder } from '@leiter/contract';
import type { Day, Verdict } from '@leiter/core';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { awardGrade, takeBackGrade } from '../../queries/children.queries';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { useServerForm } from '../../shared/server-form';
import { offerUndo } from '../../shared/undo-bar';

interface Props {
  readonly childId: string;
  readonly name: string;
  readonly ladder: ChildLadder;
  readonly verdict: Verdict;
  readonly today: Day;
}

/**
 * Gives a grade, with its day: the one that is earned, or with a reason one that was earned elsewhere. The bar offers to take it back
 * at once; later it is taken back with a reason, under the ladder.
 */
export function GiveGrade(props: Props) {
  const { verdict } = props;
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        variant={verdict.earned ? 'contained' : 'outlined'}
        onClick={() => {
          setOpen(true);
        }}
      >
        {verdict.earned ? t`Give ${verdict.grade.name}` : t`Give a grade`}
      </Button>
      {isOpen && (
        <GradeForm
          {...props}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

function GradeForm({ childId, name, ladder, verdict, today, onClose }: Props & { readonly onClose: () => void }) {
  const { grades } = ladder.syllabus;
  const held = new Set(ladder.earned.map(({ grade }) => grade.slug));
  const highest = grades.findLastIndex(({ slug }) => held.has(slug));
  const above = grades.slice(highest + 1).filter(({ isPutAway }) => !isPutAway);
  const { form, submit } = useServerForm({ gradeId: verdict.grade.id, awardedOn: today, reason: '' }, async (values) => {
    const { reason, ...rest } = values;
    await awardGrade(childId, { ...rest, ...(reason.trim() === '' ? {} : { reason: reason.trim() }) });
    const grade = above.find(({ id }) => id === values.gradeId)?.name ?? t`the grade`;
    offerUndo(t`${name} has ${grade}`, () =>
      takeBackGrade(childId, { gradeId: values.gradeId, reason: t`given by a slip, taken back at once` }),
    );
    onClose();
  });
  const { control, formState, watch } = form;
  const isEarned = verdict.earned && watch('gradeId') === verdict.grade.id;
  return (
    <FormDialog title={t`Give ${name} a grade`} action={t`Give the grade`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="gradeId" label={t`Grade`} select>
        {above.map(({ id, name: grade }) => (
          <MenuItem key={id} value={id}>
            {grade}
          </MenuItem>
        ))}
      </FormField>
      <FormField control={control} name="awardedOn" label={t`Given on`} type="date" />
      {isEarned ? (
        <Typography variant="body2">
          <Trans>All that it asks was seen.</Trans>
        </Typography>
      ) : (
        <FormField
          control={control}
          name="reason"
          label={t`Why, although not all of it was seen here`}
          placeholder={t`earned at its club before`}
          helperText={t`It stays with the child.`}
        />
      )}
    </FormDialog>
  );
}
